import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import Stack from '@mui/material/Stack';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '../reader';
import { DIMMED } from '../theme/tokens';
import type { LongColumn, LongTableProps } from './column';

/** The rows one under the other: the first column leads, the others are named. */
export function LongList<R extends { id: string }>({
  label,
  rows,
  columns,
  acts,
  mark,
  latest,
}: LongTableProps<R>) {
  const { reader } = useReader();
  const by = columns.find(({ field }) => field === latest);
  const sorted = by ? [...rows].sort((a, b) => ((by.value(a) ?? '') < (by.value(b) ?? '') ? 1 : -1)) : rows;
  const shown = (column: LongColumn<R>, row: R) => {
    const value = column.value(row);
    if (column.show) return column.show(row);
    return typeof value === 'number' && column.quantity ? formatText(value, column.quantity, reader) : value;
  };
  const [lead, ...rest] = columns.filter(({ hidden }) => !hidden) as [LongColumn<R>, ...LongColumn<R>[]];
  return (
    <Stack component="ul" aria-label={label} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {sorted.map((row) => (
        <Box
          component="li"
          key={row.id}
          className={`longrow ${mark?.(row) ?? ''}`}
          sx={{ py: 1, borderBottom: 1, borderColor: 'divider', '&.away': { opacity: DIMMED } }}
        >
          <Stack direction="row" sx={{ alignItems: 'center', justifyContent: 'space-between' }}>
            <b>{shown(lead, row)}</b>
            <span>{acts?.(row)}</span>
          </Stack>
          {rest
            .filter((column) => {
              const value = column.value(row);
              return value !== undefined && value !== '';
            })
            .map((column) => (
              <div key={column.field}>
                <Typography component="span" color="textSecondary">
                  {column.name}
                </Typography>{' '}
                {shown(column, row)}
              </div>
            ))}
        </Box>
      ))}
    </Stack>
  );
}
