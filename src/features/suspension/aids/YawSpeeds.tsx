'use client';

import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Box from '@mui/material/Box';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import TableContainer from '@mui/material/TableContainer';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { YawInput } from '@/core/physics/aids/yawDefinition';
import { usefulSteerDeg } from '@/core/worked/aids/yawOfBuild';
import { useReader } from '@/ui/reader';
import type { SpeedRow } from '@/workers/aids.worker';
import { workerOf } from '@/workers/clients';
import { useStudy } from './useStudy';

export const SPEEDS = 10;

export const GAINS_A_SPEED = 24;

/** How the gyro and the steering should be scaled with speed. */
export function Speeds({ input, top }: { input: YawInput; top: number }) {
  const { reader } = useReader();
  const study = useStudy<SpeedRow[]>();
  const speeds = Array.from({ length: SPEEDS }, (_, index) => (1.3 * top * (index + 1)) / SPEEDS);
  const of = SPEEDS * GAINS_A_SPEED;
  return (
    <Box component="section" sx={{ mt: 1.5 }} aria-label="Scaled with speed">
      <Row>
        {study.done === undefined ? (
          <Button
            onClick={() =>
              study.start((report) => workerOf('aids').speeds(input, speeds, GAINS_A_SPEED, report))
            }
          >
            Sweep over speeds
          </Button>
        ) : (
          <>
            <Button onClick={study.cancel}>Cancel</Button>
            <Typography color="textSecondary" role="status">
              {study.done} of {of} runs
            </Typography>
          </>
        )}
        <Typography component="span" variant="note" color="textSecondary">
          How gain and steering should shrink as it goes faster.
        </Typography>
      </Row>
      {study.found ? (
        <TableContainer>
          <Table size="small" aria-label="Gains over speed" sx={dimmedWhen(study.done !== undefined)}>
            <TableHead>
              <TableRow>
                <TableCell align="right">Speed</TableCell>
                <TableCell align="right">Over-corrects above</TableCell>
                <TableCell align="right">Settles fastest at</TableCell>
                <TableCell align="right">Settles in</TableCell>
                <TableCell align="right">Steering that the ground answers</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {study.found.map(({ speedMps, criticalGain, fastest }) => (
                <TableRow key={speedMps}>
                  <TableCell align="right">{formatText(speedMps, 'speedMps', reader)}</TableCell>
                  <TableCell align="right">
                    {criticalGain === undefined ? '—' : formatNumber(criticalGain, reader.locale, 2)}
                  </TableCell>
                  <TableCell align="right">
                    {fastest ? formatNumber(fastest.gain, reader.locale, 2) : '—'}
                  </TableCell>
                  <TableCell align="right">
                    {fastest ? formatText(fastest.settleS!, 'timeS', reader, 2) : ''}
                  </TableCell>
                  <TableCell align="right">
                    {formatText(
                      Math.min(input.servo.maxDeg, usefulSteerDeg(input, speedMps)),
                      'angleDeg',
                      reader,
                      2,
                    )}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
      ) : null}
    </Box>
  );
}
