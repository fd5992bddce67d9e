import type { CopySheet } from '@/core/car/records/prints';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';

/** A copy in a list: its number, what it was driven, and what had been done to it. */
export const copyWords = (
  number: number,
  hours: number,
  reader: Reader,
  repairs: NonNullable<CopySheet['repairs']>,
): string =>
  [
    `no. ${number}`,
    hours > 0 ? `${formatText(hours, 'hours', reader, 2)} driven` : 'not driven',
    ...(repairs.length > 0 ? [`repaired: ${repairs.map(({ what }) => what).join(', ')}`] : []),
  ].join(', ');
