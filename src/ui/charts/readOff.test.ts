import { cutsOf } from './cuts';
import { valueAt } from './valueAt';

const RISING = { xs: [0, 1, 3], ys: [0, 2, 10] };

describe('reading a line off its chart', () => {
  it('runs straight between its points', () => {
    expect(valueAt(RISING, 0.5)).toBe(1);
    expect(valueAt(RISING, 2)).toBe(6);
    expect(valueAt(RISING, 3)).toBe(10);
  });
  it('shows nothing off its ends', () => {
    expect(valueAt(RISING, -0.1)).toBeUndefined();
    expect(valueAt(RISING, 3.1)).toBeUndefined();
  });
  it('reads a line that runs to the left', () => {
    expect(valueAt({ xs: [4, 2], ys: [0, 1] }, 3)).toBe(0.5);
  });
});

describe('where a line is cut by its axis', () => {
  it('is where it crosses the end, both ways', () => {
    expect(cutsOf({ xs: [0, 2, 4], ys: [8, 12, 8] }, 10)).toEqual([1, 3]);
  });
  it('is nowhere for a line that stays inside or that ends at the edge', () => {
    expect(cutsOf({ xs: [0, 2], ys: [8, 10] }, 10)).toEqual([]);
  });
});
