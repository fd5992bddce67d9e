import { highest } from '../../base/numeric/maximum';
import { normalBeyond, normalDensity, normalQuantile } from '../../base/numeric/normal';

/** Speeds at which tyres failed, and those that others held at least, turns a minute. */
export interface Outcomes {
  failed: readonly number[];
  held: readonly number[];
}

export interface FailingSpeed {
  medianRpm: number;
  scatter: number;
  scatterAssumed: boolean;
  scatterAtBound: boolean;
  medianErrorRpm?: number;
  /** 99 in 100 hold it. */
  lowRpm?: number;
}

const [LEAST, MOST] = [0.005, 1];
const WITHIN = 1e-8;
const AT_BOUND = 1e-5;
const TINY = 1e-300;
const ONE_IN_A_HUNDRED = 0.01;

/** Density over what is beyond it. */
const hazard = (z: number): number => normalDensity(z) / Math.max(TINY, normalBeyond(z));

function logLikelihood({ failed, held }: { failed: number[]; held: number[] }, mean: number, sd: number) {
  const z = (log: number) => (log - mean) / sd;
  return (
    failed.reduce((sum, log) => sum - z(log) ** 2 / 2 - Math.log(sd), 0) +
    held.reduce((sum, log) => sum + Math.log(Math.max(TINY, normalBeyond(z(log)))), 0)
  );
}

/**
 * The speed that half of such tyres fail at, the logarithm normal, by maximum likelihood with right-censored outcomes; the
 * scatter is assumed where fewer than two speeds differ.
 *
 * @see Meeker and Escobar, Statistical Methods for Reliability Data, ch. 8
 */
export function failingSpeed(outcomes: Outcomes, assumed: number, confidence: number): FailingSpeed {
  const logs = { failed: outcomes.failed.map(Math.log), held: outcomes.held.map(Math.log) };
  const all = [...logs.failed, ...logs.held];
  const range = [Math.min(...all) - 3, Math.max(...all) + 5] as const;
  const overMean = (sd: number) => highest((mean) => logLikelihood(logs, mean, sd), ...range, WITHIN);
  const scatterAssumed = new Set(outcomes.failed).size < 2;
  const scatter = scatterAssumed
    ? assumed
    : Math.exp(highest((log) => overMean(Math.exp(log)).value, Math.log(LEAST), Math.log(MOST), WITHIN).at);
  const scatterAtBound =
    !scatterAssumed && [LEAST, MOST].some((bound) => Math.abs(Math.log(scatter / bound)) < AT_BOUND);
  const mean = overMean(scatter).at;
  const found = { medianRpm: Math.exp(mean), scatter, scatterAssumed, scatterAtBound };
  if (scatterAtBound) return found;
  const [mm, ms, ss] = covariance(logs, mean, scatter, scatterAssumed);
  const low = normalQuantile(ONE_IN_A_HUNDRED);
  const error = Math.sqrt(mm + 2 * low * ms + low ** 2 * ss);
  return {
    ...found,
    medianErrorRpm: found.medianRpm * Math.sqrt(mm),
    lowRpm: Math.exp(mean + low * scatter - normalQuantile(confidence) * error),
  };
}

/** Inverse of the observed information in mean and scatter, by its second derivatives. */
function covariance(
  { failed, held }: { failed: number[]; held: number[] },
  mean: number,
  sd: number,
  isAssumed: boolean,
): [mm: number, ms: number, ss: number] {
  let [mm, ms, ss] = [0, 0, 0];
  for (const log of failed) {
    const z = (log - mean) / sd;
    mm += 1;
    ms += 2 * z;
    ss += 3 * z ** 2 - 1;
  }
  for (const log of held) {
    const z = (log - mean) / sd;
    const h = hazard(z);
    const bend = h * (h - z);
    mm += bend;
    ms += h + z * bend;
    ss += 2 * z * h + z ** 2 * bend;
  }
  if (isAssumed) return [sd ** 2 / mm, 0, 0];
  const det = mm * ss - ms ** 2;
  return [(ss / det) * sd ** 2, (-ms / det) * sd ** 2, (mm / det) * sd ** 2];
}
