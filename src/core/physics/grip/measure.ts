import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { gammaBelow, studentBelow } from '../../base/numeric/distributions';
import { mean, sampleDeviation } from '../../base/numeric/statistics';
import type { OperationFinding } from '../../base/operationFinding';
import { runsCompare } from '../statistics/runsCompare';
import type {
  BudgetInput,
  BudgetLine,
  CombinedGrip,
  GripDirection,
  GripInput,
  GripMeasurement,
  GripResult,
  MeasuredGrip,
} from './definition';
import { type Figures, type Method, methodOf, othersOfCar } from './methods';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.grip.lifted': { id: string; axle: 'front' | 'rear' };
    'note.grip.inconsistent': { direction: GripDirection; p: Measure };
    'note.grip.oneReading': { id: string };
    'note.grip.exact': { direction: GripDirection };
    'note.grip.shared': { direction: GripDirection };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'grip.twice': { id: string };
    'grip.allAcross': Record<never, never>;
    'grip.slower': Record<never, never>;
    'grip.unknown': { id: string };
    'grip.unlike': Record<never, never>;
    'grip.noSlip': Record<never, never>;
  }
}

const DIRECTIONS: readonly GripDirection[] = ['longitudinal', 'lateral'];
const [STEP, UNSEEN, SURE, NORMAL, LEAST_P] = [1e-5, 1e-9, 0.975, 1.959964, 0.05];

interface Measured {
  measurement: GripMeasurement;
  method: Method;
  result: MeasuredGrip;
  mus: number[];
  lifted?: 'front' | 'rear';
}

/**
 * Friction by what can be done at home, each with what makes it uncertain, and all of one direction together.
 *
 * @returns friction along and across with standard uncertainties
 * @throws CalcError at a list whose readings make no wheel slip, at `locked`, `fromMps`, `compare.a` and `compare.b`
 * @see JCGM 100 (GUM), 4 to 6 and G.4; the scale factor of scattered means after Birge
 */
export function gripMeasure(input: GripInput): GripResult {
  const { car, measurements, compare } = input;
  refuseUnlike(measurements);
  const ofCar = othersOfCar(car);
  const all = measurements.map((measurement, index) => measuredBy(measurement, index, ofCar));
  const notes: Finding[] = all.flatMap(({ result }) =>
    result.n === 1 ? [finding('note.grip.oneReading', { id: result.id })] : [],
  );
  const findings: OperationFinding[] = all.flatMap(({ result: { id }, lifted }) =>
    lifted
      ? [{ severity: 'tight' as const, about: id, why: finding('note.grip.lifted', { id, axle: lifted }) }]
      : [],
  );
  const combined: Partial<Record<GripDirection, CombinedGrip>> = {};
  for (const direction of DIRECTIONS) {
    const own = all.map(({ result }) => result).filter((one) => one.direction === direction);
    if (own.length === 0) continue;
    if (own.length > 1 && own.some(({ u }) => u === 0)) {
      notes.push(finding('note.grip.exact', { direction }));
      continue;
    }
    const found = together(own);
    combined[direction] = found;
    if (own.length > 1) notes.push(finding('note.grip.shared', { direction }));
    if (found.consistent === false)
      findings.push({
        severity: 'tight',
        about: direction,
        why: finding('note.grip.inconsistent', { direction, p: measure(found.p!, 'share', 2) }),
      });
  }
  return {
    methods: all.map(({ result }) => result),
    ...combined,
    ...(compare ? { comparison: compared(all, compare) } : {}),
    findings,
    notes,
  };
}

function refuseUnlike(measurements: readonly GripMeasurement[]): void {
  const seen = new Set<string>();
  measurements.forEach((measurement, k) => {
    const { id } = measurement;
    if (seen.has(id)) throw refusal(`measurements.${k}.id`, 'grip.twice', { id });
    seen.add(id);
    const { direction, slipping } = methodOf(measurement);
    if (direction === 'lateral' && slipping !== 'all')
      throw refusal(`measurements.${k}.locked`, 'grip.allAcross');
    if (measurement.method === 'launch' && measurement.toMps <= (measurement.fromMps ?? 0))
      throw refusal(`measurements.${k}.fromMps`, 'grip.slower');
  });
}

function measuredBy(measurement: GripMeasurement, index: number, ofCar: Method['others']): Measured {
  const method = methodOf(measurement);
  const { readings, readingError, direction, slipping } = method;
  const inputs = [...method.others, ...ofCar];
  const figures: Figures = Object.fromEntries(inputs.map(([input, value]) => [input, value]));
  const reading = mean(readings);
  const slipsAt = (at: number) => {
    const slipped = method.frictionAt(at, figures);
    const load = slipping === 'all' ? 1 : (slipped.axles?.[slipping] ?? 1);
    if (!(load > 0) || !(slipped.mu > 0))
      throw refusal(`measurements.${index}.${method.list}`, 'grip.noSlip');
    return slipped;
  };
  const mus = readings.map((at) => slipsAt(at).mu);
  const { mu, axles } = slipsAt(reading);
  const n = readings.length;
  const sd = n > 1 ? sampleDeviation(readings) : 0;
  const byReading = slope((at) => method.frictionAt(at, figures).mu, reading);
  const contributions: (readonly [BudgetInput, number])[] = [
    ['scatter', Math.abs(byReading) * (sd / Math.sqrt(n))],
    ['instrument', Math.abs(byReading) * readingError],
    ...inputs.map(([input, value, error]): readonly [BudgetInput, number] => [
      input,
      error === 0
        ? 0
        : error * Math.abs(slope((at) => method.frictionAt(reading, { ...figures, [input]: at }).mu, value)),
    ]),
  ];
  const variance = contributions.reduce((sum, [, one]) => sum + one ** 2, 0);
  const u = Math.sqrt(variance);
  const scatter = contributions[0]![1];
  const degreesOfFreedom = scatter > 0 ? (u / scatter) ** 4 * (n - 1) : undefined;
  const budget = budgetOf(contributions, u);
  const lifted = axles && (axles.front <= 0 ? 'front' : axles.rear <= 0 ? 'rear' : undefined);
  return {
    measurement,
    method,
    mus,
    ...(lifted ? { lifted } : {}),
    result: {
      id: measurement.id,
      method: measurement.method,
      direction,
      n,
      meanReading: reading,
      ...(n > 1 ? { sdReading: sd } : {}),
      mu,
      u,
      u95: u * (degreesOfFreedom === undefined ? NORMAL : studentBelow(SURE, degreesOfFreedom)),
      ...(degreesOfFreedom === undefined ? {} : { degreesOfFreedom }),
      budget,
      ...(budget[0] ? { dominatedBy: budget[0].input } : {}),
    },
  };
}

/** By differences to both sides; nothing of what does not come in. */
function slope(of: (x: number) => number, at: number): number {
  const step = STEP * Math.max(1, Math.abs(at));
  return (of(at + step) - of(at - step)) / (2 * step);
}

/** Largest first; those that are alike stay in their order. */
function budgetOf(contributions: readonly (readonly [BudgetInput, number])[], u: number): BudgetLine[] {
  return contributions
    .filter(([, one]) => u > 0 && one >= UNSEEN * u)
    .sort(([, a], [, b]) => (Math.abs(a - b) <= UNSEEN ? 0 : b - a))
    .map(([input, contribution]) => ({ input, contribution, shareOfVariance: (contribution / u) ** 2 }));
}

/** Weighed by how sure each is; where they scatter more than that, less sure by as much. */
function together(own: readonly MeasuredGrip[]): CombinedGrip {
  const n = own.length;
  if (n === 1) return { mu: own[0]!.mu, u: own[0]!.u, n };
  const weights = own.map(({ u }) => 1 / u ** 2);
  const total = weights.reduce((sum, one) => sum + one, 0);
  const mu = own.reduce((sum, one, k) => sum + weights[k]! * one.mu, 0) / total;
  const chiSquare = own.reduce((sum, one, k) => sum + weights[k]! * (one.mu - mu) ** 2, 0);
  const p = 1 - gammaBelow((n - 1) / 2, chiSquare / 2);
  const birge = Math.sqrt(chiSquare / (n - 1));
  return { mu, u: Math.max(1, birge) / Math.sqrt(total), n, chiSquare, p, birge, consistent: p >= LEAST_P };
}

function compared(all: readonly Measured[], { a, b }: NonNullable<GripInput['compare']>) {
  const find = (id: string, path: string) => {
    const found = all.find(({ result }) => result.id === id);
    if (!found) throw refusal(path, 'grip.unknown', { id });
    return found;
  };
  const [one, other] = [find(a, 'compare.a'), find(b, 'compare.b')];
  if (
    one.result.method !== other.result.method ||
    one.result.direction !== other.result.direction ||
    one.method.slipping !== other.method.slipping
  )
    throw refusal('compare.b', 'grip.unlike');
  return runsCompare({ a: one.mus, b: other.mus, better: 'higher' });
}
