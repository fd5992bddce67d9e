import { refusal } from '../../base/errors';
import type { MotorPoint } from './motorPoints';

declare module '../../base/errors' {
  interface RefusalFacts {
    'motorLog.rows': { least: number };
    'motorLog.kv': Record<never, never>;
    'motorLog.resistance': Record<never, never>;
  }
}

export const RESISTANCE_FROM = ['points', 'meter', 'both'] as const;
export type ResistanceFrom = (typeof RESISTANCE_FROM)[number];

/** V = α·rpm + R·I with its errors: α in V/rpm, R in Ω. */
export interface MotorFit {
  alpha: number;
  ohm: number;
  alphaVariance: number;
  ohmVariance: number;
  covariance: number;
  residualV: number;
  from: ResistanceFrom;
  /** R of the points less that of the meter, where both tell it, and how far they may be apart by one standard deviation, Ω. */
  gap?: { ohm: number; error: number };
}

const [LEAST_ROWS, LEAST_TURNING] = [3, 2];
const [SURE_OF_R, SURE_OF_ALPHA] = [1 / 2, 1 / 5];

/**
 * Voltage constant and resistance of a motor by least squares without a constant, errors in the volts, with what a meter says
 * of the resistance.
 *
 * @throws CalcError at `freeSpin` for too few rows or an unsure voltage constant, at `loaded` where nothing tells the resistance
 * @see GUM (JCGM 100); Draper and Smith, Applied Regression Analysis
 */
export function motorFit(points: readonly MotorPoint[], meter?: { ohm: number; error: number }): MotorFit {
  const turning = points.filter(({ rpm }) => rpm > 0).length;
  if (meter ? turning < LEAST_TURNING : points.length < LEAST_ROWS || turning === 0)
    throw refusal('freeSpin', 'motorLog.rows', { least: meter ? LEAST_TURNING : LEAST_ROWS });
  const own = points.length >= LEAST_ROWS ? byPoints(points) : undefined;
  const tellsR = own !== undefined && own.ohm > 0 && Math.sqrt(own.ohmVariance) <= SURE_OF_R * own.ohm;
  if (!tellsR && !meter) throw refusal('loaded', 'motorLog.resistance');
  const found = tellsR ? (meter ? together(own, meter) : own) : byMeter(points, meter!);
  if (!(found.alpha > 0) || Math.sqrt(found.alphaVariance) > SURE_OF_ALPHA * found.alpha)
    throw refusal('freeSpin', 'motorLog.kv');
  return found;
}

const sumOf = (points: readonly MotorPoint[], of: (point: MotorPoint) => number) =>
  points.reduce((sum, point) => sum + of(point), 0);

function byPoints(points: readonly MotorPoint[]): MotorFit | undefined {
  const nn = sumOf(points, ({ rpm }) => rpm ** 2);
  const ni = sumOf(points, ({ rpm, amps }) => rpm * amps);
  const ii = sumOf(points, ({ amps }) => amps ** 2);
  const nv = sumOf(points, ({ rpm, volts }) => rpm * volts);
  const iv = sumOf(points, ({ amps, volts }) => amps * volts);
  const determinant = nn * ii - ni ** 2;
  // readings along one line tell the two apart by rounding alone
  if (determinant <= 1e-12 * nn * ii) return undefined;
  const [alpha, ohm] = [(ii * nv - ni * iv) / determinant, (nn * iv - ni * nv) / determinant];
  const sse = sumOf(points, ({ volts, rpm, amps }) => (volts - alpha * rpm - ohm * amps) ** 2);
  const variance = sse / (points.length - 2);
  return {
    alpha,
    ohm,
    alphaVariance: (variance * ii) / determinant,
    ohmVariance: (variance * nn) / determinant,
    covariance: (-variance * ni) / determinant,
    residualV: Math.sqrt(variance),
    from: 'points',
  };
}

/** The points' own figures moved by what the meter knows of one of them. */
function together(own: MotorFit, { ohm: metered, error }: { ohm: number; error: number }): MotorFit {
  const gap = { ohm: own.ohm - metered, error: Math.sqrt(own.ohmVariance + error ** 2) };
  if (own.ohmVariance === 0) return { ...own, from: 'both', gap };
  const [wOwn, wMeter] = [1 / own.ohmVariance, 1 / error ** 2];
  const ohmVariance = 1 / (wOwn + wMeter);
  const ohm = (own.ohm * wOwn + metered * wMeter) * ohmVariance;
  const slope = own.covariance / own.ohmVariance;
  return {
    ...own,
    ohm,
    ohmVariance,
    alpha: own.alpha + slope * (ohm - own.ohm),
    alphaVariance: own.alphaVariance - own.covariance * slope * (1 - ohmVariance / own.ohmVariance),
    covariance: (own.covariance * ohmVariance) / own.ohmVariance,
    from: 'both',
    gap,
  };
}

function byMeter(points: readonly MotorPoint[], { ohm, error }: { ohm: number; error: number }): MotorFit {
  const nn = sumOf(points, ({ rpm }) => rpm ** 2);
  const lever = sumOf(points, ({ rpm, amps }) => rpm * amps) / nn;
  const alpha = sumOf(points, ({ rpm, volts, amps }) => rpm * (volts - ohm * amps)) / nn;
  const sse = sumOf(points, ({ volts, rpm, amps }) => (volts - alpha * rpm - ohm * amps) ** 2);
  const variance = sse / Math.max(1, points.length - 1);
  return {
    alpha,
    ohm,
    alphaVariance: variance / nn + (lever * error) ** 2,
    ohmVariance: error ** 2,
    covariance: -lever * error ** 2,
    residualV: Math.sqrt(variance),
    from: 'meter',
  };
}
