import { bisect } from '../../base/numeric/root';
import type { TyreBody } from './spun';
import type { WholeMake } from './tyreKinds';

const STEPS = 64;

/** An annulus on a stiff rim, in units of its outer radius, at one κ² = (1 − ν²)·ρ·ω²·b²/E. */
interface Stretched {
  /** s′(a) − 1. */
  atRim: number;
  /** s(b)/b − 1. */
  outside: number;
}

/**
 * The displaced radius s of an annulus that spins, its load at where its pieces have moved to:
 * s″ + s′/r − s/r² + κ²·s = 0, s(a) = a, s′(b) + ν·s(b)/b = 1 + ν. Undefined past the speed at which no such state is stable.
 * Two solutions are followed from the rim by Runge and Kutta's fourth order.
 *
 * @see Timoshenko and Goodier, Theory of Elasticity (rotating discs); Love (body force in the displaced state)
 */
function stretched(kappa2: number, rim: number, nu: number): Stretched | undefined {
  // over t = ln r the equation is s″ = (1 − κ²·r²)·s, as smooth at a small rim as at a large one
  const step = -Math.log(rim) / STEPS;
  const bend = (t: number, s: number) => (1 - kappa2 * Math.exp(2 * t)) * s;
  const follow = (start: number, startSlope: number) => {
    let [s, v] = [start, startSlope];
    for (let i = 0; i < STEPS; i++) {
      const t = (i - STEPS) * step;
      const a1 = bend(t, s);
      const v2 = v + (step / 2) * a1;
      const a2 = bend(t + step / 2, s + (step / 2) * v);
      const v3 = v + (step / 2) * a2;
      const a3 = bend(t + step / 2, s + (step / 2) * v2);
      const v4 = v + step * a3;
      const a4 = bend(t + step, s + step * v3);
      s += (step / 6) * (v + 2 * v2 + 2 * v3 + v4);
      v += (step / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
    }
    return { s, free: v + nu * s };
  };
  const held = follow(rim, 0);
  const turned = follow(0, 1);
  if (turned.free <= 0) return undefined;
  const slope = (1 + nu - held.free) / turned.free;
  return { atRim: slope / rim - 1, outside: held.s + slope * turned.s - 1 };
}

/** What large strain leaves of the growth's denominator: the neo-Hookean annulus, worked numerically. */
const leftOf = ({ atRim }: Stretched, nu: number) => 1 - ((1 / 3 + 1.6 * nu ** 2) * atRim) / (1 - nu ** 2);

/** κ² at which the growth has no end. */
function runAwayKappa2(rim: number, nu: number): number {
  const left = (kappa2: number) => {
    const state = stretched(kappa2, rim, nu);
    return state ? leftOf(state, nu) : -1;
  };
  let [low, high] = [0, (0.2 / (1 - rim)) ** 2];
  while (left(high) > 0) [low, high] = [high, 1.5 * high];
  return bisect(left, low, high);
}

/** A layer all through, for any modulus in MPa: an elastic annulus in plane stress on a stiff rim; SI units from mm and MPa. */
export function layerBodies(make: WholeMake): (modulusMpa: number) => TyreBody {
  const { poisson: nu } = make;
  const [b, w] = [make.radiusMm / 1000, make.widthMm / 1000];
  const rim = make.rimRadiusMm / make.radiusMm;
  const most = runAwayKappa2(rim, nu);
  return (modulusMpa) => {
    const E = modulusMpa * 1e6;
    const perOmega2 = ((1 - nu ** 2) * make.densityKgM3 * b ** 2) / E;
    return {
      runAwayRadPerS: Math.sqrt(most / perOmega2),
      at: (omega) => {
        const state = stretched(Math.min(most, perOmega2 * omega ** 2), rim, nu)!;
        const rimPa = (E / (1 - nu ** 2)) * state.atRim;
        const left = leftOf(state, nu);
        return {
          growthM: left > 1e-9 ? (b * state.outside) / left : Infinity,
          hoopPa: E * state.outside,
          rimPa,
          pullNPerM: (rimPa * w) / 2,
        };
      },
    };
  };
}
