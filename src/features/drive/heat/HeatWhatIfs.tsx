'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import TableContainer from '@mui/material/TableContainer';
import { TakeOrCompare } from '../../frame/TakeOrCompare';
import TableCell from '@mui/material/TableCell';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableBody from '@mui/material/TableBody';
import { formatText } from '@/core/base/units/formatQuantity';
import type { HeatOfBuild, TriedWhatIf } from '@/core/worked/heat/heatOf';
import { useReader } from '@/ui/reader';
import { heatWhatIfText } from '@/words/whatIfs';
import { END_NAMES } from '../words';

export function WhatIfs({
  present,
  tried,
  stale,
}: {
  present: HeatOfBuild;
  tried: readonly TriedWhatIf[];
  stale: boolean;
}) {
  const { reader } = useReader();
  const { pack, topSpeedMps } = present;
  const row = {
    minutes: pack.durationS / 60,
    endedBy: pack.endedBy,
    peakCaseC: pack.peakCaseC,
    peakWindingC: pack.peakWindingC,
    topSpeedMps,
  };
  const cells = (one: typeof row) => (
    <>
      <TableCell align="right">{formatText(one.minutes, 'minutes', reader)}</TableCell>
      <TableCell align="right">{formatText(one.peakCaseC, 'temperatureC', reader)}</TableCell>
      <TableCell align="right">{formatText(one.peakWindingC, 'temperatureC', reader)}</TableCell>
      <TableCell align="right">
        {one.topSpeedMps === undefined ? '' : formatText(one.topSpeedMps, 'speedMps', reader)}
      </TableCell>
      <TableCell data-tone="quiet">{END_NAMES[one.endedBy]}</TableCell>
    </>
  );
  return (
    <TableContainer component="section" sx={{ mt: 1.25, ...dimmedWhen(stale) }} aria-label="What if">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>What if</TableCell>
            <TableCell align="right">Runs</TableCell>
            <TableCell align="right">Case peak</TableCell>
            <TableCell align="right">Winding peak</TableCell>
            <TableCell align="right">Top speed</TableCell>
            <TableCell>Ended by</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell>
              <b>As it is</b>
            </TableCell>
            {cells(row)}
            <TableCell />
          </TableRow>
          {tried.map((one) => {
            const text = heatWhatIfText(one.is, reader);
            return (
              <TableRow key={one.id} data-whatif={one.id}>
                <TableCell>{text}</TableCell>
                {cells({ ...one, topSpeedMps: one.topSpeedMps })}
                <TableCell sx={{ whiteSpace: 'nowrap' }}>
                  <TakeOrCompare text={text} patch={one.patch} />
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
