import { refusal } from '../../base/errors';
import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { leastSquares } from '../../base/numeric/leastSquares';
import type { OperationFinding } from '../../base/operationFinding';
import type { CoastInput, CoastResult } from './coastDefinition';
import { coastGuess, coastSpeeds, type Coasting } from './coastModel';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.coast.negative': { of: 'cdaM2' | 'rollingResistance' };
    'note.coast.unsure': { of: 'cdaM2' | 'rollingResistance'; errors: Measure };
    'note.coast.oneWay': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'coast.noRadius': Record<never, never>;
    'coast.backward': Record<never, never>;
    'coast.few': { readings: number; unknowns: number };
    'coast.narrow': { highest: Measure; lowest: Measure };
    'coast.alike': Record<never, never>;
  }
}

const [LEAST_RANGE, MOST_CORRELATION, HIGH_CORRELATION, SURE] = [1.5, 0.999, 0.95, 4];
/** Scales of what is fitted, for differences: m², 1, m/s, %. */
const SCALES: Coasting = { cdaM2: 0.02, rollingResistance: 0.02, windMps: 1, gradePct: 1 };
const SPEED_SCALE = 10;
const WAYS = ['windMps', 'gradePct'] as const;

/**
 * Drag area and rolling resistance from rolling out, both ways against wind and slope.
 *
 * @returns areas in m², speeds in m/s, the grade in percent; errors are standard uncertainties
 * @throws CalcError at `tyreRadiusMm`, `runs.k.readings.j.tS`, or `runs` where they cannot tell the two apart
 * @see White and Korst, SAE 720099; SAE J1263
 */
export function airCoastDown(input: CoastInput): CoastResult {
  const { runs, speedErrorMps = 0 } = input;
  refuseReadings(input);
  const ways = new Set(runs.map(({ direction = 'out' }) => direction));
  const fitted: (keyof Coasting)[] = [
    'cdaM2',
    'rollingResistance',
    ...(ways.size === 2 ? WAYS.filter((way) => input[way] === undefined) : []),
  ];
  const count = runs.reduce((sum, { readings }) => sum + readings.length, 0);
  const unknowns = fitted.length + runs.length;
  if (count <= unknowns) throw refusal('runs', 'coast.few', { readings: count, unknowns });
  refuseNarrow(input);

  const guess = coastGuess(input);
  const residualsOf = (parameters: readonly number[]) => {
    const car: Coasting = {
      ...guess,
      ...Object.fromEntries(fitted.map((what, k) => [what, parameters[k]!])),
    };
    return runs.flatMap((run, k) => {
      const model = coastSpeeds(input, run, car, parameters[fitted.length + k]!);
      return run.readings.map(({ speedMps }, j) => speedMps - model[j]!);
    });
  };
  const { parameters, residuals, inverse } = leastSquares(
    residualsOf,
    [...fitted.map((what) => guess[what]), ...runs.map(({ readings }) => readings[0]!.speedMps)],
    [...fitted.map((what) => SCALES[what]), ...runs.map(() => SPEED_SCALE)],
  );
  if (!inverse) throw refusal('runs', 'coast.alike');
  const freedom = count - unknowns;
  const s = Math.sqrt(residuals.reduce((sum, rest) => sum + rest ** 2, 0) / freedom);
  const error = (k: number) => Math.max(s, speedErrorMps) * Math.sqrt(inverse[k]![k]!);
  const told = new Map(fitted.map((what, k) => [what, { value: parameters[k]!, error: error(k) }]));
  const [drag, rolling] = [told.get('cdaM2')!, told.get('rollingResistance')!];
  const correlation = inverse[0]![1]! / Math.sqrt(inverse[0]![0]! * inverse[1]![1]!);
  const unsure = [drag, rolling].some((one) => one.error >= Math.abs(one.value));
  if (!(Math.abs(correlation) <= MOST_CORRELATION) || (Math.abs(correlation) > HIGH_CORRELATION && unsure))
    throw refusal('runs', 'coast.alike');
  const [wind, grade] = WAYS.map((way) => told.get(way));
  let at = 0;
  return {
    cdaM2: drag.value,
    cdaErrorM2: drag.error,
    rollingResistance: rolling.value,
    rollingResistanceError: rolling.error,
    correlation,
    ...(wind ? { windMps: wind.value, windErrorMps: wind.error } : {}),
    ...(grade ? { gradePct: grade.value, gradeErrorPct: grade.error } : {}),
    startMps: parameters.slice(fitted.length),
    residualMps: s,
    residuals: runs.map(({ readings }) => residuals.slice(at, (at += readings.length))),
    degreesOfFreedom: freedom,
    findings: [findingOf('cdaM2', drag), findingOf('rollingResistance', rolling)].flat(),
    notes: ways.size === 2 ? [] : [finding('note.coast.oneWay', {})],
  };
}

function refuseReadings({ rotatingInertiaKgM2 = 0, tyreRadiusMm, runs }: CoastInput): void {
  if (rotatingInertiaKgM2 > 0 && tyreRadiusMm === undefined) throw refusal('tyreRadiusMm', 'coast.noRadius');
  runs.forEach(({ readings }, k) =>
    readings.forEach(({ tS }, j) => {
      if (j > 0 && !(tS > readings[j - 1]!.tS)) throw refusal(`runs.${k}.readings.${j}.tS`, 'coast.backward');
    }),
  );
}

function refuseNarrow({ runs }: CoastInput): void {
  const speeds = runs.flatMap(({ readings }) => readings.map(({ speedMps }) => speedMps));
  const [lowest, highest] = speeds.reduce(
    ([low, high], speed) => [Math.min(low, speed), Math.max(high, speed)] as const,
    [Infinity, 0] as readonly [number, number],
  );
  if (highest < LEAST_RANGE * lowest)
    throw refusal('runs', 'coast.narrow', {
      highest: measure(highest, 'speedMps'),
      lowest: measure(lowest, 'speedMps'),
    });
}

function findingOf(
  of: 'cdaM2' | 'rollingResistance',
  { value, error }: { value: number; error: number },
): OperationFinding[] {
  if (value < 0) return [{ severity: 'over', about: of, why: finding('note.coast.negative', { of }) }];
  if (value >= SURE * error) return [];
  const errors = measure(value / error, 'coefficient', 2);
  return [{ severity: 'tight', about: of, why: finding('note.coast.unsure', { of, errors }) }];
}
