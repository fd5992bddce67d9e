import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { Pivot } from '@/core/worked/drive/pivotOfBuild';
import type { FreeMotorFound, FreeMotorState } from '@/core/worked/field/freeMotors';
import type { MotorShare } from '@/core/worked/motion/motorsOfBuild';
import { MOTOR_PLACE_NAMES } from '../labels/heatWords';
import { firstUp } from '../lists';

const FREE: Readonly<Record<FreeMotorState, string>> = {
  alike: 'as it should',
  drags: 'something drags: bearing, gear or a shorted turn',
  slower: 'it is wound for fewer revolutions than the others',
  weakMagnets: 'its magnets have weakened',
};

/** What a bench spin says of one motor. */
export function freeMotorWords({ place, rpmOver, kvRpmPerV, is }: FreeMotorFound, reader: Reader): string {
  const percent = formatNumber(100 * Math.abs(rpmOver), reader.locale, 2);
  const way = rpmOver < 0 ? 'slower' : 'faster';
  const turns =
    percent === '0' ? 'turns as its figures say' : `turns ${percent}\u00a0% ${way} than its figures say`;
  return `${firstUp(MOTOR_PLACE_NAMES[place])}: ${turns} (${formatText(kvRpmPerV, 'motorConstant', reader)}): ${FREE[is]}`;
}

/** How unlike motors share the work at the top speed. */
export function sharesSentence(shares: readonly MotorShare[], reader: Reader): string {
  const amps = (one: MotorShare) => formatText(one.amps, 'currentA', reader, 2);
  const least = shares.reduce((a, b) => (b.amps < a.amps ? b : a));
  const most = shares.reduce((a, b) => (b.heatShare > a.heatShare ? b : a));
  const idle =
    least.amps === 0
      ? `the ${MOTOR_PLACE_NAMES[least.place]} idles along, because the others turn it faster than it turns by itself`
      : `the ${MOTOR_PLACE_NAMES[least.place]} pulls least, with ${amps(least)}`;
  return `At the top speed ${idle}; the ${MOTOR_PLACE_NAMES[most.place]} takes ${amps(most)} and ${formatNumber(most.heatShare, reader.locale, 2)} times the heat that alike motors would.`;
}

/** A car that turns on the spot. */
export function pivotSentence(
  { scrubN, forces, treadMps, yawDegPerS, motorA, tyresW, hotAfterS }: Pivot,
  reader: Reader,
): string {
  const force = (value: number) => formatText(value, 'forceN', reader);
  if (treadMps === undefined || yawDegPerS === undefined)
    return `It does not turn on the spot: its tyres scrub with ${force(scrubN)}, and its motors give ${force(forces.driveN[0]!)}. A shorter gear or less grip across would do.`;
  const hot =
    hotAfterS === undefined
      ? 'for as long as the pack lasts'
      : `for ${formatText(hotAfterS, 'timeS', reader, 2)} until a motor is too hot`;
  return `It turns on the spot at ${formatNumber(yawDegPerS, reader.locale, 3)}\u00a0° a second, its treads at ${formatText(treadMps, 'speedMps', reader)}: ${force(scrubN)} of scrubbing, ${formatText(motorA, 'currentA', reader, 2)} a motor and ${formatText(tyresW ?? 0, 'powerW', reader, 2)} into the tyres, ${hot}.`;
}
