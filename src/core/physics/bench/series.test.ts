import { parse } from '../../base/schema/parse';
import { normalFrom } from '../../base/numeric/random';
import { refusalOf } from '../../fixtures/refused';
import { fBeyond } from './lineOrCurve';
import { seriesFit, type SeriesInput } from './series';
import { seriesFitSchema } from './series.schema';

const series = (points: [x: number, ...values: number[]][], more: object = {}) =>
  seriesFit(
    parse<SeriesInput>(seriesFitSchema, {
      points: points.map(([x, ...values]) => ({ x, values })),
      better: 'higher',
      ...more,
    }),
  );

describe('a series of one setting', () => {
  it('has the line of least squares with its F test, by hand', () => {
    // 1: 1, 2; 2: 2, 3; 3: 4, 5: the slope is 1.5 through (2, 17/6); 10 5/6 in all, 9 of it explained
    const found = series([
      [1, 1, 2],
      [2, 2, 3],
      [3, 4, 5],
    ]);
    expect(found.shape).toBe('linear');
    expect(found.coefficients[1]).toBeCloseTo(1.5, 12);
    expect(found.coefficients[0]! + 2 * found.coefficients[1]!).toBeCloseTo(17 / 6, 12);
    const total = [1, 2, 2, 3, 4, 5].reduce((sum, y) => sum + (y - 17 / 6) ** 2, 0);
    const sse = total - 9;
    expect(found.residualSd! ** 2).toBeCloseTo(sse / 4, 12);
    expect(found.regression!.f).toBeCloseTo(9 / (sse / 4), 9);
    // pure error: three pairs one apart, a half each
    expect(found.pooledSd! ** 2).toBeCloseTo(0.5, 12);
    expect(found.lackOfFit!.f).toBeCloseTo((sse - 1.5) / 1 / 0.5, 9);
    expect(found).toMatchObject({
      verdict: 'better towards an end',
      bestX: 3,
      bestAt: 'end',
      bestTriedX: 3,
      nextX: 4,
      nextOutside: true,
    });
  });

  it('has the F distribution of the tables', () => {
    // 5 % points: 4.96 of (1, 10), 4.10 of (2, 10), 161.4 of (1, 1)
    expect(fBeyond(4.9646, 1, 10)).toBeCloseTo(0.05, 4);
    expect(fBeyond(4.1028, 2, 10)).toBeCloseTo(0.05, 4);
    expect(fBeyond(161.45, 1, 1)).toBeCloseTo(0.05, 4);
  });

  const noise = normalFrom(7);
  const curve = ([2, 4, 6, 8, 10] as const).map(
    (x) => [x, ...[0, 1, 2].map(() => 20 - 0.5 * (x - 6.5) ** 2 + 0.4 * noise())] as [number, ...number[]],
  );

  it('finds the best value of a curve inside what was tried, with the interval of Fieller', () => {
    const found = series(curve);
    expect(found).toMatchObject({ shape: 'quadratic', verdict: 'best inside', bestAt: 'inside' });
    expect(Math.abs(found.bestX! - 6.5)).toBeLessThan(0.5);
    const [b0, b1, b2] = found.coefficients as [number, number, number];
    expect(found.bestX).toBeCloseTo(-b1 / (2 * b2), 9);
    expect(found.bestMean).toBeCloseTo(b0 - b1 ** 2 / (4 * b2), 9);
    const [low, high] = found.bestInterval!;
    expect(low).toBeLessThan(6.5);
    expect(high).toBeGreaterThan(6.5);
    // for a sure curve Fieller's interval is that of the delta method: twice t times its error
    expect((high - low) / (2 * 2.1788 * found.bestErrorX!)).toBeCloseTo(1, 1);
    expect(found.nextReductionPct).toBeGreaterThan(0);
    expect(found.nextX).toBeGreaterThanOrEqual(2);
    expect(found.nextX).toBeLessThanOrEqual(10);
    expect(found.nextOutside).toBe(false);
  });

  it('tells the next value by what it would take off the variance of the best one', () => {
    const found = series(curve, { candidates: [2, 3, 5, 6.5, 9, 10, 12] });
    const errorAt = (extra: number[]) => {
      // the error of the best value scales with the design alone: compare designs by their own fits of the same curve
      const points = curve.map(([x, ...values]) => [x, ...values] as [number, ...number[]]);
      const [b0, b1, b2] = found.coefficients as [number, number, number];
      const exact = points.map(([x, ...values]) => [x, ...values.map(() => b0 + b1 * x + b2 * x * x)]);
      for (const x of extra) {
        const known = exact.find(([at]) => at === x);
        const y = b0 + b1 * x + b2 * x * x;
        if (known) known.push(y);
        else exact.push([x, y]);
      }
      return varianceOfBest(exact as [number, ...number[]][], b1, b2);
    };
    const reduction = (x: number) => 100 * (1 - errorAt([x]) / errorAt([]));
    const best = [2, 3, 5, 6.5, 9, 10, 12].reduce((a, b) => (reduction(b) > reduction(a) + 1e-9 ? b : a));
    expect(found.nextX).toBe(best);
    expect(found.nextReductionPct).toBeCloseTo(reduction(best), 6);
    expect(found.nextOutside).toBe(best > 10);
  });

  it('shows no difference where there is none, and says when results are too few', () => {
    expect(
      series([
        [1, 5, 6, 7],
        [2, 6, 5, 7],
        [3, 7, 6, 5],
      ]),
    ).toMatchObject({ verdict: 'no difference shown' });
    expect(
      series([
        [1, 5, 6, 7],
        [2, 6, 5, 7],
        [3, 7, 6, 5],
      ]).bestX,
    ).toBeUndefined();
    const flat = series([
      [1, 5, 5],
      [2, 5, 5],
    ]);
    expect(flat.verdict).toBe('no difference shown');
    expect(flat.regression).toBeUndefined();
    const few = series([
      [1, 5],
      [2, 6],
    ]);
    expect(few).toMatchObject({ verdict: 'too few results' });
    expect([few.df, few.residualSd]).toEqual([undefined, undefined]);
    // exactly on a line: no spread is left to hold it against
    expect(
      series(
        [
          [1, 1],
          [2, 2],
          [3, 3],
          [5, 5],
        ],
        { shape: 'linear' },
      ).regression,
    ).toEqual({ df1: 1, df2: 2, p: 0 });
  });

  it('goes no further than the limit, and the other way round where lower is better', () => {
    const up: [number, ...number[]][] = [
      [1, 1, 1.1],
      [2, 2, 2.1],
      [3, 3, 3.1],
    ];
    expect(series(up, { limits: { max: 3.4 } }).nextX).toBe(3.4);
    const stuck = series(up, { limits: { max: 3 } });
    expect(stuck.nextX).toBeUndefined();
    expect(stuck.notes[0]!.code).toBe('note.series.atLimit');
    expect(series(up, { better: 'lower' })).toMatchObject({ bestX: 1, nextX: 0 });
  });

  it('says that a line bends, and which value repeats best where one scatters more', () => {
    const bent = series([
      [1, 1, 1.1, 0.9],
      [2, 3, 3.1, 2.9],
      [3, 1, 1.1, 0.9],
    ]);
    expect(bent.findings[0]).toMatchObject({ severity: 'tight', why: { code: 'series.lackOfFit' } });
    const wild = series([
      [1, 10, 10.1, 9.9, 10, 10.05],
      [2, 14, 8, 17, 11, 13],
      [3, 15, 15.1, 14.9, 15, 15.05],
    ]);
    expect(wild.spread!.p).toBeLessThan(0.05);
    expect(wild.mostRepeatableX).toBe(1);
  });

  it('refuses a value twice and a curve through two', () => {
    expect(
      refusalOf(() =>
        series([
          [1, 1],
          [1, 2],
        ]),
      ).path,
    ).toBe('points.1.x');
    expect(
      refusalOf(() =>
        series(
          [
            [1, 1],
            [2, 2],
          ],
          { shape: 'quadratic' },
        ),
      ).path,
    ).toBe('shape');
  });
});

/** Variance of −b1/2b2 for a spread of 1, by the delta method with the normal equations in x. */
function varianceOfBest(points: [number, ...number[]][], b1: number, b2: number): number {
  const xs = points.flatMap(([x, ...values]) => values.map(() => x));
  const sum = (power: number) => xs.reduce((total, x) => total + x ** power, 0);
  const [n, s1, s2, s3, s4] = [0, 1, 2, 3, 4].map(sum) as [number, number, number, number, number];
  const det = n * (s2 * s4 - s3 * s3) - s1 * (s1 * s4 - s2 * s3) + s2 * (s1 * s3 - s2 * s2);
  const m11 = (n * s4 - s2 * s2) / det;
  const m12 = -(n * s3 - s1 * s2) / det;
  const m22 = (n * s2 - s1 * s1) / det;
  const [g1, g2] = [-1 / (2 * b2), b1 / (2 * b2 * b2)];
  return g1 * g1 * m11 + 2 * g1 * g2 * m12 + g2 * g2 * m22;
}
