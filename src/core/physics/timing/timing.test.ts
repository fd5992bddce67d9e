import { parse } from '../../base/schema/parse';
import { CalcError } from '../../base/errors';
import { timingLaunch } from './timingLaunch';
import { timingLaunchSchema } from './timingLaunch.schema';
import { timingSpeed } from './timingSpeed';
import { timingSpeedSchema } from './timingSpeed.schema';
import { runsSummary } from '../statistics/runsSummary';

const pathOf = (run: () => unknown) => {
  try {
    run();
  } catch (error) {
    return (error as CalcError).path;
  }
  return 'accepted';
};

describe('timing.speed', () => {
  it('carries the error of a stop-watch', () => {
    const result = timingSpeed({ distanceM: 20, timeS: 2 });
    // √((0.02/20)² + (0.1/2)²) = 0.05001
    expect(result.speedMps).toBe(10);
    expect(result.errorMps).toBeCloseTo(10 * Math.hypot(0.001, 0.05), 12);
    expect(result.advice).toMatchObject({
      code: 'note.timing.stopWatch',
      facts: { distance: { value: 40 } },
    });
  });

  it('counts frames to √(2/12) of one', () => {
    const result = timingSpeed({ distanceM: 20, frames: 480, captureFps: 240, distanceErrorM: 0 });
    expect(result.timeS).toBe(2);
    expect(result.errorMps).toBeCloseTo(10 * (Math.sqrt(1 / 6) / 240 / 2), 12);
  });

  it('slows a clip back down, recorded at 30 times the slowdown', () => {
    const result = timingSpeed({ distanceM: 20, clipTimeS: 16, slowdown: 8, distanceErrorM: 0 });
    expect(result.timeS).toBe(2);
    expect(result.errorPct).toBeCloseTo((100 * Math.sqrt(1 / 6)) / 240 / 2, 12);
  });

  it('names the weaker half', () => {
    expect(timingSpeed({ distanceM: 1, frames: 480, captureFps: 240 }).advice).toMatchObject({
      code: 'note.timing.tape',
      facts: { distance: { value: 2 } },
    });
    expect(timingSpeed({ distanceM: 20, frames: 20, captureFps: 30 }).advice).toMatchObject({
      code: 'note.timing.frameRate',
      facts: { fps: { value: 60 }, distance: { value: 40 } },
    });
  });

  it.each([
    [{ distanceM: 20 }, 'timeS'],
    [{ distanceM: 20, frames: 10, clipTimeS: 2, captureFps: 30, slowdown: 2 }, 'frames'],
    [{ distanceM: 20, frames: 10 }, 'captureFps'],
    [{ distanceM: 20, clipTimeS: 10 }, 'slowdown'],
    [{ distanceM: 0, timeS: 1 }, 'distanceM'],
  ])('refuses %j at %s', (input, path) => {
    expect(pathOf(() => parse(timingSpeedSchema, input))).toBe(path);
  });
});

describe('timing.launch', () => {
  it('of 293 frames at 240 a second over 5 m is sure to the frame, not to the hand', () => {
    const { timeS, timeErrorS } = timingSpeed({ distanceM: 5, frames: 293, captureFps: 240 });
    // a = 2·5/1.2208² = 6.709 m/s²; the error a·2·u/t with u = √(2/12)/240 s is 0.0187
    const launch = timingLaunch({ distanceM: 5, timeS, timeErrorS });
    expect(launch.accelMps2).toBeCloseTo(6.7094, 3);
    expect(launch.accelErrorMps2).toBeCloseTo(0.0187, 4);
    expect(launch.endSpeedMps).toBeCloseTo(2 * launch.meanSpeedMps, 12);
  });

  it('is uniform acceleration', () => {
    const result = timingLaunch({ distanceM: 9, timeS: 2 });
    expect(result).toMatchObject({ accelMps2: 4.5, endSpeedMps: 9, meanSpeedMps: 4.5 });
    expect(result.accelErrorMps2).toBeCloseTo(0.45, 12);
    expect(result.muNeeded).toBeCloseTo(4.5 / 9.81, 12);
  });

  it('adds the load that a launch moves to the rear', () => {
    const gees = 4.5 / 9.81;
    const rear = timingLaunch({
      distanceM: 9,
      timeS: 2,
      drivenAxles: 'rear',
      frontLoadShare: 0.4,
      cgHeightMm: 50,
      wheelbaseMm: 250,
    });
    expect(rear.muNeeded).toBeCloseTo(gees / (0.6 + 0.2 * gees), 12);
    const front = timingLaunch({
      distanceM: 9,
      timeS: 2,
      drivenAxles: 'front',
      frontLoadShare: 0.6,
      cgHeightMm: 50,
      wheelbaseMm: 250,
    });
    expect(front.muNeeded).toBeCloseTo(gees / (0.6 - 0.2 * gees), 12);
  });

  it('disbelieves only what the error cannot excuse', () => {
    expect(timingLaunch({ distanceM: 20, timeS: 1 }).plausible).toBe(false);
    expect(timingLaunch({ distanceM: 5, timeS: 0.85, timeErrorS: 0.1 }).plausible).toBe(true);
    expect(
      timingLaunch({
        distanceM: 50,
        timeS: 1,
        drivenAxles: 'front',
        frontLoadShare: 0.5,
        cgHeightMm: 100,
        wheelbaseMm: 200,
      }),
    ).not.toHaveProperty('muNeeded');
  });

  it('asks for what it needs', () => {
    expect(pathOf(() => parse(timingLaunchSchema, { distanceM: 9, timeS: 2, drivenAxles: 'rear' }))).toBe(
      'frontLoadShare',
    );
    expect(pathOf(() => parse(timingLaunchSchema, { distanceM: 9, timeS: 2, cgHeightMm: 50 }))).toBe(
      'wheelbaseMm',
    );
  });
});

describe('runs.summary', () => {
  it('agrees with the table of Student at two and four degrees of freedom', () => {
    // mean 35.6, sd 0.3, t(0.975; 2) = 4.302653
    const three = runsSummary({ values: [35.3, 35.6, 35.9] });
    expect(three.sd).toBeCloseTo(0.3, 12);
    expect(three.ci95![1] - 35.6).toBeCloseTo((4.302653 * 0.3) / Math.sqrt(3), 6);
    const five = runsSummary({ values: [1, 2, 3, 4, 5] });
    expect(five.ci95![1] - 3).toBeCloseTo(2.776445 * Math.sqrt(2.5 / 5), 6);
  });

  it('leaves the spread out of a single value', () => {
    const one = runsSummary({ values: [7] });
    expect(one).toMatchObject({ n: 1, mean: 7, min: 7, max: 7 });
    for (const key of ['sd', 'ci95', 'cvPct']) expect(one).not.toHaveProperty(key);
  });

  it('takes the spread over the size of a negative mean', () => {
    expect(runsSummary({ values: [-1, -3] }).cvPct).toBeCloseTo((100 * Math.SQRT2) / 2, 12);
  });
});
