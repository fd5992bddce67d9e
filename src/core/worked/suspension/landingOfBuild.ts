import type { Assembled } from '../../base/assembled';
import { keepLast } from '../../base/kept';
import type { BuildDocument } from '../../car/document/document';
import type { ChosenTyre } from '../../car/tyres/tyres';
import { tyreAt, tyreKeys } from '../../car/tyres/tyres';
import { type End, ENDS, USUAL_STOP_MM } from '../../car/document/suspension';
import { type Fall, USUAL_RIM_N_PER_MM } from '../../physics/loads/fall';
import { landingImpact, landingPeaks } from '../../physics/loads/impact';
import type {
  ImpactInput,
  ImpactResult,
  ImpactSuspension,
  ImpactTyre,
} from '../../physics/loads/impactDefinition';
import { landingOneWheelN } from '../../physics/strength/landing';
import { TYRE_DAMPING_NS_PER_M, TYRE_RATE_N_PER_MM } from '../../physics/tyres/tyreRate';
import { massWithPayloadKg } from '../motion/runOfBuild';
import { endOf } from './endOfBuild';
import { cornerWeights, type RideOfBuild, rideOf } from './rideOfBuild';

/** Wheels that land together. */
export type Landed = 1 | 4;

export const tyreRateOf = ({ rateNPerMm, ring = 'solid rubber' }: ChosenTyre): number =>
  rateNPerMm ?? TYRE_RATE_N_PER_MM[ring];

function impactTyre({ drive }: BuildDocument, end: End): ImpactTyre {
  const tyre = tyreAt(drive, end)!;
  const rate = tyreRateOf(tyre);
  const rim = drive[tyreKeys(drive, end).hold]?.rimRadiusMm;
  return {
    rateNPerMm: rate,
    dampingNsPerM: TYRE_DAMPING_NS_PER_M,
    ...(rim === undefined || rim >= tyre.radiusMm
      ? {}
      : { rimAtMm: tyre.radiusMm - rim, rimNPerMm: Math.max(USUAL_RIM_N_PER_MM, rate) }),
  };
}

/** Damper's stroke over wheel travel from full droop to full bump, as the corner is drawn. */
function ratioOverTravel(document: BuildDocument, end: End): ImpactSuspension['motionRatio'] | undefined {
  const found = endOf(document, end);
  if (!found.ok) return undefined;
  const stations = found.value.sweep.stations.filter(({ motionRatio }) => Math.abs(motionRatio ?? 0) > 0);
  const first = stations[0];
  if (!first) return undefined;
  if (stations.length === 1) return Math.abs(first.motionRatio!);
  return {
    travelMm: stations.map(({ travelMm }) => travelMm - first.travelMm),
    ratio: stations.map(({ motionRatio }) => Math.abs(motionRatio!)),
  };
}

/** A corner of one end dropped from a height, m: the input of `landing.impact`, or what is missing. */
export function impactInputOf(
  document: BuildDocument,
  end: End,
  dropM: number,
  wheels: Landed = 4,
): Assembled<ImpactInput> {
  const ride = rideOf(document, end);
  if (!ride.ok) return ride;
  const weights = cornerWeights(document);
  if (!weights.ok) return weights;
  const ratio = ratioOverTravel(document, end);
  if (ratio === undefined) return { ok: false, missing: [`suspension.${end}.corner.damperInner`] };
  const sprungMassG = 2 * (weights.value.front.sprungG + weights.value.rear.sprungG);
  const { weight, input } = ride.value;
  return {
    ok: true,
    value: {
      dropM,
      wheels,
      sprungMassG,
      unsprungMassG: Math.max(LEAST_UNSPRUNG_G, weight.unsprungG),
      ...(wheels === 4 ? { loadShare: weight.sprungG / sprungMassG } : {}),
      tyre: impactTyre(document, end),
      suspension: suspensionOf(ride.value, ratio, input.wheelTravelMm),
    },
  };
}

/** A wheel always weighs something, g. */
const LEAST_UNSPRUNG_G = 1;

const suspensionOf = (
  { input }: RideOfBuild,
  motionRatio: ImpactSuspension['motionRatio'],
  wheelTravelMm: number,
): ImpactSuspension => ({
  springNPerMm: input.springRateNPerMm,
  preloadMm: input.preloadMm ?? 0,
  motionRatio,
  wheelTravelMm,
  damperNsPerM: input.damperNsPerM ?? 0,
});

const keepImpacts = keepLast<ImpactResult>(12);
const keepPeaks = keepLast<Fall>(40);

/** One end landing on four wheels from the wished drop, with the largest that it takes. */
export function landingOf(
  document: BuildDocument,
  end: End,
  dropM: number,
): Assembled<{ input: ImpactInput; impact: ImpactResult }> {
  const input = impactInputOf(document, end, dropM);
  if (!input.ok) return input;
  return {
    ok: true,
    value: {
      input: input.value,
      impact: keepImpacts(JSON.stringify(input.value), () => landingImpact(input.value)),
    },
  };
}

/** The peaks of a landing at one end, SI; undefined while its springs are not known. */
export function peaksAt(document: BuildDocument, end: End, dropM: number, wheels: Landed): Fall | undefined {
  const input = impactInputOf(document, end, dropM, wheels);
  return input.ok ? keepPeaks(JSON.stringify(input.value), () => landingPeaks(input.value)) : undefined;
}

export interface LandingForces {
  /** On the tyre of the wheel that lands hardest, and into the car over it, N. */
  oneWheelN: number;
  end: End;
  bottoms: boolean;
  /** On one tyre, N. */
  tyreN: number;
  /** On all four together, N. */
  fourWheelsN: number;
}

/** Landing from the wished drop on springs, dampers and stops; undefined while nothing is dropped or an end has no springs yet. */
export function landingForces(document: BuildDocument): LandingForces | undefined {
  const { dropHeightM } = document.brief;
  if (dropHeightM === undefined) return undefined;
  const ends = ENDS.map((end) => ({
    end,
    one: peaksAt(document, end, dropHeightM, 1),
    four: peaksAt(document, end, dropHeightM, 4),
  }));
  if (ends.some(({ one, four }) => !one || !four)) return undefined;
  const hardest = ends
    .map(({ end, one }) => ({ end, force: Math.max(one!.peakTyreN, one!.peakChassisN), one: one! }))
    .reduce((a, b) => (b.force > a.force ? b : a));
  return {
    oneWheelN: hardest.force,
    end: hardest.end,
    bottoms: hardest.one.stopMps !== undefined,
    tyreN: Math.max(...ends.map(({ one }) => one!.peakTyreN)),
    fourWheelsN: ends.reduce((sum, { four }) => sum + 2 * Math.max(four!.peakTyreN, four!.peakChassisN), 0),
  };
}

/** On the tyre of the one wheel that lands, N: on its springs where they are known, else stopped over a travel that is given or guessed. */
export function oneWheelLandingN(document: BuildDocument): number {
  const { brief, suspension } = document;
  return (
    landingForces(document)?.tyreN ??
    landingOneWheelN(
      massWithPayloadKg(document)!,
      brief.dropHeightM ?? 0,
      (suspension.stopMm ?? USUAL_STOP_MM) / 1000,
    )
  );
}
