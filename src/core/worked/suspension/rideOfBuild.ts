import type { BuildDocument } from '../../car/document/document';
import { type End, ENDS, type SuspensionEnd } from '../../car/document/suspension';
import { weightOf } from '../chassis/weightOfBuild';
import { GRAVITY } from '../../base/constants';
import { type Assembled, missingOf } from '../../base/assembled';
import { refusal } from '../../base/errors';
import { endOf } from './endOfBuild';
import { type RideInput, type RideResult, suspensionRide } from '../../physics/corner/ride';
import { type SpringRate, springRate } from '../../physics/corner/spring';

declare module '../../base/errors' {
  interface RefusalFacts {
    'ride.noSpring': Record<never, never>;
  }
}

/** What one wheel of an end carries, and what moves with it. */
export interface CornerWeight {
  axleLoadG: number;
  unsprungG: number;
  sprungG: number;
}

/** Mass on one wheel of each end, sprung and unsprung, with the payload on board. */
export function cornerWeights(document: BuildDocument): Assembled<Record<End, CornerWeight>> {
  const weight = weightOf(document);
  if (!weight.ok) return weight;
  const { wheelbaseMm } = document.chassis;
  const { massG, cgMm, bodies } = weight.value;
  const share = 1 + cgMm[0] / wheelbaseMm!;
  const of = (end: End): CornerWeight => {
    const axleLoadG = massG * (end === 'front' ? share : 1 - share);
    const unsprungG =
      bodies
        .filter(({ sprung, xMm }) => !sprung && xMm > -wheelbaseMm! / 2 === (end === 'front'))
        .reduce((sum, { massG: own }) => sum + own, 0) / 2;
    return { axleLoadG, unsprungG, sprungG: axleLoadG / 2 - unsprungG };
  };
  return { ok: true, value: { front: of('front'), rear: of('rear') } };
}

export interface RideOfBuild {
  weight: CornerWeight;
  input: RideInput;
  ride: RideResult;
  /** Where the spring is wound from wire. */
  spring?: SpringRate;
  /** Fastest fall of the ground that the wheel still follows from rest, m/s². */
  followsMps2: number;
}

/** Rate of an end's spring, given or wound; undefined while figures are missing. */
export function rateOf({
  springBy,
  rateNPerMm,
  wireMm,
  meanDiameterMm,
  activeCoils,
}: SuspensionEnd): { rateNPerMm: number; spring?: SpringRate } | undefined {
  if (springBy !== 'wire') return rateNPerMm === undefined ? undefined : { rateNPerMm };
  if (
    wireMm === undefined ||
    meanDiameterMm === undefined ||
    activeCoils === undefined ||
    meanDiameterMm <= wireMm
  )
    return undefined;
  const spring = springRate({ wireMm, meanDiameterMm, activeCoils });
  return { rateNPerMm: spring.rateNPerMm, spring };
}

/** Whether the springs of one end carry it, or what is missing. */
export function rideOf(document: BuildDocument, end: End): Assembled<RideOfBuild> {
  const weights = cornerWeights(document);
  const found = endOf(document, end);
  const own = document.suspension[end] ?? {};
  const rate = rateOf(own);
  const motionRatio = found.ok
    ? found.value.sweep.stations.find(({ travelMm }) => travelMm === 0)?.motionRatio
    : undefined;
  const missing = [
    ...(weights.ok ? [] : weights.missing),
    ...(found.ok ? missingOf({ [`suspension.${end}.corner.damperInner`]: motionRatio }) : found.missing),
    ...missingOf({ [`suspension.${end}.springRateNPerMm`]: rate }),
  ];
  if (missing.length > 0 || !weights.ok || !found.ok || !rate) return { ok: false, missing };
  const weight = weights.value[end];
  if (weight.sprungG <= 0) return { ok: false, missing: [`suspension.${end}.unsprungG:carries`] };
  const input: RideInput = {
    cornerSprungMassG: weight.sprungG,
    springRateNPerMm: rate.rateNPerMm,
    motionRatio: Math.abs(motionRatio!),
    wheelTravelMm: found.value.bumpMm + found.value.droopMm,
    preloadMm: own.preloadMm ?? 0,
    ...(own.damperNsPerM === undefined ? {} : { damperNsPerM: own.damperNsPerM }),
    ...(own.targetSagPct === undefined ? {} : { targetSagPct: own.targetSagPct }),
  };
  if (input.motionRatio === 0) return { ok: false, missing: [`suspension.${end}.corner.damperInner:moves`] };
  return {
    ok: true,
    value: {
      weight,
      input,
      ride: suspensionRide(input),
      ...(rate.spring ? { spring: rate.spring } : {}),
      followsMps2: followsOf(weight),
    },
  };
}

const followsOf = ({ sprungG, unsprungG }: CornerWeight) =>
  unsprungG === 0 ? Infinity : GRAVITY * (1 + sprungG / unsprungG);

/** The same corner with a motor of its own in each driven wheel. */
export interface InWheelCost {
  unsprungShare: number;
  unsprungShareThen: number;
  followsMps2: number;
  followsMps2Then: number;
}

/** What moving the motors' mass into this end's wheels would cost; undefined without a motor or with the motors there already. */
export function inWheelCost(document: BuildDocument, end: End): InWheelCost | undefined {
  const weights = cornerWeights(document);
  const { motor, mounting, drivenAxles } = document.drive;
  if (!weights.ok || !motor || mounting === 'wheel' || (drivenAxles !== 'all' && drivenAxles !== end))
    return undefined;
  const now = weights.value[end];
  const then: CornerWeight = {
    ...now,
    unsprungG: now.unsprungG + motor.massG,
    sprungG: now.sprungG - motor.massG,
  };
  if (then.sprungG <= 0) return undefined;
  const share = ({ unsprungG, sprungG }: CornerWeight) => unsprungG / (unsprungG + sprungG);
  return {
    unsprungShare: share(now),
    unsprungShareThen: share(then),
    followsMps2: followsOf(now),
    followsMps2Then: followsOf(then),
  };
}

export const endsOf = (document: BuildDocument): readonly End[] =>
  ENDS.filter((end) => document.suspension[end]?.corner !== undefined);

/** Rate that holds an end where it is drawn, N/mm, with its preload; undefined where springs or mass are not known. */
export function rateAsDrawn(document: BuildDocument, end: End): number | undefined {
  const found = rideOf(document, end);
  const { droopMm } = document.suspension[end] ?? {};
  if (!found.ok || droopMm === undefined) return undefined;
  const { motionRatio, preloadMm = 0, cornerSprungMassG } = found.value.input;
  return ((cornerSprungMassG / 1000) * GRAVITY) / (motionRatio * (motionRatio * droopMm + preloadMm));
}

/** A spring of this rate put into an end as its figures are given: by its rate, or by the coils of its wire. */
export function springPatch(
  { suspension }: BuildDocument,
  end: End,
  rateNPerMm: number,
): { path: string[]; value: number }[] {
  const own = suspension[end] ?? {};
  if (own.springBy !== 'wire' || own.activeCoils === undefined)
    return [{ path: ['suspension', end, 'rateNPerMm'], value: Number(rateNPerMm.toPrecision(3)) }];
  const now = rateOf(own);
  if (!now) throw refusal(`suspension.${end}.activeCoils`, 'ride.noSpring');
  return [
    {
      path: ['suspension', end, 'activeCoils'],
      value: Number(((own.activeCoils * now.rateNPerMm) / rateNPerMm).toPrecision(3)),
    },
  ];
}
