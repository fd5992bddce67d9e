import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { differentialsOf } from './differentialOfBuild';
import { driveRun } from '../../physics/motion/run';
import { runInputOf } from '../motion/runOfBuild';

const surface = car.brief.surfaces[0]!;
const withDrive = (values: object) =>
  applyPatch(
    car,
    Object.entries(values).map(([key, value]) => ({ path: ['drive', key], value })),
  );
// 1.9 kg, half on each axle, μ = 0.95: 9.32 N a wheel's pair of … 1.9·9.81/2 = 9.3195 N an axle
const gripN = 0.95 * 9.3195;

describe('what a differential does to this car', () => {
  it('puts down the whole grip on the straight whatever it is', () => {
    for (const rearDifferential of ['open', 'limited', 'locked'] as const) {
      const rear = differentialsOf(withDrive({ rearDifferential }), surface).find(
        ({ axle }) => axle === 'rear',
      )!;
      expect(rear.straight.driveN).toBeCloseTo(gripN, 6);
    }
  });

  it('loses with one wheel light: open twice the light wheel, locked the sum', () => {
    const light = (rearDifferential: string) =>
      differentialsOf(withDrive({ rearDifferential }), surface).find(({ axle }) => axle === 'rear')!.light
        .driveN;
    expect(light('open')).toBeCloseTo(2 * 0.1 * (gripN / 2), 6);
    expect(light('limited')).toBeCloseTo(3.5 * 0.1 * (gripN / 2), 6);
    expect(light('locked')).toBeCloseTo(1.1 * (gripN / 2), 6);
  });

  it('turns sides against each other, and the clutch caps the launch of the run', () => {
    const skid = differentialsOf(withDrive({ steering: 'skid' }), surface)[0]!.straight.skid!;
    expect(skid.yawRateDegPerS).toBeCloseTo((((2 * 0.2 * 1) / (0.2 ** 2 + 0.28 ** 2)) * 180) / Math.PI, 6);
    const input = runInputOf(withDrive({ clutchNm: 0.05 }), surface);
    if (!input.ok) throw new Error(input.missing.join());
    // 0.05 Nm · 10 · 0.8 / 42 mm = 9.52 N at the wheels
    expect(driveRun(input.value).forces.driveN[0]).toBeCloseTo((0.05 * 8) / 0.042, 6);
    expect(driveRun(input.value).launchLimitedBy).toBe('current');
  });
});
