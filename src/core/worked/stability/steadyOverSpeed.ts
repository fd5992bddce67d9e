import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { decelAt } from '../../physics/braking/brakeMoment';
import { createBrakes } from '../../physics/braking/brakes';
import { axlesAt } from '../../physics/handling/steady/axles';
import { balanceAt } from '../../physics/handling/steady/balance';
import type { SteadyBalance } from '../../physics/handling/steady/definition';
import { setupOf } from '../../physics/handling/steady/setup';
import { accelMps2, createPlant } from '../../physics/motion/plant';
import { brakesOf } from '../track/brakesOfBuild';
import { worked } from '../worked';
import { steadyInputOf } from './steadyOfBuild';

/** How the car is driven meanwhile: its speed held, full throttle, or on the brakes. */
export const PEDALS = ['held', 'throttle', 'brake'] as const;
export type Pedal = (typeof PEDALS)[number];

export interface SteadyAtSpeed extends SteadyBalance {
  speedMps: number;
  frontN: number;
  rearN: number;
  accelMps2: number;
}

const POINTS = 40;

/** Balance and damping of a build over its speeds with a foot on a pedal, or what is missing. */
export function steadyOverSpeed(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  pedal: Pedal,
  toMps: number,
): Assembled<SteadyAtSpeed[]> {
  const still = steadyInputOf(document, surface, { speedMps: 1 });
  if (!still.ok) return still;
  const run = worked(document, surface).runInput();
  if (!run.ok && pedal !== 'held') return run;
  const plant = run.ok ? createPlant(run.value) : undefined;
  const brakes = run.ok
    ? createBrakes({ ...run.value, brake: brakesOf(document), fromMps: toMps })
    : undefined;
  const accelAt: Readonly<Record<Pedal, (v: number) => number>> = {
    held: () => 0,
    throttle: (v) => accelMps2(plant!, v),
    brake: (v) => -decelAt(brakes!, v, true),
  };
  return {
    ok: true,
    value: Array.from({ length: POINTS }, (_, k) => {
      const speedMps = (toMps * (k + 1)) / POINTS;
      const accel = accelAt[pedal](speedMps);
      const setup = setupOf({ ...still.value, speedMps, accelMps2: accel });
      const axles = axlesAt(setup, speedMps);
      return {
        ...balanceAt(setup, speedMps, axles),
        speedMps,
        frontN: axles.front.loadN,
        rearN: axles.rear.loadN,
        accelMps2: accel,
      };
    }),
  };
}
