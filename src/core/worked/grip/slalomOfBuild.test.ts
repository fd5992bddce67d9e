import { applyPatch } from '../../base/patch';
import type { RunRecord, TimedConditions, TimedRun } from '../../car/records/records';
import { car } from '../../fixtures/car';
import { mostAlike } from '../field/alike';
import { isEvidence } from '../field/evidence';
import { gapOf, measuredOf } from '../field/measured';
import { nominalRun, predictRun, throughGates } from '../field/predictRun';

const surface = car.brief.surfaces[0]!;
const conditions: TimedConditions = {
  surfaceId: surface.id,
  surfaceName: surface.name,
  distanceM: 12,
  runUpM: 20,
  gates: { spacingM: 2, offsetM: 0.2 },
};
const gripped = (mu: number) =>
  applyPatch(car, [{ path: ['brief', 'surfaces', surface.id, 'mu'], value: mu }]);

describe('a build through gates', () => {
  it('is as fast as the root of its grip, and half of its error comes from there', () => {
    const time = (mu: number) => nominalRun(gripped(mu), 'slalom', conditions)!.timeS;
    expect(throughGates(car, 'slalom', conditions)!.limitedBy).toBe('grip');
    expect(time(0.4) / time(0.8)).toBeCloseTo(Math.SQRT2, 1);
    const found = predictRun(car, 'slalom', conditions);
    expect(found.ok && found.value.mostFrom).toBe('grip');
  });

  it('is slower than straight ahead, unless the gates hardly ask for a turn', () => {
    const { gates: _, ...plain } = conditions;
    const straight = nominalRun(car, 'slalom', plain)!.timeS;
    expect(nominalRun(car, 'slalom', conditions)!.timeS).toBeGreaterThan(1.2 * straight);
    const wide = { ...conditions, gates: { spacingM: 12, offsetM: 0.01 } };
    expect(throughGates(car, 'slalom', wide)!.limitedBy).toBe('motor');
    expect(nominalRun(car, 'slalom', wide)!.timeS).toBeCloseTo(straight, 4);
  });

  it('is not foretold before its gates are known', () => {
    const { gates: _, ...plain } = conditions;
    expect(predictRun(car, 'slalom', plain)).toEqual({ ok: false, missing: ['runs:gates'] });
    expect(predictRun(car, 'series', plain)).toMatchObject({ ok: true });
  });

  it('is averaged only with runs through the same gates', () => {
    const run = (id: string, offsetM: number) =>
      ({
        id,
        kind: 'slalom',
        document: car,
        ranAt: id,
        conditions: { ...conditions, gates: { spacingM: 2, offsetM } },
      }) as TimedRun;
    const { runs, leftOut } = mostAlike([run('1', 0.2), run('2', 0.3), run('3', 0.2)]);
    expect(runs.map(({ id }) => id)).toEqual(['1', '3']);
    expect(leftOut).toEqual({ runs: 1, by: ['gates'] });
  });

  it('is the best that could be: no verdict on the model, nor evidence for its figures', () => {
    const prediction = predictRun(car, 'slalom', conditions);
    const run = {
      id: 'r',
      kind: 'slalom',
      attempts: [{ id: 'a', timeS: 9 }],
      conditions,
      ranAt: '2026-11-20T10:00:00.000Z',
      document: car,
      revisionId: 'a',
      ...(prediction.ok ? { prediction: prediction.value } : {}),
    } as RunRecord;
    const measured = measuredOf(run as RunRecord & { conditions: TimedConditions });
    expect(gapOf(run, measured)).toBeUndefined();
    expect(isEvidence(run)).toBe(false);
    expect(isEvidence({ ...run, kind: 'timedDistance' })).toBe(true);
  });
});
