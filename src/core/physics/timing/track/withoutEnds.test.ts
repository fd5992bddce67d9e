import { gpxSpeed, haversineM } from './gpxSpeed';
import { readTrack, type TrackPoint } from './readTrack';
import { withoutEnds } from './withoutEnds';
import { writeGpx } from './writeGpx';

/** A metre on a meridian, degrees: 360/(2πR). */
const METRE_DEG = 360 / (2 * Math.PI * 6_371_008.8);
/** Northward from a place at 60° north, one point each second. */
const north = (metres: readonly number[], start = 0): TrackPoint[] =>
  metres.map((metre, at) => ({
    atMs: 1_780_000_000_000 + 1000 * (start + at),
    latDeg: 60 + metre * METRE_DEG,
    lonDeg: 11.25,
  }));
const each = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, at) => from + at * step);
const wayOf = (points: readonly TrackPoint[]) =>
  points.slice(1).reduce((sum, point, at) => sum + haversineM(points[at]!, point), 0);

describe('a track for others to see', () => {
  it('lacks the first and the last 50 m of its way', () => {
    const [left] = withoutEnds([north(each(0, 405, 15))]);
    // 60 to 345 m
    expect(left).toHaveLength(20);
    expect(wayOf(left!)).toBeCloseTo(285, 3);
  });

  it('of a short way lacks a quarter at either end', () => {
    const [left] = withoutEnds([north(each(0, 80, 8))]);
    // 24 to 56 m
    expect(left).toHaveLength(5);
    expect(wayOf(left!)).toBeCloseTo(32, 3);
  });

  it('is cut along its whole way where it has breaks', () => {
    const left = withoutEnds([north(each(0, 45, 15)), north(each(45, 405, 15), 10)]);
    // the first stretch ends before 50 m
    expect(left).toHaveLength(1);
    expect(wayOf(left[0]!)).toBeCloseTo(285, 3);
  });

  it('tells neither where nor when it was driven', () => {
    const written = writeGpx('track', withoutEnds([north(each(0, 400, 10))]));
    const [first] = readTrack(written)[0]!;
    expect(first).toEqual({ atMs: 0, latDeg: 0, lonDeg: 0, speedMps: undefined });
    expect(written).not.toMatch(/lat="60|lon="11|2026/);
    expect(Math.max(...readTrack(written)[0]!.map(({ latDeg }) => Math.abs(latDeg)))).toBeLessThan(0.01);
  });

  it('keeps lengths, also eastward at a high latitude and over the date line, and so the speeds', () => {
    const metreEast = METRE_DEG / Math.cos((60 * Math.PI) / 180);
    const east = each(0, 400, 8).map((metre, at) => ({
      atMs: 1000 * at,
      latDeg: 60,
      lonDeg: ((179.999 + metre * metreEast + 180) % 360) - 180,
      speedMps: 8,
    }));
    const left = withoutEnds([east]);
    expect(wayOf(left[0]!)).toBeCloseTo(haversineM(east[7]!, east[43]!), 2);
    const { topSpeedMps, notes } = gpxSpeed({ gpx: writeGpx('track', left) });
    expect(topSpeedMps).toBeCloseTo(8, 2);
    // the receiver's own speeds come along
    expect(notes[0]).toMatchObject({ facts: { own: true } });
  });

  it('of points that stand still is the one place, moved; of none it is none', () => {
    expect(withoutEnds([north([0, 0, 0])])[0]).toHaveLength(3);
    expect(withoutEnds([])).toEqual([]);
  });
});
