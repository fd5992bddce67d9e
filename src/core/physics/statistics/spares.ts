import { negativeBinomialReaching, poissonReaching } from '../../base/numeric/counts';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.spares.noMass': { parts: readonly string[] };
  }
}

export interface SparePart {
  id: string;
  /** A known rate, or what was seen. */
  failuresPerHour?: number;
  /** Number of failures. */
  failures?: number;
  seenHours?: number;
  printMinutes: number;
  massG?: number;
}

export interface SparesInput {
  parts: readonly SparePart[];
  /** h. */
  hours: number;
  /** That none of the parts runs out. */
  confidence?: number;
  printAheadOverMinutes?: number;
}

export interface SparesResult {
  parts: { id: string; expectedFailures: number; spares: number; printMinutes: number; massG?: number }[];
  printMinutes: number;
  massG: number;
  /** One copy takes longer than the limit: to be printed before it is needed. */
  printAhead: string[];
  notes: Finding[];
}

export const USUAL_CONFIDENCE = 0.95;
export const USUAL_LIMIT_MINUTES = 45;
/** Failures that are added to what was seen, so that little seeing stays uncertain. Source: Jeffreys' prior of a Poisson rate. */
const PRIOR_FAILURES = 0.5;

/**
 * Spares to carry so that, at the confidence, no part runs out in the hours ahead.
 *
 * @returns for each part the expected failures, the copies and their print minutes and grams; totals
 * @see Ross, Introduction to Probability Models, ch. 5 (Poisson process); Gelman et al., Bayesian Data Analysis, ch. 2 (gamma prior, negative binomial)
 */
export function sparesStock({
  parts,
  hours,
  confidence = USUAL_CONFIDENCE,
  printAheadOverMinutes = USUAL_LIMIT_MINUTES,
}: SparesInput): SparesResult {
  const each = confidence ** (1 / parts.length);
  const list = parts.map(({ id, failuresPerHour, failures = 0, seenHours = 0, printMinutes, massG }) => {
    const shape = failures + PRIOR_FAILURES;
    const known = failuresPerHour !== undefined;
    const expectedFailures = known ? failuresPerHour * hours : (shape * hours) / seenHours;
    const spares = known
      ? poissonReaching(each, expectedFailures)
      : negativeBinomialReaching(each, shape, seenHours / (seenHours + hours));
    return {
      id,
      expectedFailures,
      spares,
      printMinutes: spares * printMinutes,
      ...(massG === undefined ? {} : { massG: spares * massG }),
    };
  });
  const without = parts.filter(({ massG }) => massG === undefined).map(({ id }) => id);
  return {
    parts: list,
    printMinutes: list.reduce((sum, { printMinutes }) => sum + printMinutes, 0),
    massG: list.reduce((sum, { massG = 0 }) => sum + massG, 0),
    printAhead: parts.filter(({ printMinutes }) => printMinutes > printAheadOverMinutes).map(({ id }) => id),
    notes: without.length > 0 ? [finding('note.spares.noMass', { parts: without })] : [],
  };
}
