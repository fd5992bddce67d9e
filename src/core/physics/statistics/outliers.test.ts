import { outliersOf } from './outliers';

describe('values that stand out', () => {
  it('are the two of the textbook’s hand-worked kind', () => {
    // median 3, deviations 0.1 0 0.1 0 0.1 7 → median 0.1: 0.6745 · 7 / 0.1 = 47
    expect(outliersOf([3.1, 3, 2.9, 3, 3.1, 10])).toEqual([5]);
    // 0.6745 · 0.5 / 0.1 = 3.37 stays, 0.6745 · 0.6 / 0.1 = 4.05 goes
    expect(outliersOf([10, 10.1, 9.9, 10.1, 9.9, 10.5, 10])).toEqual([]);
    expect(outliersOf([10, 10.1, 9.9, 10.1, 9.9, 10.6, 10])).toEqual([5]);
  });

  it('are none of three, nor of equal ones', () => {
    expect(outliersOf([1, 1.1, 9])).toEqual([]);
    expect(outliersOf([2, 2, 2, 2, 9])).toEqual([]);
  });
});
