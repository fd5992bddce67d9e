import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { normalBelow } from '../../base/numeric/normal';
import { checkMake } from './checkMake';
import { failingSpeed } from './failingSpeed';
import { diameterMm, growthFit, modulusOfGrowth, slopeMmPerMpa, type SpinReading } from './growthFit';
import type { TyreBody } from './spun';
import { bodiesOf } from './tyreBody';
import { type TyreMake, usualHold, type WholeMake, wholeMake } from './tyreKinds';

declare module '../../base/errors' {
  interface RefusalFacts {
    'tyreFit.twice': { id: string };
    'tyreFit.free': Record<never, never>;
    'tyreFit.nothing': Record<never, never>;
    'tyreFit.onlyRest': Record<never, never>;
  }
}
declare module '../../base/finding' {
  interface FindingFacts {
    'note.tyreFit.noGrowth': { tyre: string; error: Measure };
    'note.tyreFit.scatterAtBound': { tyre: string; scatter: number };
  }
}

export const SPIN_OUTCOMES = ['held', 'drive ran out', 'lifted', 'tore', 'bond let go'] as const;
export type SpinOutcome = (typeof SPIN_OUTCOMES)[number];
export const SPIN_FAILURES = SPIN_OUTCOMES.filter(
  (outcome): outcome is 'lifted' | 'tore' | 'bond let go' =>
    outcome !== 'held' && outcome !== 'drive ran out',
);
export type SpinFailure = (typeof SPIN_FAILURES)[number];

export interface SpunTyre extends TyreMake {
  id: string;
  readings?: SpinReading[];
  outcomes?: { rpm: number; outcome: SpinOutcome }[];
}

export interface TyreFitInput {
  tyres: SpunTyre[];
  diameterErrorMm?: number;
  wishRpm?: number;
  confidence?: number;
  /** Of the logarithm of the failing speed, where too few failed to tell. */
  scatter?: number;
}

/** What the bench tells of one tyre. */
export interface FittedTyre {
  id: string;
  restDiameterMm?: number;
  modulusMpa?: number;
  modulusErrorMpa?: number;
  residualMm?: number;
  /** At least so stiff: nothing grew that the reading could tell. */
  modulusOverMpa?: number;
  wishDiameterMm?: number;
  wishGrowthPct?: number;
  wishErrorMm?: number;
  ways?: Record<SpinFailure, number>;
  failures?: number;
  provenRpm?: number;
  provenCount?: number;
  /** Share of such tyres that hold the proven speed, at least, with the confidence asked for. */
  provenShare?: number;
  medianRpm?: number;
  scatter?: number;
  scatterAssumed?: boolean;
  medianErrorRpm?: number;
  lowRpm?: number;
  effectiveStrengthMpa?: number;
  chanceHolds?: number;
  chanceHoldsOver?: number;
  rankRpm?: number;
  rankIsBound?: boolean;
}

export interface TyreFitResult {
  tyres: FittedTyre[];
  ranking: string[];
  notes: Finding[];
}

const USUAL = { diameterErrorMm: 0.2, confidence: 0.9, scatter: 0.1 };
const isFailure = (outcome: SpinOutcome): outcome is SpinFailure =>
  (SPIN_FAILURES as readonly SpinOutcome[]).includes(outcome);

/**
 * What a spin bench teaches: the modulus that the growth tells, speeds that are proven, the speed at which half of such tyres
 * fail with what 99 in 100 hold, and constructions by it.
 *
 * @returns speeds in rpm, moduli in MPa, diameters in mm; tyres in the input's order
 * @throws CalcError at an `id` that occurs twice, at `hold` for a free ring, at `readings` where nothing or only rest was read
 * @see Meeker and Escobar, Statistical Methods for Reliability Data, ch. 8
 */
export function tyreFit(input: TyreFitInput): TyreFitResult {
  const settings = { ...USUAL, ...input };
  const notes: Finding[] = [];
  const tyres = input.tyres.map((tyre, k) => {
    const at = `tyres.${k}.`;
    if (input.tyres.findIndex(({ id }) => id === tyre.id) < k)
      throw refusal(`${at}id`, 'tyreFit.twice', { id: tyre.id });
    checkMake(tyre, ['densityKgM3'], at);
    if ((tyre.hold ?? usualHold(tyre)) === 'free')
      throw refusal(tyre.hold ? `${at}hold` : `${at}rimRadiusMm`, 'tyreFit.free');
    return fitOne(tyre, at, settings, notes);
  });
  const ranked = tyres.filter(({ rankRpm }) => rankRpm !== undefined);
  const unranked = tyres.filter(({ rankRpm }) => rankRpm === undefined);
  return {
    tyres,
    ranking: [...ranked.sort((one, other) => other.rankRpm! - one.rankRpm!), ...unranked].map(({ id }) => id),
    notes,
  };
}

type Settings = TyreFitInput & typeof USUAL;

function fitOne(tyre: SpunTyre, at: string, settings: Settings, notes: Finding[]): FittedTyre {
  const { readings, outcomes } = tyre;
  if (!readings?.length && !outcomes?.length) throw refusal(`${at}readings`, 'tyreFit.nothing');
  const make = wholeMake(tyre);
  const bodies = bodiesOf(make);
  const growth = readings?.length ? growthOf(tyre, readings, bodies, at, settings, notes) : {};
  const isBoundOnly = growth.restDiameterMm !== undefined && growth.modulusMpa === undefined;
  const modulusMpa = isBoundOnly ? undefined : (growth.modulusMpa ?? make.hoopModulusMpa);
  const restMm = growth.restDiameterMm ?? 2 * tyre.radiusMm;
  return {
    id: tyre.id,
    ...growth,
    ...(modulusMpa === undefined ? {} : wishOf(bodies, restMm, modulusMpa, growth, settings)),
    ...(outcomes?.length ? strengthOf(tyre, outcomes, make, bodies, modulusMpa, settings, notes) : {}),
  };
}

function growthOf(
  tyre: SpunTyre,
  readings: SpinReading[],
  bodies: (modulusMpa: number) => TyreBody,
  at: string,
  { diameterErrorMm: errorMm }: Settings,
  notes: Finding[],
): Pick<FittedTyre, 'restDiameterMm' | 'modulusMpa' | 'modulusErrorMpa' | 'residualMm' | 'modulusOverMpa'> {
  const resting = readings.filter(({ rpm }) => rpm === 0);
  const turning = readings.filter(({ rpm }) => rpm > 0);
  if (turning.length === 0) throw refusal(`${at}readings`, 'tyreFit.onlyRest');
  const restDiameterMm = resting.length
    ? resting.reduce((sum, one) => sum + one.diameterMm, 0) / resting.length
    : 2 * tyre.radiusMm;
  if (turning.every((one) => one.diameterMm <= restDiameterMm + 2 * errorMm)) {
    notes.push(finding('note.tyreFit.noGrowth', { tyre: tyre.id, error: measure(errorMm, 'lengthMm') }));
    const fastest = Math.max(...turning.map(({ rpm }) => rpm));
    const modulusOverMpa = modulusOfGrowth(bodies, fastest, 2 * errorMm);
    return { restDiameterMm, ...(modulusOverMpa === undefined ? {} : { modulusOverMpa }) };
  }
  return { restDiameterMm, ...growthFit(bodies, restDiameterMm, turning, errorMm) };
}

function wishOf(
  bodies: (modulusMpa: number) => TyreBody,
  restMm: number,
  modulusMpa: number,
  { modulusErrorMpa }: Partial<FittedTyre>,
  { wishRpm }: Settings,
): Pick<FittedTyre, 'wishDiameterMm' | 'wishGrowthPct' | 'wishErrorMm'> {
  if (wishRpm === undefined) return {};
  if (wishRpm * RAD_PER_S_PER_RPM >= bodies(modulusMpa).runAwayRadPerS) return {};
  const wishDiameterMm = diameterMm(bodies, restMm, modulusMpa, wishRpm);
  return {
    wishDiameterMm,
    wishGrowthPct: (wishDiameterMm / restMm - 1) * 100,
    ...(modulusErrorMpa === undefined
      ? {}
      : { wishErrorMm: Math.abs(slopeMmPerMpa(bodies, restMm, modulusMpa, wishRpm)) * modulusErrorMpa }),
  };
}

function strengthOf(
  { id }: SpunTyre,
  outcomes: NonNullable<SpunTyre['outcomes']>,
  make: WholeMake,
  bodies: (modulusMpa: number) => TyreBody,
  modulusMpa: number | undefined,
  { confidence, scatter: assumed, wishRpm }: Settings,
  notes: Finding[],
): Partial<FittedTyre> {
  const ways = { lifted: 0, tore: 0, 'bond let go': 0 };
  const [failed, held]: [number[], number[]] = [[], []];
  for (const { rpm, outcome } of outcomes) {
    if (isFailure(outcome)) {
      ways[outcome]++;
      failed.push(rpm);
    } else held.push(rpm);
  }
  const lowestFailure = Math.min(Infinity, ...failed);
  const provenRpm = held.filter((rpm) => rpm < lowestFailure).sort((a, b) => b - a)[0];
  const provenCount = outcomes.filter(({ rpm }) => provenRpm !== undefined && rpm >= provenRpm).length;
  const provenShare = (1 - confidence) ** (1 / provenCount);
  const proven = {
    ways,
    failures: failed.length,
    ...(provenRpm === undefined ? {} : { provenRpm, provenCount, provenShare }),
  };
  if (failed.length === 0)
    return {
      ...proven,
      ...(provenRpm === undefined ? {} : { rankRpm: provenRpm, rankIsBound: true }),
      ...(wishRpm !== undefined && provenRpm !== undefined && wishRpm <= provenRpm
        ? { chanceHoldsOver: provenShare }
        : {}),
    };
  const { scatterAtBound, ...speed } = failingSpeed({ failed, held }, assumed, confidence);
  if (scatterAtBound)
    notes.push(finding('note.tyreFit.scatterAtBound', { tyre: id, scatter: speed.scatter }));
  const { scatterAssumed, ...figures } = speed;
  const omega = speed.medianRpm * RAD_PER_S_PER_RPM;
  const body = modulusMpa === undefined || make.isHollow ? undefined : bodies(modulusMpa);
  return {
    ...proven,
    ...figures,
    ...(scatterAssumed ? { scatterAssumed } : {}),
    ...(body && omega < body.runAwayRadPerS ? { effectiveStrengthMpa: body.at(omega).rimPa! / 1e6 } : {}),
    rankRpm: speed.medianRpm,
    ...(wishRpm === undefined
      ? {}
      : { chanceHolds: normalBelow((Math.log(speed.medianRpm) - Math.log(wishRpm)) / speed.scatter) }),
  };
}
