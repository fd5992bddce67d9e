'use client';

import cornerCss from '@/features/suspension/corner/corner.module.css';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { Tick } from '@/ui/controls/Tick';
import { type Corner, POINT_NAMES, type PointName } from '@/core/physics/corner/corner';
import type { EndOfBuild } from '@/core/worked/suspension/endOfBuild';
import { pointLabel } from './corner/points';

export const AXES = ['ahead', 'left', 'up'] as const;

export function FreePoints({
  drawn: { corner },
  free,
  onFree,
}: {
  drawn: EndOfBuild;
  free: ReadonlySet<string>;
  onFree(free: ReadonlySet<string>): void;
}) {
  const names = POINT_NAMES.filter((name) => name !== 'wheelCentre' && placeOf(corner, name) !== undefined);
  const toggle = (key: string) => {
    const next = new Set(free);
    if (!next.delete(key)) next.add(key);
    onFree(next);
  };
  return (
    <Table size="small" className={cornerCss.points} aria-label="Points that may move">
      <TableHead>
        <TableRow>
          <TableCell />
          {AXES.map((axis) => (
            <TableCell key={axis}>{axis}</TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        {names.map((name) => (
          <TableRow key={name}>
            <TableCell component="th" scope="row">
              {pointLabel(name)}
            </TableCell>
            {AXES.map((axis, index) => (
              <TableCell key={axis} sx={{ textAlign: 'right' }}>
                <Tick
                  aria-label={`${pointLabel(name)} may move ${axis}`}
                  checked={free.has(`${name}-${index}`)}
                  onChange={() => toggle(`${name}-${index}`)}
                />
              </TableCell>
            ))}
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

export const placeOf = (corner: Corner, point: PointName) =>
  (corner as unknown as Record<string, unknown>)[point];
