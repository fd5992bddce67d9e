import chiSquareQuantile from '@stdlib/stats-base-dists-chisquare-quantile';
import negativeBinomialCdf from '@stdlib/stats-base-dists-negative-binomial-cdf';
import poissonCdf from '@stdlib/stats-base-dists-poisson-cdf';
import tCdf from '@stdlib/stats-base-dists-t-cdf';
import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import fc from 'fast-check';
import {
  betaBelow,
  chiSquareBelow,
  gammaBelow,
  logGamma,
  negativeBinomialAtMost,
  poissonAtMost,
  studentBelow,
  studentBeyond,
} from './distributions';

const near = (found: number, meant: number, share = 1e-9) =>
  expect(Math.abs(found - meant)).toBeLessThanOrEqual(share * Math.max(1, Math.abs(meant)));
const freedom = fc.oneof(fc.integer({ min: 1, max: 400 }), fc.double({ min: 0.6, max: 60, noNaN: true }));
const probability = fc.double({ min: 0.001, max: 0.999, noNaN: true });
const times = (seed: number) => ({ seed, numRuns: 400 });

describe('the functions that distributions are made of', () => {
  it('give factorials and the root of π', () => {
    for (const [x, meant] of [
      [1, 0],
      [2, 0],
      [5, Math.log(24)],
      [11, Math.log(3_628_800)],
      [0.5, Math.log(Math.sqrt(Math.PI))],
    ] as const)
      near(logGamma(x), meant, 1e-13);
  });

  it('have closed forms: I_x(1, b) = 1 − (1 − x)^b, P(1, x) = 1 − e^−x, I_x(a, b) = 1 − I_1−x(b, a)', () => {
    fc.assert(
      fc.property(probability, freedom, freedom, (x, a, b) => {
        near(betaBelow(x, 1, b), 1 - (1 - x) ** b, 1e-12);
        near(gammaBelow(1, a * x), 1 - Math.exp(-a * x), 1e-12);
        near(betaBelow(x, a, b) + betaBelow(1 - x, b, a), 1, 1e-12);
      }),
      times(1),
    );
    expect([betaBelow(0, 2, 3), betaBelow(1, 2, 3), gammaBelow(2, 0)]).toEqual([0, 1, 0]);
  });
});

describe('the distributions', () => {
  it('stand in the tables: t of 0.975 and chi-square of 0.95 and 0.05', () => {
    // Fisher and Yates, Statistical Tables
    for (const [degrees, t] of [
      [1, 12.706],
      [2, 4.303],
      [5, 2.571],
      [10, 2.228],
      [30, 2.042],
      [120, 1.98],
    ] as const)
      expect(studentBelow(0.975, degrees)).toBeCloseTo(t, 3);
    for (const [degrees, low, high] of [
      [1, 0.00393, 3.841],
      [4, 0.711, 9.488],
      [10, 3.94, 18.307],
    ] as const) {
      expect(chiSquareBelow(0.05, degrees)).toBeCloseTo(low, 3);
      expect(chiSquareBelow(0.95, degrees)).toBeCloseTo(high, 3);
    }
    // one degree is Cauchy's, two have a closed form too
    near(studentBelow(0.9, 1), Math.tan(Math.PI * 0.4), 1e-12);
    near(studentBelow(0.9, 2), 0.8 / Math.sqrt(2 * 0.9 * 0.1), 1e-12);
    near(studentBeyond(1, 1), 0.5, 1e-14);
    expect([studentBelow(0.5, 7), studentBelow(0.2, 7)]).toEqual([0, -studentBelow(0.8, 7)]);
  });

  it('count as sums do: e^−m Σ m^k/k! and Σ C(k + r − 1, k) p^r (1 − p)^k', () => {
    near(poissonAtMost(2, 3), Math.exp(-3) * (1 + 3 + 4.5), 1e-13);
    near(negativeBinomialAtMost(2, 3, 0.4), 0.4 ** 3 * (1 + 3 * 0.6 + 6 * 0.36), 1e-13);
  });

  it('agree with a library of their own that is not shipped', () => {
    fc.assert(
      fc.property(
        probability,
        freedom,
        fc.integer({ min: 0, max: 300 }),
        fc.double({ min: 0.01, max: 120, noNaN: true }),
        (p, degrees, count, mean) => {
          near(studentBelow(p, degrees), tQuantile(p, degrees), 1e-7);
          near(studentBeyond(mean / 10, degrees), 2 * tCdf(-mean / 10, degrees), 1e-10);
          near(chiSquareBelow(p, degrees), chiSquareQuantile(p, degrees), 1e-7);
          near(poissonAtMost(count, mean), poissonCdf(count, mean), 1e-10);
          near(negativeBinomialAtMost(count, degrees, p), negativeBinomialCdf(count, degrees, p), 1e-10);
        },
      ),
      times(2),
    );
  });
});
