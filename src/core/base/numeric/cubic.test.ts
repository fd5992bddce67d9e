import { cubicBetween } from './cubic';

test('a cubic is met everywhere, at the ends of the grid too', () => {
  const cubic = (x: number) => 2 - x + 3 * x ** 2 - 0.5 * x ** 3;
  const slope = (x: number) => -1 + 6 * x - 1.5 * x ** 2;
  const values = [0, 0.5, 1, 1.5].map(cubic);
  for (const x of [0, 0.2, 0.5, 0.99, 1.5])
    expect(cubicBetween(values, (at) => slope(at / 2), 0.5, x)).toBeCloseTo(cubic(x), 12);
});
