'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableRow from '@mui/material/TableRow';
import type { StageFigureLine } from '@/words/driving/stages';

const TONES = { over: 'fails', tight: 'tight' } as const;

/** Figures of a stage with what they are held against. */
export function StageFigures({ lines }: { lines: readonly StageFigureLine[] }) {
  if (lines.length === 0) return null;
  return (
    <TableContainer component="section" aria-label="Figures of the stage" sx={{ mt: 1 }}>
      <Table size="small">
        <TableBody>
          {lines.map(({ name, value, against, tone }) => (
            <TableRow key={name}>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{name}</TableCell>
              <TableCell align="right" data-tone={tone ? TONES[tone] : undefined}>
                {value}
              </TableCell>
              <TableCell data-tone="quiet">{against ?? ''}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
