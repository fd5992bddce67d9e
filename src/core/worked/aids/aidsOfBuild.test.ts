import type { SlipAid } from '../../car/document/aids';
import type { BuildDocument } from '../../car/document/document';
import { applyPatch, type Patch } from '../../base/patch';
import { evaluateBuild } from '../../verdict/evaluate';
import { car } from '../../fixtures/car';
import { type BrakeInput, brakeAssist, motorBrakeN } from '../../physics/aids/brakeAssist';
import { criticalGain } from '../../physics/aids/criticalGain';
import { driveRun } from '../../physics/motion/run';
import { runInputOf } from '../motion/runOfBuild';
import { slipCarOf } from '../../physics/aids/slipCar';
import { edgesPerFrame, tractionInputOf } from './slipOfBuild';
import { usefulSteerDeg, yawInputOf } from './yawOfBuild';

const kick = { kind: 'kick', yawRateDegPerS: 60 } as const;
const [asphalt] = car.brief.surfaces;
const changed = (...patch: Patch) => applyPatch(car, patch);
const rear = changed({ path: ['drive', 'drivenAxles'], value: 'rear' });
const check = (document: BuildDocument, id: string) => evaluateBuild(document).find((one) => one.id === id);
const yawOf = (document: BuildDocument, speedMps = 8) => {
  const found = yawInputOf(document, asphalt, {}, { speedMps, scenario: kick });
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

/** Of both axles, each driven by half of drag and rolling at a held speed: √(1 − u²) of the friction ellipse. */
function leftAcross(speed: number): number {
  const along = 0.6 * car.chassis.cdaM2! * speed ** 2 + asphalt!.rollingResistance * 1.9 * 9.81;
  return Math.sqrt(1 - (along / 2 / (asphalt!.mu * 1.9 * 9.81 * 0.5)) ** 2);
}

describe('a gyro in a build', () => {
  it('takes mass, place of the weight, inertia and grip from it', () => {
    const input = yawOf(car);
    // 1.9 kg with payload, half on each axle of 280 mm; a box of wheelbase and track
    expect(input).toMatchObject({
      massKg: 1.9,
      cgToFrontMm: 140,
      cgToRearMm: 140,
      mu: asphalt!.mu,
      servo: { maxDeg: 25, rateDegPerS: 300 },
    });
    expect(input.yawInertiaKgM2).toBeCloseTo((1.9 * (0.28 ** 2 + 0.2 ** 2)) / 12, 9);
    expect(input.corneringFrontNPerRad).toBeCloseTo(9 * 1.9 * 9.81 * 0.5 * leftAcross(8), 9);
    expect(input.rearLoadN).toBeCloseTo(1.9 * 9.81 * 0.5, 9);
    expect(
      yawInputOf(
        changed({ path: ['drive', 'tyre'], value: undefined }),
        asphalt,
        {},
        { speedMps: 8, scenario: kick },
      ),
    ).toEqual({ ok: false, missing: ['drive.tyre'] });
  });

  it('knows what steering the ground can answer', () => {
    // a circle of L/δ with v²/R = μ·g
    const input = yawOf(car);
    const radius = 8 ** 2 / (input.mu * 9.81);
    expect(usefulSteerDeg(input, 8)).toBeCloseTo((0.28 / radius) * (180 / Math.PI), 9);
  });

  it('is checked at the top speed once it is there, and turned down by a remedy', () => {
    expect(check(car, 'aids.yaw')).toBeUndefined();
    const critical = (gain: number) =>
      check(changed({ path: ['suspension', 'aids', 'yaw'], value: { gain } }), 'aids.yaw')!;
    const wild = critical(5);
    expect(wild).toMatchObject({
      state: 'over',
      limit: 5,
      finding: { code: 'aids.yaw.swings' },
    });
    expect(wild.remedies[0]).toMatchObject({ state: 'clear' });
    const mild = critical(0.01);
    expect(mild.state).toBe('clear');
    expect(mild.value).toBeCloseTo(wild.value!, 9);
    // without grip behind, it needs gain at its top speed: too little is said to be, and the remedy gives enough
    const loose = (gain: number) =>
      check(
        changed({
          path: ['suspension', 'aids'],
          value: { yaw: { gain }, tyre: { corneringFrontPerRad: 12, corneringRearPerRad: 6 } },
        }),
        'aids.yaw',
      )!;
    const adrift = loose(0);
    expect(adrift).toMatchObject({ state: 'over', margin: 0, finding: { code: 'aids.yaw.drifts' } });
    expect(adrift.remedies[0]).toMatchObject({ state: 'clear' });
    // δ = −g·r stops drifting at g = −(L + K·V²)/V with
    // K = (m·g/L)·(b/(L·Cf) − a/(L·Cr)) with C by load: 1/(g·12) − 1/(g·6), of which driving leaves a share
    const input = runInputOf(car, asphalt!);
    const V = input.ok ? driveRun(input.value).topSpeedMps! : NaN;
    expect(adrift.limit).toBeCloseTo(-(0.28 + ((1 / 12 - 1 / 6) / 9.81 / leftAcross(V)) * V ** 2) / V, 4);
    // faster, with the same gyro, it over-corrects sooner
    expect(criticalGain(yawOf(car, 12))!).toBeLessThan(criticalGain(yawOf(car, 4))!);
  });
});

describe('the direction of a gyro', () => {
  it('is asked for where there is one, until a log has shown it', () => {
    expect(check(car, 'aids.sign')).toBeUndefined();
    const gyro = (more: object) =>
      check(changed({ path: ['suspension', 'aids', 'yaw'], value: { gain: 0.05, ...more } }), 'aids.sign')!;
    expect(gyro({})).toMatchObject({ state: 'unknown', missing: ['suspension.aids.yaw.signProvenAt'] });
    expect(gyro({ signProvenAt: '2026-05-01' })).toMatchObject({
      state: 'clear',
      finding: { facts: { at: '2026-05-01' } },
    });
  });
});

describe('slip control in a build', () => {
  it('follows a car of which all wheels are driven by what the ground gives, or by what is set', () => {
    const followed = (aid: SlipAid) => {
      const found = tractionInputOf(car, asphalt, aid, { distanceM: 10 });
      return found.ok ? found.value.controller.mostAccelMps2 : undefined;
    };
    expect(followed({})).toBeCloseTo(0.9 * asphalt!.mu * 9.81, 9);
    expect(followed({ mostAccelMps2: 5 })).toBe(5);
    expect(tractionInputOf(rear, asphalt, { mostAccelMps2: 5 }, { distanceM: 10 })).not.toHaveProperty(
      'value.controller.mostAccelMps2',
    );
    expect(tractionInputOf(rear, asphalt, { magnets: 4 }, { distanceM: 10 })).toMatchObject({
      ok: true,
      value: { sensor: { magnets: 4 }, tyre: { muPeak: asphalt!.mu, slipAtPeakPct: 12 } },
    });
  });

  it('counts edges a frame at half the top speed', () => {
    // 5 m/s for 20 ms past 8 magnets on a circle of 251 mm
    expect(edgesPerFrame({ radiusMm: 40, magnets: 8, frameMs: 20 }, 5)).toBeCloseTo(
      (5 * 0.02 * 8) / (2 * Math.PI * 0.04),
      9,
    );
    const coarse = check(
      applyPatch(rear, [
        { path: ['suspension', 'aids', 'traction'], value: { targetSlipPct: 15, magnets: 1 } },
      ]),
      'aids.traction',
    )!;
    expect(coarse.state).toBe('over');
    expect(coarse.remedies[0]!.value! / coarse.value!).toBeCloseTo(4, 9);
  });
});

describe('a brake held back by slip', () => {
  const found = tractionInputOf(rear, asphalt, {}, { distanceM: 10 });
  if (!found.ok) throw new Error(found.missing.join());
  const { distanceM: _, ...base } = found.value;
  const bare = { ...base.car, cdaM2: 0, rollingResistance: 0, wheelInertiaKgM2: 1e-4 };
  const off = { ...base.controller, targetSlipPct: 100 };
  const stop = (more: Partial<BrakeInput>) =>
    brakeAssist({ ...base, car: bare, controller: off, fromMps: 6, ...more });

  it('stops a car that does not slip in v²/2a', () => {
    const grippy = { ...base.tyre, muPeak: 20, slipAtPeakPct: 2 };
    const radius = base.tyre.radiusMm / 1000;
    const { plant } = slipCarOf({ ...base, car: bare, tyre: grippy, distanceM: 1 } as never);
    const { stopM, lockedShare } = stop({ tyre: grippy, brakeNm: 0.1 });
    expect(stopM).toBeCloseTo((6 ** 2 - 0.15 ** 2) / (2 * (0.1 / radius / plant.effectiveMassKg)), 1);
    expect(lockedShare).toBe(0);
  });

  it('slides with locked wheels where the brake is stronger than the ground, and stops sooner when it lets them turn', () => {
    const locked = stop({ brakeNm: 5 });
    const mu = -slipCarOf({ ...base, car: bare, distanceM: 1 } as never).friction(-1);
    // load comes off the rear axle: a = μ·g·share/(1 + μ·h/L)
    const decel = (mu * 9.81 * 0.5) / (1 + (mu * 60) / 280);
    expect(locked.stopM / ((6 ** 2 - 0.15 ** 2) / (2 * decel))).toBeCloseTo(1, 1);
    expect(locked.lockedShare).toBeGreaterThan(0.9);
    const held = stop({
      brakeNm: 5,
      sensor: { magnets: 200 },
      controller: { targetSlipPct: 12, gainUsPerPct: 40, frameMs: 2 },
    });
    expect(held.stopM).toBeLessThan(0.95 * locked.stopM);
    expect(held.lockedShare).toBeLessThan(0.5);
    expect(held.meanSlipPct).toBeLessThan(0);
  });

  it('brakes with its motors no harder than their shorted current', () => {
    const { plant } = slipCarOf({ ...base, car: bare, distanceM: 1 } as never);
    expect(motorBrakeN(plant, 0)).toBe(0);
    expect(motorBrakeN(plant, 0.2)).toBeCloseTo(
      plant.dragNPerA * ((0.2 * plant.emfPerMps) / plant.windingOhm + plant.idleA),
      9,
    );
    expect(motorBrakeN(plant, 1000)).toBeCloseTo(plant.dragNPerA * (plant.limitA + plant.idleA), 9);
  });
});
