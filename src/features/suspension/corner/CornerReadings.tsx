'use client';

import Typography from '@mui/material/Typography';
import TableContainer from '@mui/material/TableContainer';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { Posed } from '@/core/physics/corner/posed';
import type { Station } from '@/core/physics/corner/station';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { type QuantityName, toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import type { Motion } from './useCornerMotion';

const COLUMNS: readonly {
  label: string;
  quantity: QuantityName;
  of(station: Station, leanDeg: number, rakeDeg: number): number | undefined;
}[] = [
  { label: 'Camber', quantity: 'angleDeg', of: ({ camberDeg }) => camberDeg },
  { label: 'To the ground', quantity: 'angleDeg', of: ({ camberDeg }, leanDeg) => camberDeg + leanDeg },
  { label: 'Toe', quantity: 'angleDeg', of: ({ toeDeg }) => toeDeg },
  { label: 'Steers', quantity: 'angleDeg', of: ({ steerDeg }) => steerDeg },
  {
    label: 'Caster',
    quantity: 'angleDeg',
    of: ({ casterDeg }, _, rakeDeg) => (casterDeg === undefined ? undefined : casterDeg - rakeDeg),
  },
  { label: 'Kingpin', quantity: 'angleDeg', of: ({ kingpinDeg }) => kingpinDeg },
  { label: 'Scrub', quantity: 'lengthMm', of: ({ scrubRadiusMm }) => scrubRadiusMm },
  { label: 'Trail', quantity: 'lengthMm', of: ({ trailMm }) => trailMm },
  { label: 'Track', quantity: 'lengthMm', of: ({ trackChangeMm }) => trackChangeMm },
  { label: 'Roll centre', quantity: 'lengthMm', of: ({ rollCentreMm }) => rollCentreMm },
  { label: 'Motion ratio', quantity: 'coefficient', of: ({ motionRatio }) => motionRatio },
];

/** What both wheels read where the sliders stand. */
export function CornerReadings({
  left,
  right,
  motion: { rollDeg, rackMm },
  rakeDeg,
}: {
  left: Posed;
  right: Posed;
  motion: Motion;
  rakeDeg: number;
}) {
  const { reader } = useReader();
  const alike = rollDeg === 0 && rackMm === 0;
  const columns = COLUMNS.filter(
    ({ label, of }) =>
      of(left.station, 0, 0) !== undefined &&
      (label !== 'To the ground' || rollDeg !== 0) &&
      (label !== 'Steers' || rackMm !== 0),
  );
  const shown = (value: number, quantity: QuantityName) => {
    const unit = unitOf(quantity, reader.units);
    const number = toShown(value, unit);
    return (
      <>
        {formatNumber(Math.abs(number) < 0.005 ? 0 : number, reader.locale, Math.abs(number) >= 1 ? 3 : 2)}
        <Typography component="small" variant="small" color="textSecondary">
          {unit.symbol === '' ? '' : ` ${unit.symbol}`}
        </Typography>
      </>
    );
  };
  // a car that leans to the right leans its wheels with it: the left one in, the right one out
  const rows = [
    { name: alike ? 'Each wheel' : 'Left', station: left.station, leanDeg: -rollDeg },
    ...(alike ? [] : [{ name: 'Right', station: right.station, leanDeg: rollDeg }]),
  ];
  return (
    <TableContainer>
      <Table size="small" aria-label="Readings">
        <TableHead>
          <TableRow>
            <TableCell />
            {columns.map(({ label }) => (
              <TableCell align="right" key={label}>
                {label}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ name, station, leanDeg }) => (
            <TableRow key={name} data-side={name}>
              <TableCell>
                <b>{name}</b>
              </TableCell>
              {columns.map(({ label, quantity, of }) => (
                <TableCell align="right" key={label} data-reading={label}>
                  {label === 'Steers' && name === 'Right'
                    ? shown(-station.steerDeg, quantity)
                    : shown(of(station, leanDeg, rakeDeg)!, quantity)}
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
