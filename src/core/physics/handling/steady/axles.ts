import { GRAVITY } from '../../../base/constants';
import type { Both, End } from './definition';
import type { Setup } from './setup';

/** What one axle carries and can at a speed. */
export interface Axle {
  loadN: number;
  /** Along the car, forward positive. */
  longitudinalN: number;
  /** Share of its grip that goes along. */
  use: number;
  corneringNPerRad: number;
  /** Most force across. */
  gripN: number;
}
export type Axles = Record<End, Axle>;

const LEAST_SHARE = 0.1;

/** Load of each axle without and with the air's square of the speed: load = still + square·v². */
export function loadTerms({ massKg, frontLoadShare, accel, height, wheelbase, claM2, airDensity }: Setup): {
  still: Both;
  square: Both;
} {
  const [weight, moved] = [massKg * GRAVITY, (massKg * accel * height) / wheelbase];
  return {
    still: { front: weight * frontLoadShare - moved, rear: weight * (1 - frontLoadShare) + moved },
    square: { front: (airDensity / 2) * claM2.front, rear: (airDensity / 2) * claM2.rear },
  };
}

/** Loads, stiffnesses and grip of both axles at a speed, by the friction ellipse. Source: Pacejka, Tyre and Vehicle Dynamics, ch. 1. */
export function axlesAt(setup: Setup, speed: number): Axles {
  const { massKg, airDensity, cdaM2, claM2, rollingResistance, accel, driveFront, brakeFront } = setup;
  const { still, square } = loadTerms(setup);
  const pressure = (airDensity * speed ** 2) / 2;
  const pressedN = Math.max(0, massKg * GRAVITY + pressure * (claM2.front + claM2.rear));
  const along = pressure * cdaM2 + rollingResistance * pressedN + massKg * accel;
  const inFront = along >= 0 ? driveFront : brakeFront;
  const axle = (end: End, share: number): Axle => {
    const { corneringPerRad, mu, loadFalloff, muFalloff, referenceLoadN } = setup.tyres[end];
    const loadN = Math.max(0, still[end] + square[end] * speed ** 2);
    const left = (falloff: number) => Math.max(LEAST_SHARE, 1 - falloff * (loadN / referenceLoadN - 1));
    const longitudinalN = along * share;
    const mostN = mu * left(muFalloff) * loadN;
    const asked = Math.abs(longitudinalN) * setup.lateralGripFactor;
    const use = asked === 0 ? 0 : mostN === 0 ? 1 : Math.min(1, asked / mostN);
    const across = Math.sqrt(1 - use ** 2);
    return {
      loadN,
      longitudinalN,
      use,
      corneringNPerRad: corneringPerRad * loadN * left(loadFalloff) * across,
      gripN: mostN * across,
    };
  };
  return { front: axle('front', inFront), rear: axle('rear', 1 - inFront) };
}
