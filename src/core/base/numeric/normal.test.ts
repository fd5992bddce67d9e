import { highest } from './maximum';
import { normalBelow, normalBetween, normalBeyond, normalQuantile } from './normal';

describe('the standard normal', () => {
  it('has the values of the tables', () => {
    // Abramowitz and Stegun, table 26.1 and 26.2
    expect(normalBelow(0)).toBe(0.5);
    expect(normalBelow(1)).toBeCloseTo(0.841344746068543, 14);
    expect(normalBelow(1.96)).toBeCloseTo(0.97500210485178, 13);
    expect(normalBelow(3)).toBeCloseTo(0.99865010196837, 13);
    expect(normalBeyond(5) / 2.866515718791939e-7).toBeCloseTo(1, 10);
    expect(normalBeyond(10) / 7.61985302416053e-24).toBeCloseTo(1, 10);
    expect(normalQuantile(0.975)).toBeCloseTo(1.959963984540054, 9);
    expect(normalQuantile(0.01)).toBeCloseTo(-2.326347874040841, 9);
  });

  it('goes over from the series to the tail without a step, and keeps figures in either tail', () => {
    expect(normalBeyond(3.5 + 1e-9) / normalBeyond(3.5)).toBeCloseTo(1, 7);
    expect(normalBetween(6, 6.1)).toBeCloseTo(normalBetween(-6.1, -6), 24);
    expect(normalBetween(6, 6.1) / (normalBeyond(6) - normalBeyond(6.1))).toBeCloseTo(1, 12);
    expect(normalBetween(-Infinity, Infinity)).toBe(1);
  });
});

it('finds the top of a hill, and an end that is higher than the inside', () => {
  expect(highest((x) => -((x - 0.3) ** 2), -1, 2).at).toBeCloseTo(0.3, 6);
  expect(highest((x) => x, 0, 1)).toEqual({ at: 1, value: 1 });
});
