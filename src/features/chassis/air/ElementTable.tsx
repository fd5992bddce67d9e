'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import type { AirResult } from '@/core/physics/air/definition';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { workerOf } from '@/workers/clients';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { placedOf } from './elements';

/** What each thing in the air brings to either axle, and what it costs. */
export function ElementTable({ found }: { found: AirResult }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const worked = useWorked(surface ? () => workerOf('aids').elements(document, surface) : undefined, [
    document,
    surface,
  ]);
  const costs = new Map(
    worked.value?.elements.map(({ element, topSpeedChangeMps }) => [element.id, topSpeedChangeMps]),
  );
  const names = new Map(placedOf(document.chassis.air).map(({ id, name }) => [id, name]));
  const pressure = found.forcesN.drag / found.cdaM2;
  const force = (area: number) => formatText(area * pressure, 'forceN', reader);
  const signed = (mps: number | undefined) =>
    mps === undefined ? '' : `${mps < 0 ? '−' : '+'}${formatText(Math.abs(mps), 'speedMps', reader)}`;
  return (
    <TableContainer component="section" sx={{ mt: 1.25 }} aria-label="What each brings">
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>In the air</TableCell>
            <TableCell align="right">Drag</TableCell>
            <TableCell align="right">Presses front</TableCell>
            <TableCell align="right">Presses rear</TableCell>
            <TableCell align="right">Top speed</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {found.elements.map(({ id, cdaM2, claFrontM2, claRearM2, stalled }) => (
            <TableRow key={id} data-air={id}>
              <TableCell>
                {id === 'body' ? 'Body' : (names.get(id) ?? id)}
                {stalled ? ', stalled' : ''}
              </TableCell>
              <TableCell align="right">{force(cdaM2)}</TableCell>
              <TableCell align="right">{force(claFrontM2)}</TableCell>
              <TableCell align="right">{force(claRearM2)}</TableCell>
              <TableCell align="right">{signed(costs.get(id))}</TableCell>
            </TableRow>
          ))}
          <TableRow>
            <TableCell>
              <b>Together</b>
            </TableCell>
            <TableCell align="right">{force(found.cdaM2)}</TableCell>
            <TableCell align="right">{force(found.claFrontM2)}</TableCell>
            <TableCell align="right">{force(found.claRearM2)}</TableCell>
            <TableCell />
          </TableRow>
          <TableRow>
            <TableCell>as coarse as that is</TableCell>
            {([found.bands.cdaM2, found.bands.claFrontM2, found.bands.claRearM2] as const).map((band, k) => (
              <TableCell key={k} align="right">
                {force(band[0])} to {force(band[1])}
              </TableCell>
            ))}
            <TableCell />
          </TableRow>
        </TableBody>
      </Table>
    </TableContainer>
  );
}
