import { applyPatch } from '../../base/patch';
import type { TrackSegment } from '../../car/document/brief';
import { car } from '../../fixtures/car';
import { LAP_LIMITS } from '../../physics/laps/lap';
import { lapOf, planOf } from './lapOfBuild';

const quarter = Math.PI * 2;
const ROUND: TrackSegment[] = [
  { id: 'a', lengthM: 20 },
  { id: 'b', lengthM: 2 * quarter, radiusM: 4 },
  { id: 'c', lengthM: 20 },
  { id: 'd', lengthM: 2 * quarter, radiusM: 4 },
];
const on = (segments: TrackSegment[], style?: number) => {
  const document = applyPatch(car, [
    { path: ['brief', 'track'], value: { segments, ...(style === undefined ? {} : { style }) } },
  ]);
  const found = lapOf(document, car.brief.surfaces[0]);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

describe('the lap of a build', () => {
  it('needs a track', () =>
    expect(lapOf(car, car.brief.surfaces[0])).toEqual({ ok: false, missing: ['brief.track.segments'] }));

  it('is as long as its segments, and their times make the lap', () => {
    const { lap, segmentS, gap } = on(ROUND);
    expect(lap.lengthM).toBeCloseTo(40 + 8 * Math.PI, 9);
    expect(segmentS!.reduce((sum, one) => sum + one, 0)).toBeCloseTo(lap.lapTimeS!, 9);
    // two straights and two half circles: one half like the other
    expect(segmentS![0]! / segmentS![2]!).toBeCloseTo(1, 3);
    expect(gap.m).toBeCloseTo(0, 9);
    expect(gap.deg).toBeCloseTo(0, 9);
  });

  it('is faster the more of the grip the driver uses', () => {
    const [gentle, hard] = [on(ROUND, 0.5), on(ROUND, 1)].map(({ lap }) => lap.lapTimeS!);
    expect(gentle).toBeGreaterThan(hard!);
  });

  it('says by how much a round does not close', () => {
    const { gap } = on(ROUND.slice(0, 3));
    // 20 m there, half a circle of 4 m, 20 m back: 8 m beside the start, pointing the other way
    expect(gap.m).toBeCloseTo(8, 9);
    expect(gap.deg).toBeCloseTo(180, 9);
  });

  it('is drawn with left and right bends', () => {
    const at = (turn: 'left' | 'right') =>
      planOf([{ id: 'a', lengthM: quarter, radiusM: 4, turn }], [quarter]).points[0]!;
    expect(at('left')[0]).toBeCloseTo(4, 9);
    expect(at('left')[1]).toBeCloseTo(4, 9);
    expect(at('right')[1]).toBeCloseTo(-4, 9);
  });
});

describe('a round out of a track', () => {
  const along = (pointsM: [number, number][], closed = true) => {
    const line = { name: 't.gpx', closed, pointsM, rounds: 3 };
    const document = applyPatch(car, [{ path: ['brief', 'track'], value: { line } }]);
    const found = lapOf(document, car.brief.surfaces[0]);
    if (!found.ok) throw new Error(found.missing.join());
    return found.value;
  };
  const circle = (radius: number, turns = 1, points = 200): [number, number][] =>
    Array.from({ length: points }, (_, k) => {
      const angle = (2 * Math.PI * turns * k) / points;
      return [radius * Math.sin(angle), radius * (1 - Math.cos(angle))];
    });

  it('takes as long as the same circle laid out by hand, and is drawn where it was driven', () => {
    const { lap, plan, crossing, gap } = along(circle(8));
    const laid = on([{ id: 'a', lengthM: 16 * Math.PI, radiusM: 8 }]);
    expect(lap.lapTimeS! / laid.lap.lapTimeS!).toBeCloseTo(1, 2);
    expect(plan).toHaveLength(lap.series!.sM.length);
    for (const [x, y] of plan) expect(Math.hypot(x, y - 8)).toBeCloseTo(8, 2);
    expect(crossing).toBeUndefined();
    expect(gap).toEqual({ m: 0, deg: 0 });
  });

  it('goes before what is laid out, and is driven once from a standstill where it comes back to nowhere', () => {
    const { lap } = along(
      [
        [0, 0],
        [20, 0],
        [40, 0],
      ],
      false,
    );
    expect(lap.lengthM).toBeCloseTo(40, 6);
    expect(lap.series!.speedMps[0]).toBe(0);
  });

  it('says where it crosses itself', () => {
    // a bow tie: the diagonals of a square of 10 m meet in its middle
    const { crossing } = along([
      [0, 0],
      [10, 10],
      [10, 0],
      [0, 10],
    ]);
    expect(crossing!.atM).toBeCloseTo(Math.SQRT2 * 5, 6);
    expect(crossing!.againM).toBeCloseTo(Math.SQRT2 * 10 + 10 + Math.SQRT2 * 5, 6);
    // round twice to the left is over itself where it closes, a single round is not
    expect(on([{ id: 'a', lengthM: 16 * Math.PI, radiusM: 8 }]).crossing).toBeUndefined();
    const eight = on([
      { id: 'a', lengthM: 1.5 * Math.PI * 8, radiusM: 8 },
      { id: 'b', lengthM: 16 },
      { id: 'c', lengthM: 1.5 * Math.PI * 8, radiusM: 8, turn: 'right' },
      { id: 'd', lengthM: 16 },
    ]);
    expect(eight.crossing).toBeDefined();
  });

  it('tells what decides in each stretch, of the time as much as the shares say', () => {
    const { lap } = on(ROUND);
    const { tS } = lap.series!;
    expect(lap.decidedBy).toHaveLength(tS.length - 1);
    for (const by of LAP_LIMITS) {
      const seconds = lap.decidedBy!.reduce(
        (sum, one, at) => sum + (one === by ? tS[at + 1]! - tS[at]! : 0),
        0,
      );
      expect(seconds / lap.lapTimeS!).toBeCloseTo(lap.shares![by], 9);
    }
  });
});
