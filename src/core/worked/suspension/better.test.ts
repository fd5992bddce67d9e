import { refusalOf } from '../../fixtures/refused';
import { type BetterTask, searchBetter } from './better';
import type { Corner } from '../../physics/corner/corner';
import { flatTieHeight } from '../../physics/corner/flatten';
import { pointsFromCsv, pointsToCsv } from './pointsCsv';
import { startCorner, startRocker } from './start';
import { steeringGeometry } from '../../physics/corner/steering';
import { suspensionSweep } from '../../physics/corner/sweep';

const size = { wheelbaseMm: 280, trackMm: 200, tyreRadiusMm: 40 };
const drawn = startCorner('unequal', 'front', size);
const corner = { ...drawn, end: 'front', tyreRadiusMm: 40 } as Corner;
const steep = {
  ...corner,
  tieInner: [corner.tieInner![0], corner.tieInner![1] - 4, corner.tieInner![2] + 5],
} as Corner;
const task: BetterTask = {
  corner: steep,
  wheelbaseMm: 280,
  bumpMm: 16,
  droopMm: 10,
  rackMm: 6,
  free: [
    { point: 'tieInner', axis: 1, plusMinusMm: 8 },
    { point: 'tieInner', axis: 2, plusMinusMm: 8 },
  ],
  wants: { bumpSteerDegPerMm: 0 },
  trials: 600,
};

function finish(given: BetterTask) {
  const search = searchBetter(given);
  const steps: number[] = [];
  for (;;) {
    const next = search.next();
    if (next.done) return { result: next.value, steps };
    steps.push(next.value);
  }
}

describe('a better point', () => {
  it('flattens the toe over the whole travel, within its boxes', () => {
    const { result, steps } = finish(task);
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    expect(steps.at(-1)).toBe(600);
    expect(result.before.toeOffDeg).toBeGreaterThan(0.5);
    expect(result.after.toeOffDeg).toBeLessThan(result.before.toeOffDeg / 8);
    const { stations } = suspensionSweep({ ...result.corner, travelMm: { from: -10, to: 16, step: 1 } });
    expect(Math.max(...stations.map(({ toeDeg }) => Math.abs(toeDeg)))).toBeLessThan(0.1);
    expect(result.moved.map(({ point }) => point)).toEqual(['tieInner']);
    for (const axis of [1, 2] as const)
      expect(Math.abs(result.moved[0]!.to[axis] - steep.tieInner![axis])).toBeLessThanOrEqual(8);
    expect(result.moved[0]!.to[0]).toBe(steep.tieInner![0]);
  });

  it('finds the height that the root of the slope gives, where only that is free', () => {
    const { result } = finish({
      ...task,
      free: [{ point: 'tieInner', axis: 2, plusMinusMm: 8 }],
      trials: 400,
    });
    // the curve over the travel pulls it a little from the slope at rest
    expect(result.corner.tieInner![2]).toBeCloseTo(flatTieHeight(steep)!, 0);
  });

  it('meets several wishes at once, read again by the operations', () => {
    const free = (['upperFront', 'upperRear', 'upperOuter'] as const).flatMap((point) =>
      ([0, 2] as const).map((axis) => ({ point, axis, plusMinusMm: 8 })),
    );
    const { result } = finish({
      ...task,
      corner,
      free: [
        ...free,
        { point: 'tieInner', axis: 2, plusMinusMm: 8 },
        { point: 'tieOuter', axis: 1, plusMinusMm: 10 },
      ],
      wants: { bumpSteerDegPerMm: 0, camberGainDegPerMm: -0.15, casterDeg: 5, ackermannPct: 60 },
      trials: 1800,
    });
    const sweep = suspensionSweep({ ...result.corner, travelMm: [0] });
    expect(sweep.camberGainDegPerMm).toBeCloseTo(-0.15, 2);
    expect(sweep.bumpSteerDegPerMm).toBeCloseTo(0, 2);
    expect(sweep.stations[0]!.casterDeg).toBeCloseTo(5, 0);
    expect(result.after).not.toHaveProperty('rollCentreMm');
    const [row] = steeringGeometry({ corner: result.corner, wheelbaseMm: 280, rackMm: [6] }).rows;
    expect(Math.abs(row!.ackermannPct! - 60)).toBeLessThan(6);
    expect(result.costAfter).toBeLessThan(result.costBefore / 20);
  });

  it('is the same for the same seed, and refuses what it cannot search', () => {
    expect(finish({ ...task, trials: 200 }).result).toEqual(finish({ ...task, trials: 200 }).result);
    const refusal = (more: Partial<BetterTask>) => refusalOf(() => finish({ ...task, ...more })).path;
    expect(refusal({ free: [] })).toBe('free');
    expect(refusal({ wants: {} })).toBe('wants');
    expect(refusal({ free: [{ point: 'upperInner', axis: 0, plusMinusMm: 2 }] })).toBe('free.0.point');
    expect(refusal({ rackMm: 0, wants: { ackermannPct: 50 } })).toBe('wants.ackermannPct');
  });
});

describe('hard points as CSV', () => {
  it('come back as they went', () => {
    expect(
      pointsFromCsv(pointsToCsv(drawn), startCorner('unequal', 'front', { ...size, trackMm: 240 })),
    ).toEqual({ ...drawn });
    const { damper: _, ...bare } = drawn;
    const rockered = { ...bare, rocker: startRocker(drawn, 40) };
    expect(
      pointsFromCsv(pointsToCsv(rockered), { ...rockered, rocker: { ...rockered.rocker, pivot: [0, 0, 0] } }),
    ).toEqual(rockered);
    expect(pointsToCsv(drawn).split('\n')[0]).toBe('point,x_mm,y_mm,z_mm');
  });

  it('read decimal commas, and leave alone what they do not name', () => {
    const read = pointsFromCsv('lowerOuter;1,5;84;22,25\n', drawn);
    expect(read).toEqual({ ...drawn, lowerOuter: [1.5, 84, 22.25] });
  });

  it('name the line that they cannot read', () => {
    expect(
      refusalOf(() => pointsFromCsv('point,x_mm,y_mm,z_mm\nlowerOuter,1,2,3\nupperInner,1,2,3', drawn)),
    ).toMatchObject({ path: 'line 3', code: 'points.unknown', given: { name: 'upperInner' } });
    expect(refusalOf(() => pointsFromCsv('lowerOuter,1,,3', drawn))).toMatchObject({
      path: 'line 1',
      code: 'points.numbers',
    });
    expect(refusalOf(() => pointsFromCsv('  ', drawn)).code).toBe('points.empty');
  });
});
