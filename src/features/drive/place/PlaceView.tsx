'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { CalcError } from '@/core/base/errors';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { placeOf } from '@/core/worked/place/placeOfBuild';
import { passList } from '@/core/verdict/passList';
import { Note } from '@/ui/controls/Note';
import { useReader } from '@/ui/reader';
import { say, sayAll } from '@/words/findings';
import {
  brakingSentence,
  driftSentence,
  entrySentence,
  passSentence,
  placeSentence,
  radioSentence,
  windSentence,
} from '@/words/driving/place';
import { problemOf } from '@/words/refusals/problemOf';
import { StillNeeds } from '../../fields/StillNeeds';
import { Ask } from '../../frame/Ask';
import { Apart } from '../../frame/Guarded';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { SurfaceSwitch } from '../../frame/SurfaceSwitch';
import { segmentPath } from '../../frame/segments';
import { useBuild, useBuildChecks } from '../../session/BuildContext';
import Link from 'next/link';
import { PlaceDrawing } from './PlaceDrawing';

/** Go or no go as far as the build can tell, and where the rest is ticked. */
function PassHint() {
  const { root, revision } = useBuild();
  const checks = useBuildChecks();
  const found = passList(checks, []);
  return (
    <section aria-label="Before a fast pass">
      <Typography variant="heading" sx={{ mt: 2 }}>
        Before a fast pass
      </Typography>
      <Typography data-testid="pass-list">
        {passSentence(found)}{' '}
        <Link href={`${segmentPath(root, revision.letter, 'field')}#run`}>
          Look at pack, people and switches on the run sheet
        </Link>
        , which remembers what was ticked.
      </Typography>
    </section>
  );
}

/** Whether the wished pass fits into the place, and how the car stops there. */
export function PlaceView() {
  'use memo';
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useMemo(() => {
    try {
      return placeOf(document, surface);
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      return error;
    }
  }, [document, surface]);
  if (found instanceof CalcError)
    return (
      <Note tone="bad" role="alert">
        {problemOf(found.refused, reader).message}
      </Note>
    );
  if (!found.ok) return <StillNeeds missing={found.missing} />;
  const { site, braking, input, wind } = found.value;
  const row = site.rows.at(-1);
  const m = (value: number | undefined) =>
    value === undefined ? '—' : formatText(value, 'distanceM', reader, 3);
  return (
    <Apart>
      <Ask>
        <Typography variant="answer" data-testid="place-answer">
          {placeSentence(site, reader)}
        </Typography>
        <SurfaceSwitch />
      </Ask>
      <PlaceDrawing input={input} site={site} />
      <Typography sx={{ mt: 1 }}>
        {[
          entrySentence(site, reader),
          row ? driftSentence(row, reader) : '',
          radioSentence(site, reader),
          wind ? windSentence(wind, reader) : '',
        ]
          .filter(Boolean)
          .join(' ')}
      </Typography>
      {site.rows.length > 0 ? (
        <TableContainer>
          <Table size="small" sx={{ maxWidth: 760, mt: 1.5 }} aria-label="The pass">
            <TableHead>
              <TableRow>
                <TableCell>Pass at</TableCell>
                <TableCell align="right">Run-up</TableCell>
                <TableCell align="right">Measured</TableCell>
                <TableCell align="right">Timed to</TableCell>
                <TableCell align="right">Stop</TableCell>
                <TableCell align="right">Spare</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {site.rows.map((one) => (
                <TableRow key={one.share}>
                  <TableCell>
                    <b>{formatText(one.speedMps, 'speedMps', reader, 3)}</b>
                  </TableCell>
                  <TableCell align="right">
                    {m(one.runUpM)}, {formatText(one.runUpS, 'timeS', reader, 2)}
                  </TableCell>
                  <TableCell align="right">{formatText(one.stretchS, 'timeS', reader, 3)}</TableCell>
                  <TableCell align="right">± {formatNumber(one.speedErrorPct, reader.locale, 2)} %</TableCell>
                  <TableCell align="right">{m(one.stopM)}</TableCell>
                  <TableCell align="right" data-tone={one.fits ? undefined : 'fails'}>
                    {m(one.spareM)}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
      ) : null}
      {braking ? (
        <section aria-label="Braking">
          <Typography variant="heading" sx={{ mt: 2 }}>
            Braking
          </Typography>
          <Typography data-testid="braking">{brakingSentence(braking, reader)}</Typography>
          {braking.findings.map(({ severity, why, about }) => (
            <Note key={about} tone={severity === 'over' ? 'bad' : 'caution'}>
              {say(why, reader)}
            </Note>
          ))}
          <Typography color="textSecondary" sx={{ mt: 0.5 }}>
            {sayAll(site.notes.concat(braking.notes), reader)}
          </Typography>
        </section>
      ) : null}
      <PassHint />
      <SegmentChecks segment="drive" side="place" />
    </Apart>
  );
}
