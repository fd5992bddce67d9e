import { applyPatch } from '../../base/patch';
import type { TrackSegment } from '../../car/document/brief';
import { car } from '../../fixtures/car';
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
