import fc from 'fast-check';
import { CalcError } from '../../base/errors';
import { parse } from '../../base/schema/parse';
import type { DriveRunInput } from '../motion/definition';
import { driveEndurance } from '../heat/endurance';
import { paretoSet } from './pareto';
import { driveRun } from '../motion/run';
import { driveSweep, type SweepInput } from './sweep';
import { driveSweepSchema } from './sweep.schema';
import type { ThermalDefinition } from '../heat/thermal';

const base: DriveRunInput = {
  car: {
    massKg: 2,
    cdaM2: 0.03,
    rollingResistance: 0.05,
    frontLoadShare: 0.5,
    cgHeightMm: 50,
    wheelbaseMm: 270,
    drivenAxles: 'rear',
  },
  tyre: { radiusMm: 40, mu: 0.8 },
  drive: { ratio: 9, efficiency: 0.85 },
  motor: { kvRpmPerV: 3000, resistanceMilliOhm: 22, noLoadCurrentA: 2 },
  esc: { currentLimitA: 60 },
  battery: { cells: 2, cellResistanceMilliOhm: 4, capacityMah: 4000 },
  distanceM: 15,
};
const thermal: ThermalDefinition = {
  windingHeatCapacityJPerK: 15,
  caseHeatCapacityJPerK: 50,
  windingToCaseKPerW: 0.9,
  caseToAmbientKPerW: 6,
  ambientC: 25,
  windingLimitC: 390,
};
const motors = [
  { id: 'slow', kvRpmPerV: 1800, resistanceMilliOhm: 40, noLoadCurrentA: 1 },
  { id: 'fast', kvRpmPerV: 3900, resistanceMilliOhm: 15, noLoadCurrentA: 3, addedKg: 0.2 },
];
const batteries = [
  { id: 'two', cells: 2, cellResistanceMilliOhm: 4, capacityMah: 4000 },
  { id: 'three', cells: 3, cellResistanceMilliOhm: 5, capacityMah: 3000, addedKg: -0.05 },
];
const sweep = (more: Partial<SweepInput> = {}) =>
  driveSweep({
    base,
    motors,
    batteries,
    ratios: [6, 9, 14],
    thermal,
    cycle: { cruiseMps: 5, cruiseS: 10, restS: 0 },
    ...more,
  });

describe('drive.sweep', () => {
  it('gives the numbers of a single run, motors outermost, then packs, then ratios', () => {
    const { rows } = sweep();
    expect(rows.map(({ motorId, batteryId, ratio }) => `${motorId} ${batteryId} ${ratio}`)).toEqual([
      'slow two 6',
      'slow two 9',
      'slow two 14',
      'slow three 6',
      'slow three 9',
      'slow three 14',
      'fast two 6',
      'fast two 9',
      'fast two 14',
      'fast three 6',
      'fast three 9',
      'fast three 14',
    ]);
    for (const row of rows) {
      const {
        id: _m,
        addedKg: heavier = 0,
        ...motor
      } = motors.find(({ id }) => id === row.motorId)! as (typeof motors)[1];
      const {
        id: _b,
        addedKg: more = 0,
        ...battery
      } = batteries.find(({ id }) => id === row.batteryId)! as (typeof batteries)[1];
      const single = driveRun({
        ...base,
        motor,
        battery,
        car: { ...base.car, massKg: 2 + more + heavier },
        drive: { ratio: row.ratio, efficiency: 0.85 },
      });
      expect(row).toMatchObject({
        topSpeedMps: single.topSpeedMps,
        timeToDistanceS: single.timeToDistanceS,
        launchLimitedBy: single.launchLimitedBy,
        peakMotorCurrentA: single.peakMotorCurrentA,
        peakBatteryCurrentA: single.peakBatteryCurrentA,
      });
    }
  });

  it('comes to rest where a cruise with an endless pack comes to rest', () => {
    const [row] = sweep({ motors: [motors[0]!], batteries: [batteries[0]!], ratios: [9] }).rows;
    const { id: _m, ...motor } = motors[0]!;
    const long = driveEndurance({
      ...base,
      motor,
      thermal,
      battery: { ...base.battery, capacityMah: 1e6 },
      cycle: { cruiseMps: 5, cruiseS: 10 },
      maxDurationS: 20_000,
    });
    expect(row!.steadyCaseC!).toBeCloseTo(long.series.caseC.at(-1)!, 2);
  });

  it('counts starts and rests into the means of a cycle', () => {
    const cycle = { cruiseMps: 5, cruiseS: 4, restS: 6 };
    const [row] = sweep({ motors: [motors[0]!], batteries: [batteries[0]!], ratios: [9], cycle }).rows;
    const { id: _m, ...motor } = motors[0]!;
    const long = driveEndurance({
      ...base,
      motor,
      thermal,
      battery: { ...base.battery, capacityMah: 1e6 },
      cycle,
      maxDurationS: 20_000,
    });
    const late = long.series.caseC.slice(-50);
    const mean = late.reduce((sum, c) => sum + c, 0) / late.length;
    expect(Math.abs((row!.steadyCaseC! - 25) / (mean - 25) - 1)).toBeLessThan(0.03);
    const pack = driveEndurance({ ...base, motor, thermal, cycle, cutoffVPerCell: 0, maxDurationS: 80_000 });
    expect(Math.abs(row!.durationS! / pack.durationS - 1)).toBeLessThan(0.03);
  });

  it('of a style comes to rest where an endless pack driven so comes to rest, and to its minutes', () => {
    const cycle = { style: 'laps' as const };
    const losses = { auxiliaryA: 1 };
    const [row] = sweep({
      motors: [motors[0]!],
      batteries: [batteries[0]!],
      ratios: [9],
      cycle,
      losses,
    }).rows;
    const { id: _m, ...motor } = motors[0]!;
    const battery = { ...base.battery, capacityMah: 1e6 };
    const long = driveEndurance({ ...base, motor, thermal, battery, cycle, losses, maxDurationS: 9_000 });
    const late = long.series.caseC.slice(-50);
    const mean = late.reduce((sum, c) => sum + c, 0) / late.length;
    expect(Math.abs((row!.steadyCaseC! - 25) / (mean - 25) - 1)).toBeLessThan(0.05);
    const pack = driveEndurance({
      ...base,
      motor,
      thermal,
      cycle,
      losses,
      cutoffVPerCell: 0,
      maxDurationS: 80_000,
    });
    expect(Math.abs(row!.durationS! / pack.durationS - 1)).toBeLessThan(0.04);
  });

  it('says which goals are missed, and by which figure', () => {
    const { rows } = sweep({
      goal: { topSpeedMps: 20, timeToDistanceS: 100, maxCaseC: 30, minDurationS: 1 },
    });
    for (const row of rows) {
      const missed = row.why.map(({ facts }) => ('what' in facts ? facts.what : undefined));
      expect(missed.includes('topSpeed')).toBe(row.topSpeedMps! < 20);
      expect(missed.includes('case')).toBe(row.steadyCaseC === undefined || row.steadyCaseC > 30);
      expect(missed.includes('time')).toBe(false);
      expect(row.meetsGoal).toBe(row.why.length === 0);
    }
    const [stuck] = driveSweep({
      base: { ...base, gradePct: 100 },
      motors: [motors[0]!],
      batteries: [batteries[0]!],
      ratios: [2],
      goal: { timeToDistanceS: 9 },
    }).rows;
    expect(stuck).toMatchObject({ topSpeedMps: 0, meetsGoal: false });
    expect(stuck!.why).toMatchObject([
      { code: 'note.sweep.cannotMove' },
      { code: 'note.sweep.unknown', facts: { what: 'time', wish: { value: 9, quantity: 'timeS' } } },
    ]);
  });

  it('steps a range from its start, and ends with its end', () => {
    const ratios = (range: { from: number; to: number; step: number }) =>
      sweep({ motors: [motors[0]!], batteries: [batteries[0]!], ratios: range }).rows.map(({ ratio }) =>
        Number(ratio.toFixed(9)),
      );
    expect(ratios({ from: 4, to: 5, step: 0.4 })).toEqual([4, 4.4, 4.8, 5]);
    expect(ratios({ from: 4, to: 5, step: 0.5 })).toEqual([4, 4.5, 5]);
    expect(ratios({ from: 4, to: 4, step: 1 })).toEqual([4]);
  });

  it('refuses an empty range and ten million combinations', () => {
    const pathOf = (more: object) => {
      try {
        driveSweep(parse(driveSweepSchema, { base, motors, batteries, ratios: [9], ...more }));
      } catch (error) {
        const { path, code, given } = (error as CalcError).refused;
        return `${path}: ${'rule' in given ? given.rule : code}`;
      }
      return 'accepted';
    };
    expect(pathOf({ ratios: { from: 9, to: 4, step: 1 } })).toBe('ratios.from: driveSweep.range');
    expect(pathOf({ ratios: [] })).toMatch(/^ratios: /);
    expect(pathOf({ ratios: { from: 1, to: 2, step: 1e-9 } })).toMatch(/^ratios\.step: /);
    expect(pathOf({ ratios: { from: 1, to: 51, step: 0.001 } })).toBe('motors: driveSweep.combinations');
    expect(pathOf({ ratios: { from: 1, to: 2 } })).toBe('ratios.step: any.required');
    expect(pathOf({ ratios: [4, -1] })).toBe('ratios.1: number.greater');
    expect(pathOf({ motors: [motors[0], motors[0]] })).toMatch(/^motors\.1: /);
    expect(pathOf({ thermal: { ...thermal, windingLimitC: 25 } })).toMatch(/^thermal\.ambientC: /);
  });
});

describe('the set that cannot be bettered', () => {
  it('is what comparing every pair leaves over', () => {
    const figure = fc.option(fc.integer({ min: 0, max: 6 }), { nil: undefined });
    fc.assert(
      fc.property(
        fc.array(
          fc.record(
            { topSpeedMps: figure, timeToDistanceS: figure, steadyCaseC: figure },
            { requiredKeys: [] },
          ),
          { maxLength: 40 },
        ),
        (rows) => {
          const costs = rows.map((row) => [
            -(row.topSpeedMps ?? -99),
            row.timeToDistanceS ?? 99,
            row.steadyCaseC ?? 99,
          ]);
          const beaten = (i: number) =>
            costs.some(
              (other) => other.every((x, k) => x <= costs[i]![k]!) && other.some((x, k) => x < costs[i]![k]!),
            );
          expect(paretoSet(rows as never)).toEqual(rows.map((_, i) => i).filter((i) => !beaten(i)));
        },
      ),
      { numRuns: 200 },
    );
  });
});
