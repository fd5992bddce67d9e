import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { tractionAssist } from '../../physics/aids/tractionAssist';
import { tractionInputOf } from './slipOfBuild';
import { type SweepQuestion, sweepOfSetting } from './sweepOfSetting';

const surface = car.brief.surfaces[0]!;
const rear = applyPatch(car, [{ path: ['drive', 'drivenAxles'], value: 'rear' }]);
const swept = (question: Partial<SweepQuestion>, document = rear) => {
  const found = sweepOfSetting(document, surface, {
    of: 'yawGain',
    perUnit: 1,
    from: 0.02,
    to: 0.5,
    speedMps: 8,
    distanceM: 10,
    ...question,
  });
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

describe("the simulator's sweep over the settings of a series", () => {
  it('is the same over a dial in per cent as over the gain itself', () => {
    const gains = swept({});
    const dial = swept({ perUnit: 0.005, from: 4, to: 100 });
    expect(dial.points.map(({ timeS }) => timeS)).toEqual(gains.points.map(({ timeS }) => timeS));
    expect(dial.best! * 0.005).toBeCloseTo(gains.best!, 9);
    expect(dial.calmTo! * 0.005).toBeCloseTo(gains.calmTo!, 9);
  });

  it('has its best among those that stay calm', () => {
    const { best, calmTo, points } = swept({ to: 5 });
    expect(best!).toBeLessThan(calmTo!);
    expect(points.at(-1)!.setting).toBeLessThanOrEqual(calmTo!);
  });

  it('takes nothing back at a gain of nothing: the time of the car without slip control', () => {
    const input = tractionInputOf(rear, surface, {}, { distanceM: 10 });
    if (!input.ok) throw new Error(input.missing.join());
    const bare = tractionAssist({
      ...input.value,
      controller: { ...input.value.controller, targetSlipPct: 100 },
    });
    const { points } = swept({ of: 'slipGain', from: 0, to: 24 });
    expect(points[0]).toEqual({ setting: 0, timeS: bare.timeToDistanceS });
    expect(points).toHaveLength(13);
  });
});
