'use client';

import checksCss from '@/ui/checks.module.css';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import Button from '@mui/material/Button';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import type { NamedRow } from './explorerRows';

interface PinnedRowsProps {
  rows: readonly NamedRow[];
  closed: boolean;
  onTake(row: NamedRow): void;
  onUnpin(id: number): void;
  onHover(id: number): void;
}

/** Combinations kept in view while the table is searched. */
export function PinnedRows({ rows, closed, onTake, onUnpin, onHover }: PinnedRowsProps) {
  const { reader } = useReader();
  if (rows.length === 0) return null;
  return (
    <TableContainer component="section" sx={{ mt: 1.25 }} aria-label="Pinned combinations">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>Pinned</TableCell>
            <TableCell>Pack</TableCell>
            <TableCell align="right">Ratio</TableCell>
            <TableCell align="right">Top speed</TableCell>
            <TableCell align="right">Time</TableCell>
            <TableCell align="right">Case</TableCell>
            <TableCell align="right">Runs</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={row.id} onMouseEnter={() => onHover(row.id)}>
              <TableCell>
                <b>{row.motor}</b>
              </TableCell>
              <TableCell>{row.pack}</TableCell>
              <TableCell align="right">{formatNumber(row.ratio, reader.locale, 3)}</TableCell>
              <TableCell align="right">
                {row.topSpeedMps === undefined ? '' : formatText(row.topSpeedMps, 'speedMps', reader)}
              </TableCell>
              <TableCell align="right">
                {row.timeToDistanceS === undefined ? '' : formatText(row.timeToDistanceS, 'timeS', reader)}
              </TableCell>
              <TableCell align="right">
                {row.steadyCaseC === undefined ? '' : formatText(row.steadyCaseC, 'temperatureC', reader)}
              </TableCell>
              <TableCell align="right">
                {row.durationS === undefined ? '' : formatText(row.durationS / 60, 'minutes', reader)}
              </TableCell>
              <TableCell>
                <span className={checksCss.remedy}>
                  <Button color="success" disabled={closed} onClick={() => onTake(row)}>
                    take this one
                  </Button>
                  <Button variant="text" onClick={() => onUnpin(row.id)}>
                    unpin
                  </Button>
                </span>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
