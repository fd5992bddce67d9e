'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { Stage } from '@/core/car/stages/stage';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { useReader } from '@/ui/reader';
import { WAY_NAMES, WAY_SOUNDS, waysSentence } from '@/words/driving/ways';
import { workerOf } from '@/workers/clients';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { Refusal } from '../../fields/Refusal';

/** The same reduction by straight, slanted and double slanted teeth and by a belt. */
export function SideBySide({ stage }: { stage: Stage }) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useWorked(
    surface ? () => workerOf('drive').sideBySide(document, surface, stage.id) : undefined,
    [document, surface, stage.id],
  );
  if (!found.value?.ok || found.value.value.length === 0) return <Refusal of={found} />;
  const ways = found.value.value;
  const mm = (value: number) => formatText(value, 'lengthMm', reader);
  const N = (value: number) => (value === 0 ? '—' : formatText(value, 'forceN', reader));
  const n = (value: number, digits = 3) => formatNumber(value, reader.locale, digits);
  return (
    <TableContainer
      component="section"
      aria-label="The same torque another way"
      aria-busy={found.stale}
      sx={{ mt: 2, ...dimmedWhen(found.stale) }}
    >
      <Typography variant="heading">The same torque another way</Typography>
      <Typography data-testid="ways">{waysSentence(ways, reader)}</Typography>
      <Table size="small">
        <TableHead>
          <TableRow>
            <TableCell>{mm(ways[0]!.widthMm)} wide</TableCell>
            <TableCell align="right">Margin</TableCell>
            <TableCell align="right">Clear from</TableCell>
            <TableCell align="right">Across the shaft</TableCell>
            <TableCell align="right">Along it</TableCell>
            <TableCell align="right">Lost</TableCell>
            <TableCell align="right">Pairs in touch</TableCell>
            <TableCell align="right">Shafts apart</TableCell>
            <TableCell>Sound, a rule of thumb</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {ways.map((one) => (
            <TableRow key={one.way} data-way={one.way}>
              <TableCell>
                <b>{WAY_NAMES[one.way]}</b>
              </TableCell>
              <TableCell align="right" data-tone={one.margin < 1 ? 'fails' : undefined}>
                {n(one.margin)}
              </TableCell>
              <TableCell align="right">
                {one.widthForClearMm === undefined ? 'never' : mm(one.widthForClearMm)}
              </TableCell>
              <TableCell align="right">{N(one.shaftLoadN)}</TableCell>
              <TableCell align="right">{N(one.thrustN)}</TableCell>
              <TableCell align="right">{formatText(one.lostShare, 'share', reader, 2)}</TableCell>
              <TableCell align="right">
                {one.contactRatio === undefined ? `${one.beltTeeth} teeth long` : n(one.contactRatio)}
              </TableCell>
              <TableCell align="right">{mm(one.centreMm)}</TableCell>
              <TableCell data-tone="quiet">{WAY_SOUNDS[one.way]}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
