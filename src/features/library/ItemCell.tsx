import Typography from '@mui/material/Typography';
import TableCell from '@mui/material/TableCell';
import { formatNumber, formatQuantity } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import type { LibraryItem } from '@/core/car/library/kinds';
import type { RangedFigure } from '@/core/car/library/kinds/material';
import { type Own, ownFigures, type StripTest } from '@/core/car/material/strips';
import { useReader } from '@/ui/reader';
import { choiceWords, type Column } from './columns';

/** What the strips say in place of a typical strength. */
function ownOf(strips: readonly StripTest[], key: string): Own | undefined {
  const { along, across } = ownFigures(strips);
  return key === 'inPlaneStrengthMpa' ? along : key === 'interlayerStrengthMpa' ? across : undefined;
}

/** One figure of a thing; a material shows how far apart data sheets are, or what its own strips say. */
export function ItemCell({
  column,
  item,
  library,
}: {
  column: Column;
  item: LibraryItem;
  library: readonly LibraryItem[];
}) {
  const { reader } = useReader();
  const { key, figure } = column;
  const value = (item.data as unknown as Record<string, number | string | undefined>)[key];
  if (typeof value === 'number' && 'quantity' in figure) {
    const { quantity } = figure;
    const range =
      item.kind === 'material'
        ? (item as LibraryItem<'material'>).data.ranges?.[key as RangedFigure]
        : undefined;
    const own =
      item.kind === 'material' ? ownOf((item as LibraryItem<'material'>).data.strips ?? [], key) : undefined;
    return (
      <TableCell align="right">
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
      </TableCell>
    );
  }
  if (value === undefined) return <TableCell />;
  return (
    <TableCell>
      {'itemOf' in figure ? nameOf(library, value) : choiceWords(item.kind, String(value))}
    </TableCell>
  );
}

export const nameOf = (library: readonly LibraryItem[], itemId: string | number) =>
  library.find(({ id }) => id === itemId)?.data.name ?? itemId;
