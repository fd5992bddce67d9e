import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
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

/** What each change alone would have to be for it to move. */
export function remedyWords({ standing: { remedies } }: StandstillOfBuild, reader: Reader): string[] {
  const told = (value: number | undefined, quantity: QuantityName, say: (text: string) => string) =>
    value === undefined ? [] : [say(formatText(value, quantity, reader))];
  const {
    muNeeded,
    frontLoadShareNeeded,
    allWheelHolds,
    ratioNeeded,
    kvNeededRpmPerV,
    motorTorqueNeededNm,
    currentLimitNeededA,
    throttleNeeded,
    massMaxKg,
  } = remedies;
  return [
    ...told(muNeeded, 'coefficient', (text) => `friction of ${text}`),
    ...told(frontLoadShareNeeded, 'share', (text) => `${text} of the weight on the front axle`),
    ...(allWheelHolds ? ['driving all wheels'] : []),
    ...told(ratioNeeded, 'ratio', (text) => `a gear of ${text} : 1`),
    ...told(kvNeededRpmPerV, 'motorConstant', (text) => `a motor of ${text}, wound as well`),
    ...told(motorTorqueNeededNm, 'torqueNm', (text) => `a motor that gives ${text}`),
    ...told(currentLimitNeededA, 'currentA', (text) => `a current limit of ${text}`),
    ...told(throttleNeeded, 'share', (text) => `${text} of the throttle`),
    ...told(
      massMaxKg === undefined ? undefined : 1000 * massMaxKg,
      'massG',
      (text) => `a car of ${text} at most`,
    ),
  ];
}

export const FORCE_WORDS = { needed: 'it takes', drive: 'the motor pulls', grip: 'the tyres hold' } as const;
