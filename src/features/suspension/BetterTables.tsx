'use client';

import figuresCss from '@/ui/Figure.module.css';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { type QuantityName, toShown, unitOf } from '@/core/base/units/quantities';
import type { End } from '@/core/car/document/suspension';
import type { BetterResult, Wants } from '@/core/worked/suspension/better';
import { useReader } from '@/ui/reader';
import { AXES } from './FreePoints';
import { Charts } from '../frame/Guarded';
import { pointLabel } from './corner/points';

export const WISHES: readonly {
  key: keyof Wants;
  label: string;
  quantity: QuantityName;
  usual: number;
  steered?: true;
}[] = [
  { key: 'bumpSteerDegPerMm', label: 'Bump steer', quantity: 'degPerMm', usual: 0 },
  { key: 'camberGainDegPerMm', label: 'Camber gain', quantity: 'degPerMm', usual: -0.1 },
  { key: 'casterDeg', label: 'Caster', quantity: 'angleDeg', usual: 6, steered: true },
  { key: 'rollCentreMm', label: 'Roll centre', quantity: 'lengthMm', usual: 10 },
  { key: 'ackermannPct', label: 'Ackermann at full lock', quantity: 'percent', usual: 60, steered: true },
];

export function Bought({ end, result: { before, after, moved } }: { end: End; result: BetterResult }) {
  const { reader } = useReader();
  const number = (value: number) => formatNumber(value, reader.locale, 2);
  if (moved.length === 0)
    return (
      <>No point within these boxes does better for the {end} corner: allow more room, or free others.</>
    );
  return (
    <>
      Moving{' '}
      {moved.length === 1
        ? `the ${pointLabel(moved[0]!.point).replace(', ', '’s ')}`
        : `${moved.length} points`}{' '}
      brings the stray of the {end} wheel’s toe from {number(before.toeOffDeg)}° to{' '}
      <span className={figuresCss.figure} data-testid="toe-after">
        {number(after.toeOffDeg)}°
      </span>{' '}
      over the whole travel.
    </>
  );
}

export function ResultTables({ result: { before, after, moved } }: { result: BetterResult }) {
  const { reader } = useReader();
  const shown = (value: number | undefined, quantity: QuantityName) => {
    if (value === undefined) return '';
    const unit = unitOf(quantity, reader.units);
    const number = toShown(value, unit);
    return `${formatNumber(Math.abs(number) < 5e-4 ? 0 : number, reader.locale, 3)} ${unit.symbol}`;
  };
  return (
    <Charts sx={{ gap: 28 }}>
      <Table size="small" sx={{ width: 'auto' }} aria-label="What that bought">
        <TableHead>
          <TableRow>
            <TableCell>What that bought</TableCell>
            <TableCell align="right">As drawn</TableCell>
            <TableCell align="right">Then</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {WISHES.filter(({ key }) => after[key] !== undefined).map(({ key, label, quantity }) => (
            <TableRow key={key} data-bought={key}>
              <TableCell>{label}</TableCell>
              <TableCell align="right">{shown(before[key], quantity)}</TableCell>
              <TableCell align="right">
                <b>{shown(after[key], quantity)}</b>
              </TableCell>
            </TableRow>
          ))}
          <TableRow>
            <TableCell>Toe off over the travel</TableCell>
            <TableCell align="right">{shown(before.toeOffDeg, 'angleDeg')}</TableCell>
            <TableCell align="right">
              <b>{shown(after.toeOffDeg, 'angleDeg')}</b>
            </TableCell>
          </TableRow>
        </TableBody>
      </Table>
      <Table size="small" sx={{ width: 'auto' }} aria-label="What moved">
        <TableHead>
          <TableRow>
            <TableCell>What moves</TableCell>
            {AXES.map((axis) => (
              <TableCell align="right" key={axis}>
                {axis}
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {moved.map(({ point, from, to }) => (
            <TableRow key={point}>
              <TableCell>{pointLabel(point)}</TableCell>
              {to.map((value, index) => {
                const by = value - from[index]!;
                return (
                  <TableCell align="right" key={index}>
                    {Math.abs(by) < 0.005
                      ? '·'
                      : `${by > 0 ? '+' : ''}${shown(Number(by.toFixed(2)), 'lengthMm')}`}
                  </TableCell>
                );
              })}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Charts>
  );
}
