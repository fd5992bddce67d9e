import type { ChosenSurface } from '../../car/document/brief';
import { type Drive, drivenOf } from '../../car/document/drive';
import { type ChosenTyre } from '../../car/tyres/tyres';
import { tyreAt, tyresApart } from '../../car/tyres/tyres';
import { AXLES, type Axle } from '../../car/stages/stage';
import { factorAt } from '../../physics/motion/plant';
import type { DriveRunInput, Grown } from '../../physics/motion/definition';
import { grownOf, makeAt } from '../tyres/tyreMake';

/** Friction of this tyre on this surface. */
export function frictionOf(surface: ChosenSurface, tyre: ChosenTyre): number {
  return surface.mu * (surface.ground === 'hard' ? tyre.hardFactor : tyre.looseFactor);
}

/** The same across, where that was measured apart. */
export const frictionAcross = (surface: ChosenSurface, tyre: ChosenTyre): number =>
  frictionOf(surface, tyre) * (surface.lateralGripFactor ?? 1);

/** Friction of a car that slides aside with both its ends: each tyre at the load that it carries at rest. */
export const frictionOfCar = (drive: Drive, surface: ChosenSurface, frontLoadShare: number): number =>
  frontLoadShare * frictionAcross(surface, tyreAt(drive, 'front')!) +
  (1 - frontLoadShare) * frictionAcross(surface, tyreAt(drive, 'rear')!);

/**
 * Inertia of a wheel with its tyre over m·r²: between a disc (0.5) and a hoop (1), because the tyre holds most of the mass.
 * @see Meriam and Kraige, Dynamics, table D/4
 */
const WHEEL_INERTIA_SHARE = 0.75;
export const WHEELS = 4;

/** What pulls: the tyres of the driven axles, at the load that they carry at rest, with their growth where their make is known. */
export function tyreOfRun(
  drive: Drive,
  surface: ChosenSurface,
  frontLoadShare: number,
): DriveRunInput['tyre'] {
  const driven = tyresApart(drive).length === 1 ? (['rear'] as const) : drivenOf(drive);
  const share = (axle: Axle) =>
    driven.length === 1 ? 1 : axle === 'front' ? frontLoadShare : 1 - frontLoadShare;
  const mean = (of: (axle: Axle) => number) =>
    driven.reduce((sum, axle) => sum + of(axle), 0) / driven.length;
  const makes = driven.map((axle) => makeAt(drive, axle));
  const tables = makes.flatMap((make) => (make.ok ? [grownOf(make.value)] : []));
  return {
    radiusMm: mean((axle) => tyreAt(drive, axle)!.radiusMm),
    mu: driven.reduce((sum, axle) => sum + share(axle) * frictionOf(surface, tyreAt(drive, axle)!), 0),
    ...(tables.length === driven.length ? { grown: meanOf(tables) } : {}),
  };
}

function meanOf(tables: readonly Grown[]): Grown {
  const [first, second] = tables;
  if (!second || first === second) return first!;
  return {
    stepMps: first!.stepMps,
    factors: first!.factors.map((factor, k) => (factor + factorAt(second, k * first!.stepMps)) / 2),
  };
}

/** Of all wheels, as if they turned with the driven ones, kg·m². */
export const wheelInertiaOf = (drive: Drive, radiusMm: number): number =>
  AXLES.reduce(
    (sum, axle) =>
      sum +
      (WHEELS / AXLES.length) *
        WHEEL_INERTIA_SHARE *
        (tyreAt(drive, axle)!.massG / 1000) *
        (radiusMm / 1000) ** 2,
    0,
  );
