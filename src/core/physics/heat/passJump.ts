import { LOSS_NAMES, type LossName } from './lossNames';
import { heatedFor, type Temperatures, type ThermalDefinition } from './thermal';

/** What adds up while a pack is driven. */
export interface Sums {
  durationS: number;
  distanceM: number;
  energyJ: number;
  motorAs: number;
  /** ∫I² dt without ripple, A² s. */
  squaresAs: number;
  packAs: number;
  lossesJ: Record<LossName, number>;
}

export const sumsOf = ({
  durationS,
  distanceM,
  energyJ,
  motorAs,
  squaresAs,
  packAs,
  lossesJ,
}: Sums): Sums => ({ durationS, distanceM, energyJ, motorAs, squaresAs, packAs, lossesJ: { ...lossesJ } });

/** Adds `passes` times what lies between two marks; the pack's charge `more` times as much, for lower volts. */
export function addSums(found: Sums, from: Sums, to: Sums, passes: number, more: number): void {
  for (const key of ['durationS', 'distanceM', 'energyJ', 'motorAs', 'squaresAs'] as const)
    found[key] += passes * (to[key] - from[key]);
  found.packAs += passes * more * (to.packAs - from.packAs);
  for (const name of LOSS_NAMES) found.lossesJ[name] += passes * (to.lossesJ[name] - from.lossesJ[name]);
}

/** A pack where a pass begins. */
export interface PassMark {
  temperatures: Temperatures;
  /** 0 empty to 1 full. */
  charge: number;
  v: number;
  copperJ: number;
  frictionJ: number;
  sums: Sums;
}

/** What one pass through a trace did. */
export interface Pass {
  /** s. */
  seconds: number;
  /** Of the pack, share. */
  chargeShare: number;
  /** Into one winding with its resistance at 20 °C, and into its case, J. */
  copperJ: number;
  frictionJ: number;
  distanceM: number;
  from: Temperatures;
  to: Temperatures;
}

interface Bounds {
  mostPasses: number;
  /** Whether nothing ends within so many passes that reach these temperatures. */
  isWithin(passes: number, reached: Temperatures): boolean;
}

/** So much charge, and so many kelvin, change a pass by little. */
const [LEAST_CHANGE, FEW_K] = [0.02, 4];

/**
 * How many passes go on as the last one did, and where they take winding and case: with the pass's mean losses the two
 * linear equations are exact, and what the ripple within a pass adds is the same at the end of each.
 *
 * With x the temperatures at the end of a pass, A the map of the mean losses over a pass and p that addition,
 * x₁ = A(x₀ − p) + p, so that (I − A)·p = x₁ − A(x₀).
 * @see Lesne and Savage, Proc. ICF 7 (1989), for the jump over cycles that change little
 */
export function passesAhead(
  pass: Pass,
  thermal: ThermalDefinition,
  { mostPasses, isWithin }: Bounds,
): { passes: number; after: Temperatures } {
  const none = { passes: 0, after: pass.to };
  let passes = Math.floor(Math.min(mostPasses, LEAST_CHANGE / Math.max(1e-12, pass.chargeShare)));
  if (!(passes >= 1)) return none;
  const losses = {
    copperW: pass.copperJ / pass.seconds,
    frictionW: pass.frictionJ / pass.seconds,
    speedMps: pass.distanceM / pass.seconds,
  };
  const over = (from: Temperatures, times: number) => heatedFor(from, losses, thermal, times * pass.seconds);
  const zero = over([0, 0], 1);
  const [a, c] = minus(over([1, 0], 1), zero);
  const [b, d] = minus(over([0, 1], 1), zero);
  const [left, right] = minus(pass.to, over(pass.from, 1));
  const determinant = (1 - a) * (1 - d) - b * c;
  if (determinant < 1e-9) return none;
  const ripple: Temperatures = [
    ((1 - d) * left + b * right) / determinant,
    (c * left + (1 - a) * right) / determinant,
  ];
  for (; passes >= 1; passes = Math.floor(passes / 2)) {
    const [w, k] = over(minus(pass.to, ripple), passes);
    const after: Temperatures = [w + ripple[0], k + ripple[1]];
    if (Math.abs(after[0] - pass.to[0]) <= FEW_K && isWithin(passes, after)) return { passes, after };
  }
  return none;
}

const minus = (a: Temperatures, b: Temperatures): Temperatures => [a[0] - b[0], a[1] - b[1]];
