'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { formatWithError } from '@/core/base/units/formatQuantity';
import { PACK_MEASURES, type PackMeasure } from '@/core/car/records/packPredicted';
import type { PackErrors } from '@/core/worked/field/predictPack';
import type { HeatOfBuild } from '@/core/worked/heat/heatOf';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { useReader } from '@/ui/reader';
import { PACK_MEASURE_NAMES, PACK_SPREAD_NAMES } from '@/words/driving/bands';

/** Every figure of the pack with its error, and what does most to it. */
export function HowWellKnown({
  heat: { pack, laps },
  errors,
  stale,
}: {
  heat: HeatOfBuild;
  errors: PackErrors;
  stale: boolean;
}) {
  const { reader } = useReader();
  const values: Readonly<Partial<Record<PackMeasure, number>>> = {
    ...pack,
    minutes: pack.durationS / 60,
  };
  return (
    <TableContainer
      component="section"
      aria-label="How well it is known"
      sx={{ mt: 1.25, ...dimmedWhen(stale) }}
      data-testid="pack-errors"
    >
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>How well it is known</TableCell>
            <TableCell align="right">One standard deviation</TableCell>
            <TableCell>Most of it by</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {PACK_MEASURES.map((measure) => {
            const [value, known] = [values[measure], errors[measure]];
            if (value === undefined || !known) return null;
            const { name, quantity } = PACK_MEASURE_NAMES[measure];
            return (
              <TableRow key={measure} data-measure={measure}>
                <TableCell>{name}</TableCell>
                <TableCell align="right">{formatWithError(value, known.error, quantity, reader)}</TableCell>
                <TableCell data-tone="quiet">
                  {known.mostFrom ? PACK_SPREAD_NAMES[known.mostFrom] : ''}
                </TableCell>
              </TableRow>
            );
          })}
          {laps === undefined || !errors.distanceM ? null : (
            <TableRow data-measure="laps">
              <TableCell>Laps</TableCell>
              <TableCell align="right">
                {formatWithError(laps, (laps * errors.distanceM.error) / pack.distanceM, 'count', reader)}
              </TableCell>
              <TableCell data-tone="quiet">
                {errors.distanceM.mostFrom ? PACK_SPREAD_NAMES[errors.distanceM.mostFrom] : ''}
              </TableCell>
            </TableRow>
          )}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
