import { printCoverage } from '../../fixtures/coverage';
import { normalFrom } from '../../base/numeric/random';
import { mean } from '../../base/numeric/statistics';
import { compareRuns } from './compareRuns';
import { runsCompare } from './runsCompare';

/** A run of three attempts: 2 % between runs, 1 % within, about a true figure. */
const drive = (truth: number, normal: () => number): number[] => {
  const day = truth * (1 + 0.02 * normal());
  return Array.from({ length: 3 }, () => day * (1 + 0.01 * normal()));
};

describe('two revisions compared by their runs', () => {
  it('are the t test of the textbook with the spread pooled, by hand', () => {
    // means 10 and 12; within groups 2, 2 and 8 about their means over 1 + 1 + 1 degrees: variance 4, error 2·√(1/2 + 1/2)
    const found = compareRuns({
      a: [9, 11],
      b: [11, 13],
      better: 'higher',
      groups: [
        [9, 11],
        [11, 13],
        [5, 9],
      ],
    });
    expect(found).toMatchObject({ difference: 2, df: 3, verdict: 'no difference shown' });
    expect(found.t).toBeCloseTo(1, 12);
    // t of 3 degrees at 97.5 % is 3.182
    expect(found.ci95![1] - 2).toBeCloseTo(2 * 3.182, 2);
  });

  it('call nothing a difference in one case of twenty, where attempts alone do so far more often: seeded', () => {
    const normal = normalFrom(3117);
    const tries = 4000;
    const found = { runs: 0, attempts: 0 };
    for (let k = 0; k < tries; k++) {
      const [a, b, c] = [0, 1, 2].map(() => Array.from({ length: 3 }, () => drive(10, normal))) as [
        number[][],
        number[][],
        number[][],
      ];
      const means = [a, b, c].map((group) => group.map(mean));
      const decided = (verdict: string) => (verdict === 'better' || verdict === 'worse' ? 1 : 0);
      found.runs += decided(
        compareRuns({ a: means[0]!, b: means[1]!, better: 'higher', groups: means }).verdict,
      );
      found.attempts += decided(runsCompare({ a: a.flat(), b: b.flat(), better: 'higher' }).verdict);
    }
    printCoverage(
      `two revisions without a difference: decided by runs in ${found.runs / tries}, by attempts in ${found.attempts / tries}`,
    );
    expect(Math.abs(found.runs / tries - 0.05)).toBeLessThan(3 * Math.sqrt((0.05 * 0.95) / tries));
    expect(found.attempts / tries).toBeGreaterThan(0.15);
  });

  it('hold the difference within their interval in 95 of 100, and see a large one', () => {
    const normal = normalFrom(7);
    const tries = 4000;
    let held = 0;
    let seen = 0;
    for (let k = 0; k < tries; k++) {
      const groups = [10, 11.5].map((truth) => Array.from({ length: 4 }, () => mean(drive(truth, normal))));
      const { ci95, verdict } = compareRuns({ a: groups[0]!, b: groups[1]!, better: 'higher', groups });
      if (ci95![0] <= 1.5 && ci95![1] >= 1.5) held++;
      if (verdict === 'better') seen++;
    }
    printCoverage(`interval of a difference of 15 %: holds it in ${held / tries}, seen in ${seen / tries}`);
    expect(Math.abs(held / tries - 0.95)).toBeLessThan(3 * Math.sqrt((0.05 * 0.95) / tries));
    expect(seen / tries).toBeGreaterThan(0.95);
  });

  it('are too few while no two runs alike tell how far runs lie apart', () => {
    expect(compareRuns({ a: [1], b: [2], better: 'higher', groups: [[1], [2]] })).toEqual({
      difference: 1,
      verdict: 'too few runs',
      notes: [],
    });
    // one run on a side will do where others tell the spread
    expect(
      compareRuns({ a: [10], b: [13], better: 'lower', groups: [[10], [13], [9, 9.1, 9.2], [8, 8.1]] })
        .verdict,
    ).toBe('worse');
  });
});
