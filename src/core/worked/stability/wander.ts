import type { BuildDocument } from '../../car/document/document';
import type { SteadyInput } from '../../physics/handling/steady/definition';
import { handlingSteady } from '../../physics/handling/steady/steady';
import { playOf } from '../suspension/playOfBuild';
import { restOf } from '../suspension/restOfBuild';

/** Steering that nobody gave, and how far it takes the car off its line. */
export interface Wander {
  steerDeg: number;
  driftM: number;
}

const RAD = Math.PI / 180;
/** Of the two front wheels a bump meets one. */
const ONE_OF_TWO = 0.5;

/**
 * How far a car leaves its line over a way when its front wheels stand off by an angle: the circle of that steering, v²
 * times the understeer wider.
 *
 * @returns m aside; undefined of a car without a steady turn there, or beyond its critical speed
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 6
 */
export function driftOf(input: SteadyInput, steerDeg: number, distanceM: number): number | undefined {
  const { understeerDegPerMps2 } = handlingSteady(input);
  if (understeerDegPerMps2 === undefined) return undefined;
  const effectiveM = input.wheelbaseMm / 1000 + understeerDegPerMps2 * RAD * input.speedMps ** 2;
  return effectiveM > 0 ? (steerDeg * RAD * distanceM ** 2) / (2 * effectiveM) : undefined;
}

/** What the play of the front and a bump under one front wheel do at a speed; left out where the front is not drawn so far. */
export function wanderOf(
  document: BuildDocument,
  input: SteadyInput,
  { distanceM, bumpMm }: { distanceM: number; bumpMm: number },
): { play?: Wander; bump?: Wander } {
  const play = playOf(document, 'front');
  const rest = restOf(document, 'front');
  const of = (steerDeg: number | undefined): Wander | undefined => {
    const driftM = steerDeg === undefined ? undefined : driftOf(input, steerDeg, distanceM);
    return steerDeg === undefined || driftM === undefined ? undefined : { steerDeg, driftM };
  };
  const [played, bumped] = [
    of(play.ok ? play.value.toeDeg : undefined),
    of(rest && ONE_OF_TWO * Math.abs(rest.bumpSteerDegPerMm) * bumpMm),
  ];
  return { ...(played ? { play: played } : {}), ...(bumped ? { bump: bumped } : {}) };
}
