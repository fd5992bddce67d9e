import { applyPatch } from '../../base/patch';
import { overallEfficiency, overallRatio } from '../../car/document/drive';
import { car } from '../../fixtures/car';
import { efficiencyTaken, frictionOf, frictionOrRefusal } from './frictionOfBuild';

const surface = car.brief.surfaces[0]!;
const pulls = [
  { id: 'a', part: 'motor', startG: 100, keepG: 80 },
  { id: 'b', part: 'gears', startG: 60, keepG: 50 },
  { id: 'c', part: 'wheels', startG: 20, keepG: 15 },
];
const seen = (measured: Parameters<typeof frictionOf>[2], document = car) => {
  const found = frictionOf(document, surface, measured);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};
const ratio = overallRatio(car.drive)!;
const { radiusMm } = car.drive.tyre!;
/** Of a weight on the wheel, at the motor. */
const torque = (grams: number) => ((grams / 1000) * 9.81 * (radiusMm / 1000)) / ratio;

describe('friction of a build', () => {
  it('tells parts apart on the build’s own wheel and ratio', () => {
    const { found } = seen({ pulls });
    expect(found.parts.map(({ startNm }) => startNm)).toEqual(
      [40, 40, 20].map((grams) => expect.closeTo(torque(grams), 12)),
    );
    expect(found.driveline!.keepNm).toBeCloseTo(torque(50), 12);
  });

  it('starts against friction and ground with what its kind of motor has at its worst angle', () => {
    const { found, input } = seen({ pulls });
    const kind = car.drive.motor!.kind ?? 'sensored';
    const factor = { brushed: 1, sensored: Math.cos(Math.PI / 6), sensorless: 0.4 }[kind];
    // rolling resistance of the standing car at the treads
    const rolling = input.startLoadNm! / (radiusMm / 1000);
    // of 1.9 kg, payload included
    expect(rolling).toBeCloseTo(surface.rollingResistance * 1.9 * 9.81, 9);
    expect(found.startMargin).toBeCloseTo(
      (factor * found.stallNm!) / (torque(100) + input.startLoadNm! / ratio),
      9,
    );
    const brushed = applyPatch(car, [{ path: ['drive', 'motor', 'kind'], value: 'brushed' }]);
    expect(seen({ pulls }, brushed).found.startMargin! * factor).toBeCloseTo(found.startMargin!, 9);
  });

  it('offers the run an efficiency that loses what was measured, spread over stages and shafts', () => {
    const { input, efficiency } = seen({ pulls });
    const useful = input.loadNm! / ratio;
    expect(efficiency).toBeCloseTo(useful / (useful + torque(50)), 9);
    const taken = applyPatch(car, efficiencyTaken(car, 0.8));
    expect(overallEfficiency(taken.drive)).toBeCloseTo(0.8, 3);
    // no stage passes on more than comes in
    const best = applyPatch(car, efficiencyTaken(car, 1));
    expect(Math.max(...best.drive.stages.map((stage) => stage.efficiency))).toBeLessThanOrEqual(0.99);
  });

  it('needs ratio and wheel, and says what does not go together', () => {
    expect(frictionOf({ ...car, drive: { stages: [] } }, surface, { pulls })).toEqual({
      ok: false,
      missing: ['drive.stages', 'drive.tyre'],
    });
    const wrong = frictionOrRefusal(car, surface, {
      pulls: [{ id: 'a', part: 'gears', startG: 10, keepG: 20 }],
    });
    expect('refused' in wrong && wrong.refused.refused.path).toBe('readings.0.keepG');
    // currents make torques with the motor’s constant: 60/(2π·kv)
    const { found } = seen({ pulls, freeA: 3, freeRpm: 20_000, aloneA: 2, aloneRpm: 21_000 });
    const kt = 60 / (2 * Math.PI * car.drive.motor!.kvRpmPerV);
    expect(found.running!.drivelineNm).toBeCloseTo(kt, 12);
  });
});
