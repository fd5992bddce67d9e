import { bisectBoundary } from '../../../base/numeric/boundary';
import { axlesAt } from './axles';
import type { End, First } from './definition';
import { firstOf } from './balance';
import type { Setup } from './setup';

/** What of an axle moves load across it and steers its wheels against each other. */
export interface Stance {
  trackMm: number;
  /** Of each wheel, toe-in positive. */
  toeDeg: number;
}

/** A car in a steady bend, with both wheels of each axle. */
export interface Bend {
  lateralMps2: number;
  /** More steering than the bend itself asks for, over the acceleration across. */
  understeerDegPerMps2: number;
  maxLateralMps2: number;
  letsGoFirst: First;
  /** Of the axle's load that the outer wheel carries more than the inner one, over the load. */
  movedShare: Record<End, number>;
}

const LEAST_SHARE = 0.1;
const RAD = Math.PI / 180;
const BEYOND = 1.5;

/**
 * The steady car in a bend at a speed: each axle's own load moves by m·a·h over its track, each wheel grips and steers by
 * its own load, and toe lets the outer wheel, which carries more, have its way.
 *
 * @param lateralMps2 over 0
 * @returns understeer in degrees of the front wheels over m/s²
 * @see Milliken, Race Car Vehicle Dynamics, ch. 5 and 7 (tyre load sensitivity, toe)
 */
export function inBend(
  setup: Setup,
  speed: number,
  stance: Readonly<Record<End, Stance>>,
  lateralMps2: number,
): Bend {
  const axles = axlesAt(setup, speed);
  const massOf = (end: End) =>
    setup.massKg * (end === 'front' ? setup.frontLoadShare : 1 - setup.frontLoadShare);
  const wheelsOf = (end: End, lateral: number): readonly [outer: number, inner: number] => {
    const half = axles[end].loadN / 2;
    const moved = Math.min(half, (massOf(end) * lateral * setup.height) / (stance[end].trackMm / 1000));
    return [half + moved, half - moved];
  };
  const left = (end: End) => Math.sqrt(1 - axles[end].use ** 2);
  /** Of one wheel at a load, by how its figure falls off with it. */
  const byLoad = (end: End, falloff: number, loadN: number) =>
    loadN * Math.max(LEAST_SHARE, 1 - falloff * ((2 * loadN) / setup.tyres[end].referenceLoadN - 1));
  const slipOf = (end: End): number => {
    const { corneringPerRad, loadFalloff } = setup.tyres[end];
    const [outer, inner] = wheelsOf(end, lateralMps2).map(
      (load) => corneringPerRad * left(end) * byLoad(end, loadFalloff, load),
    ) as [number, number];
    const toe = stance[end].toeDeg * RAD;
    return (massOf(end) * lateralMps2 - toe * (outer - inner)) / (outer + inner);
  };
  const gripOf = (end: End, lateral: number): number => {
    const { mu, muFalloff } = setup.tyres[end];
    return wheelsOf(end, lateral).reduce(
      (sum, load) => sum + mu * left(end) * byLoad(end, muFalloff, load),
      0,
    );
  };
  const limitOf = (end: End): number => {
    const most = (BEYOND * gripOf(end, 0)) / massOf(end);
    return most === 0 ? 0 : bisectBoundary((a) => massOf(end) * a <= gripOf(end, a), 0, most);
  };
  const [front, rear] = [limitOf('front'), limitOf('rear')];
  const movedOf = (end: End) => {
    const [outer, inner] = wheelsOf(end, lateralMps2);
    return outer + inner === 0 ? 0 : (outer - inner) / (outer + inner);
  };
  return {
    lateralMps2,
    understeerDegPerMps2: (slipOf('front') - slipOf('rear')) / lateralMps2 / RAD,
    maxLateralMps2: Math.min(front, rear),
    letsGoFirst: firstOf(front, rear),
    movedShare: { front: movedOf('front'), rear: movedOf('rear') },
  };
}
