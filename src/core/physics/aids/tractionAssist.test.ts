import { driveRun } from '../motion/run';
import { refusalOf } from '../../fixtures/refused';
import { randomFrom } from '../../base/numeric/random';
import { parse } from '../../base/schema/parse';
import { slipCarOf } from './slipCar';
import { tractionAssistSchema } from './slip.schema';
import type { TractionInput } from './slipDefinition';
import { commanded, tractionAssist, tractionRow } from './tractionAssist';
import { wheelSensor } from './wheelSensor';

const assist = (input: TractionInput) => tractionAssist(parse(tractionAssistSchema, input));

const base: TractionInput = {
  car: {
    massKg: 1.6,
    cdaM2: 0.03,
    rollingResistance: 0.02,
    frontLoadShare: 0.45,
    cgHeightMm: 50,
    wheelbaseMm: 260,
    drivenAxles: 'rear',
    wheelInertiaKgM2: 2e-4,
  },
  tyre: { radiusMm: 33, muPeak: 0.6, slipAtPeakPct: 15 },
  drive: { ratio: 8, efficiency: 0.85 },
  motor: { kvRpmPerV: 3000, resistanceMilliOhm: 12, noLoadCurrentA: 2, rotorInertiaKgM2: 6e-6 },
  esc: { currentLimitA: 120, resistanceMilliOhm: 2 },
  battery: { cells: 2, cellResistanceMilliOhm: 3, capacityMah: 5000 },
  sensor: { magnets: 8 },
  controller: { targetSlipPct: 15, gainUsPerPct: 12, frameMs: 20 },
  distanceM: 15,
};
const off = { ...base.controller, targetSlipPct: 100 };

describe('traction.assist', () => {
  it('without slip and with open throttle is the run', () => {
    const grippy: TractionInput = {
      ...base,
      tyre: { radiusMm: 33, muPeak: 20, slipAtPeakPct: 5 },
      controller: off,
      car: { ...base.car, drivenAxles: 'front', cgHeightMm: 5 },
    };
    const { timeToDistanceS } = assist(grippy);
    const run = driveRun({ ...grippy, tyre: { radiusMm: 33, mu: 20 } });
    expect(Math.abs(timeToDistanceS! / run.timeToDistanceS! - 1)).toBeLessThan(0.02);
  });

  it('held at its peak by a fine and quick controller comes near the run that never slips', () => {
    const fine: TractionInput = {
      ...base,
      sensor: { magnets: 400 },
      controller: { targetSlipPct: 13, gainUsPerPct: 60, frameMs: 1 },
    };
    const ideal = driveRun({ ...base, tyre: { radiusMm: 33, mu: 0.6 } });
    const { timeToDistanceS } = assist(fine);
    expect(timeToDistanceS).toBeGreaterThan(ideal.timeToDistanceS! * 0.98);
    expect(timeToDistanceS).toBeLessThan(ideal.timeToDistanceS! * 1.12);
  });

  it('wins time over a wheel that spins, and more magnets win more', () => {
    const spinning = assist({ ...base, controller: off });
    const held = assist(base);
    expect(held.timeToDistanceS!).toBeLessThan(spinning.timeToDistanceS!);
    expect(held.meanSlipPct!).toBeLessThan(spinning.meanSlipPct!);
    expect(spinning.throttleReversalsPerS).toBe(0);
    const timeWith = (magnets: number) => assist({ ...base, sensor: { magnets } }).timeToDistanceS!;
    expect(timeWith(60)).toBeLessThan(timeWith(1));
  });

  it('passes the peak of its tyre’s curve at the slip that is told', () => {
    const { friction } = slipCarOf(base);
    expect(friction(0.15)).toBeCloseTo(0.6, 12);
    expect(friction(0.1)).toBeLessThan(0.6);
    expect(friction(0.4)).toBeLessThan(0.6);
    expect(friction(-0.15)).toBeCloseTo(-0.6, 12);
  });

  it('shifts load onto the axle that pushes, by the moments', () => {
    const { forceN } = slipCarOf({ ...base, car: { ...base.car, rollingResistance: 0, cdaM2: 0 } });
    // F = μ·(N + F·h/L)
    const still = 1.6 * 9.81 * 0.55;
    expect(forceN(3, 0.15)).toBeCloseTo((0.6 * still) / (1 - (0.6 * 50) / 260), 9);
    expect(forceN(3, -0.15)).toBeCloseTo((-0.6 * still) / (1 + (0.6 * 50) / 260), 9);
  });

  it('sweeps its targets with one seed and names the fastest', () => {
    const { rows, best } = assist({ ...base, targets: [2, 15, 100] });
    expect(rows!.map(({ targetSlipPct }) => targetSlipPct)).toEqual([2, 15, 100]);
    expect(rows!.find(({ targetSlipPct }) => targetSlipPct === best)!.timeToDistanceS).toBe(
      Math.min(...rows!.map(({ timeToDistanceS }) => timeToDistanceS!)),
    );
    const { timeToDistanceS, meanSlipPct } = assist(base);
    expect(rows![1]).toMatchObject({ timeToDistanceS, meanSlipPct });
    expect(tractionRow({ ...base, sensor: { magnets: 8, falsePulseRate: 0.2 } }, 15, 4)).toEqual(
      tractionRow({ ...base, sensor: { magnets: 8, falsePulseRate: 0.2 } }, 15, 4),
    );
  });

  it('refuses a car that drives all wheels and is followed by nothing, or in which nothing turns', () => {
    expect(refusalOf(() => assist({ ...base, car: { ...base.car, drivenAxles: 'all' } })).path).toBe(
      'car.drivenAxles',
    );
    expect(
      refusalOf(() =>
        assist({
          ...base,
          car: { ...base.car, wheelInertiaKgM2: 0 },
          motor: { ...base.motor, rotorInertiaKgM2: 0 },
        }),
      ).path,
    ).toBe('car.wheelInertiaKgM2');
    expect(refusalOf(() => assist({ ...base, tyre: { ...base.tyre, shape: 2 } })).path).toBe('tyre.shape');
    expect(
      assist({
        ...base,
        drive: { ratio: 8, efficiency: 0.85 },
        car: { ...base.car, rollingResistance: 2 },
        distanceM: 5,
      }),
    ).toMatchObject({
      notes: [{ code: 'note.slip.notCovered' }, { code: 'note.slip.noEdge' }],
    });
  });
});

describe('a wheel’s sensor', () => {
  it('knows a speed from its second edge on, and holds it', () => {
    const sensor = wheelSensor(0.1, 0, () => 0.5);
    sensor.turn(0, 0.1, 0, 0.05);
    sensor.turn(0.1, 0.3, 0.05, 0.19);
    expect(sensor).toMatchObject({ edges: 1, speedMps: undefined });
    sensor.turn(0.3, 0.4, 0.19, 0.25);
    // edges at 0.1 and 0.2 m: 0.1714 and 0.3167 s
    expect(sensor.speedMps).toBeCloseTo(0.1 / (0.3 + 0.1 / 6 - (0.1 + (0.2 * 5) / 14)), 9);
  });

  it('counts false edges as full ones', () => {
    const sensor = wheelSensor(0.1, 1, randomFrom(3));
    sensor.turn(0, 1, 0, 1.0001);
    expect(sensor.edges).toBe(20);
    // a share of them: by chance about as many
    const some = wheelSensor(0.01, 0.25, randomFrom(8));
    some.turn(0, 1, 0, 40.0001);
    expect(some.edges / 4000).toBeCloseTo(1.25, 1);
  });
});

describe('the controller', () => {
  const controller = { gainUsPerPct: 10, releaseUsPerMs: 4 };
  it('takes back what the slip is over its target, not beyond closed, and gives it back slowly', () => {
    expect(commanded(3.6, 3, 2000, 10, controller, 20)).toBeCloseTo(2000 - 10 * (20 - 10), 9);
    expect(commanded(9, 3, 2000, 10, controller, 20)).toBe(1500);
    expect(commanded(3, 3, 1600, 10, controller, 20)).toBe(1680);
    expect(commanded(3, 3, 1600, 10, { gainUsPerPct: 10 }, 20)).toBe(2000);
    expect(commanded(undefined, 3, 2000, 10, controller, 20)).toBe(2000);
    // slip near rest is told against 0.5 m/s
    expect(commanded(0.3, 0.1, 2000, 10, controller, 20)).toBeCloseTo(2000 - 10 * (40 - 10), 9);
  });
});
