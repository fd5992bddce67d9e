import { parse } from '../../base/schema/parse';
import { refusalOf } from '../../fixtures/refused';
import { stableGains } from './criticalGain';
import { gyroCommand, gyroLawOf, wantedRate } from './gyroLaw';
import { slideLimits, steadySlide } from './slideLimits';
import { yawAssistSchema } from './yaw.schema';
import { yawAssist } from './yawAssist';
import type { YawInput } from './yawDefinition';
import { bicycleOf } from './yawMotion';

const RAD = Math.PI / 180;
const G = 9.81;
const slide: YawInput = {
  massKg: 1.9,
  yawInertiaKgM2: 0.02,
  cgToFrontMm: 140,
  cgToRearMm: 140,
  corneringFrontNPerRad: 80,
  corneringRearNPerRad: 80,
  mu: 0.7,
  speedMps: 5,
  servo: { lagS: 0.01, rateDegPerS: 800, maxDeg: 28 },
  gyro: {
    gain: 0.25,
    maxCorrectionDeg: 56,
    sampleS: 0.004,
    holds: { fullSteerDegPerS: 120, catchUpS: 0.2 },
  },
  scenario: { kind: 'slide', steerDeg: 8, rearGripShare: 0.6 },
  durationS: 6,
};
const asking = (steerDeg: number): YawInput => ({
  ...slide,
  scenario: { kind: 'slide', steerDeg, rearGripShare: 0.6 },
});

describe('a gyro that holds a yaw rate', () => {
  it('asks for a share of its full rate, whatever the ground can answer', () => {
    const law = gyroLawOf(slide);
    expect(wantedRate(law, 5, 14 * RAD) / RAD).toBeCloseTo(60, 9);
    expect(wantedRate(law, 50, 90 * RAD) / RAD).toBeCloseTo(120, 9);
  });

  it('steers for the error and, sample by sample, for what is left of it', () => {
    const law = gyroLawOf(slide);
    const memory = { held: 0 };
    const steer = () => gyroCommand(law, 10 * RAD, 0, 0, memory) / RAD;
    // 0.25 · 10 at once and 0.25 · 10 · 4/200 more a sample
    expect(steer()).toBeCloseTo(-2.55, 9);
    expect(steer()).toBeCloseTo(-2.6, 9);
    for (let k = 0; k < 5000; k++) steer();
    expect(memory.held / RAD).toBeCloseTo(-56, 9);
  });

  it('ends in the steady slide of its tyres, which the balance of moments gives', () => {
    // 8° of 28° ask for 34.3 °/s
    const asked = (120 * 8) / 28;
    const { series, slide: found, stable } = yawAssist(slide);
    const steady = steadySlide(bicycleOf(slide), asked * RAD)!;
    expect(series.yawRateDegPerS.at(-1)!).toBeCloseTo(asked, 1);
    expect(series.steerDeg.at(-1)!).toBeCloseTo(steady.steerDeg, 1);
    expect(found!.slideDeg).toBeCloseTo(steady.slideDeg, 1);
    expect(found).toMatchObject({ held: true, lockShare: 0 });
    expect(stable).toBe(true);
    // the rear alone: m·v·r/2 of 0.6·μ·N against tanh of the slip, whose angle less b·r/v the nose points in
    const pull = 1.9 * 5 * asked * RAD * 0.5;
    const most = 0.6 * 0.7 * 1.9 * G * 0.5;
    const slip = (Math.atanh(pull / most) * most) / (0.6 * 80);
    expect(steady.slideDeg).toBeCloseTo(Math.atan(slip - (0.14 * asked * RAD) / 5) / RAD, 9);
  });

  it('keeps a car that goes round without it', () => {
    const { held } = yawAssist({ ...asking(9), gyro: { ...slide.gyro, gain: 0 } }).slide!;
    expect(held).toBe(false);
    expect(yawAssist(asking(9)).slide!.held).toBe(true);
  });

  it('is held up to the rate at which the lock is used up, and not beyond what the rear gives', () => {
    const limits = slideLimits(slide);
    expect(limits.gripDegPerS).toBeCloseTo((0.6 * 0.7 * G) / 5 / RAD, 9);
    expect(limits.heldDegPerS).toBeLessThan(limits.gripDegPerS);
    expect(limits.steerDeg).toBeCloseTo(-28, 6);
    // steering and servo by closed form, the simulation on either side of it
    const steerFor = (rate: number) => (28 * rate) / 120;
    expect(yawAssist(asking(steerFor(0.97 * limits.heldDegPerS))).slide!.held).toBe(true);
    const over = yawAssist(asking(steerFor(1.15 * limits.gripDegPerS))).slide!;
    expect(over.held).toBe(false);
    expect(over.lockShare).toBeGreaterThan(0.3);
  });

  it('is bound by a correction that is kept small', () => {
    const small = { ...slide, gyro: { ...slide.gyro, maxCorrectionDeg: 12 } };
    expect(slideLimits(small).steerDeg).toBeCloseTo(8 - 12, 6);
    expect(slideLimits(small).heldDegPerS).toBeLessThan(slideLimits(slide).heldDegPerS);
  });

  it('rings at less gain the sooner it catches up, as its own runs show', () => {
    const kicked = (gain: number, catchUpS: number): YawInput => ({
      ...slide,
      gyro: { ...slide.gyro, gain, maxCorrectionDeg: 1e6, holds: { fullSteerDegPerS: 120, catchUpS } },
      servo: { lagS: 0.03, rateDegPerS: 1e6, maxDeg: 90 },
      // small, so that the tyres stay in their linear range
      scenario: { kind: 'kick', yawRateDegPerS: 0.5 },
    });
    const [slow, quick] = [2, 0.02].map((catchUpS) => stableGains(kicked(0.1, catchUpS))!.to!);
    expect(quick!).toBeLessThan(0.7 * slow!);
    expect(yawAssist(kicked(0.9 * quick!, 0.02)).stable).toBe(true);
    expect(yawAssist(kicked(1.15 * quick!, 0.02)).stable).toBe(false);
  });
});

describe('the car of a gyro', () => {
  it('takes the load of its axles from where it is given, downforce with it', () => {
    const turned = (more: Partial<YawInput>) =>
      yawAssist({
        ...slide,
        ...more,
        gyro: { gain: 0, maxCorrectionDeg: 0, sampleS: 0.004 },
        scenario: { kind: 'step', steerDeg: 20 },
      }).series.yawRateDegPerS.at(-1)!;
    const weight = 1.9 * G;
    expect(turned({ frontLoadN: weight / 2, rearLoadN: weight / 2 })).toBeCloseTo(turned({}), 9);
    expect(turned({ frontLoadN: weight, rearLoadN: weight })).toBeGreaterThan(1.5 * turned({}));
  });

  it('is refused a slide without the grip that is left', () => {
    const { rearGripShare: _, ...scenario } = { ...slide.scenario, rearGripShare: 0 };
    expect(refusalOf(() => parse(yawAssistSchema, { ...slide, scenario })).path).toBe(
      'scenario.rearGripShare',
    );
    const kick = { kind: 'kick', yawRateDegPerS: 60, steerDeg: 3 };
    expect(refusalOf(() => parse(yawAssistSchema, { ...slide, scenario: kick })).path).toBe(
      'scenario.steerDeg',
    );
  });
});
