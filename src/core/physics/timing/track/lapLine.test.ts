import { normalFrom } from '../../../base/numeric/random';
import { readSpeeds } from './gpxSpeed';
import { type LapLine, lapLine } from './lapLine';
import type { TrackPoint } from './readTrack';

/** Metres about a place on the equator as degrees. */
const DEG_PER_M = 360 / (2 * Math.PI * 6_371_008.8);
const HZ = 10;

/** Driven along a path at one speed, with a receiver's error in m. */
function driven(
  pathOf: (way: number) => readonly [number, number],
  lengthM: number,
  errorM = 0,
  seed = 1,
): LapLine {
  const normal = normalFrom(seed);
  const speed = 6;
  const points = Array.from({ length: Math.floor((lengthM / speed) * HZ) + 1 }, (_, k): TrackPoint => {
    const [x, y] = pathOf((speed * k) / HZ);
    return {
      atMs: (1000 * k) / HZ,
      lonDeg: (x + errorM * normal()) * DEG_PER_M,
      latDeg: (y + errorM * normal()) * DEG_PER_M,
    };
  });
  return lapLine(readSpeeds([points], 1, 60).kept);
}

const circle =
  (radius: number) =>
  (way: number): readonly [number, number] => [
    radius * Math.sin(way / radius),
    radius * (1 - Math.cos(way / radius)),
  ];

const lengthOf = ({ pointsM, closed }: LapLine) => {
  const line = closed ? [...pointsM, pointsM[0]!] : pointsM;
  return line.slice(1).reduce((sum, [x, y], at) => sum + Math.hypot(x - line[at]![0], y - line[at]![1]), 0);
};

describe('a round out of a track', () => {
  it('is the circle that was driven three times and a half, whatever the receiver adds', () => {
    const radius = 12;
    const round = 2 * Math.PI * radius;
    for (const errorM of [0, 0.15]) {
      const found = driven(circle(radius), 3.5 * round, errorM);
      expect(found.closed).toBe(true);
      expect(found.rounds).toBeGreaterThanOrEqual(2);
      expect(lengthOf(found) / round).toBeGreaterThan(0.96);
      expect(lengthOf(found) / round).toBeLessThan(1.04);
      // every place is a radius from the middle, less what the smoothing takes
      const [mx, my] = [0, 1].map(
        (axis) => found.pointsM.reduce((sum, one) => sum + one[axis]!, 0) / found.pointsM.length,
      ) as [number, number];
      for (const [x, y] of found.pointsM) expect(Math.hypot(x - mx, y - my)).toBeCloseTo(radius, -0.3);
    }
  });

  it('goes up one row and down the next without taking the one for the other', () => {
    // rows 3 m apart, 30 m long, half circles of 1.5 m between them
    const end = Math.PI * 1.5;
    const whole = 60 + 2 * end;
    const rows = (way: number): readonly [number, number] => {
      const s = way % whole;
      if (s < 30) return [s, 0];
      if (s < 30 + end) return [30 + 1.5 * Math.sin((s - 30) / 1.5), 1.5 - 1.5 * Math.cos((s - 30) / 1.5)];
      if (s < 60 + end) return [60 + end - s, 3];
      const turned = (s - 60 - end) / 1.5;
      return [-1.5 * Math.sin(turned), 1.5 + 1.5 * Math.cos(turned)];
    };
    const found = driven(rows, 4.2 * whole, 0.1);
    expect(found.closed).toBe(true);
    expect(lengthOf(found) / whole).toBeGreaterThan(0.95);
    expect(lengthOf(found) / whole).toBeLessThan(1.03);
  });

  it('is an open line where no place is passed twice, and refuses what stands still', () => {
    const straight = driven((way) => [way, 0.2 * way], 80);
    expect(straight).toMatchObject({ closed: false, rounds: 1 });
    // 80 m along x, and a fifth of it across
    expect(lengthOf(straight) / (80 * Math.hypot(1, 0.2))).toBeCloseTo(1, 1);
    expect(() => driven(() => [0, 0], 30)).toThrow(
      expect.objectContaining({ refused: expect.objectContaining({ code: 'track.standsStill' }) }),
    );
  });
});
