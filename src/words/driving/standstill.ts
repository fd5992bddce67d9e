import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { StandstillOfBuild } from '@/core/worked/heat/heldOfBuild';

/** What full throttle does at rest. */
export function standstillSentence({ standing, gradePct }: StandstillOfBuild, reader: Reader): string {
  const n = (value: number) => formatText(value, 'forceN', reader, 3);
  const { outcome, driveN, neededN, gripN, wheelspin } = standing;
  const slope = gradePct > 0 ? ` up ${formatText(gradePct, 'percent', reader, 2)}` : '';
  if (outcome === 'moves')
    return `It moves off${slope}: ${n(Math.min(driveN, gripN))} against the ${n(neededN)} that it takes${wheelspin ? '; at full throttle the wheels would spin' : ''}.`;
  return outcome === 'spins'
    ? `Its tyres spin${slope}: they hold ${n(gripN)} of the ${n(neededN)} that it takes. No gear mends that.`
    : `Its motor is held${slope}: it pulls ${n(driveN)} of the ${n(neededN)} that it takes, and heats while it stands.`;
}

/** How long a held motor lasts. */
export function heldSentence({ standing, held }: StandstillOfBuild, reader: Reader): string {
  const last = held.at(-1)!;
  const safe = standing.safeThrottle;
  if (last.lastsS === undefined) return 'Held at full throttle the motor stays under its limit.';
  return `Held at full throttle the motor lasts ${formatText(last.lastsS, 'timeS', reader, 2)}${safe === undefined ? '' : `, at ${formatText(safe, 'share', reader, 2)} or less for ever`}. A brushless one that stands heats two of its three phases: half as much again in the hottest.`;
}

export const FORCE_WORDS = { needed: 'it takes', drive: 'the motor pulls', grip: 'the tyres hold' } as const;
