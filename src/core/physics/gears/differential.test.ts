import fc from 'fast-check';
import { parse } from '../../base/schema/parse';
import { type DifferentialInput, drivetrainDifferential } from './differential';
import { drivetrainDifferentialSchema } from './differential.schema';

/** Grips of 0.2 and 0.8 Nm: 0.5 · 10 N and 40 N · 0.04 m. */
const light: DifferentialInput = {
  kind: 'open',
  axleTorqueNm: 2,
  wheelLoadN: [10, 40],
  mu: 0.5,
  tyreRadiusMm: 40,
  trackMm: 200,
};

describe('drivetrain.differential', () => {
  it('passes on twice the weaker wheel, its bias, or all', () => {
    expect(drivetrainDifferential(light)).toMatchObject({ wheelTorqueNm: [0.2, 0.2], driveN: 10 });
    expect(drivetrainDifferential(light).lostNm).toBeCloseTo(1.6, 12);
    const limited = drivetrainDifferential({ ...light, kind: 'limited', biasRatio: 2 });
    expect(limited.wheelTorqueNm[0]).toBeCloseTo(0.2, 12);
    expect(limited.wheelTorqueNm[1]).toBeCloseTo(0.4, 12);
    const locked = drivetrainDifferential({ ...light, kind: 'locked' });
    expect(locked.wheelTorqueNm[1]).toBeCloseTo(0.8, 12);
    expect(locked.driveN).toBeCloseTo(25, 12);
  });

  it('splits what both wheels carry into halves, whatever the kind', () => {
    for (const kind of ['open', 'limited', 'locked'] as const) {
      const { wheelTorqueNm, lostNm } = drivetrainDifferential({ ...light, kind, axleTorqueNm: 0.3 });
      expect(wheelTorqueNm).toEqual([0.15, 0.15]);
      expect(lostNm).toBe(0);
    }
  });

  it('never passes a wheel over its grip, and loses nothing else', () => {
    const loads = fc.double({ min: 0, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom('open' as const, 'limited' as const, 'locked' as const),
        loads,
        loads,
        fc.double({ min: 0, max: 5, noNaN: true }),
        (kind, left, right, axleTorqueNm) => {
          const {
            wheelTorqueNm: [l, r],
            lostNm,
          } = drivetrainDifferential({ ...light, kind, wheelLoadN: [left, right], axleTorqueNm });
          expect(l).toBeLessThanOrEqual(0.02 * left + 1e-12);
          expect(r).toBeLessThanOrEqual(0.02 * right + 1e-12);
          expect(l + r + lostNm).toBeCloseTo(axleTorqueNm, 10);
        },
      ),
    );
  });

  it('slips the clutch at its torque', () => {
    const { driveN, clutchSlips } = drivetrainDifferential({
      ...light,
      kind: 'locked',
      clutchNm: 0.2,
      clutchToAxleRatio: 3,
    });
    expect(clutchSlips).toBe(true);
    expect(driveN).toBeCloseTo(0.6 / 0.04, 12);
    expect(drivetrainDifferential({ ...light, clutchNm: 9 }).clutchSlips).toBe(false);
    expect(drivetrainDifferential(light).clutchSlips).toBeUndefined();
  });

  it('scrubs a locked axle in a corner', () => {
    const corner = { ...light, cornerRadiusM: 2 };
    expect(drivetrainDifferential(corner)).toMatchObject({ speedDifferencePct: 10 });
    expect(drivetrainDifferential(corner).scrubMomentNm).toBeUndefined();
    // the weaker wheel's 5 N over the track
    expect(drivetrainDifferential({ ...corner, kind: 'locked' }).scrubMomentNm).toBeCloseTo(5 * 0.2, 12);
  });

  it('turns on the spot with the power that the sliding wheels take', () => {
    const { skid } = drivetrainDifferential({
      ...light,
      mu: 0.6,
      trackMm: 300,
      skid: { massKg: 2, wheelbaseMm: 400, wheelSpeedMps: 1 },
    });
    // hypotenuse 0.5 m: 2·0.3/0.25 = 2.4 rad/s; 0.6·4.905 N·0.04 m·0.8; four such wheels at 1 m/s over 0.04 m
    expect(skid!.yawRateDegPerS).toBeCloseTo((2.4 * 180) / Math.PI, 9);
    expect(skid!.wheelTorqueNm).toBeCloseTo(0.6 * 4.905 * 0.04 * 0.8, 12);
    expect(skid!.powerW).toBeCloseTo((4 * skid!.wheelTorqueNm) / 0.04, 9);
  });

  it('refuses a bias of one and loads for one wheel', () => {
    expect(() => parse(drivetrainDifferentialSchema, { ...light, biasRatio: 1 })).toThrow(/greater than 1/);
    expect(() => parse(drivetrainDifferentialSchema, { ...light, wheelLoadN: [1] })).toThrow();
  });
});
