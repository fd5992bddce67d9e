import Typography from '@mui/material/Typography';
import { formatNumber, formatQuantity } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import type { LibraryItem } from '@/core/car/library/kinds';
import type { RangedFigure } from '@/core/car/library/kinds/material';
import { type Own, ownFigures, type StripTest } from '@/core/car/material/strips';
import { useReader } from '@/ui/reader';
import { choiceWords, type Column } from './columns';

type Value = number | string | undefined;

/** What the strips say in place of a typical strength. */
function ownOf(strips: readonly StripTest[], key: string): Own | undefined {
  const { along, across } = ownFigures(strips);
  return key === 'inPlaneStrengthMpa' ? along : key === 'interlayerStrengthMpa' ? across : undefined;
}

export const nameOf = (library: readonly LibraryItem[], itemId: string | number) =>
  library.find(({ id }) => id === itemId)?.data.name ?? String(itemId);

/** What a thing is sorted, searched and handed on by: a number as stored, a choice or another thing in words. */
export function figureOf({ key, figure }: Column, item: LibraryItem, library: readonly LibraryItem[]): Value {
  const value = (item.data as unknown as Readonly<Record<string, Value>>)[key];
  if (value === undefined || 'quantity' in figure) return value;
  return 'itemOf' in figure ? nameOf(library, value) : choiceWords(item.kind, String(value));
}

/** One figure of a thing; a material shows how far apart data sheets are, or what its own strips say. */
export function ItemFigure({ column, item }: { column: Column; item: LibraryItem }) {
  const { reader } = useReader();
  const { key, figure } = column;
  const value = figureOf(column, item, []);
  if (typeof value !== 'number' || !('quantity' in figure)) return null;
  const { quantity } = figure;
  const material = item.kind === 'material' ? (item as LibraryItem<'material'>).data : undefined;
  const range = material?.ranges?.[key as RangedFigure];
  const own = ownOf(material?.strips ?? [], key);
  return (
    <>
      {own ? (
        <b title="from your own strips">
          {formatQuantity(own.mean, 'stressMpa', reader).number}
          {own.spread === undefined ? '' : ` ± ${formatNumber(own.spread, reader.locale, 2)}`}
        </b>
      ) : (
        formatQuantity(value, quantity, reader).number
      )}
      {own ? (
        <Typography component="div" variant="small" color="textSecondary">
          own, {own.count} {own.count === 1 ? 'strip' : 'strips'}
        </Typography>
      ) : range ? (
        <Typography component="div" variant="small" color="textSecondary">
          {range
            .map((one) => formatNumber(toShown(one, unitOf(quantity, reader.units)), reader.locale, 2))
            .join(' to ')}
        </Typography>
      ) : null}
    </>
  );
}
