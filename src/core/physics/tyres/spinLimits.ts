import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { bisect } from '../../base/numeric/root';
import type { Spun, TyreBody } from './spun';
import type { WholeMake } from './tyreKinds';

/** What may let go first, in the order of ties. */
export const SPIN_ENDS = ['bond', 'clamp', 'seat', 'tearAtRim', 'tearOutside', 'runAway'] as const;
export type SpinEnd = (typeof SPIN_ENDS)[number];

export interface SpinLimit {
  what: SpinEnd;
  rpm: number;
  /** Left out where it grows without end. */
  speedMps?: number;
}

export interface SpinConditions {
  temperatureC?: number;
  /** On the road, corners and a hot tread cost what a bench does not show. */
  use?: 'bench' | 'road';
}

const COLD_C = 23;
const SOFTER_PER_C = 0.006;
const LEAST_OF_MATERIAL = 0.2;
/** Share of the strengths that cornering and a hot tread leave; by judgement. */
export const ON_ROAD = 0.7;

export interface Strengths {
  material: number;
  bond: number;
  use: number;
}

/** Shares of the strengths that heat and the road leave. */
export function strengthsOf(
  { bondSofteningC }: WholeMake,
  { temperatureC = COLD_C, use = 'bench' }: SpinConditions,
): Strengths {
  const clamp = (share: number, least: number) => Math.min(1, Math.max(least, share));
  const road = use === 'road' ? ON_ROAD : 1;
  return {
    material: clamp(1 - SOFTER_PER_C * (temperatureC - COLD_C), LEAST_OF_MATERIAL) * road,
    bond: clamp((bondSofteningC - temperatureC) / (bondSofteningC - COLD_C), 0) * road,
    use: road,
  };
}

/** Each way to let go as what pulls over what holds: it ends where that is 1. */
function waysToEnd(make: WholeMake, { material, bond, use }: Strengths) {
  const [a, b] = [make.rimRadiusMm, make.radiusMm];
  const tight = make.interferenceMm / (2 * a);
  const ways: { what: SpinEnd; holds: number; pulls: (spun: Spun) => number }[] = [];
  const pull = ({ pullNPerM }: Spun) => pullNPerM / 1000;
  const rim = ({ rimPa }: Spun) => rimPa! / 1e6;
  if (make.hold === 'bonded')
    ways.push({ what: 'bond', holds: (make.bondStrengthMpa * bond) / make.edgeFactor, pulls: rim });
  if (make.hold === 'beads')
    ways.push({ what: 'bond', holds: make.bondShearMpa * bond * make.beadMm, pulls: pull });
  if (make.hold === 'clamp')
    ways.push({
      what: 'clamp',
      holds: ((make.screws * make.screwPreloadN * 2 * make.clampFriction) / (2 * Math.PI * a)) * use,
      pulls: pull,
    });
  if (make.hold === 'friction')
    ways.push(
      make.isHollow
        ? {
            what: 'seat',
            holds: ((sidewallModulus(make) * tight * make.sidewallMm * make.beadMm) / a) * material,
            pulls: pull,
          }
        : {
            what: 'seat',
            holds:
              ((make.hoopModulusMpa * tight) / ((b ** 2 + a ** 2) / (b ** 2 - a ** 2) + make.poisson)) *
              material,
            pulls: rim,
          },
    );
  if (make.isHollow)
    ways.push({
      what: 'tearAtRim',
      holds: make.sidewallStrengthMpa * material * make.sidewallMm,
      pulls: pull,
    });
  else if (make.hold !== 'friction')
    ways.push({ what: 'tearAtRim', holds: make.hoopStrengthMpa * material, pulls: rim });
  ways.push({
    what: 'tearOutside',
    holds: make.hoopStrengthMpa * material,
    pulls: ({ hoopPa }) => hoopPa / 1e6,
  });
  return ways;
}

const sidewallModulus = (make: WholeMake): number => make.sidewallModulusMpa ?? make.hoopModulusMpa;

/** Speeds at which each way lets go, the first first; those that it does not reach before it runs away are left out. */
export function limitsOf(
  make: WholeMake,
  body: TyreBody,
  strengths: Strengths,
  speedAt: (omega: number) => number,
): SpinLimit[] {
  const end = body.runAwayRadPerS;
  const reached = waysToEnd(make, strengths).flatMap(({ what, holds, pulls }): SpinLimit[] => {
    const over = (omega: number) => pulls(body.at(omega)) - holds;
    if (over(0) >= 0) return [{ what, rpm: 0, speedMps: 0 }];
    if (!(over(end) >= 0)) return [];
    const omega = bisect(over, 0, end);
    return [{ what, rpm: omega / RAD_PER_S_PER_RPM, speedMps: speedAt(omega) }];
  });
  return [
    ...reached.sort((one, other) => one.rpm - other.rpm),
    { what: 'runAway', rpm: end / RAD_PER_S_PER_RPM },
  ];
}
