import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';
import { GRAVITY } from '../../base/constants';
import { chiSquareBelow, gammaBelow } from '../../base/numeric/distributions';
import { normalQuantile } from '../../base/numeric/normal';
import { type Blow, blowEnergyJ } from './blow';
import { type Bracket, likeliest, profileIntervals, SCATTER_BOUNDS } from './bracketed';
import { type DixonMood, dixonMood } from './dixonMood';

declare module '../../base/errors' {
  interface RefusalFacts {
    'staircase.twice': { id: string };
    'staircase.broken': { part: string };
    'staircase.predicted': Record<never, never>;
  }
}
declare module '../../base/finding' {
  interface FindingFacts {
    'staircase.weakened': { variant: string; parts: number };
    'staircase.reused': { variant: string; parts: number };
    'note.staircase.atBound': { variant: string; scatter: number };
  }
}

export interface StaircaseVariant {
  id: string;
  blows: Blow[];
}

export interface StaircaseInput {
  variants: StaircaseVariant[];
  confidence?: number;
  carMassKg?: number;
  /** Of the car's mass that is behind the part. */
  massShare?: number;
  predicted?: { energyJ?: number; breakForceN?: number; stiffnessNPerMm?: number };
}

/** What blows on the copies of one variant tell. */
export interface VariantResult {
  id: string;
  parts: number;
  broken: number;
  crossed: boolean;
  bracketJ?: [held: number, broke: number];
  overJ?: number;
  underJ?: number;
  energy50J?: number;
  energy50LowJ?: number;
  energy50HighJ?: number;
  energy10J?: number;
  scatter?: number;
  scatterLow?: number;
  scatterHigh?: number;
  scatterAtBound?: boolean;
  sdJ?: number;
  nextJ: number;
  weakened: string[];
  reusedParts: number;
  dixonMood?: DixonMood;
  equivalentHeightMm?: number;
  equivalentSpeedMps?: number;
  measuredOverPredicted?: number;
  predictedInside?: boolean;
}

export const STAIRCASE_VERDICTS = ['too few blows', 'no difference shown', 'stronger', 'weaker'] as const;
export type StaircaseVerdict = (typeof STAIRCASE_VERDICTS)[number];

export interface StaircaseComparison {
  id: string;
  against: string;
  statistic: number;
  p: number;
  ratio?: number;
  verdict: StaircaseVerdict;
}

export interface StaircaseResult {
  variants: VariantResult[];
  comparisons: StaircaseComparison[];
  predictedJ?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

const USUAL_CONFIDENCE = 0.9;
/** Energy for the next blow where all held, or none did. */
const NEXT_STEP = 1.4;
const [FEW_PARTS, MANY_PARTS, P_FEW, P_MANY] = [5, 20, 0.01, 0.05];
const AT_BOUND = 1e-6;

/** One copy: the most that it held, what broke it, and how often it was hit. */
interface Copy {
  part: string;
  heldJ: number;
  brokeJ?: number;
  blows: number;
  /** Broke at no more than it had held. */
  weakened: boolean;
}

interface Read {
  id: string;
  copies: Copy[];
  brackets: Bracket[];
  single: { energyJ: number; broke: boolean }[] | undefined;
}

/**
 * Blows on clamped parts, up and down: the energy that breaks half of them with its interval, how much parts differ, the next
 * blow worth giving, and variants against the first.
 *
 * @returns energies in J
 * @throws CalcError at a blow's `energyJ` or what is missing of its way, at `part` for a blow on a broken copy, at a variant's
 * `id` that occurs twice, at `predicted` told in no way or in both
 * @see Dixon and Mood, JASA 43 (1948); Meeker and Escobar, Statistical Methods for Reliability Data, ch. 8
 */
export function impactStaircase(input: StaircaseInput): StaircaseResult {
  const { confidence = USUAL_CONFIDENCE } = input;
  const read = input.variants.map((variant, k) => {
    if (input.variants.findIndex(({ id }) => id === variant.id) < k)
      throw refusal(`variants.${k}.id`, 'staircase.twice', { id: variant.id });
    return readVariant(variant, `variants.${k}`);
  });
  const predictedJ = predictedOf(input.predicted);
  const findings: OperationFinding[] = [];
  const notes: Finding[] = [];
  const variants = read.map((one) => {
    const result = resultOf(one, confidence);
    const { id, weakened, reusedParts, scatter, scatterAtBound } = result;
    if (weakened.length > 0)
      findings.push({
        severity: 'over',
        about: id,
        why: finding('staircase.weakened', { variant: id, parts: weakened.length }),
      });
    if (reusedParts > 0)
      findings.push({
        severity: 'tight',
        about: id,
        why: finding('staircase.reused', { variant: id, parts: reusedParts }),
      });
    if (scatterAtBound) notes.push(finding('note.staircase.atBound', { variant: id, scatter: scatter! }));
    return { ...result, ...equivalents(input, result), ...beside(predictedJ, result) };
  });
  const rank = { over: 0, tight: 1, note: 2 } as const;
  return {
    variants,
    comparisons: read.slice(1).map((one, k) => compared(read[0]!, one, variants[0]!, variants[k + 1]!)),
    ...(predictedJ === undefined ? {} : { predictedJ }),
    findings: findings.sort((a, b) => rank[a.severity] - rank[b.severity]),
    notes,
  };
}

function readVariant({ id, blows }: StaircaseVariant, at: string): Read {
  const copies = new Map<string, Copy>();
  const single: { energyJ: number; broke: boolean }[] = [];
  blows.forEach((blow, k) => {
    const energyJ = blowEnergyJ(blow, `${at}.blows.${k}`);
    // a copy without a name of its own: no name that is given can be this one
    const part = blow.part ?? `\u0000${k}`;
    const copy = copies.get(part) ?? { part, heldJ: 0, blows: 0, weakened: false };
    if (copy.brokeJ !== undefined) throw refusal(`${at}.blows.${k}.part`, 'staircase.broken', { part });
    copy.blows++;
    if (blow.broke) {
      copy.brokeJ = energyJ;
      copy.weakened = energyJ <= copy.heldJ;
    } else copy.heldJ = Math.max(copy.heldJ, energyJ);
    copies.set(part, copy);
    single.push({ energyJ, broke: blow.broke });
  });
  const all = [...copies.values()];
  return {
    id,
    copies: all,
    brackets: bracketsOf(all),
    single: all.every((copy) => copy.blows === 1) ? single : undefined,
  };
}

/** What is known of the copies, alike ones counted. */
function bracketsOf(copies: readonly Copy[]): Bracket[] {
  const found = new Map<string, Bracket>();
  for (const { heldJ, brokeJ, weakened } of copies) {
    const low = weakened || heldJ === 0 ? -Infinity : Math.log(heldJ);
    const high = brokeJ === undefined ? Infinity : Math.log(brokeJ);
    const key = `${low} ${high}`;
    found.set(key, { low, high, count: (found.get(key)?.count ?? 0) + 1 });
  }
  return [...found.values()];
}

function resultOf({ id, copies, brackets, single }: Read, confidence: number): VariantResult {
  const broke = copies.flatMap(({ brokeJ }) => (brokeJ === undefined ? [] : [brokeJ]));
  const held = copies.flatMap(({ heldJ, weakened }) => (weakened || heldJ === 0 ? [] : [heldJ]));
  const [L, B] = [Math.max(0, ...held), Math.min(Infinity, ...broke)];
  const moods = single ? dixonMood(single) : undefined;
  const common = {
    id,
    parts: copies.length,
    broken: broke.length,
    weakened: copies.filter(({ weakened }) => weakened).map(({ part }) => part),
    reusedParts: copies.filter(({ blows }) => blows > 1).length,
    ...(moods ? { dixonMood: moods } : {}),
  };
  if (broke.length === 0) return { ...common, crossed: false, overJ: L, nextJ: NEXT_STEP * L };
  if (held.length === 0) return { ...common, crossed: false, underJ: B, nextJ: B / NEXT_STEP };
  if (L <= B) {
    const middle = Math.sqrt(L * B);
    return { ...common, crossed: false, bracketJ: [L, B], energy50J: middle, nextJ: middle };
  }
  const { means, scatter, logLikelihood: top } = likeliest([brackets]);
  const mean = means[0]!;
  const energy50J = Math.exp(mean);
  const ends = profileIntervals(
    brackets,
    { mean, scatter, logLikelihood: top },
    chiSquareBelow(confidence, 1),
  );
  const isAtBound = SCATTER_BOUNDS.some((bound) => Math.abs(Math.log(scatter / bound)) < AT_BOUND);
  return {
    ...common,
    crossed: true,
    energy50J,
    scatter,
    sdJ: energy50J * Math.sinh(scatter),
    energy10J: Math.exp(mean + normalQuantile(0.1) * scatter),
    ...(ends.meanLow === undefined ? {} : { energy50LowJ: Math.exp(ends.meanLow) }),
    ...(ends.meanHigh === undefined ? {} : { energy50HighJ: Math.exp(ends.meanHigh) }),
    ...(ends.scatterLow === undefined ? {} : { scatterLow: ends.scatterLow }),
    ...(ends.scatterHigh === undefined ? {} : { scatterHigh: ends.scatterHigh }),
    ...(isAtBound ? { scatterAtBound: true } : {}),
    nextJ: energy50J,
  };
}

/** The landing height and the speed at a kerb that the energy is. */
function equivalents({ carMassKg, massShare = 1 }: StaircaseInput, { energy50J }: VariantResult) {
  if (carMassKg === undefined || energy50J === undefined) return {};
  const mass = carMassKg * massShare;
  return {
    equivalentHeightMm: (1000 * energy50J) / (mass * GRAVITY),
    equivalentSpeedMps: Math.sqrt((2 * energy50J) / mass),
  };
}

function predictedOf(predicted: StaircaseInput['predicted']): number | undefined {
  if (!predicted) return undefined;
  const { energyJ, breakForceN, stiffnessNPerMm } = predicted;
  if ((energyJ === undefined) === (breakForceN === undefined || stiffnessNPerMm === undefined))
    throw refusal('predicted', 'staircase.predicted');
  // F²/2k in N·mm
  return energyJ ?? breakForceN! ** 2 / (2 * stiffnessNPerMm!) / 1000;
}

function beside(predictedJ: number | undefined, { energy50J, energy50LowJ, energy50HighJ }: VariantResult) {
  if (predictedJ === undefined || energy50J === undefined) return {};
  return {
    measuredOverPredicted: energy50J / predictedJ,
    ...(energy50LowJ === undefined || energy50HighJ === undefined
      ? {}
      : { predictedInside: predictedJ >= energy50LowJ && predictedJ <= energy50HighJ }),
  };
}

function compared(first: Read, later: Read, a: VariantResult, b: VariantResult): StaircaseComparison {
  const apart = likeliest([first.brackets, later.brackets]);
  const together = likeliest([[...first.brackets, ...later.brackets]]);
  const statistic = Math.max(0, 2 * (apart.logLikelihood - together.logLikelihood));
  const p = 1 - gammaBelow(0.5, statistic / 2);
  const isOpen = [a, b].some(({ overJ, underJ }) => overJ !== undefined || underJ !== undefined);
  const fewest = Math.min(a.parts, b.parts);
  const ratio = Math.exp(apart.means[1]! - apart.means[0]!);
  const verdict: StaircaseVerdict =
    isOpen || fewest < FEW_PARTS
      ? 'too few blows'
      : p >= (fewest < MANY_PARTS ? P_FEW : P_MANY)
        ? 'no difference shown'
        : ratio > 1
          ? 'stronger'
          : 'weaker';
  return { id: later.id, against: first.id, statistic, p, ...(isOpen ? {} : { ratio }), verdict };
}
