import type { BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import type { FailureRecord, RevisionRecord } from '../../car/records/records';
import { car } from '../../fixtures/car';
import { evaluateStates } from '../../verdict/evaluate';
import type { BuildOnRecord } from '../../verdict/engine/onRecord';
import { exchanging } from '../../fixtures/remedies';
import { nextChanges } from './nextChanges';
import { failuresBehind, weightOf } from './weight';
import { whereFilledIn } from './whereFilledIn';
import { short, timed } from '../../fixtures/shortCar';

const revision = (document: BuildDocument, id = 'a', parentId?: string): RevisionRecord => ({
  id,
  buildId: 'b',
  letter: id.toUpperCase(),
  document,
  version: 1,
  createdAt: '',
  ...(parentId ? { parentId } : {}),
});

const record = (document: BuildDocument, more: Partial<BuildOnRecord> = {}): BuildOnRecord => ({
  document,
  revisionId: 'a',
  revisions: [revision(document)],
  runs: [],
  failures: [],
  prints: [],
  copies: [],
  ...more,
});

const failure = (more: Partial<FailureRecord> = {}): FailureRecord => ({
  id: 'f',
  revisionId: 'a',
  mode: 'slow',
  partName: 'Car',
  occurredAt: '2026-05-01T10:00:00.000Z',
  ...more,
});

const explained = (cause: string) =>
  failure({ ledger: { verdict: { cause, at: '2026-05-01T11:00:00.000Z' } } });

describe('the next change', () => {
  const list = nextChanges(record(short));
  const pinion = list.steps.find(({ remedy }) => remedy && exchanging('pinionTeeth')(remedy))!;

  it('offers the longer gear to a car geared too short, and says what it does by the checks of the changed build', () => {
    const after = evaluateStates(applyPatch(short, pinion.patch!)).find(({ id }) => id === 'drive.speed')!;
    expect(pinion.figures.find(({ id }) => id === 'drive.speed')!.after).toBe(after.value);
    expect(pinion.betters.map(({ id }) => id)).toContain('drive.speed');
    expect(pinion.trial).toMatchObject({ run: 'timedDistance', expected: { after: after.value } });
  });

  it('puts first what takes most off in an hour, and nothing that takes nothing off', () => {
    const worth = list.steps.map(({ relief, hours }) => relief / hours);
    expect(worth).toEqual([...worth].sort((a, b) => b - a));
    for (const { relief } of list.steps) expect(relief).toBeGreaterThan(0);
  });

  it('weighs a check again for each failure that it explains, until a fix in its line has held', () => {
    const worse = nextChanges(record(short, { failures: [explained('ratioTooShort')] })).steps.find(
      ({ id }) => id === pinion.id,
    )!;
    expect(worse.relief).toBeGreaterThan(1.5 * pinion.relief);
    expect(worse.why).toEqual([{ code: 'step.brokeBefore', facts: { parts: ['Car'] } }]);
    const fixed = { ...explained('ratioTooShort'), fix: 'longer', fixRevisionId: 'b' };
    const after = nextChanges(
      record(short, {
        revisionId: 'b',
        revisions: [revision(short), revision(short, 'b', 'a')],
        failures: [fixed],
      }),
    ).steps.find(({ id }) => id === pinion.id)!;
    expect(after.relief).toBeCloseTo(pinion.relief, 12);
  });

  it('takes a fix for lost where the present revision does not come from the one that carries it', () => {
    const fixed = { ...explained('ratioTooShort'), fix: 'longer', fixRevisionId: 'b' };
    const branched = record(short, {
      revisionId: 'c',
      revisions: [revision(short), revision(short, 'b', 'a'), revision(short, 'c', 'a')],
      failures: [fixed],
    });
    const steps = nextChanges(branched).steps;
    expect(steps.find(({ id }) => id === 'again:f')).toMatchObject({
      kind: 'find',
      why: [{ facts: { held: { lost: { in: 'C', from: 'B' } } } }],
    });
  });

  it('looks at an earlier revision as it stood: what came after it does not bear on it, and its failures are still coming', () => {
    const mended = { ...explained('ratioTooShort'), fix: 'longer', fixRevisionId: 'b' };
    const later = failure({ id: 'later', revisionId: 'b', mode: 'overheat' });
    const whole = record(short, {
      revisions: [revision(short), revision(car, 'b', 'a')],
      failures: [mended, later],
    });
    const seen = nextChanges(whole).steps;
    expect(seen.map(({ id }) => id)).not.toContain('find:later');
    // nor is it driven or printed any more
    expect(seen.filter(({ id }) => /^(owed|print|prove|worn):/.test(id))).toEqual([]);
    expect(seen.find(({ id }) => id === pinion.id)!.relief).toBeGreaterThan(1.5 * pinion.relief);
  });

  it('sends to the page on which a figure is filled in', () => {
    expect(whereFilledIn('chassis.massG')).toBe('chassis');
    expect(whereFilledIn('brief.place.lengthM')).toBe('drive');
    expect(whereFilledIn('brief.targetMps')).toBe('brief');
    expect(whereFilledIn('chassis.cgHeightMm')).toBe('chassis');
    expect(whereFilledIn('brief.targetMps')).toBe('brief');
    expect(whereFilledIn('suspension.front.corner:moves')).toBe('suspension');
  });

  it('says to find out first where a failure is not explained', () => {
    const tamed = applyPatch(car, [{ path: ['drive', 'currentLimitA'], value: 72 }]);
    const found = nextChanges(
      record(tamed, { failures: [failure({ mode: 'overheat', partName: 'Motor' })] }),
    );
    expect(found.measureFirst).toBe(true);
    expect(found.steps[0]).toMatchObject({ id: 'find:f', kind: 'find', failureId: 'f' });
    expect(found.steps[0]!.why.at(-1)).toMatchObject({
      code: 'step.lookFirst',
      facts: { ask: expect.stringMatching(/\?$/) },
    });
  });

  it('says to measure first where the runs do not lie in their band', () => {
    const prediction = { timeS: 1, timeErrorS: 0.02, speedMps: 10, speedErrorMps: 0.2, massKg: 2 };
    const off = nextChanges(record(car, { runs: [{ ...timed('r', [1.5, 1.51, 1.49]), prediction }] }));
    expect(off.steps.map(({ id }) => id)).toContain('measure:band');
    const inside = nextChanges(record(car, { runs: [{ ...timed('r', [1.01, 1, 0.99]), prediction }] }));
    expect(inside.steps.map(({ id }) => id)).not.toContain('measure:band');
  });

  it('says to work the runs back where the wish is missed inside the band', () => {
    // 10 m in 1.28 s are 7.8 m/s against a wish of 8, predicted 7.95 ± 0.2
    const prediction = { timeS: 1.258, timeErrorS: 0.03, speedMps: 7.95, speedErrorMps: 0.2, massKg: 2 };
    const run = { ...timed('r', [1.28, 1.281, 1.279, 1.28, 1.2805]), prediction };
    const exact = {
      ...run,
      attempts: run.attempts.map(({ id, timeS }) => ({
        id,
        frames: Math.round(timeS! * 10_000),
        captureFps: 10_000,
      })),
      conditions: { ...run.conditions, distanceErrorM: 0.001 },
    };
    // one run may have had a bad day; three alike had none
    const days = ['r', 's', 't'].map((id) => ({ ...exact, id }));
    const alone = nextChanges(record(car, { runs: [exact] })).steps.map(({ id }) => id);
    expect(alone).toContain('measure:goal');
    const ids = nextChanges(record(car, { runs: days })).steps.map(({ id }) => id);
    expect(ids).toContain('measure:missed');
    expect(ids).not.toContain('measure:band');
  });

  it('asks an unfinished build for the figures that most checks wait for', () => {
    const { steps } = nextChanges(record(applyPatch(car, [{ path: ['drive', 'motor'], value: undefined }])));
    expect(steps[0]).toMatchObject({
      kind: 'measure',
      title: { code: 'step.fillIn', facts: { need: 'drive.motor' } },
    });
  });
});

describe('what weighs', () => {
  it('a check by its state, how far it is over and the failures behind it', () => {
    expect(weightOf({ id: 'gears.tooth', state: 'over', margin: 0.75 }, [])).toBe(1.25);
    expect(weightOf({ id: 'gears.tooth', state: 'over', margin: 0.75 }, [explained('faceTooNarrow')])).toBe(
      2.5,
    );
    expect(weightOf({ id: 'gears.tooth', state: 'clear', margin: 3 }, [explained('faceTooNarrow')])).toBe(0);
  });

  it('of a part only its own failures', () => {
    const split = { ...explained('layersAcrossLoad'), partId: 'carrier' };
    expect(failuresBehind({ id: 'parts.carrier' }, [split])).toHaveLength(1);
    expect(failuresBehind({ id: 'parts.arm' }, [split])).toHaveLength(0);
    expect(failuresBehind({ id: 'power.load:servo' }, [explained('servoVoltsLow')])).toHaveLength(1);
  });
});
