import { laidOnBed } from './bed';
import { measureMesh } from './measure';
import { boxCorners, meshOf } from './shapes';

test.each([
  [[0, 0, 1], 5],
  [[0, 0, -1], 5],
  [[1, 0, 0], 20],
  [[0, -1, 0], 10],
  [[1, 0, 1], (20 + 5) / Math.SQRT2],
] as const)(
  'a box of 20 × 10 × 5 with %j up stands %d high on the bed, its middle over the origin',
  (up, high) => {
    const laid = measureMesh(laidOnBed(meshOf(boxCorners([3, 4, 5], [23, 14, 10])), up), {});
    expect(laid.boundsMm.min[2]).toBeCloseTo(0, 9);
    expect(laid.boundsMm.max[2]).toBeCloseTo(high, 9);
    expect(laid.boundsMm.max[0] + laid.boundsMm.min[0]).toBeCloseTo(0, 9);
    expect(laid.volumeMm3).toBeCloseTo(1000, 9);
    expect(laid.watertight).toBe(true);
  },
);
