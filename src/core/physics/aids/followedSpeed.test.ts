import { driveRun } from '../motion/run';
import { brakeAssist } from './brakeAssist';
import { followedSpeed } from './followedSpeed';
import { slipCarOf } from './slipCar';
import type { TractionInput } from './slipDefinition';
import { tractionAssist } from './tractionAssist';

const G = 9.81;
/** All wheels driven by more than the ground takes; without drag the ground alone decides. */
const base: TractionInput = {
  car: {
    massKg: 1.6,
    cdaM2: 0,
    rollingResistance: 0,
    frontLoadShare: 0.45,
    cgHeightMm: 50,
    wheelbaseMm: 260,
    drivenAxles: 'all',
    wheelInertiaKgM2: 2e-4,
  },
  tyre: { radiusMm: 33, muPeak: 0.5, slipAtPeakPct: 12, shape: 1.6 },
  drive: { ratio: 8, efficiency: 0.85 },
  motor: { kvRpmPerV: 3000, resistanceMilliOhm: 12, noLoadCurrentA: 2, rotorInertiaKgM2: 6e-6 },
  esc: { currentLimitA: 120, resistanceMilliOhm: 2 },
  battery: { cells: 2, cellResistanceMilliOhm: 3, capacityMah: 5000 },
  sensor: { magnets: 60 },
  controller: { targetSlipPct: 10, gainUsPerPct: 40, frameMs: 5, mostAccelMps2: 0.9 * 0.5 * G },
  distanceM: 8,
};
const at = (mostAccelMps2: number) =>
  tractionAssist({ ...base, controller: { ...base.controller, mostAccelMps2 } });
const bare = () => tractionAssist({ ...base, controller: { ...base.controller, targetSlipPct: 100 } });

describe('the speed that slip is told against where no wheel runs free', () => {
  it('gains no more than it may, and is never over the wheels', () => {
    const follow = followedSpeed(5, 0.02, 'atRest');
    expect(follow(undefined)).toBeUndefined();
    // two frames of 0.1 m/s have passed
    expect(follow(3)).toBeCloseTo(0.2, 12);
    expect(follow(0.25)).toBeCloseTo(0.25, 12);
    expect(follow(4)).toBeCloseTo(0.35, 12);
  });

  it('loses no more than it may on the brakes, and starts with the wheels', () => {
    const follow = followedSpeed(5, 0.02, 'rolling');
    expect(follow(8)).toBe(8);
    expect(follow(2)).toBeCloseTo(7.9, 12);
    expect(follow(7.95)).toBeCloseTo(7.95, 12);
  });
});

describe('slip control with all wheels driven', () => {
  it('puts the whole weight on what is driven', () => {
    expect(slipCarOf(base).forceN(3, 0.12)).toBeCloseTo(0.5 * 1.6 * G, 9);
  });

  it('is the run where grip never limits', () => {
    const grippy = {
      ...base,
      car: { ...base.car, cgHeightMm: 5 },
      tyre: { radiusMm: 33, muPeak: 20, slipAtPeakPct: 5 },
    };
    const { timeToDistanceS } = tractionAssist({
      ...grippy,
      controller: { ...base.controller, targetSlipPct: 100 },
    });
    const run = driveRun({ ...grippy, tyre: { radiusMm: 33, mu: 20 } });
    expect(Math.abs(timeToDistanceS! / run.timeToDistanceS! - 1)).toBeLessThan(0.02);
  });

  it('takes √(2s/a) of the gain that it is followed by, where the ground would give more', () => {
    const a = 0.5 * 0.5 * G;
    const { timeToDistanceS } = tractionAssist({
      ...base,
      controller: { ...base.controller, mostAccelMps2: a, targetSlipPct: 0 },
    });
    expect(timeToDistanceS! / Math.sqrt((2 * base.distanceM) / a)).toBeCloseTo(1, 1);
  });

  it('wins over wheels that spin, and is no faster than the most that the ground gives', () => {
    const held = at(0.9 * 0.5 * G);
    expect(held.timeToDistanceS!).toBeLessThan(bare().timeToDistanceS! - 0.05);
    expect(held.timeToDistanceS!).toBeGreaterThan(Math.sqrt((2 * base.distanceM) / (0.5 * G)));
  });

  it('lets the wheels run away with a gain that the ground never gives', () => {
    expect(at(3 * 0.5 * G).meanSlipPct!).toBeGreaterThan(2 * at(0.9 * 0.5 * G).meanSlipPct!);
  });

  it('stops sooner than on locked wheels, at best in v²/2μg', () => {
    const { distanceM: _, ...car } = base;
    const brake = (targetSlipPct: number) =>
      brakeAssist({ ...car, fromMps: 8, brakeNm: 2, controller: { ...base.controller, targetSlipPct } });
    expect(brake(100).lockedShare).toBeGreaterThan(0.7);
    expect(brake(10).stopM).toBeLessThan(0.95 * brake(100).stopM);
    expect(brake(10).stopM).toBeGreaterThan(64 / (2 * 0.5 * G));
  });
});
