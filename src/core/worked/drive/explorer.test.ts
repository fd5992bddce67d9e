import { measure } from '../../base/measure';
import { applyPatch } from '../../base/patch';
import { overallRatio } from '../../car/document/drive';
import { CalcError } from '../../base/errors';
import { car } from '../../fixtures/car';
import { itemsOf } from '../../car/library/items';
import { STARTING_LIBRARY } from '../../car/library/starting';
import { planExplorer, takeRow } from './explorer';
import { driveRun } from '../../physics/motion/run';
import { runInputOf } from '../motion/runOfBuild';

const surface = car.brief.surfaces[0]!;
const range = { from: 6, to: 12, step: 3 };
const plan = () => {
  const found = planExplorer(car, surface, STARTING_LIBRARY, range);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

describe('the explorer', () => {
  it('goes over every pair whose volts motor and controller bear, and counts the others', () => {
    const [motors, packs] = [itemsOf(STARTING_LIBRARY, 'motor'), itemsOf(STARTING_LIBRARY, 'battery')];
    const fits = motors.flatMap((motor) =>
      packs.filter((pack) => pack.data.cells * 42 <= Math.round(10 * Math.min(motor.data.maxV, 12.6))),
    ).length;
    expect(plan().count).toBe(3 * fits);
    expect(plan().leftOut).toBe(motors.length * packs.length - fits);
  });

  it('gives the run of the build that takes the row', () => {
    const { count, row } = plan();
    for (let index = 0; index < count; index += 37) {
      const found = row(index);
      const taken = applyPatch(
        car,
        takeRow(
          car,
          found,
          STARTING_LIBRARY.filter(({ kind }) => kind !== 'gear'),
        ),
      );
      const assembled = runInputOf(taken, surface);
      if (!assembled.ok) throw new Error(assembled.missing.join());
      const run = driveRun({ ...assembled.value, drive: { ...assembled.value.drive, ratio: found.ratio } });
      expect(found.topSpeedMps).toBeCloseTo(run.topSpeedMps!, 9);
      expect(found.timeToDistanceS ?? 0).toBeCloseTo(run.timeToDistanceS ?? 0, 9);
      expect(Math.abs(overallRatio(taken.drive)! / found.ratio - 1)).toBeLessThan(0.01);
    }
  });

  it('slips its clutch at one torque, which is another current for every motor', () => {
    const clutched = applyPatch(car, [{ path: ['drive', 'clutchNm'], value: 0.02 }]);
    const found = planExplorer(clutched, surface, STARTING_LIBRARY, { from: 8, to: 8, step: 1 });
    if (!found.ok) throw new Error(found.missing.join());
    const byMotor = new Map(
      Array.from({ length: found.value.count }, (_, index) => found.value.row(index)).map((row) => [
        row.motorId,
        row,
      ]),
    );
    for (const { id, data } of itemsOf(STARTING_LIBRARY, 'motor')) {
      const row = byMotor.get(id);
      if (!row) continue;
      // I = T·K + I_0, K in rad/s per volt
      const slipsA = (0.02 * data.kvRpmPerV * 2 * Math.PI) / 60 + data.noLoadCurrentA;
      expect(row.peakMotorCurrentA).toBeLessThanOrEqual(slipsA + 1e-9);
    }
    expect(byMotor.size).toBeGreaterThan(5);
  });

  it('counts the mass budget into the wish', () => {
    const { count, row } = plan();
    const rows = Array.from({ length: count }, (_, index) => row(index));
    // 1,600 + 300 g of payload with a 165 g motor and a 265 g pack, against 2,000 g: 400 g of motor is too much with it
    const heavy = rows.filter(
      ({ motorId, batteryId }) => motorId === 'motor-4274-slow' && batteryId === 'pack-2s-5000',
    );
    expect(heavy.length).toBeGreaterThan(0);
    for (const one of heavy)
      expect(one.why).toContainEqual({
        code: 'note.sweep.tooHeavy',
        facts: { mass: measure(2135, 'massG'), budget: measure(2000, 'massG') },
      });
    expect(rows.filter(({ meetsGoal }) => meetsGoal).every(({ why }) => why.length === 0)).toBe(true);
  });

  it('refuses an empty range and too many combinations', () => {
    const refused = (ratios: typeof range) => {
      try {
        planExplorer(car, surface, STARTING_LIBRARY, ratios);
      } catch (error) {
        return (error as CalcError).path;
      }
      return 'accepted';
    };
    expect(refused({ from: 9, to: 3, step: 1 })).toBe('ratios.from');
    expect(refused({ from: 1, to: 50, step: 0.01 })).toBe('ratios.step');
    expect(refused({ from: 1, to: 50, step: 1e-6 })).toBe('ratios.step');
  });
});
