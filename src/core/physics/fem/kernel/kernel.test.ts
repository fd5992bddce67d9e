import { randomFrom } from '../../../base/numeric/random';
import { newKernel } from './kernel';

const random = randomFrom(11);
const some = (count: number) => Float64Array.from({ length: count }, () => random() - 0.5);

test('sums, steps and follows vectors of even and odd length', () => {
  for (const count of [1, 2, 7, 12, 101]) {
    const kernel = newKernel();
    const [a, b] = [some(count), some(count)];
    const [atA, atB] = [kernel.keep(a), kernel.keep(b)];
    expect(kernel.code.dot(atA, atB, count)).toBeCloseTo(
      a.reduce((sum, one, at) => sum + one * b[at]!, 0),
      12,
    );
    kernel.code.step(atA, 0.75, atB, count);
    kernel.doubles(atA, count).forEach((one, at) => expect(one).toBeCloseTo(a[at]! + 0.75 * b[at]!, 14));
    kernel.code.follow(atA, -2, atB, count);
    kernel
      .doubles(atA, count)
      .forEach((one, at) => expect(one).toBeCloseTo(-2 * (a[at]! + 0.75 * b[at]!) + b[at]!, 14));
  }
});

test('a banded factor gives back what its matrix was multiplied with, and nothing where a row is empty', () => {
  const [size, band, empty] = [23, 6, 9];
  const full = Array.from({ length: size }, () => new Float64Array(size));
  for (let i = 0; i < size; i++)
    for (let j = Math.max(0, i - band + 1); j <= i; j++)
      if (i !== empty && j !== empty) full[i]![j] = full[j]![i] = i === j ? 2 * band : random() - 0.5;
  const wanted = some(size);
  wanted[empty] = 0;
  const kernel = newKernel();
  const rows = kernel.place(8 * size * band);
  const view = kernel.doubles(rows, size * band);
  for (let i = 0; i < size; i++)
    for (let j = Math.max(0, i - band + 1); j <= i; j++) view[i * band + (j - i + band - 1)] = full[i]![j]!;
  const x = kernel.keep(
    Float64Array.from(full, (row) => row.reduce((sum, one, at) => sum + one * wanted[at]!, 0)),
  );
  kernel.code.factor(size, band, rows);
  kernel.code.solved(size, band, rows, x);
  kernel.doubles(x, size).forEach((one, at) => expect(one).toBeCloseTo(wanted[at]!, 12));
});

test('a place is empty whatever stood there before, and what was kept stays when the memory grows', () => {
  const kernel = newKernel();
  const kept = kernel.keep(Float64Array.of(1, 2, 3));
  const mark = kernel.mark();
  kernel.keep(new Float64Array(1000).fill(7));
  kernel.release(mark);
  const after = kernel.place(8 * 1000);
  expect(after).toBe(mark);
  expect(kernel.doubles(after, 1000).every((one) => one === 0)).toBe(true);
  kernel.place(3_000_000);
  expect([...kernel.doubles(kept, 3)]).toEqual([1, 2, 3]);
});
