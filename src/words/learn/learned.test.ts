import { applyPatch } from '@/core/base/patch';
import { car } from '@/core/fixtures/car';
import { learnedOf, lessonsOf } from './learned';
import type { FailureRecord, RevisionRecord, RunRecord } from '@/core/car/records/records';

const reader = { locale: 'en-GB', units: 'metric' as const };
const longer = applyPatch(car, [{ path: ['drive', 'stages', 's', 'pinionTeeth'], value: 18 }]);
const a: RevisionRecord = {
  id: 'a',
  buildId: 'm',
  letter: 'A',
  document: car,
  version: 1,
  createdAt: '2026-05-01T10:00:00.000Z',
};
const b: RevisionRecord = { ...a, id: 'b', letter: 'B', parentId: 'a', document: longer };
/** 10 m in those times. */
const timed = (revisionId: string, times: number[], more: Partial<RunRecord> = {}): RunRecord => ({
  id: `${revisionId}${times.join()}`,
  revisionId,
  kind: 'timedDistance',
  attempts: times.map((timeS, at) => ({ id: String(at), timeS })),
  conditions: { surfaceId: 'asphalt', surfaceName: 'Asphalt', distanceM: 10 },
  ranAt: '2026-05-02T10:00:00.000Z',
  document: revisionId === 'a' ? car : longer,
  ...more,
});
const failure: FailureRecord = {
  id: 'f',
  revisionId: 'a',
  partId: 'gear',
  partName: 'Main gear',
  mode: 'toothStrip',
  hours: 1,
  occurredAt: '2026-05-02T11:00:00.000Z',
  fix: 'Face 12 mm',
  fixRevisionId: 'b',
  ledger: { lostMinutes: 90, verdict: { cause: 'faceTooNarrow', at: '2026-05-02T12:00:00.000Z' } },
};
const runs = [
  timed('a', [1.42, 1.43, 1.44]),
  timed('a', [1.425, 1.435]),
  timed('b', [1.24, 1.25, 1.26], { drivenMinutes: 120 }),
  timed('b', [1.245, 1.255]),
];
const record = { revisions: [a, b], runs, failures: [failure] };

describe('what a revision taught', () => {
  it('against the one before, with the one thing that changed', () => {
    const said = learnedOf(b, record, reader).join(' ');
    // 10/1.25 = 8 m/s = 28.8 km/h is the wish, and the attempts lie on both sides of it
    expect(said).toMatch(/Speed over a distance: 28\.8.* wished: not decided\./);
    const wishing = (targetMps: number) => ({
      ...b,
      document: applyPatch(longer, [{ path: ['brief', 'targetMps'], value: targetMps }]),
    });
    const toldOf = (targetMps: number) => {
      const wished = wishing(targetMps);
      return learnedOf(wished, { ...record, revisions: [a, wished] }, reader).join(' ');
    };
    expect(toldOf(7)).toContain('wished: met');
    expect(toldOf(9)).toContain('wished: missed');
    expect(said).toMatch(/Over the timed distance: 3\.6\skm\/h faster than A, more than chance\./);
  });

  it('says which of several changes did it: none of them is known', () => {
    const two = { ...b, document: applyPatch(longer, [{ path: ['chassis', 'massG'], value: 1400 }]) };
    expect(learnedOf(two, { ...record, revisions: [a, two] }, reader).join(' ')).toContain(
      '2 things were changed at once, so which of them did it is not known',
    );
  });

  it('what broke, why, what it cost, and where the fix is', () => {
    const said = learnedOf(a, record, reader).join(' ');
    expect(said).toMatch(/Main gear, teeth stripped after 1\sh: .+\. B has it: face 12 mm\./);
    expect(said).toMatch(/Until it ran again, failures took 1\sh\s30\smin/);
  });

  it('whether its fixes held, and what was never driven', () => {
    const said = learnedOf(b, record, reader).join(' ');
    expect(said).toMatch(/Face 12 mm \(against main gear, teeth stripped\): held 2\sh with no failure/);
    expect(said).toContain(
      'Never driven: launch for the wished time to the distance, endurance for the wished minutes per pack.',
    );
    expect(said).not.toContain('failures took');
  });

  it('whether the prediction held', () => {
    const prediction = { timeS: 1.25, timeErrorS: 0.02, speedMps: 8, speedErrorMps: 0.13, massKg: 1.9 };
    const held = learnedOf(
      b,
      { ...record, runs: [timed('b', [1.24, 1.25, 1.26], { prediction })] },
      reader,
    ).join(' ');
    expect(held).toMatch(/The prediction held: 0 % faster/);
    const off = learnedOf(
      b,
      { ...record, runs: [timed('b', [2.5, 2.51, 2.49], { prediction })] },
      reader,
    ).join(' ');
    expect(off).toMatch(/did not hold in 1 of 1 runs: 50 % slower/);
  });

  it('gives way to the builder’s own words', () =>
    expect(lessonsOf({ ...b, learned: 'Longer is better.' }, record, reader)).toBe('Longer is better.'));
});
