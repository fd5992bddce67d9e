import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { type OperationFinding } from '../../base/operationFinding';
import { mean, median, sampleDeviation } from '../../base/numeric/statistics';
import { studentBelow } from '../../base/numeric/distributions';
import { fBeyond, type Fitted, fittedTo, type FTest, product, termsOf, through } from './lineOrCurve';

declare module '../../base/errors' {
  interface RefusalFacts {
    'series.twice': { x: number };
    'series.shape': Record<never, never>;
  }
}
declare module '../../base/finding' {
  interface FindingFacts {
    'series.lackOfFit': Record<never, never>;
    'note.series.openInterval': Record<never, never>;
    'note.series.atLimit': Record<never, never>;
  }
}

export const SERIES_SHAPES = ['linear', 'quadratic'] as const;
export type SeriesShape = (typeof SERIES_SHAPES)[number];
export const SERIES_VERDICTS = [
  'too few results',
  'no difference shown',
  'best inside',
  'better towards an end',
] as const;
export type SeriesVerdict = (typeof SERIES_VERDICTS)[number];

export interface SeriesInput {
  points: { x: number; values: number[] }[];
  better: 'higher' | 'lower';
  shape?: SeriesShape;
  confidence?: number;
  candidates?: number[];
  limits?: { min?: number; max?: number };
}

export interface SeriesValue {
  x: number;
  n: number;
  mean: number;
  sd?: number;
}

export interface SeriesResult {
  shape: SeriesShape;
  values: SeriesValue[];
  pooledSd?: number;
  pooledDf: number;
  bestTriedX: number;
  coefficients: number[];
  residualSd?: number;
  df?: number;
  regression?: FTest;
  lackOfFit?: FTest;
  verdict: SeriesVerdict;
  bestX?: number;
  bestAt?: 'inside' | 'end';
  bestMean?: number;
  bestMeanCi?: [number, number];
  bestInterval?: [number, number];
  bestErrorX?: number;
  nextX?: number;
  nextReductionPct?: number;
  nextOutside?: boolean;
  spread?: FTest;
  mostRepeatableX?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

const USUAL_CONFIDENCE = 0.95;
const [SHOWN, NOTHING, LEAST_DF] = [0.05, 1e-12, 2];
const [CURVE_FROM, LEAST_FOR_CURVE, LEAST_FOR_SPREAD] = [4, 3, 3];
const [STEPS, SAME] = [100, 1e-9];

/** The series in a variable that runs from −1 to 1 over what was tried. */
class Scale {
  readonly middle: number;
  readonly half: number;

  constructor(readonly values: readonly SeriesValue[]) {
    const [low, high] = [values[0]!.x, values[values.length - 1]!.x];
    this.middle = (low + high) / 2;
    this.half = (high - low) / 2;
  }

  u = (x: number): number => (x - this.middle) / this.half;
  x = (u: number): number => this.middle + u * this.half;
}

/**
 * Several results of one setting: whether it does anything, where it is best and how surely, and the value worth trying next.
 *
 * @throws CalcError at the later `x` of two alike, at `shape` for a curve through under three values
 * @see Draper and Smith, Applied Regression Analysis; Fieller (1954); Brown and Forsythe, JASA 69 (1974)
 */
export function seriesFit(input: SeriesInput): SeriesResult {
  const { points, better, confidence = USUAL_CONFIDENCE } = input;
  points.forEach(({ x }, at) => {
    if (points.findIndex((one) => one.x === x) < at) throw refusal(`points.${at}.x`, 'series.twice', { x });
  });
  const shape = input.shape ?? (points.length >= CURVE_FROM ? 'quadratic' : 'linear');
  if (shape === 'quadratic' && points.length < LEAST_FOR_CURVE) throw refusal('shape', 'series.shape');
  const ordered = [...points].sort((a, b) => a.x - b.x);
  const values = ordered.map(({ x, values: all }): SeriesValue => ({
    x,
    n: all.length,
    mean: mean(all),
    ...(all.length > 1 ? { sd: sampleDeviation(all) } : {}),
  }));
  const scale = new Scale(values);
  const results = ordered.flatMap(({ x, values: all }) => all.map((y) => [scale.u(x), y] as const));
  const terms = shape === 'quadratic' ? 3 : 2;
  const fit = fittedTo(results, terms);
  const grand = mean(results.map(([, y]) => y));
  const total = results.reduce((sum, [, y]) => sum + (y - grand) ** 2, 0);
  const nothing = (sum: number) => (sum <= NOTHING * total ? 0 : sum);
  const pure = nothing(
    ordered.reduce(
      (sum, { values: all }, k) => sum + all.reduce((s, y) => s + (y - values[k]!.mean) ** 2, 0),
      0,
    ),
  );
  const pooledDf = results.length - points.length;
  const isBetter = (a: number, b: number) => (better === 'higher' ? a > b : a < b);
  const best = values.reduce((a, b) => (isBetter(b.mean, a.mean) ? b : a));
  const known = {
    shape,
    values,
    ...(pooledDf > 0 ? { pooledSd: Math.sqrt(pure / pooledDf) } : {}),
    pooledDf,
    bestTriedX: best.x,
    coefficients: inX(fit.coefficients, scale),
  };
  if (fit.df < LEAST_DF) return { ...known, verdict: 'too few results', findings: [], notes: [] };
  const sse = nothing(fit.sse);
  const residualSd = Math.sqrt(sse / fit.df);
  const lackOfFit = lackOf(nothing(sse - pure), pure, points.length - terms, pooledDf);
  const regression = total === 0 ? undefined : regressionOf(nothing(total - sse), sse, terms - 1, fit.df);
  const lacks = lackOfFit !== undefined && lackOfFit.p < SHOWN;
  const tested = {
    ...known,
    residualSd,
    df: fit.df,
    ...(regression ? { regression } : {}),
    ...(lackOfFit ? { lackOfFit } : {}),
    findings: lacks
      ? [{ severity: 'tight' as const, about: 'points', why: finding('series.lackOfFit', {}) }]
      : [],
  };
  if (!regression || (regression.p >= SHOWN && !lacks))
    return { ...tested, verdict: 'no difference shown', notes: [] };
  const t = studentBelow((1 + confidence) / 2, fit.df);
  const optimum = optimumOf(fit, better);
  const found =
    optimum === undefined
      ? towardsAnEnd(input, fit, scale, isBetter)
      : inside(input, fit, scale, optimum, { t, residualSd });
  const at = termsOf(scale.u(found.bestX), terms);
  const bestMean = product(fit.coefficients, at);
  const within = t * residualSd * Math.sqrt(through(at, fit.inverse, at));
  const spread = spreadOf(ordered);
  return {
    ...tested,
    verdict: optimum === undefined ? 'better towards an end' : 'best inside',
    ...found,
    bestMean,
    bestMeanCi: [bestMean - within, bestMean + within],
    ...(spread ? { spread } : {}),
    ...(spread && spread.p < SHOWN ? { mostRepeatableX: mostRepeatable(values) } : {}),
  };
}

/** Coefficients of 1, u, u² as those of 1, x, x². */
function inX([c0 = 0, c1 = 0, c2]: readonly number[], { middle, half }: Scale): number[] {
  const [a1, a2] = [c1 / half, (c2 ?? 0) / half ** 2];
  const line = [c0 - a1 * middle + a2 * middle ** 2, a1 - 2 * a2 * middle];
  return c2 === undefined ? line : [...line, a2];
}

function regressionOf(explained: number, sse: number, df1: number, df2: number): FTest {
  if (sse === 0) return { df1, df2, p: 0 };
  const f = explained / df1 / (sse / df2);
  return { f, df1, df2, p: fBeyond(f, df1, df2) };
}

function lackOf(lack: number, pure: number, df1: number, df2: number): FTest | undefined {
  if (df1 <= 0 || df2 <= 0 || pure <= 0) return undefined;
  const f = lack / df1 / (pure / df2);
  return { f, df1, df2, p: fBeyond(f, df1, df2) };
}

/** The top, or the bottom, of the curve where it lies inside what was tried. */
function optimumOf(
  { coefficients: [, c1 = 0, c2 = 0] }: Fitted,
  better: 'higher' | 'lower',
): number | undefined {
  if (better === 'higher' ? c2 >= 0 : c2 <= 0) return undefined;
  const u = -c1 / (2 * c2);
  return u > -1 && u < 1 ? u : undefined;
}

type Best = Pick<
  SeriesResult,
  'bestAt' | 'bestInterval' | 'bestErrorX' | 'nextX' | 'nextReductionPct' | 'nextOutside' | 'notes'
> & { bestX: number };

function inside(
  input: SeriesInput,
  { coefficients, inverse }: Fitted,
  scale: Scale,
  optimum: number,
  { t, residualSd }: { t: number; residualSd: number },
): Best {
  const [, c1 = 0, c2 = 0] = coefficients;
  const gradient = [0, -1 / (2 * c2), c1 / (2 * c2 ** 2)];
  const error = residualSd * Math.sqrt(through(gradient, inverse, gradient));
  const v = (i: number, j: number) => (t * residualSd) ** 2 * inverse[i]![j]!;
  // (c1 + 2·c2·u)² ≤ t²·Var(c1 + 2·c2·u), Fieller
  const [a, b, c] = [4 * (c2 ** 2 - v(2, 2)), 4 * (c1 * c2 - v(1, 2)), c1 ** 2 - v(1, 1)];
  const root = Math.sqrt(Math.max(0, b ** 2 - 4 * a * c));
  const cut = (u: number) => scale.x(Math.max(-1, Math.min(1, u)));
  const candidates =
    input.candidates ?? Array.from({ length: STEPS + 1 }, (_, k) => scale.x(-1 + (2 * k) / STEPS));
  const gMg = through(gradient, inverse, gradient);
  const gain = (x: number) => {
    const f = termsOf(scale.u(x), 3);
    return through(gradient, inverse, f) ** 2 / (1 + through(f, inverse, f)) / gMg;
  };
  const gains = [...candidates].sort((one, other) => one - other).map((x) => ({ x, gain: gain(x) }));
  const most = Math.max(...gains.map((one) => one.gain));
  const next = gains.find((one) => one.gain >= most * (1 - SAME))!;
  return {
    bestX: scale.x(optimum),
    bestAt: 'inside',
    ...(a > 0
      ? { bestInterval: [cut((-b - root) / (2 * a)), cut((-b + root) / (2 * a))] as [number, number] }
      : {}),
    bestErrorX: error * scale.half,
    nextX: next.x,
    nextReductionPct: 100 * next.gain,
    nextOutside: isOutside(next.x, scale),
    notes: a > 0 ? [] : [finding('note.series.openInterval', {})],
  };
}

const isOutside = (x: number, { values }: Scale): boolean =>
  x < values[0]!.x || x > values[values.length - 1]!.x;

function towardsAnEnd(
  { limits = {} }: SeriesInput,
  { coefficients }: Fitted,
  scale: Scale,
  isBetter: (a: number, b: number) => boolean,
): Best {
  const at = (u: number) => product(coefficients, termsOf(u, coefficients.length));
  const way = isBetter(at(1), at(-1)) ? 1 : -1;
  const end = scale.x(way);
  const step = (2 * scale.half) / (scale.values.length - 1);
  const wished = end + way * step;
  const limit = way === 1 ? limits.max : limits.min;
  const nextX = limit === undefined ? wished : way === 1 ? Math.min(wished, limit) : Math.max(wished, limit);
  const further = way * (nextX - end) > 0;
  return {
    bestX: end,
    bestAt: 'end',
    ...(further ? { nextX, nextOutside: true } : {}),
    notes: further ? [] : [finding('note.series.atLimit', {})],
  };
}

/** Whether the results of one value scatter more than those of another. */
function spreadOf(points: SeriesInput['points']): FTest | undefined {
  const groups = points
    .filter(({ values }) => values.length >= LEAST_FOR_SPREAD)
    .map(({ values }) => {
      const middle = median(values);
      return values.map((y) => Math.abs(y - middle));
    });
  if (groups.length < 2) return undefined;
  const all = groups.flat();
  const grand = mean(all);
  const within = groups.reduce((sum, group) => {
    const own = mean(group);
    return sum + group.reduce((s, z) => s + (z - own) ** 2, 0);
  }, 0);
  if (all.every((z) => z === all[0]) || within === 0) return undefined;
  const between = groups.reduce((sum, group) => sum + group.length * (mean(group) - grand) ** 2, 0);
  const [df1, df2] = [groups.length - 1, all.length - groups.length];
  const f = between / df1 / (within / df2);
  return { f, df1, df2, p: fBeyond(f, df1, df2) };
}

const mostRepeatable = (values: readonly SeriesValue[]): number =>
  values.filter(({ n }) => n >= LEAST_FOR_SPREAD).reduce((a, b) => (b.sd! < a.sd! ? b : a)).x;
