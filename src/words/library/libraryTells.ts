import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import { unitOf } from '@/core/base/units/quantities';
import type { Figure } from '@/core/car/fields/figure';
import { LIBRARY_KIND_RECORDS, type LibraryItem } from '@/core/car/library/kinds';
import { LIBRARY_WORDS } from './library';

/** The figures that one chooses a thing of the library by; a figure without a unit says what it is. */
export function libraryTells({ kind, data }: LibraryItem, reader: Reader): string {
  const { tells, figures } = LIBRARY_KIND_RECORDS[kind];
  const { figures: labels, choices } = LIBRARY_WORDS[kind];
  return (tells as readonly string[])
    .flatMap((key) => {
      const value = (data as unknown as Readonly<Record<string, string | number | undefined>>)[key];
      const figure = (figures as Readonly<Record<string, Figure>>)[key];
      if (value === undefined || value === '' || !figure) return [];
      if (typeof value === 'string') return [choices?.[value] ?? value];
      if (!('quantity' in figure)) return [];
      const text = formatText(value, figure.quantity, reader);
      return unitOf(figure.quantity, reader.units).symbol
        ? [text]
        : [`${text} ${(labels[key] ?? key).toLowerCase()}`];
    })
    .join(' · ');
}
