import fc from 'fast-check';
import { lifeEstimate } from './life';
import { runsCompare } from './runsCompare';

describe('two groups of runs', () => {
  it('compare as Student’s sleepers do under Welch’s test: t 1.8608, df 17.776, p 0.07939', () => {
    const a = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2];
    const b = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];
    const found = runsCompare({ a, b, better: 'higher' });
    expect(found.t).toBeCloseTo(1.8608, 4);
    expect(found.df).toBeCloseTo(17.776, 3);
    expect(found.p).toBeCloseTo(0.07939, 5);
    expect(found.ci95![0]).toBeCloseTo(-0.2054832, 6);
    expect(found.ci95![1]).toBeCloseTo(3.3654832, 6);
    expect(found.verdict).toBe('no difference shown');
    expect(runsCompare({ a, b: b.map((value) => value + 1), better: 'higher' }).verdict).toBe('better');
    expect(runsCompare({ a, b: b.map((value) => value + 1), better: 'lower' }).verdict).toBe('worse');
  });

  it('need as many runs as the tables of power say: half a standard deviation takes 64, a whole 17', () => {
    const spread = (middle: number) => [middle - 1, middle, middle + 1];
    expect(runsCompare({ a: spread(0), b: spread(0.5), better: 'higher' }).runsNeeded).toBe(64);
    expect(runsCompare({ a: spread(0), b: spread(1), better: 'higher' })).toMatchObject({
      runsNeeded: 17,
      verdict: 'no difference shown',
    });
  });

  it('are too few under three, say nothing without spread, and nothing of a single run', () => {
    expect(runsCompare({ a: [1, 2], b: [8, 9, 10], better: 'higher' })).toMatchObject({
      verdict: 'too few runs',
      t: expect.any(Number),
    });
    const flat = runsCompare({ a: [1, 1, 1], b: [2, 2, 2], better: 'higher' });
    expect(flat).toMatchObject({ verdict: 'no difference shown', difference: 1 });
    expect(flat.t ?? flat.p ?? flat.ci95 ?? flat.runsNeeded).toBeUndefined();
    expect(runsCompare({ a: [1], b: [2, 3, 4], better: 'higher' })).not.toHaveProperty('runsNeeded');
    expect(runsCompare({ a: [1], b: [2, 3, 4], better: 'higher' })).toMatchObject({
      verdict: 'too few runs',
    });
  });

  it('turn the other way round when they change places', () => {
    const values = fc.array(fc.double({ min: 1, max: 50, noNaN: true }), { minLength: 3, maxLength: 9 });
    fc.assert(
      fc.property(values, values, (a, b) => {
        const [one, other] = [
          runsCompare({ a, b, better: 'higher' }),
          runsCompare({ a: b, b: a, better: 'lower' }),
        ];
        expect(other.difference).toBeCloseTo(-one.difference, 9);
        expect(other.p ?? 0).toBeCloseTo(one.p ?? 0, 9);
        expect(other.verdict === one.verdict || one.verdict === 'better' || one.verdict === 'worse').toBe(
          true,
        );
      }),
      { seed: 5, numRuns: 80 },
    );
  });
});

describe('mean life', () => {
  it('has bounds of the chi-square tables', () => {
    // χ²(0.9; 2) = 4.605, χ²(0.9; 6) = 10.645, χ²(0.1; 4) = 1.064
    expect(lifeEstimate({ exposureHours: 4.5, failures: 0 }).lowerHours).toBeCloseTo(9 / 4.605, 3);
    const two = lifeEstimate({ exposureHours: 10, failures: 2 });
    expect(two.mtbfHours).toBe(5);
    expect(two.lowerHours).toBeCloseTo(20 / 10.645, 3);
    expect(two.upperHours).toBeCloseTo(20 / 1.064, 1);
  });

  it('says so in words', () => {
    expect(lifeEstimate({ exposureHours: 4.5, failures: 0 }).words).toBe(
      'held 4.5 h with no failure: at 90 % confidence its mean life is over 1.95 h',
    );
    expect(lifeEstimate({ exposureHours: 10, failures: 1 }).words).toMatch(/^failed once in 10 h/);
  });
});
