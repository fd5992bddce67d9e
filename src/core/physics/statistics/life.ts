import { chiSquareBelow } from '../../base/numeric/distributions';
import { plain } from '../../base/units/plain';

export interface LifeInput {
  exposureHours: number;
  /** Number of failures. */
  failures: number;
  /** One-sided, of each bound. */
  confidence?: number;
}

export interface LifeResult {
  /** Left out with no failure. */
  mtbfHours?: number;
  lowerHours: number;
  upperHours?: number;
  words: string;
}

export const USUAL_LIFE_CONFIDENCE = 0.9;

/**
 * Mean life at a constant failure rate from a test that ended by time.
 *
 * @returns h, with one-sided bounds at the confidence
 * @see MIL-HDBK-338B, section 8.3.2.5 (chi-square bounds of the mean time between failures)
 */
export function lifeEstimate({
  exposureHours,
  failures,
  confidence = USUAL_LIFE_CONFIDENCE,
}: LifeInput): LifeResult {
  const lowerHours = (2 * exposureHours) / chiSquareBelow(confidence, 2 * failures + 2);
  const sure = `${plain(100 * confidence)} % confidence`;
  if (failures === 0)
    return {
      lowerHours,
      words: `held ${plain(exposureHours)} h with no failure: at ${sure} its mean life is over ${plain(lowerHours)} h`,
    };
  const mtbfHours = exposureHours / failures;
  const upperHours = (2 * exposureHours) / chiSquareBelow(1 - confidence, 2 * failures);
  return {
    mtbfHours,
    lowerHours,
    upperHours,
    words: `failed ${failures === 1 ? 'once' : `${failures} times`} in ${plain(exposureHours)} h, one in ${plain(mtbfHours)} h: at ${sure} each its mean life is over ${plain(lowerHours)} h and under ${plain(upperHours)} h`,
  };
}

/**
 * Hours without a failure that show, at the usual confidence, a lower rate than so many failures in so many hours: the F test of
 * two exponential rates, T/1 over T₀/n against F(2, 2n), whose quantile is n·((1 − c)^(−1/n) − 1). One life alone tells little:
 * nine times as long; many lives come down to −ln(1 − c) of their mean.
 *
 * @param livedHours of all failures together
 * @see Lawless, Statistical Models and Methods for Lifetime Data, ch. 4 (comparison of exponential distributions)
 */
export const hoursToBelieve = (livedHours: number, failures = 1): number =>
  livedHours * ((1 - USUAL_LIFE_CONFIDENCE) ** (-1 / failures) - 1);
