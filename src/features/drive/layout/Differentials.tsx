'use client';

import TableContainer from '@mui/material/TableContainer';
import Typography from '@mui/material/Typography';
import { Note } from '@/ui/controls/Note';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { useMemo } from 'react';
import { sidesApart } from '@/core/car/document/drive';
import { differentialsOf, type AxleStory } from '@/core/worked/drive/differentialOfBuild';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';

const SAYS = {
  open: 'turns freely in corners; the light wheel spins and the other waits',
  limited: 'sends the other wheel some of what the light one cannot carry',
  locked: 'both wheels always turn alike: pulls to the last, and scrubs in corners',
} as const;

/** What each driven axle puts down on the straight, in a corner and with one wheel light. */
export function Differentials() {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const stories = useMemo(() => (surface ? differentialsOf(document, surface) : []), [document, surface]);
  if (stories.length === 0) return null;
  const force = (value: number) => formatText(value, 'forceN', reader);
  return (
    <TableContainer component="section" sx={{ mt: 1.5 }} aria-label="Differentials">
      {sidesApart(document.drive) ? (
        <Note>
          Left and right have motors of their own, so there is no differential: a light wheel spins alone, and
          the others keep their pull.
        </Note>
      ) : (
        <>
          <Typography component="h2" variant="label">
            At the limit of the tyres on {surface!.name.toLowerCase()}
          </Typography>
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>Axle</TableCell>
                <TableCell align="right">On the straight</TableCell>
                <TableCell align="right">One wheel light</TableCell>
                <TableCell>In a tight corner</TableCell>
                <TableCell>What it does</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {stories.map((story) => (
                <TableRow key={story.axle}>
                  <TableCell>
                    <b>{story.axle}</b>, {story.kind === 'limited' ? 'limited slip' : story.kind}
                  </TableCell>
                  <TableCell align="right">{force(story.straight.driveN)}</TableCell>
                  <TableCell align="right">{force(story.light.driveN)}</TableCell>
                  <TableCell>
                    {corner(
                      story,
                      (value) => formatNumber(value, reader.locale, 2),
                      (value) => formatText(value, 'torqueNm', reader),
                    )}
                  </TableCell>
                  <TableCell data-tone="quiet">
                    {SAYS[story.kind]}
                    {story.straight.clutchSlips ? '; the slip clutch gives before the tyres do' : ''}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </>
      )}
    </TableContainer>
  );
}

function corner(
  { kind, corner: found }: AxleStory,
  number: (value: number) => string,
  torque: (value: number) => string,
): string {
  const apart = `wheels ${number(found.speedDifferencePct ?? 0)} % apart`;
  return kind === 'locked' && found.scrubMomentNm !== undefined
    ? `${apart}, scrubs ${torque(found.scrubMomentNm)} against the turn`
    : apart;
}
