import { CalcError } from '../../base/errors';
import type { Assembled } from '../../base/assembled';
import type { Drive } from '../../car/document/drive';
import { tyreAt, type TyreHold, tyreKeys } from '../../car/tyres/tyres';
import type { Axle } from '../../car/stages/stage';
import type { Grown } from '../../physics/motion/definition';
import { checkMake } from '../../physics/tyres/checkMake';
import { bodyOf } from '../../physics/tyres/tyreBody';
import { isHollowMake, type KnownTyreKind, type TyreMake, wholeMake } from '../../physics/tyres/tyreKinds';

/** How the tyres of an axle are made and held, or what is missing of it. */
export function makeAt(drive: Drive, axle: Axle): Assembled<TyreMake> {
  const keys = tyreKeys(drive, axle);
  const tyre = tyreAt(drive, axle);
  if (!tyre) return { ok: false, missing: ['drive.tyre'] };
  if (!tyre.ring) return { ok: false, missing: [`drive.${keys.tyre}.ring`] };
  return makeOf(tyre.ring, tyre.radiusMm, drive[keys.hold] ?? {}, `drive.${keys.hold}`);
}

/** A tyre of a kind on its rim, or what is missing of it under a path. */
export function makeOf(
  kind: KnownTyreKind,
  radiusMm: number,
  { by, wallMm, insertDensityKgM3, pressureMpa, provenRpm: _, ...held }: TyreHold,
  at = 'drive.tyreHold',
): Assembled<TyreMake> {
  const isHollow = isHollowMake({ kind });
  // what belongs to a hollow tyre waits while another is on; a hollow one can be glued at its beads alone
  const hold = isHollow && by === 'bonded' ? 'beads' : by;
  const make: TyreMake = {
    kind,
    radiusMm,
    ...held,
    ...(hold ? { hold } : {}),
    ...(isHollow ? { wallMm, insertDensityKgM3, pressureMpa } : {}),
  };
  try {
    checkMake(make);
    return { ok: true, value: make };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    const { path, code } = error.refused;
    return { ok: false, missing: [`${at}.${path}${code === 'tyreMake.hold' ? '' : ':inside'}`] };
  }
}

const STEPS = 128;
/** Beyond it no figure is worth anything. */
const OF_RUNAWAY = 0.98;
/** Growth up to which the speeds are laid. */
const MOST_FACTOR = 1.5;
const KEPT = 32;
const known = new Map<string, Grown>();

/** How a tyre's radius grows with the car's speed; worked out once a make. */
export function grownOf(make: TyreMake): Grown {
  const key = JSON.stringify(make);
  const kept = known.get(key);
  if (kept) return kept;
  const radiusM = make.radiusMm / 1000;
  const body = bodyOf(wholeMake(make));
  const points = Array.from({ length: STEPS + 1 }, (_, k) => {
    const omega = (OF_RUNAWAY * body.runAwayRadPerS * k) / STEPS;
    const factor = Math.min(MOST_FACTOR, 1 + body.at(omega).growthM / radiusM);
    return { mps: omega * radiusM * factor, factor };
  });
  const stepMps = points.at(-1)!.mps / STEPS;
  let at = 0;
  const factors = Array.from({ length: STEPS + 1 }, (_, k) => {
    const mps = k * stepMps;
    while (at < STEPS - 1 && points[at + 1]!.mps < mps) at++;
    const [low, high] = [points[at]!, points[at + 1]!];
    return low.factor + Math.min(1, (mps - low.mps) / (high.mps - low.mps)) * (high.factor - low.factor);
  });
  const grown = { stepMps, factors };
  if (known.size >= KEPT) known.clear();
  known.set(key, grown);
  return grown;
}
