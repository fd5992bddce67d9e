import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { RunReport } from '@/core/car/records/report';
import type { FrictionResult } from '@/core/physics/transmissions/friction';
import { counted } from '../lists';

/** What was measured, as a run tells it. */
export function frictionWords({ friction = {} }: RunReport, reader: Reader): string[] {
  const { pulls = [], freeA, aloneA } = friction;
  const [first] = pulls;
  return [
    first
      ? `starts with ${formatText(first.startG, 'massG', reader)}, turns on with ${formatText(first.keepG, 'massG', reader)}${pulls.length > 1 ? `, ${counted(pulls.length, 'part', 'parts')} told apart` : ''}`
      : '',
    freeA === undefined ? '' : `${formatText(freeA, 'currentA', reader)} in the air`,
    aloneA === undefined ? '' : `${formatText(aloneA, 'currentA', reader)} with the pinion drawn`,
  ];
}

/** What a drive's friction means for starting. */
export function startSentence(
  { startMargin, startMarginLow, shareOfStall }: FrictionResult,
  reader: Reader,
): string | undefined {
  if (startMargin === undefined || shareOfStall === undefined) return undefined;
  const low =
    startMarginLow === undefined || Math.abs(startMarginLow / startMargin - 1) < 0.005
      ? ''
      : `, ${formatNumber(startMarginLow, reader.locale, 2)} at worst`;
  return `To start, the motor gives ${formatNumber(startMargin, reader.locale, 2)} times what friction and ground ask${low}; friction takes ${formatText(shareOfStall, 'share', reader, 2)} of its pull.`;
}

export const efficiencySentence = (share: number, now: number, reader: Reader): string =>
  `At the wished speed the drive passes on ${formatText(share, 'share', reader, 2)}, the run takes ${formatText(now, 'share', reader, 2)}.`;
