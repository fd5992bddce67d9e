import type { Hole, Reading } from './definition';
import { solvedPattern } from './pattern';

const places = [
  [0, 0],
  [60, 0],
  [60, 40],
  [0, 40],
] as const;
const holes: Hole[] = places.map((_, at) => ({ id: `h${at}`, diameterMm: 3 }));
const read = (i: number, j: number): Reading => ({
  from: `h${i}`,
  to: `h${j}`,
  kind: 'centres',
  valueMm: Math.hypot(places[i]![0] - places[j]![0], places[i]![1] - places[j]![1]),
});

test('a ring that folds asks for a diagonal, which leaves nothing loose', () => {
  const { next, ellipses, result } = solvedPattern({
    holes,
    readings: [read(0, 1), read(1, 2), read(2, 3), read(3, 0)],
  });
  expect(result.rigid).toBe(false);
  expect(ellipses).toEqual([]);
  expect(next!.looseLeft).toBe(0);
  expect([
    ['h0', 'h2'],
    ['h1', 'h3'],
  ]).toContainEqual([next!.from, next!.to]);
});

test('the next reading leaves just the error that it foretells', () => {
  const readings = [read(0, 1), read(1, 2), read(2, 3), read(3, 0), read(0, 2)];
  const { next, largestErrorMm, ellipses } = solvedPattern({ holes, readings });
  expect([next!.from, next!.to]).toEqual(['h1', 'h3']);
  expect(next!.largestErrorMm!).toBeLessThan(largestErrorMm!);
  expect(solvedPattern({ holes, readings: [...readings, read(1, 3)] }).largestErrorMm).toBeCloseTo(
    next!.largestErrorMm!,
    9,
  );
  expect(ellipses[0]).toMatchObject({ majorMm: 0, minorMm: 0 });
  expect(ellipses[1]!.minorMm).toBe(0);
});

test('nothing is asked for where all was read', () => {
  expect(
    solvedPattern({
      holes,
      readings: [read(0, 1), read(1, 2), read(2, 3), read(3, 0), read(0, 2), read(1, 3)],
    }).next,
  ).toBeUndefined();
});
