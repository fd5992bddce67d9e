import { powerOf } from '../../../base/numeric/fourier';
import { normalFrom } from '../../../base/numeric/random';
import { refusalOf } from '../../../fixtures/refused';
import { yawAssist } from '../yawAssist';
import type { YawInput } from '../yawDefinition';
import type { GyroLogInput } from './definition';
import { gyroLog } from './gyroLog';

const SAMPLE_S = 0.002;
const normal = normalFrom(3);
const noise = (n: number, sd: number, bias = 0) => Array.from({ length: n }, () => bias + sd * normal());
const log = (rateDegPerS: readonly number[]) => ({ rateDegPerS, sampleS: SAMPLE_S });
const rest = log(noise(8192, 0.2, 1.5));
/** A shake on top of noise. */
const shaken = (hz: number, amplitude: number, n = 8192) =>
  log(noise(n, 0.2).map((value, k) => value + amplitude * Math.sin(2 * Math.PI * hz * k * SAMPLE_S)));

describe('the power of a signal', () => {
  it('is that of the sum over every reading', () => {
    const values = noise(32, 1);
    const power = powerOf(values);
    for (const k of [0, 1, 7, 16]) {
      const part = (f: (angle: number) => number) =>
        values.reduce((sum, value, j) => sum + value * f((2 * Math.PI * k * j) / 32), 0);
      expect(power[k]).toBeCloseTo(part(Math.cos) ** 2 + part(Math.sin) ** 2, 9);
    }
  });
});

describe('gyro.log', () => {
  it('reads bias, drift and white noise at rest', () => {
    const drifting = log(rest.rateDegPerS.map((value, k) => value + (0.6 * k * SAMPLE_S) / 60));
    const { rest: found } = gyroLog({ rest: drifting });
    const half = (0.6 * 8191 * SAMPLE_S) / 120;
    expect(found.biasDegPerS).toBeCloseTo(1.5 + half, 1);
    expect(found.driftDegPerSPerMinute).toBeGreaterThan(0.4);
    expect(found.driftDegPerSPerMinute).toBeLessThan(0.8);
    expect(found.noiseDegPerS).toBeCloseTo(0.2, 2);
    // white noise of standard deviation σ has the one-sided density 2σ²/f_s
    expect(found.noiseDegPerRootS).toBeCloseTo(0.2 * Math.sqrt(2 * SAMPLE_S), 3);
    expect(found.rmsDegPerS).toBeCloseTo(0.2, 2);
    expect(found.peaks).toEqual([]);
  });

  it('finds what shakes it, between the bins, and who turns at that frequency', () => {
    const motorHz = 93.3;
    const found = gyroLog({
      rest,
      running: { ...shaken(motorHz, 4), motorRpm: motorHz * 60, wheelRpm: 900 },
    });
    const [first] = found.running!.peaks;
    expect(first!.frequencyHz).toBeCloseTo(motorHz, 0);
    expect(first!.amplitudeDegPerS).toBeCloseTo(4, 1);
    expect(first).toMatchObject({ source: 'motor', aliased: false });
    expect(found.running!.rmsDegPerS).toBeCloseTo(Math.hypot(4 / Math.SQRT2, 0.2), 1);
  });

  it('a motor that turns faster than half the sampling shows folded down, and is named', () => {
    // sampled at 500 Hz, 440 Hz look like 60 Hz
    const found = gyroLog({ rest, running: { ...shaken(440, 3), motorRpm: 440 * 60 } });
    expect(found.running!.peaks[0]!.frequencyHz).toBeCloseTo(60, 0);
    expect(found.running!.peaks[0]).toMatchObject({ source: 'motor', aliased: true });
    expect(found.findings.map(({ severity, about }) => [severity, about])).toEqual([['tight', 'running']]);
  });

  it('chooses the filter that leaves the wished noise: of a shake its first-order share', () => {
    const found = gyroLog({ rest, running: shaken(93.75, 10), targetRmsDegPerS: 2 });
    // 10/√2 of the shake is to become 2
    const corner = 93.75 / Math.sqrt((10 / Math.SQRT2 / 2) ** 2 - 1);
    expect(found.lowpass.basedOn).toBe('running');
    expect(Math.abs(found.lowpass.cornerHz! / corner - 1)).toBeLessThan(0.03);
    expect(found.lowpass.rmsAfterDegPerS).toBeCloseTo(2, 9);
    expect(found.lowpass.delayS).toBeCloseTo(1 / (2 * Math.PI * found.lowpass.cornerHz!), 12);
    const quiet = gyroLog({ rest });
    expect(quiet.lowpass).toMatchObject({ basedOn: 'rest', lowpassS: 0 });
    expect('cornerHz' in quiet.lowpass).toBe(false);
  });

  it('a shake too slow to be filtered is said to be', () => {
    const found = gyroLog({ rest, running: shaken(2, 30) });
    expect(found.lowpass.cornerHz).toBe(0.5);
    expect(found.findings[0]).toMatchObject({ severity: 'over', about: 'gyro' });
  });

  it('puts the delay of the filter into the loop', () => {
    const yaw: YawInput = {
      massKg: 2,
      yawInertiaKgM2: 0.03,
      cgToFrontMm: 150,
      cgToRearMm: 130,
      corneringFrontNPerRad: 90,
      corneringRearNPerRad: 100,
      mu: 0.9,
      speedMps: 15,
      servo: { lagS: 0.03, rateDegPerS: 400, maxDeg: 25 },
      gyro: { sampleS: 0.005, gain: 0.1, maxCorrectionDeg: 15 },
      scenario: { kind: 'kick', yawRateDegPerS: 60 },
    };
    const found = gyroLog({ rest, running: shaken(93.75, 10), yaw });
    const { without, with: filtered, lossPct } = found.criticalGain!;
    const through = (lowpassS: number) =>
      yawAssist({ ...yaw, gyro: { ...yaw.gyro, lowpassS } }).criticalGain!;
    expect(without).toBeCloseTo(through(0), 9);
    expect(filtered).toBeCloseTo(through(found.lowpass.lowpassS), 9);
    expect(lossPct).toBeCloseTo(100 * (1 - filtered! / without!), 9);
  });

  it.each([
    [40, 'right'],
    [-40, 'reversed'],
    [3, 'unclear'],
  ])('turned to the left by hand at %d °/s its sign is %s', (rate, sign) => {
    const found = gyroLog({ rest, leftTurn: log(noise(300, 0.2, 1.5 + rate)) });
    expect(found.sign).toBe(sign);
    expect(found.leftTurnDegPerS).toBeCloseTo(rate, 0);
    expect(found.findings.some(({ severity }) => severity === 'over')).toBe(sign === 'reversed');
  });

  it('takes readings at times of their own onto an even grid', () => {
    const tS = Array.from({ length: 64 }, (_, k) => 5 + k * 0.01 + (k % 2) * 0.004);
    const { rest: found } = gyroLog({ rest: { rateDegPerS: tS.map((t) => 3 + 2 * t), tS } });
    expect(found.sampleHz).toBeCloseTo(63 / (tS[63]! - 5), 9);
    expect(found.driftDegPerSPerMinute).toBeCloseTo(120, 6);
    expect(found.noiseDegPerS).toBeCloseTo(0, 9);
  });

  it.each<[string, Partial<GyroLogInput>]>([
    ['rest.sampleS', { rest: { rateDegPerS: noise(40, 1) } }],
    ['running.sampleS', { running: { ...rest, tS: [] } }],
    ['leftTurn.tS', { leftTurn: { rateDegPerS: noise(40, 1), tS: [1, 2] } }],
    ['rest.tS.2', { rest: { rateDegPerS: noise(3, 1), tS: [1, 2, 2] } }],
  ])('refuses at %s', (path, change) => {
    expect(refusalOf(() => gyroLog({ rest, ...change })).path).toBe(path);
  });

  it('says when the gyro ran into its end', () => {
    const found = gyroLog({ rest, driving: log(noise(64, 0.1, 249)), fullScaleDegPerS: 250 });
    expect(found.findings.map(({ about }) => about)).toEqual(['driving']);
  });
});
