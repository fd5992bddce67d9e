import { driveWhole } from './driveWhole';
import { driveEndurance, traceOf } from './endurance';
import { refuseColdLimits } from './thermal';
import { type EnduranceInput, type EnduranceResult, isCruise } from './enduranceDefinition';
import { refuseTrace } from './trace';
import { driveTrace } from './traceWhole';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.heat.noResistance': { least: Measure; most: Measure };
  }
}

export interface CaseReading {
  tS: number;
  caseC: number;
}

export interface CalibrateInput extends EnduranceInput {
  measured: CaseReading[];
}

export interface CalibrateResult {
  caseToAmbientKPerW: number;
  /** Root mean square of what is left, K. */
  residualC: number;
  endurance: EnduranceResult;
  notes: Finding[];
}

export const LEAST_KPW = 0.05;
export const MOST_KPW = 500;
/** Of one of some fifty drives. */
const MOST_STEPS = 150_000;
const SCAN = 18;
const NARROWINGS = 28;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * The case-to-air resistance that brings the predicted case closest to measured temperatures, by least squares between
 * 0.05 and 500 K/W.
 *
 * @returns K/W, the root mean square of the rest in K, and the endurance with the value found
 * @throws CalcError as `drive.endurance` does
 * @see Press et al., Numerical Recipes, ch. 10 (golden section search)
 */
export function motorCalibrate({ measured, ...input }: CalibrateInput): CalibrateResult {
  refuseColdLimits(input.thermal);
  const readings = [...measured].sort((a, b) => a.tS - b.tS);
  const readAtS = readings.map(({ tS }) => tS);
  const withResistance = (caseToAmbientKPerW: number): EnduranceInput => ({
    ...input,
    thermal: { ...input.thermal, caseToAmbientKPerW },
  });
  const misfit = (logKPW: number) => {
    const readC = readingsAt(withResistance(Math.exp(logKPW)), readAtS);
    return readings.reduce((sum, { caseC }, index) => sum + (readC[index]! - caseC) ** 2, 0);
  };
  const best = leastOf(misfit, Math.log(LEAST_KPW), Math.log(MOST_KPW));
  const caseToAmbientKPerW = Math.exp(best);
  const bound =
    caseToAmbientKPerW < LEAST_KPW * 1.001
      ? LEAST_KPW
      : caseToAmbientKPerW > MOST_KPW * 0.999
        ? MOST_KPW
        : undefined;
  const found = bound ?? caseToAmbientKPerW;
  return {
    caseToAmbientKPerW: found,
    residualC: Math.sqrt(misfit(Math.log(found)) / readings.length),
    endurance: driveEndurance(withResistance(found)),
    notes:
      bound === undefined
        ? []
        : [
            finding('note.heat.noResistance', {
              least: measure(LEAST_KPW, 'coefficient'),
              most: measure(MOST_KPW, 'coefficient'),
            }),
          ],
  };
}

/** The case at these times, driven on past every limit. */
function readingsAt(input: EnduranceInput, readAtS: readonly number[]): readonly number[] {
  const options = { stepScale: 1, ignoreEnds: true, untilS: readAtS.at(-1)!, readAtS };
  if (isCruise(input)) return driveWhole(input, { ...options, mostSteps: MOST_STEPS }).readC;
  const { thermal, losses, cutoffVPerCell = 0 } = input;
  const trace = traceOf(input)!;
  refuseTrace(trace);
  return driveTrace({ input, thermal, trace, losses, cutoffVPerCell, ...options }).readC;
}

/** Abscissa of the least value: a scan first, then a golden section about its best point. */
function leastOf(f: (x: number) => number, from: number, to: number): number {
  const step = (to - from) / SCAN;
  let best = 0;
  let least = Infinity;
  for (let i = 0; i <= SCAN; i++) {
    const value = f(from + i * step);
    if (value < least) [best, least] = [i, value];
  }
  let low = from + Math.max(0, best - 1) * step;
  let high = from + Math.min(SCAN, best + 1) * step;
  let [a, b] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [atA, atB] = [f(a), f(b)];
  for (let i = 0; i < NARROWINGS; i++) {
    if (atA <= atB) {
      [high, b, atB] = [b, a, atA];
      a = high - GOLDEN * (high - low);
      atA = f(a);
    } else {
      [low, a, atA] = [a, b, atB];
      b = low + GOLDEN * (high - low);
      atB = f(b);
    }
  }
  return 0.5 * (low + high);
}
