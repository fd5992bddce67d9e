'use client';

import '@/words/later/bringIn';
import LinearProgress from '@mui/material/LinearProgress';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { proxy } from 'comlink';
import { useState } from 'react';
import type { Patch } from '@/core/base/patch';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { itemsOf } from '@/core/car/library/items';
import { gearsTaken, searchInputOf, setSearchOf, setTaken } from '@/core/worked/transmissions/searchOfBuild';
import { Note } from '@/ui/controls/Note';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { useReader } from '@/ui/reader';
import { workerOf } from '@/workers/clients';
import type { Refusal } from '@/workers/refusal';
import { foundSentence, pairsName, setName } from '@/words/driving/search';
import { problemOf } from '@/words/refusals/problemOf';
import { sayAll } from '@/words/findings';
import { newId } from '../../api';
import { Apart } from '../../frame/Guarded';
import { Ask } from '../../frame/Ask';
import { TakeOrCompare } from '../../frame/TakeOrCompare';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { useWish } from './wish';

/** A worker of its own, so that heat and teeth do not wait for a long search. */
const SEARCHER = 1;
const stageId = () => `stage-${newId().slice(0, 8)}`;

/** Gears at hand, any teeth or planetary sets that bring the drive to a ratio, worked out while typing. */
export function SearchView() {
  const { wish, among } = useWish();
  return (
    <Apart>
      {wish === undefined ? (
        <Ask>
          <Typography variant="answer">
            Say the ratio that you want, and the gears that make it are found.
          </Typography>
        </Ask>
      ) : among === 'sets' ? (
        <Sets />
      ) : (
        <Pairs />
      )}
    </Apart>
  );
}

function Pairs() {
  const { document, library } = useBuild();
  const { reader } = useReader();
  const { wish } = useWish();
  const [progress, setProgress] = useState<number>();
  const gears = itemsOf(library, 'gear').map(({ data }) => data);
  const input = searchInputOf(document.drive, gears, wish!);
  const asked = JSON.stringify(input);
  const found = useWorked(
    () =>
      workerOf('drive', SEARCHER).gearSearch(
        input,
        // told apart from the answer, so that it never holds it up
        proxy((share: number) => void setTimeout(() => setProgress(share))),
      ),
    [asked],
  );
  if (found.refused) return <Refused refused={found.refused} />;
  if (!found.value) return <Waiting progress={progress} />;
  const { rows, notes } = found.value;
  return (
    <>
      <FoundAnswer found={found.value} />
      {found.stale ? <Waiting progress={progress} /> : null}
      <Results
        stale={found.stale}
        heads={['Pinion and wheel', 'The drive makes', 'Off by', 'Shafts apart', 'Repeats after']}
        rows={rows.map((row) => ({
          name: pairsName(row),
          cells: [
            `${formatNumber(wish!.overall * (1 + row.errorPct / 100), reader.locale, 4)} : 1`,
            `${formatNumber(row.errorPct, reader.locale, 2)} %`,
            row.centresMm.map((mm) => formatText(mm, 'lengthMm', reader, 4)).join(' and '),
            `${row.pinionTurnsToRepeat.join(' and ')} turns`,
          ],
          patch: () => gearsTaken(document.drive, row, input, stageId),
        }))}
      />
      {notes.length > 0 ? <Note>{sayAll(notes, reader)}</Note> : null}
      <Typography variant="small" color="textSecondary">
        Where the same teeth meet late, each wears evenly against all of the other.
      </Typography>
    </>
  );
}

function Sets() {
  const { document } = useBuild();
  const { reader } = useReader();
  const { wish, ringTeethMax, outsideMaxMm } = useWish();
  const input = setSearchOf(document.drive, wish!, {
    ringTeethMax,
    ...(outsideMaxMm === undefined ? {} : { outsideMaxMm }),
  });
  const found = useWorked(() => workerOf('drive', SEARCHER).planetarySearch(input), [JSON.stringify(input)]);
  if (found.refused) return <Refused refused={found.refused} />;
  if (!found.value) return <Waiting progress={undefined} />;
  const { rows, notes } = found.value;
  return (
    <>
      <FoundAnswer found={found.value} />
      <Results
        stale={found.stale}
        heads={['Set', 'The drive makes', 'Off by', 'Outside', 'Ring’s teeth at most']}
        rows={rows.map((row) => ({
          name: setName(row),
          cells: [
            `${formatNumber(wish!.overall * (1 + row.errorPct / 100), reader.locale, 4)} : 1`,
            `${formatNumber(row.errorPct, reader.locale, 2)} %`,
            row.ringOutsideMm === undefined ? '—' : formatText(row.ringOutsideMm, 'lengthMm', reader),
            `${formatNumber(row.ringAddendumLimit, reader.locale, 3)} modules high`,
          ],
          patch: () => setTaken(document.drive, row, stageId),
        }))}
      />
      {notes.length > 0 ? <Note>{sayAll(notes, reader)}</Note> : null}
    </>
  );
}

function FoundAnswer({ found }: { found: Parameters<typeof foundSentence>[0] }) {
  const { reader } = useReader();
  const { wish } = useWish();
  return (
    <Ask>
      <Typography variant="answer" data-testid="search-answer">
        {foundSentence(found, wish!, reader)}
      </Typography>
    </Ask>
  );
}

function Refused({ refused }: { refused: Refusal['refused'] }) {
  const { reader } = useReader();
  return (
    <Note tone="bad" role="alert">
      {problemOf(refused, reader).message}
    </Note>
  );
}

function Waiting({ progress }: { progress: number | undefined }) {
  return progress === undefined ? null : (
    <LinearProgress
      variant="determinate"
      value={100 * progress}
      aria-label="Combinations looked at"
      sx={{ my: 1 }}
    />
  );
}

interface ResultRow {
  name: string;
  cells: readonly string[];
  patch(): Patch;
}

function Results({
  heads,
  rows,
  stale,
}: {
  heads: readonly string[];
  rows: readonly ResultRow[];
  stale: boolean;
}) {
  if (rows.length === 0) return null;
  return (
    <TableContainer component="section" aria-label="Gears found" aria-busy={stale} sx={dimmedWhen(stale)}>
      <Table size="small">
        <TableHead>
          <TableRow>
            {heads.map((head, at) => (
              <TableCell key={head} align={at === 0 ? 'left' : 'right'}>
                {head}
              </TableCell>
            ))}
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ name, cells, patch }) => (
            <TableRow key={name}>
              <TableCell>
                <b>{name}</b>
              </TableCell>
              {cells.map((cell, at) => (
                <TableCell key={at} align="right">
                  {cell}
                </TableCell>
              ))}
              <TableCell align="right">
                <TakeOrCompare text={name} patch={patch()} />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}
