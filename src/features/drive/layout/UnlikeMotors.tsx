'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { sharesAtTop } from '@/core/worked/drive/motorShares';
import { useReader } from '@/ui/reader';
import { sharesSentence } from '@/words/driving/motors';
import { MOTOR_PLACE_NAMES } from '@/words/labels/heatWords';
import { firstUp } from '@/words/lists';
import { useBuild } from '../../session/BuildContext';

/** What each of several unlike motors carries at the top speed. */
export function UnlikeMotors() {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const shares = useMemo(() => (surface ? sharesAtTop(document, surface) : []), [document, surface]);
  if (shares.length < 2) return null;
  return (
    <section aria-label="What each motor carries">
      <Typography sx={{ mt: 1.5 }} data-testid="motor-shares">
        {sharesSentence(shares, reader)}
      </Typography>
      <Table size="small" sx={{ maxWidth: 620, mt: 1 }}>
        <TableHead>
          <TableRow>
            <TableCell>Motor</TableCell>
            <TableCell align="right">Constant</TableCell>
            <TableCell align="right">Current at the top speed</TableCell>
            <TableCell align="right">Heat, of alike ones</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {shares.map(({ place, motor, amps, heatShare }) => (
            <TableRow key={place} data-motor={place}>
              <TableCell>{firstUp(MOTOR_PLACE_NAMES[place])}</TableCell>
              <TableCell align="right">{formatText(motor.kvRpmPerV, 'motorConstant', reader)}</TableCell>
              <TableCell align="right">{formatText(amps, 'currentA', reader, 2)}</TableCell>
              <TableCell align="right">{formatNumber(heatShare, reader.locale, 2)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </section>
  );
}
