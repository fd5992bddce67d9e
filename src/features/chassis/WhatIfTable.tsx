'use client';

import TableContainer from '@mui/material/TableContainer';
import { TakeOrCompare } from '../frame/TakeOrCompare';
import TableCell from '@mui/material/TableCell';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableBody from '@mui/material/TableBody';
import { useMemo } from 'react';
import type { Standing } from '@/core/worked/standing/standingOfBuild';
import { chassisWhatIfs } from '@/core/advice/whatIfs';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { chassisWhatIfText } from '@/words/whatIfs';
import { useBuild } from '../session/BuildContext';

/** What another place of the heavy things or another track would do, beside the car as it is. */
export function WhatIfTable({ present }: { present: Standing }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const tried = useMemo(() => (surface ? chassisWhatIfs(document, surface) : []), [document, surface]);
  const cells = ({ stability, weight }: Standing) => (
    <>
      <TableCell align="right">{formatNumber(stability.staticStabilityFactor, reader.locale, 3)}</TableCell>
      <TableCell align="right">
        {formatText(1 + weight.cgMm[0] / document.chassis.wheelbaseMm!, 'share', reader)}
      </TableCell>
      <TableCell align="right">{formatText(weight.cgMm[2], 'lengthMm', reader)}</TableCell>
      <TableCell align="right">{formatText(stability.frontLiftsAtMps2, 'accelMps2', reader)}</TableCell>
      <TableCell align="right">{formatText(stability.brakingLimitMps2, 'accelMps2', reader)}</TableCell>
    </>
  );
  return (
    <TableContainer component="section" sx={{ mt: 1.25 }} aria-label="What if">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>What if</TableCell>
            <TableCell align="right">Stability factor</TableCell>
            <TableCell align="right">On the front</TableCell>
            <TableCell align="right">Weight sits at</TableCell>
            <TableCell align="right">Front lifts at</TableCell>
            <TableCell align="right">Brakes to</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell>
              <b>As it is</b>
            </TableCell>
            {cells(present)}
            <TableCell />
          </TableRow>
          {tried.map(({ id, by, patch, standing }) => {
            const text = chassisWhatIfText({ id, by }, reader);
            return (
              <TableRow key={id} data-whatif={id}>
                <TableCell>{text}</TableCell>
                {cells(standing)}
                <TableCell sx={{ whiteSpace: 'nowrap' }}>
                  <TakeOrCompare text={text} patch={patch} />
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
