import fc from 'fast-check';
import { drivenTrace } from './drivenTrace';
import { readSpeeds } from './gpxSpeed';
import type { TrackPoint } from './readTrack';

/** Metres about a place on the equator as degrees. */
const DEG_PER_M = 360 / (2 * Math.PI * 6_371_008.8);
const point = (tS: number, eastM: number, northM: number, speedMps?: number): TrackPoint => ({
  atMs: 1000 * tS,
  latDeg: northM * DEG_PER_M,
  lonDeg: eastM * DEG_PER_M,
  ...(speedMps === undefined ? {} : { speedMps }),
});
const traceOf = (...stretches: TrackPoint[][]) => drivenTrace(readSpeeds(stretches, 1, 50).kept);

describe('a track as what a pack is driven with', () => {
  it('is a circle’s speed and v²/r', () => {
    const [radius, speed] = [12, 6];
    const circle = Array.from({ length: 401 }, (_, k) => {
      const angle = (speed * 0.1 * k) / radius;
      return point(0.1 * k, radius * Math.sin(angle), radius * (1 - Math.cos(angle)));
    });
    const { stepS, speedMps, lateralMps2 } = traceOf(circle);
    expect(stepS).toBe(1);
    expect(speedMps).toHaveLength(41);
    for (const one of speedMps) expect(one / speed).toBeCloseTo(1, 2);
    for (const one of lateralMps2.slice(1, -1)) expect(one / (speed ** 2 / radius)).toBeCloseTo(1, 1);
  });

  it('has no bend on a straight, nor where the car creeps in its own noise', () => {
    const straight = Array.from({ length: 30 }, (_, k) => point(k, 5 * k, 0));
    expect(Math.max(...traceOf(straight).lateralMps2)).toBe(0);
    const creeping = Array.from({ length: 30 }, (_, k) => point(k, 0.5 * k, k % 2 === 0 ? 0 : 0.2));
    expect(Math.max(...traceOf(creeping).lateralMps2)).toBe(0);
  });

  it('keeps the way, whatever was driven', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 12, noNaN: true }), { minLength: 5, maxLength: 300 }),
        (speeds) => {
          let way = 0;
          const points = speeds.map((speed, k) => point(k, (way += k === 0 ? 0 : speed), 0));
          const { stepS, speedMps } = traceOf(points);
          const driven = speedMps.reduce(
            (sum, one, at) => sum + one * stepS * (at === 0 || at === speedMps.length - 1 ? 0.5 : 1),
            0,
          );
          expect(driven).toBeCloseTo(way, 1);
        },
      ),
    ));

  it('leaves standing at both ends and a break out, and keeps a stop between', () => {
    const still = (from: number, s: number, at: number) =>
      Array.from({ length: s }, (_, k) => point(from + k, at, 0));
    const drive = (from: number, at: number) =>
      Array.from({ length: 11 }, (_, k) => point(from + k, at + 4 * k, 0));
    const first = [...still(0, 20, 0), ...drive(20, 0), ...still(31, 9, 40)];
    const second = [...still(500, 1, 40), ...drive(501, 40), ...still(512, 60, 80)];
    const { speedMps } = traceOf(first, second);
    // 10 s of driving, 10 s of standing, 10 s of driving
    expect(speedMps).toHaveLength(31);
    expect(speedMps[5]).toBeCloseTo(4, 6);
    expect(speedMps[15]).toBe(0);
    expect(speedMps[25]).toBeCloseTo(4, 6);
  });

  it('takes the receiver’s own speeds where it gives them, and no more than 600 steps', () => {
    const long = Array.from({ length: 3001 }, (_, k) => point(k, 3 * k, 0, 3.3));
    const { stepS, speedMps } = traceOf(long);
    expect(stepS).toBe(5);
    expect(speedMps).toHaveLength(601);
    expect(speedMps[300]).toBeCloseTo(3.3, 6);
  });

  it('refuses a track that stands still', () =>
    expect(() => traceOf(Array.from({ length: 20 }, (_, k) => point(k, 0.1 * (k % 2), 0)))).toThrow(
      expect.objectContaining({
        path: 'gpx',
        refused: expect.objectContaining({ code: 'track.standsStill' }),
      }),
    ));
});
