import { finding } from '@/core/base/finding';
import { measure } from '@/core/base/measure';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import { inSentence } from '@/core/base/units/words';
import type { WishPinion } from '@/core/worked/drive/wishPinion';
import type { RatioBand } from '@/core/worked/drive/ratioBand';
import { say } from './findings';

/** What else a ratio that meets the speed may miss. */
const ALSO = {
  late: ' It is late over the wished distance.',
  empty: ' The charge is used before the wished minutes are over.',
} as const;

/** Which pinion gives the wish and no more. */
export function wishPinionSentence(
  { choice, topSpeedMps, wishMps, surface, meets }: WishPinion,
  reader: Reader,
): string {
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  const pinion = `${choice.pinionTeeth} teeth on the wheel of ${choice.wheelTeeth}`;
  return meets
    ? `Just the wish: ${pinion} reach ${Number.isFinite(topSpeedMps) ? speed(topSpeedMps) : 'any speed'} on ${inSentence(surface)}, needs ${speed(wishMps)}.`
    : `No pinion on this wheel gives the wish: ${pinion} come nearest with ${speed(topSpeedMps)} on ${inSentence(surface)}, needs ${speed(wishMps)}.`;
}

/** The answer of the ratio page: the same decision as its check. */
export function ratioSentence({ decision, present }: RatioBand, reader: Reader): string {
  if (!decision) return 'wish a top speed, and the ratio is judged.';
  const { state: _, share, ...facts } = decision;
  const said = say(finding('drive.ratio', { ...facts, share: measure(share, 'share') }), reader);
  return `${said}${present.verdict === 'late' || present.verdict === 'empty' ? ALSO[present.verdict] : ''}`;
}
