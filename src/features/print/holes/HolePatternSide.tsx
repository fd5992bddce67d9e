'use client';

import '@/words/later/bringIn';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { Page } from '@/ui/layout/Page';
import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { type ReactNode, useMemo } from 'react';
import type { HolePattern } from '@/core/car/document/print';
import type { HolesInput, PlateFile } from '@/core/physics/printing/holes/definition';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { fromBase64 } from '@/core/base/base64';
import { useReader } from '@/ui/reader';
import { useBuild } from '../../session/BuildContext';
import { handOver } from '../../session/handOver';
import { workerOf } from '@/workers/clients';
import { useWorked } from '../../session/useWorked';
import { Bench, Charts, Readings } from '../../frame/Guarded';
import { HoleList } from './HoleList';
import { LaidUnder } from './LaidUnder';
import { PatternDrawing } from './PatternDrawing';
import { ReadingEntry } from './ReadingEntry';
import { ReadingTable } from './ReadingTable';
import { refusalText } from '@/words/refusals/problemOf';
import { say } from '@/words/findings';

const FILE_TYPES: Readonly<Record<PlateFile, string>> = {
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  stl: 'model/stl',
};

/** One pattern: its holes, the readings as they are measured, where the holes lie and how sure that is. */
export function HolePatternSide({
  pattern,
  picker,
  tabs,
}: {
  pattern: HolePattern;
  picker: ReactNode;
  tabs: ReactNode;
}) {
  const { edit, closed } = useBuild();
  const { reader } = useReader();
  const { holes, readings } = pattern;
  const input = useMemo(
    (): HolesInput => ({ holes, readings: readings.map(({ id: _, ...reading }) => reading) }),
    [holes, readings],
  );
  const ready = holes.length > 1 && readings.length > 0;
  const found = useWorked(ready ? () => workerOf('print').solve(input) : undefined, [input]);
  const solved = found.value;
  const { suspect = [], rigid, looseHoles = [] } = solved?.result ?? {};
  const length = (value: number) => formatText(value, 'lengthMm', reader, 2);
  const fresh = found.stale ? undefined : solved?.next;
  const next = fresh ?? firstUnread(pattern);
  const file = async (kind: PlateFile) => {
    const made = await workerOf('print').plate(input, kind);
    if ('text' in made)
      handOver(
        `${pattern.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${kind}`,
        FILE_TYPES[kind],
        kind === 'stl' ? fromBase64(made.text, 'stl') : made.text,
      );
  };
  return (
    <Page>
      <Bench>
        {picker}
        <HoleList pattern={pattern} />
        <LaidUnder pattern={pattern} />
        {closed ? null : (
          <Button
            variant="text"
            sx={{ mt: 1.25 }}
            onClick={() => edit([{ path: ['print', 'patterns', pattern.id], value: undefined }])}
          >
            throw {pattern.name.toLowerCase()} away
          </Button>
        )}
      </Bench>
      <Readings>
        {tabs}
        <Typography variant="answer" data-testid="pattern-answer">
          {!ready ? (
            'Read a distance across two holes, and go on from there.'
          ) : found.refused ? (
            `The reading ${refusalText(found.refused, reader)}.`
          ) : !solved ? (
            'Placing the holes…'
          ) : suspect.length > 0 ? (
            <>
              The reading from {suspect[0]!.from} to {suspect[0]!.to}{' '}
              <span className={clsx(figuresCss.figure, figuresCss.over)}>is wrong</span>:{' '}
              {formatNumber(suspect[0]!.standardised, reader.locale, 2)} times its error off what the others
              say.
            </>
          ) : !rigid ? (
            <>
              {looseHoles.length === 1 ? `Hole ${looseHoles[0]} is` : `Holes ${looseHoles.join(', ')} are`}{' '}
              still loose: this is one possible shape.
            </>
          ) : (
            <>
              {holes.length} holes, each known to <b>±{length(solved.largestErrorMm ?? 0)}</b> or better.
            </>
          )}
        </Typography>
        {closed ? null : (
          <ReadingEntry key={readings.length} pattern={pattern} next={next} foretold={fresh} />
        )}
        <Charts sx={dimmedWhen(found.stale)}>
          {solved && ready ? <PatternDrawing pattern={pattern} solved={solved} /> : null}
          <ReadingTable pattern={pattern} solved={solved} />
        </Charts>
        {solved?.result.notes.map((note) => (
          <Typography variant="note" color="textSecondary" key={note.code}>
            {say(note, reader)}
          </Typography>
        ))}
        {solved && ready && rigid ? (
          <Row sx={{ mt: 1.25 }}>
            A test plate to lay on it:{' '}
            {(['svg', 'dxf', 'stl'] as const).map((kind) => (
              <Button key={kind} onClick={() => void file(kind)}>
                {kind.toUpperCase()}
              </Button>
            ))}
          </Row>
        ) : null}
      </Readings>
    </Page>
  );
}

/** The first pair that was not read, in the order of the holes. */
function firstUnread({ holes, readings }: HolePattern): { from: string; to: string } | undefined {
  const read = new Set(readings.flatMap(({ from, to }) => [`${from} ${to}`, `${to} ${from}`]));
  for (let far = 1; far < holes.length; far++)
    for (let near = 0; near < far; near++)
      if (!read.has(`${holes[near]!.id} ${holes[far]!.id}`))
        return { from: holes[near]!.id, to: holes[far]!.id };
  return undefined;
}
