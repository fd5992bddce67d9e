import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { SlideLimits } from '@/core/physics/aids/slideLimits';
import type { SlideVerdict } from '@/core/physics/aids/yawDefinition';

/** What a slide came to at the rate that was asked for. */
export function slideSentence(
  { held, slideDeg, lockShare, roundAtS }: SlideVerdict,
  askedDegPerS: number,
  reader: Reader,
): string {
  const asked = formatText(askedDegPerS, 'rateDegPerS', reader, 3);
  if (held) return `holds ${asked} in a slide of ${formatText(slideDeg, 'angleDeg', reader, 2)}`;
  if (roundAtS !== undefined)
    return `does not hold ${asked}: the car goes round after ${formatText(roundAtS, 'timeS', reader, 2)}`;
  return lockShare > 0.1
    ? `does not hold ${asked}: the front wheels stand at their stop ${formatText(lockShare, 'share', reader, 2)} of the time`
    : `does not hold ${asked}`;
}

/** How far a slide can be held, and by what it ends. */
export function slideLimitsSentence(
  { gripDegPerS, heldDegPerS, slideDeg, steerDeg }: SlideLimits,
  reader: Reader,
): string {
  const rate = (value: number) => formatText(value, 'rateDegPerS', reader, 3);
  const angle = (value: number) => formatText(Math.abs(value), 'angleDeg', reader, 2);
  return `With so much grip behind it can be held up to ${rate(heldDegPerS)}: there the nose points ${angle(slideDeg)} into the turn and the wheels are steered ${angle(steerDeg)} ${steerDeg < 0 ? 'out of it' : 'into it'}. The tyres would give ${rate(gripDegPerS)}; more lock brings it nearer to that, more speed takes from both.`;
}

/** The gain that gets there first. */
export const soonestSentence = (
  { gain, settleS }: { gain: number; settleS: number },
  reader: Reader,
): string =>
  `A gain of ${formatNumber(gain, reader.locale, 2)} is there soonest, after ${formatText(settleS, 'timeS', reader, 2)}.`;
