import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { tractionInputOf } from '../aids/slipOfBuild';
import { yawInputOf } from '../aids/yawOfBuild';
import { differentialsOf } from '../drive/differentialOfBuild';
import { standingOf } from '../standing/standingOfBuild';

const surface = car.brief.surfaces[0]!;
// on this hard ground of 0.95 the own tyres in front hold 0.95·0.6 = 0.57, the rear ones 0.95
const frontTyre = { ...car.drive.tyre!, name: 'Slick', hardFactor: 0.6, radiusMm: 38 };
const crooked = applyPatch(car, [
  { path: ['drive', 'frontTyre'], value: frontTyre },
  { path: ['chassis', 'frontLoadShare'], value: 0.4 },
]);
const driving = (drivenAxles: string) =>
  applyPatch(crooked, [{ path: ['drive', 'drivenAxles'], value: drivenAxles }]);

describe('tyres in front of their own', () => {
  it('put down what they hold themselves through the differential of their axle', () => {
    for (const [axle, mu, share] of [
      ['front', 0.57, 0.4],
      ['rear', 0.95, 0.6],
    ] as const) {
      const story = differentialsOf(driving('all'), surface).find((one) => one.axle === axle)!;
      expect(story.straight.driveN).toBeCloseTo(mu * share * 1.9 * 9.81, 9);
    }
  });

  it('are what the slip of a car that pulls in front is held to', () => {
    const of = (axles: string) => {
      const input = tractionInputOf(driving(axles), surface, {}, { distanceM: 5 });
      if (!input.ok) throw new Error(input.missing.join());
      return input.value.tyre;
    };
    expect(of('front')).toMatchObject({ radiusMm: 38, muPeak: expect.closeTo(0.57, 9) });
    expect(of('rear')).toMatchObject({ radiusMm: car.drive.tyre!.radiusMm, muPeak: 0.95 });
  });

  it('carry their share of a car that slides with both ends: 0.4 · 0.57 + 0.6 · 0.95', () => {
    const standing = standingOf({ document: crooked, surface });
    expect(standing).toMatchObject({ mu: expect.closeTo(0.798, 9) });
    const yaw = yawInputOf(
      crooked,
      surface,
      {},
      { speedMps: 8, scenario: { kind: 'kick', yawRateDegPerS: 90 } },
    );
    if (!yaw.ok) throw new Error(yaw.missing.join());
    expect(yaw.value.mu).toBeCloseTo(0.798, 9);
  });
});
