import fc from 'fast-check';
import { interpolate } from './interpolate';
import { bisect, secantRoot } from './root';
import { mean, pooledDeviation, sampleDeviation, student95 } from './statistics';

describe('the secant that keeps its bracket', () => {
  it('finds a root in few evaluations, and one at a kink or a jump too', () => {
    let calls = 0;
    const counted = (f: (x: number) => number) => (x: number) => (calls++, f(x));
    expect(
      secantRoot(
        counted((x) => x ** 3 - 2),
        0,
        4,
        1e-9,
      ),
    ).toBeCloseTo(2 ** (1 / 3), 8);
    expect(calls).toBeLessThan(20);
    expect(secantRoot((x) => Math.max(x - 1, 0.01 * (x - 1)), 0, 3, 1e-9)).toBeCloseTo(1, 7);
    expect(secantRoot((x) => (x < 0.3 ? -1 : 1), 0, 1, 1e-9)).toBeCloseTo(0.3, 8);
  });

  it('takes an end that is a root, and refuses a bracket without one', () => {
    expect(secantRoot((x) => x, 0, 1, 1e-9)).toBe(0);
    expect(secantRoot((x) => x - 1, 0, 1, 1e-9)).toBe(1);
    expect(() => secantRoot((x) => x * x + 1, -1, 1, 1e-9)).toThrow(RangeError);
  });
});

describe('bisect', () => {
  it('finds a root to the last digits', () => {
    expect(bisect((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 14);
    expect(bisect((x) => Math.cos(x), 0, 3)).toBeCloseTo(Math.PI / 2, 14);
  });

  it('takes a root at either end, and refuses a bracket without one', () => {
    expect(bisect((x) => x, 0, 1)).toBe(0);
    expect(bisect((x) => x - 1, 0, 1)).toBe(1);
    expect(() => bisect((x) => x * x + 1, -1, 1)).toThrow(RangeError);
  });

  it('finds where a step stands', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (at) => {
        expect(bisect((x) => (x < at ? 1 : -1), 0, 1)).toBeCloseTo(at, 12);
      }),
    );
  });
});

describe('interpolate', () => {
  const points = [
    [0, 10],
    [1, 20],
    [3, 0],
  ] as const;

  it('goes through the points, straight between them, and is held outside', () => {
    for (const [x, y] of points) expect(interpolate(points, x)).toBe(y);
    expect(interpolate(points, 0.25)).toBe(12.5);
    expect(interpolate(points, 2)).toBe(10);
    expect(interpolate(points, -5)).toBe(10);
    expect(interpolate(points, 9)).toBe(0);
  });
});

describe('statistics', () => {
  it('agree with a table by hand', () => {
    expect(mean([2, 4, 4, 4, 5, 5, 7, 9])).toBe(5);
    expect(sampleDeviation([2, 4, 4, 4, 5, 5, 7, 9])).toBeCloseTo(Math.sqrt(32 / 7), 14);
    // Student's t, 97.5 %: 12.706 (1), 2.571 (5), 1.960 (very many)
    expect(student95(1)).toBeCloseTo(12.7062, 4);
    expect(student95(5)).toBeCloseTo(2.5706, 4);
    expect(student95(1e7)).toBeCloseTo(1.96, 4);
  });

  it('do not depend on where zero lies', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 2, maxLength: 20 }),
        fc.integer({ min: -1000, max: 1000 }),
        (values, shift) => {
          expect(sampleDeviation(values.map((value) => value + shift))).toBeCloseTo(
            sampleDeviation(values),
            8,
          );
        },
      ),
    );
  });
});

describe('the pooled deviation', () => {
  it('is what all values have about the mean of their own group, over all degrees of freedom', () => {
    // about 2 and 12: deviations −1, 0, 1 and −2, 2 make 10 over 2 + 1 degrees
    const groups = [
      [1, 2, 3],
      [10, 14],
    ].map((values) => ({ n: values.length, sd: sampleDeviation(values) }));
    expect(pooledDeviation(groups)).toBeCloseTo(Math.sqrt(10 / 3), 12);
    expect(pooledDeviation([])).toBeUndefined();
  });
});
