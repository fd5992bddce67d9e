import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { Gain } from '@/core/advice/learn/gains';

/** What a revision was measured at, and what it gained or lost against the one before: `35 km/h, +7.8 km/h`. */
export function gainText({ speedMps, gainMps }: Gain, reader: Reader): string {
  if (speedMps === undefined) return '';
  const speed = formatText(speedMps, 'speedMps', reader);
  if (gainMps === undefined) return speed;
  return `${speed}, ${gainMps < 0 ? '−' : '+'}${formatText(Math.abs(gainMps), 'speedMps', reader, 2)}`;
}
