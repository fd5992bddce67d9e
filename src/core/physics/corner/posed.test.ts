import { cross, dot, lengthOf } from '../../base/vec3';
import type { Corner } from './corner';
import { poseCorner, sticksOf, travelsInRoll, wheelAxes } from './posed';
import { startCorner, startRocker } from '../../worked/suspension/start';
import { suspensionSweep } from './sweep';

const corner = {
  ...startCorner('hingePins', 'front', { wheelbaseMm: 280, trackMm: 200, tyreRadiusMm: 40 }),
  end: 'front',
  tyreRadiusMm: 40,
} as Corner;

describe('a corner as it stands', () => {
  it('is the station of the sweep, with the damper on its arm', () => {
    const { station, damper, stoppedAt } = poseCorner(corner, 9, 3);
    const [swept] = suspensionSweep({ ...corner, travelMm: [9], rackMm: [3] }).stations;
    expect(station.camberDeg).toBeCloseTo(swept!.camberDeg, 7);
    expect(station.toeDeg).toBeCloseTo(swept!.toeDeg, 7);
    expect(stoppedAt).toBeUndefined();
    expect(
      lengthOf(
        damper![0].map((value, axis) => value - damper![1][axis]!) as unknown as [number, number, number],
      ),
    ).toBeCloseTo(swept!.damperLengthMm!, 7);
  });

  it('stays where it locks, and says where that is', () => {
    const { station, stoppedAt } = poseCorner(corner, 120, 0);
    expect(stoppedAt!.travelMm).toBeLessThan(120);
    expect(station.travelMm).toBeCloseTo(stoppedAt!.travelMm, 6);
    const { station: steered, stoppedAt: locked } = poseCorner(corner, 0, 150);
    expect(locked!.rackMm).toBeLessThan(150);
    expect(steered.travelMm).toBe(0);
  });

  it('keeps the lengths of what is drawn stiff', () => {
    const lengths = (travelMm: number) => {
      return sticksOf('hingePins', poseCorner(corner, travelMm, 0))
        .filter(({ part }) => part !== 'damper')
        .map(({ from, to }) => Math.hypot(from[0] - to[0], from[1] - to[1], from[2] - to[2]));
    };
    lengths(12).forEach((length, index) => expect(length).toBeCloseTo(lengths(0)[index]!, 8));
  });

  it('turns a rocker as one piece, its pushrod as long as drawn', () => {
    const { damper: _, ...bare } = corner;
    const rockered = { ...bare, rocker: startRocker(corner, 40) } as Corner;
    const lengths = (travelMm: number) =>
      sticksOf('hingePins', poseCorner(rockered, travelMm, 0))
        .filter(({ part }) => part !== 'damper')
        .map(({ from, to }) => Math.hypot(from[0] - to[0], from[1] - to[1], from[2] - to[2]));
    lengths(12).forEach((length, index) => expect(length).toBeCloseTo(lengths(0)[index]!, 8));
    // bump shortens the damper
    for (const { motionRatio } of suspensionSweep({ ...rockered, travelMm: { from: -10, to: 15, step: 5 } })
      .stations)
      expect(motionRatio).toBeGreaterThan(0.3);
  });

  it('drops the left wheel and lifts the right one as the car leans to the right', () => {
    // 100 mm · tan 3°
    expect(travelsInRoll(2, 3, 200)).toEqual({
      left: expect.closeTo(2 - 5.2408, 3),
      right: expect.closeTo(2 + 5.2408, 3),
    });
  });

  it('has a right-handed wheel that toes in and leans in', () => {
    const { out, forward, up } = wheelAxes(-2, 3);
    for (const [a, b] of [
      [out, forward],
      [out, up],
      [forward, up],
    ] as const)
      expect(dot(a, b)).toBeCloseTo(0, 12);
    expect(dot(cross(forward, out), up)).toBeCloseTo(1, 12);
    // top towards the middle, front edge towards the middle
    expect(up[1]).toBeLessThan(0);
    expect(forward[1]).toBeLessThan(0);
  });
});
