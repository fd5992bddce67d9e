import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.coupon.oneSize': { kind: string };
    'note.coupon.outside': { kind: string; size: Measure };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'coupon.noSample': { kind: string };
    'coupon.flat': { kind: string };
  }
}

export const FEATURES = ['hole', 'peg'] as const;
export type Feature = (typeof FEATURES)[number];
export const FITS = ['press', 'snug', 'running', 'loose'] as const;
export type Fit = (typeof FITS)[number];

export interface CouponInput {
  samples: readonly { kind: Feature; nominalMm: number; measuredMm: number }[];
  gaps?: readonly { gapMm: number; freed: boolean }[];
  want?: readonly { kind: Feature; actualMm: number; fit: Fit }[];
}

export interface CouponLine {
  /** Number of samples. */
  n: number;
  offsetMm: number;
  /** Size made over size drawn. */
  slope: number;
  residualMm?: number;
  standardErrorOffsetMm?: number;
  /** Of the slope, a plain number. */
  standardErrorSlope?: number;
}

export interface Drawn {
  kind: Feature;
  fit: Fit;
  targetMm: number;
  drawMm: number;
  drawErrorMm?: number;
}

export interface CouponResult {
  lines: Partial<Record<Feature, CouponLine>>;
  drawn: Drawn[];
  gaps?: { smallestFreedMm?: number; largestFusedMm?: number; useMm?: number };
  notes: Finding[];
}

/** Of the hole over the mating part, on diameter, mm. */
export const ALLOWANCES: Readonly<Record<Fit, number>> = {
  press: -0.05,
  snug: 0.05,
  running: 0.2,
  loose: 0.4,
};
const LEAST_FOR_ERRORS = 3;

/** A line with what its errors are made of. */
interface Fitted extends CouponLine {
  meanNominal: number;
  sxx: number;
}

/**
 * What a printer makes of holes and pegs, measured = offset + slope · nominal, and the sizes to draw for fits.
 *
 * @returns mm; errors of one standard deviation, left out under three samples and with one size
 * @throws CalcError at `want.N.kind` where no sample is of its kind
 * @see Draper and Smith, Applied Regression Analysis, ch. 1 and 3 (inverse prediction)
 */
export function fitCoupon({ samples, gaps, want = [] }: CouponInput): CouponResult {
  const notes: Finding[] = [];
  const fitted = new Map<Feature, Fitted>();
  for (const kind of FEATURES) {
    const own = samples.filter((sample) => sample.kind === kind);
    if (own.length > 0) fitted.set(kind, lineOf(kind, own, notes));
  }
  const drawn = want.map((one, index) => drawnFor(one, index, fitted, samples, notes));
  const lines = Object.fromEntries(
    [...fitted].map(([kind, { meanNominal: _, sxx: __, ...line }]) => [kind, line]),
  );
  return { lines, drawn, ...(gaps ? { gaps: gapsOf(gaps) } : {}), notes };
}

function lineOf(kind: Feature, samples: CouponInput['samples'], notes: Finding[]): Fitted {
  const n = samples.length;
  const [x, y] = [
    samples.reduce((sum, { nominalMm }) => sum + nominalMm, 0) / n,
    samples.reduce((sum, { measuredMm }) => sum + measuredMm, 0) / n,
  ];
  const sxx = samples.reduce((sum, { nominalMm }) => sum + (nominalMm - x) ** 2, 0);
  if (sxx === 0) {
    notes.push(finding('note.coupon.oneSize', { kind }));
    return { n, offsetMm: y - x, slope: 1, meanNominal: x, sxx };
  }
  const slope =
    samples.reduce((sum, { nominalMm, measuredMm }) => sum + (nominalMm - x) * (measuredMm - y), 0) / sxx;
  const offsetMm = y - slope * x;
  if (n < LEAST_FOR_ERRORS) return { n, offsetMm, slope, meanNominal: x, sxx };
  const residualMm = Math.sqrt(
    samples.reduce(
      (sum, { nominalMm, measuredMm }) => sum + (measuredMm - offsetMm - slope * nominalMm) ** 2,
      0,
    ) /
      (n - 2),
  );
  return {
    n,
    offsetMm,
    slope,
    residualMm,
    standardErrorOffsetMm: residualMm * Math.sqrt(1 / n + x ** 2 / sxx),
    standardErrorSlope: residualMm / Math.sqrt(sxx),
    meanNominal: x,
    sxx,
  };
}

function drawnFor(
  { kind, actualMm, fit }: NonNullable<CouponInput['want']>[number],
  index: number,
  fitted: ReadonlyMap<Feature, Fitted>,
  samples: CouponInput['samples'],
  notes: Finding[],
): Drawn {
  const line = fitted.get(kind);
  if (!line) throw refusal(`want.${index}.kind`, 'coupon.noSample', { kind });
  if (line.slope === 0) throw refusal('samples', 'coupon.flat', { kind });
  const targetMm = actualMm + (kind === 'hole' ? 1 : -1) * ALLOWANCES[fit];
  const drawMm = (targetMm - line.offsetMm) / line.slope;
  const sizes = samples.filter((sample) => sample.kind === kind).map(({ nominalMm }) => nominalMm);
  if (drawMm < Math.min(...sizes) || drawMm > Math.max(...sizes))
    notes.push(finding('note.coupon.outside', { kind, size: measure(drawMm, 'fitMm') }));
  return {
    kind,
    fit,
    targetMm,
    drawMm,
    ...(line.residualMm === undefined
      ? {}
      : {
          drawErrorMm:
            (line.residualMm / Math.abs(line.slope)) *
            Math.sqrt(1 / line.n + (drawMm - line.meanNominal) ** 2 / line.sxx),
        }),
  };
}

function gapsOf(gaps: NonNullable<CouponInput['gaps']>): NonNullable<CouponResult['gaps']> {
  const [freed, fused] = [true, false].map((state) =>
    gaps.filter((gap) => gap.freed === state).map(({ gapMm }) => gapMm),
  ) as [number[], number[]];
  const largestFused = fused.length > 0 ? Math.max(...fused) : undefined;
  const above = freed.filter((gap) => largestFused === undefined || gap > largestFused);
  return {
    ...(freed.length > 0 ? { smallestFreedMm: Math.min(...freed) } : {}),
    ...(largestFused === undefined ? {} : { largestFusedMm: largestFused }),
    ...(above.length > 0 ? { useMm: Math.min(...above) } : {}),
  };
}
