import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { criticalGain, loopIsStable, stableGains } from './criticalGain';
import { yawAssistSchema } from './yaw.schema';
import { yawAssist } from './yawAssist';
import type { YawInput } from './yawDefinition';
import { bicycleOf, linearRows } from './yawMotion';

const assist = (input: YawInput) => yawAssist(parse(yawAssistSchema, input));

/** Weight in the middle, tyres alike: slide and yaw do not touch each other. */
const neutral: YawInput = {
  massKg: 2,
  yawInertiaKgM2: 0.02,
  cgToFrontMm: 140,
  cgToRearMm: 140,
  corneringFrontNPerRad: 60,
  corneringRearNPerRad: 60,
  mu: 0.9,
  speedMps: 8,
  servo: { lagS: 0.05, rateDegPerS: 600, maxDeg: 25 },
  gyro: { gain: 0, maxCorrectionDeg: 15, sampleS: 0.005 },
  scenario: { kind: 'kick', yawRateDegPerS: 10 },
};
/** The rear lets go first. */
const loose: YawInput = {
  ...neutral,
  cgToFrontMm: 160,
  cgToRearMm: 120,
  corneringRearNPerRad: 50,
  speedMps: 12,
};

describe('yaw.assist', () => {
  it('lets the kick of a neutral car decay at its eigenvalue', () => {
    const { series } = assist({ ...neutral, scenario: { kind: 'kick', yawRateDegPerS: 0.5 } });
    // −2·a²·C/(I·v)
    const rate = (-2 * 0.14 ** 2 * 60) / (0.02 * 8);
    expect(series.tS[50]).toBeCloseTo(0.1, 12);
    expect(Math.log(series.yawRateDegPerS[50]! / 0.5) / 0.1).toBeCloseTo(rate, 2);
    expect(series.tS).toHaveLength(1001);
  });

  it('keeps the neutral car’s circle v·δ/L on a step, and does not fight it', () => {
    for (const gain of [0, 0.1]) {
      const { series, stable, overshoots } = assist({
        ...neutral,
        gyro: { ...neutral.gyro, gain },
        scenario: { kind: 'step', steerDeg: 1 },
      });
      expect(series.yawRateDegPerS.at(-1)!).toBeCloseTo((8 * 1) / 0.28, 1);
      expect(stable).toBe(true);
      if (gain === 0) expect(overshoots).toBe(0);
    }
  });

  it('has its critical gain where Routh and Hurwitz put it, as the sampling goes to nothing', () => {
    const [lag, filter] = [0.04, 0.03];
    const input: YawInput = {
      ...neutral,
      servo: { ...neutral.servo, lagS: lag },
      gyro: { ...neutral.gyro, sampleS: 0.002, lowpassS: filter },
    };
    const [[p, q], [s, u, b2]] = linearRows(bicycleOf(input)) as unknown as [
      [number, number, number],
      [number, number, number],
    ];
    const b1 = linearRows(bicycleOf(input))[0][2];
    const [trace, det] = [p + u, p * u - q * s];
    // (τs + 1)(fs + 1)(s² − trace·s + det) + g·(b2·s − b2·p + s·b1) = 0, a quartic
    const stable = (g: number) => {
      const [a4, t1] = [lag * filter, lag + filter];
      const [a3, a2, a1, a0] = [
        t1 - a4 * trace,
        1 - t1 * trace + a4 * det,
        -trace + t1 * det + g * b2,
        det + g * (s * b1 - b2 * p),
      ];
      return [a3, a2, a1, a0].every((a) => a > 0) && a1 * (a3 * a2 - a4 * a1) > a3 * a3 * a0;
    };
    let [low, high] = [0, 200];
    while (high - low > 1e-6) {
      const middle = (low + high) / 2;
      if (stable(middle)) low = middle;
      else high = middle;
    }
    // the sampling's share goes with its time: half of it leaves half
    const [coarse, fine] = [0.002, 0.001].map((sampleS) =>
      criticalGain({ ...input, gyro: { ...input.gyro, sampleS } })!,
    );
    expect(fine!).toBeLessThan(low);
    expect((2 * fine! - coarse!) / low).toBeCloseTo(1, 2);
  });

  it('dies away in its own simulation just under the critical gain and not just over it', () => {
    const small: YawInput = {
      ...neutral,
      servo: { lagS: 0.05, rateDegPerS: 1e6, maxDeg: 25 },
      scenario: { kind: 'kick', yawRateDegPerS: 0.01 },
      durationS: 4,
    };
    const critical = criticalGain(small)!;
    const run = (gain: number) => assist({ ...small, gyro: { ...small.gyro, gain } });
    expect(run(0.93 * critical).stable).toBe(true);
    expect(run(1.07 * critical).stable).toBe(false);
  });

  it('lets a delay of one sample alone limit an ideal servo', () => {
    const bare: YawInput = { ...neutral, servo: { ...neutral.servo, lagS: 0 } };
    const stable = loopIsStable(bare);
    // yaw alone: r' = −λ·r + b·u, held over T: e^(−λT) − g·b·(1 − e^(−λT))/λ > −1
    const lambda = (2 * 0.14 ** 2 * 60) / (0.02 * 8);
    const decay = Math.exp(-lambda * 0.005);
    const b = (0.14 * 60) / 0.02;
    const critical = ((1 + decay) * lambda) / (b * (1 - decay));
    expect(stable(0.999 * critical)).toBe(true);
    expect(stable(1.001 * critical)).toBe(false);
    expect(criticalGain(bare)).toBeCloseTo(critical, 6);
  });

  it('needs gain over the critical speed of an oversteering car, none under it', () => {
    // Gillespie, ch. 6: r/δ = V/(L + K·V²), K = m·(b·Cr − a·Cf)/(L·Cf·Cr); with δ = −g·r it stops drifting at g = −(L + K·V²)/V
    const tail: YawInput = { ...neutral, corneringFrontNPerRad: 80, corneringRearNPerRad: 40 };
    const K = (2 * (0.14 * 40 - 0.14 * 80)) / (0.28 * 80 * 40);
    const criticalMps = Math.sqrt(0.28 / -K);
    for (const factor of [1.2, 2]) {
      const speedMps = factor * criticalMps;
      const range = stableGains({ ...tail, speedMps })!;
      expect(range.from).toBeCloseTo(-(0.28 + K * speedMps ** 2) / speedMps, 6);
      expect(range.to!).toBeGreaterThan(range.from);
    }
    expect(stableGains({ ...tail, speedMps: 0.8 * criticalMps })!.from).toBe(0);
    expect(stableGains({ ...neutral, speedMps: 30 })!.from).toBe(0);
  });

  it('catches a car that spins without it', () => {
    const kicked: YawInput = { ...loose, scenario: { kind: 'kick', yawRateDegPerS: 60 } };
    expect(assist(kicked)).toMatchObject({ stable: false });
    const {
      sweep,
      advice,
      criticalGain: critical,
    } = assist({ ...kicked, gains: [0, 0.02, 0.05, 0.1, 0.15, 2] });
    expect(sweep[0]!.stable).toBe(false);
    expect(sweep.some(({ stable, settleS }) => stable && settleS !== undefined)).toBe(true);
    expect(advice[0]!.code).toBe('note.yaw.overCorrects');
    expect(critical).toBeGreaterThan(0);
  });

  it('is limited by its band, its stops and the servo’s rate', () => {
    const quiet = assist({ ...neutral, gyro: { ...neutral.gyro, gain: 0.2, deadbandDegPerS: 20 } });
    expect(Math.max(...quiet.series.steerDeg.map(Math.abs))).toBe(0);
    const held = assist({
      ...loose,
      gyro: { ...loose.gyro, gain: 1, maxCorrectionDeg: 3 },
      scenario: { kind: 'kick', yawRateDegPerS: 80 },
    });
    expect(Math.max(...held.series.steerDeg.map(Math.abs))).toBeLessThanOrEqual(3 + 1e-9);
    const slow = assist({
      ...loose,
      servo: { ...loose.servo, lagS: 0, rateDegPerS: 100 },
      gyro: { ...loose.gyro, gain: 1 },
      scenario: { kind: 'kick', yawRateDegPerS: 80 },
    });
    slow.series.steerDeg
      .slice(1)
      .forEach((deg, index) =>
        expect(Math.abs(deg - slow.series.steerDeg[index]!)).toBeLessThanOrEqual(100 * 0.002 + 1e-9),
      );
  });

  it('mirrors, and refuses what makes no run', () => {
    const [one, other] = [60, -60].map(
      (yawRateDegPerS) =>
        assist({ ...loose, gyro: { ...loose.gyro, gain: 0.08 }, scenario: { kind: 'kick', yawRateDegPerS } })
          .series,
    );
    one!.yawRateDegPerS.forEach((rate, index) => expect(rate).toBeCloseTo(-other!.yawRateDegPerS[index]!, 9));
    const path = (more: object) => refusalOf(() => assist({ ...neutral, ...more } as YawInput)).path;
    expect(path({ mu: 0 })).toBe('mu');
    expect(path({ gyro: { ...neutral.gyro, sampleS: 0 } })).toBe('gyro.sampleS');
    expect(path({ scenario: { kind: 'step', yawRateDegPerS: 3 } })).toMatch(/^scenario\./);
  });
});
