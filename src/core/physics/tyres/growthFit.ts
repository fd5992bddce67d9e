import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { highest } from '../../base/numeric/maximum';
import { bisect } from '../../base/numeric/root';
import type { TyreBody } from './spun';

export interface SpinReading {
  rpm: number;
  diameterMm: number;
}

export interface GrowthFit {
  modulusMpa: number;
  /** None where the diameters do not depend on the modulus at all. */
  modulusErrorMpa?: number;
  residualMm: number;
}

type Bodies = (modulusMpa: number) => TyreBody;

/** Moduli looked through, over the least at which the tyre still has a shape, and in how many steps at first. */
const [NEAREST, FARTHEST, SCAN] = [Math.log(1e-6), Math.log(1e16), 60];
const WITHIN = 1e-9;
const MOST_POLISHES = 60;
const CLOSE = 1e-12;
const SLOPE_STEP = 1e-4;
const [SOFTEST, HARDEST] = [1e-9, 1e9];

export const diameterMm = (bodies: Bodies, restMm: number, modulusMpa: number, rpm: number): number =>
  restMm + 2000 * bodies(modulusMpa).at(rpm * RAD_PER_S_PER_RPM).growthM;

/** How the diameter moves with the modulus, mm/MPa. */
export function slopeMmPerMpa(bodies: Bodies, restMm: number, modulusMpa: number, rpm: number): number {
  const step = SLOPE_STEP * (modulusMpa - leastModulusMpa(bodies, rpm));
  const at = (modulus: number) => diameterMm(bodies, restMm, modulus, rpm);
  return (at(modulusMpa + step) - at(modulusMpa - step)) / (2 * step);
}

/** The modulus at which a tyre runs away just at a speed, softer ones having no shape there; 0 where side-walls alone hold it. */
function leastModulusMpa(bodies: Bodies, rpm: number): number {
  const omega = rpm * RAD_PER_S_PER_RPM;
  const over = (log: number) => bodies(Math.exp(log)).runAwayRadPerS - omega;
  return over(Math.log(SOFTEST)) >= 0
    ? SOFTEST
    : Math.exp(bisect(over, Math.log(SOFTEST), Math.log(HARDEST)));
}

/** The modulus that the diameters of the readings over rest tell, by least squares. */
export function growthFit(
  bodies: Bodies,
  restMm: number,
  readings: readonly SpinReading[],
  errorMm: number,
): GrowthFit {
  const least = leastModulusMpa(bodies, Math.max(...readings.map(({ rpm }) => rpm)));
  const misses = (modulus: number) =>
    readings.map(({ rpm, diameterMm: read }) => read - diameterMm(bodies, restMm, modulus, rpm));
  const squares = (modulus: number) => misses(modulus).reduce((sum, miss) => sum + miss ** 2, 0);
  const modulusAt = (over: number) => least * (1 + Math.exp(over));
  const fit = (over: number) => -squares(modulusAt(over));
  const width = (FARTHEST - NEAREST) / SCAN;
  const scanned = Array.from({ length: SCAN + 1 }, (_, k) => NEAREST + k * width);
  const near = scanned.reduce((best, over) => (fit(over) > fit(best) ? over : best));
  let modulusMpa = modulusAt(highest(fit, near - width, near + width, WITHIN).at);
  for (let i = 0; i < MOST_POLISHES; i++) {
    const slopes = readings.map(({ rpm }) => slopeMmPerMpa(bodies, restMm, modulusMpa, rpm));
    const step =
      misses(modulusMpa).reduce((sum, miss, k) => sum + miss * slopes[k]!, 0) /
      slopes.reduce((sum, slope) => sum + slope ** 2, 0);
    if (modulusMpa + step <= least || !Number.isFinite(step)) break;
    modulusMpa += step;
    if (Math.abs(step) < CLOSE * modulusMpa) break;
  }
  const n = readings.length;
  const sse = squares(modulusMpa);
  const spread = n === 1 ? errorMm : Math.max(errorMm, Math.sqrt(sse / (n - 1)));
  const information = readings.reduce(
    (sum, { rpm }) => sum + slopeMmPerMpa(bodies, restMm, modulusMpa, rpm) ** 2,
    0,
  );
  return {
    modulusMpa,
    ...(information > 0 ? { modulusErrorMpa: spread / Math.sqrt(information) } : {}),
    residualMm: Math.sqrt(sse / n),
  };
}

/** The modulus over which a growth cannot be told: at that of a speed the diameter grows by so much, mm; none where it never does. */
export function modulusOfGrowth(bodies: Bodies, rpm: number, grownMm: number): number | undefined {
  const least = leastModulusMpa(bodies, rpm);
  const over = (log: number) => diameterMm(bodies, 0, least * (1 + Math.exp(log)), rpm) - grownMm;
  return over(NEAREST) < 0 ? undefined : least * (1 + Math.exp(bisect(over, NEAREST, FARTHEST)));
}
