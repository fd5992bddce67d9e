import { applyPatch } from '@/core/base/patch';
import { car } from '@/core/fixtures/car';
import { thingsChanged } from '@/core/advice/learn/things';
import { changeLog } from './changeLog';
import type { FailureRecord, RevisionRecord, RunRecord } from '@/core/car/records/records';

const reader = { locale: 'en-GB', units: 'metric' } as const;
const next = applyPatch(car, [
  { path: ['drive', 'stages', 's', 'pinionTeeth'], value: 16 },
  { path: ['drive', 'stages', 's', 'wheelTeeth'], value: 140 },
  { path: ['chassis', 'massG'], value: 1500 },
]);
const revision = (id: string, letter: string, more: Partial<RevisionRecord> = {}): RevisionRecord => ({
  id,
  buildId: 'b',
  letter,
  document: car,
  version: 1,
  createdAt: '2026-05-01T10:00:00.000Z',
  ...more,
});
const revisions = [
  revision('a', 'A'),
  revision('b', 'B', {
    parentId: 'a',
    document: next,
    why: 'Too slow: *longer* ratio.',
    expected: 'Over 30 km/h.',
  }),
];
const run: RunRecord = {
  id: 'r',
  revisionId: 'b',
  kind: 'timedDistance',
  ranAt: '',
  document: next,
  drivenMinutes: 120,
  conditions: { surfaceId: 'asphalt', surfaceName: 'Asphalt', distanceM: 20 },
  attempts: [
    { id: '1', timeS: 2 },
    { id: '2', timeS: 2 },
  ],
};
const failure: FailureRecord = {
  id: 'f',
  revisionId: 'a',
  mode: 'toothStrip',
  partName: 'Main gear',
  partId: 'g',
  hours: 1.4,
  occurredAt: '',
  fix: 'Wider.',
  fixRevisionId: 'b',
  ledger: { verdict: { cause: 'faceTooNarrow', at: '' } },
};

describe('the change log', () => {
  const text = changeLog(
    { build: { id: 'b', name: 'Hare', createdAt: '' }, revisions, runs: [run], failures: [failure] },
    reader,
  );

  it('tells why, what changed, what was measured, and that several things changed at once', () => {
    expect(text).toContain('# Hare: what changed and what came of it');
    expect(text).toContain('## B, 2026-05-01, on A\n\nWhy: Too slow: \\*longer\\* ratio.');
    expect(text).toContain('- Stage 1: pinion teeth: 15 → 16');
    // 20 m in 2 s
    expect(text).toMatch(/Measured: 36\.0 ± \d\.\d\skm\/h over 1 timed run\./);
    expect(text).toContain('2 things changed at once');
  });

  it('tells what broke, why, and whether the fix stands', () => {
    expect(text).toMatch(
      /- Main gear: teeth stripped after 1\.4\sh\. Cause: .+ Fix in B: Wider\. It stands so far: held 2\sh with no failure/,
    );
  });

  it('counts a gear stage as one thing, and money and printing as none', () => {
    expect(
      thingsChanged([
        { path: ['drive', 'stages', 's', 'pinionTeeth'] },
        { path: ['drive', 'stages', 's', 'wheelTeeth'] },
        { path: ['print', 'list', 'x', 'price'] },
        { path: ['brief', 'budget'] },
      ]),
    ).toEqual(['drive.stages.s']);
  });

  it('says so where the revision that carried a fix is gone', () => {
    expect(
      changeLog(
        {
          build: { id: 'b', name: 'Hare', createdAt: '' },
          revisions: [revisions[0]!],
          runs: [],
          failures: [failure],
        },
        reader,
      ),
    ).toContain('Fix in a revision that was deleted: Wider.');
  });
});
