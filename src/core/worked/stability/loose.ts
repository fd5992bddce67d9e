import type { SteadyInput } from '../../physics/handling/steady/definition';
import { handlingSteady } from '../../physics/handling/steady/steady';

/** Why a car is no longer steady from some speed on. */
export const LOOSE_CAUSES = ['lift', 'drive', 'sideAir', 'tyres'] as const;
export type LooseCause = (typeof LOOSE_CAUSES)[number];

/** The same car without one of them. */
const WITHOUT: Readonly<Record<LooseCause, (input: SteadyInput) => SteadyInput>> = {
  lift: (input) => ({
    ...input,
    air: { ...input.air, claRearM2: Math.max(0, input.air?.claRearM2 ?? 0) },
  }),
  drive: (input) => ({ ...input, rollingResistance: 0, accelMps2: 0, air: { ...input.air, cdaM2: 0 } }),
  sideAir: (input) => ({ ...input, air: { ...input.air, sideForceSlopeM2: 0 } }),
  tyres: (input) => {
    const { front, rear } = input.tyres;
    const corneringPerRad = Math.max(front.corneringPerRad, rear.corneringPerRad);
    return { ...input, tyres: { ...input.tyres, rear: { ...rear, corneringPerRad } } };
  },
};

/** The one cause without which the car stays steady the farthest; undefined of a car that always is. */
export function looseBecause(input: SteadyInput): LooseCause | undefined {
  const speedOf = (one: SteadyInput) => handlingSteady(one).lowestUnstableMps ?? Infinity;
  const now = speedOf(input);
  if (now === Infinity) return undefined;
  const gained = LOOSE_CAUSES.map((cause) => ({ cause, speed: speedOf(WITHOUT[cause](input)) })).filter(
    ({ speed }) => speed > now,
  );
  return gained.reduce<(typeof gained)[number] | undefined>(
    (best, one) => (best && best.speed >= one.speed ? best : one),
    undefined,
  )?.cause;
}
