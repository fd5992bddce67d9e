'use client';

import printCss from '@/features/print/print.module.css';
import fieldsCss from '@/ui/fields.module.css';
import TableContainer from '@mui/material/TableContainer';
import { IconAct } from '@/ui/controls/IconAct';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { Select } from '@/ui/controls/Select';
import { formatText } from '@/core/base/units/formatQuantity';
import { type ListEntry, type Source, SOURCES } from '@/core/car/document/print';
import type { MakeLine } from '@/core/worked/print/makeList';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';

export const GROUPS = [
  ['part', 'Parts'],
  ['component', 'Components'],
  ['hardware', 'Screws, nuts, inserts, bearings'],
  ['own', 'Things of its own'],
] as const;

export const FIELDS = [
  ['quantity', 'count', { from: 0, to: 1000 }, 'Quantity'],
  ['massG', 'massG', { above: 0, to: 100000 }, 'Mass of one'],
  ['price', 'price', { from: 0, to: 1e6 }, 'Price of one'],
  ['leadDays', 'days', { from: 0, to: 1000 }, 'Lead time'],
  ['onHand', 'count', { from: 0, to: 1000 }, 'Spares on hand'],
] as const;

export function MakeTable({
  lines,
  closed,
  onSet,
  onDrop,
}: {
  lines: readonly MakeLine[];
  closed: boolean;
  onSet(line: MakeLine, change: Partial<ListEntry>): void;
  onDrop(line: MakeLine): void;
}) {
  const { reader } = useReader();
  return (
    <TableContainer>
      <Table size="small" className={printCss.make} data-testid="make-list" sx={{ mt: 1.25 }}>
        <TableHead>
          <TableRow>
            <TableCell>What</TableCell>
            <TableCell>Source</TableCell>
            <TableCell align="right">Number</TableCell>
            <TableCell align="right">Mass of one</TableCell>
            <TableCell align="right">Price of one</TableCell>
            <TableCell align="right">Lead time</TableCell>
            <TableCell align="right">Spares</TableCell>
            <TableCell align="right">Together</TableCell>
          </TableRow>
        </TableHead>
        {GROUPS.map(([of, title]) => {
          const own = lines.filter((line) => line.of === of);
          return own.length === 0 ? null : (
            <TableBody key={of}>
              <TableRow>
                <TableCell component="th" scope="row" colSpan={8} sx={{ pt: 1.25 }}>
                  {title}
                </TableCell>
              </TableRow>
              {own.map((line) => (
                <TableRow key={line.id}>
                  <TableCell>
                    {line.name}
                    {of === 'own' && !closed ? (
                      <IconAct icon="takeOut" label={`Take ${line.name} out`} onClick={() => onDrop(line)} />
                    ) : null}
                  </TableCell>
                  <TableCell>
                    <Select
                      look="bare"
                      aria-label={`Source of ${line.name}`}
                      value={line.source}
                      disabled={closed}
                      onChange={(event) => onSet(line, { source: event.target.value as Source })}
                    >
                      {SOURCES.map((source) => (
                        <option key={source}>{source}</option>
                      ))}
                    </Select>
                  </TableCell>
                  {FIELDS.map(([key, quantity, limits, label]) => (
                    <TableCell className={fieldsCss.bare} key={key} data-said={line.said[key] !== undefined}>
                      <QuantityField
                        label={`${label}, ${line.name}`}
                        quantity={quantity}
                        limits={limits}
                        value={line.said[key]}
                        {...(line[key] === undefined ? {} : { usual: line[key] })}
                        disabled={closed}
                        onChange={(value) => onSet(line, { [key]: value })}
                      />
                    </TableCell>
                  ))}
                  <TableCell align="right">
                    {line.price === undefined ? '' : formatText(line.price * line.quantity, 'price', reader)}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          );
        })}
      </Table>
    </TableContainer>
  );
}
