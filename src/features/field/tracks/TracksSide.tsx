'use client';

import { Problem } from '@/ui/controls/Problem';
import { Page } from '@/ui/layout/Page';
import { Row } from '@/ui/layout/Row';
import clsx from 'clsx';
import fieldsCss from '@/ui/fields.module.css';
import figuresCss from '@/ui/Figure.module.css';
import Typography from '@mui/material/Typography';
import { Tick } from '@/ui/controls/Tick';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useState } from 'react';
import { USUAL_WINDOW_S } from '@/core/physics/timing/track/gpxSpeed';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { heldOfPage, sentenceOf } from '../../api';
import { useBuild } from '../../session/BuildContext';
import { Group } from '../../fields/fields';
import { segmentPath } from '../../frame/segments';
import { handOver } from '../../session/handOver';
import { workerOf } from '@/workers/clients';
import { Bench, Charts, Readings } from '../../frame/Guarded';
import { SpeedOverTime, type ShownTrack, TrackPicture } from './TrackPicture';
import { problemOf } from '@/words/refusals/problemOf';
import { sayAll } from '@/words/findings';

const MOST = 4;

/** Satellite tracks of the build, one over the other, with their speed over time. */
export function TracksSide({ tabs }: { tabs: ReactNode }) {
  const { root, build, revision, runs, revisions, edit, closed } = useBuild();
  const router = useRouter();
  const { reader } = useReader();
  const tracked = runs
    .filter(({ track }) => track !== undefined)
    .sort((a, b) => (a.ranAt < b.ranAt ? 1 : -1));
  const [said, setSaid] = useState<readonly string[]>();
  const chosen = said ?? tracked.slice(0, 2).map(({ id }) => id);
  const [windowS, setWindow] = useState<number | undefined>(USUAL_WINDOW_S);
  const [seen, setSeen] = useState<ReadonlyMap<string, ShownTrack>>(new Map());
  const [problem, setProblem] = useState<string>();
  const shown = tracked.filter(({ id }) => chosen.includes(id));
  const key = shown.map(({ track }) => track!.hash).join();
  useEffect(() => {
    let current = true;
    void (async () => {
      for (const { id, track, revisionId, ranAt } of shown) {
        try {
          const bytes = new Uint8Array(await (await fetch(heldOfPage('files', track!.hash))).arrayBuffer());
          const found = await workerOf('field').track(bytes, windowS ?? USUAL_WINDOW_S);
          if (!current) return;
          if ('refused' in found) setProblem(`${track!.name}, ${problemOf(found.refused, reader).message}.`);
          else
            setSeen((all) =>
              new Map(all).set(id, {
                id,
                label: `${revisions.find((one) => one.id === revisionId)?.letter ?? ''} ${ranAt.slice(5, 10)}`,
                seen: found,
              }),
            );
        } catch (error) {
          if (current) setProblem(sentenceOf(error));
        }
      }
    })();
    return () => {
      current = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the hashes name the tracks
  }, [key, windowS]);
  const drawn = shown.flatMap(({ id }) => seen.get(id) ?? []);
  const best = drawn.reduce<ShownTrack | undefined>(
    (top, one) => ((one.seen.result.topSpeedMps ?? 0) > (top?.seen.result.topSpeedMps ?? 0) ? one : top),
    undefined,
  );
  const toggle = (id: string) =>
    setSaid(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id].slice(-MOST));
  const out = async (name: string, hash: string) => {
    const bytes = new Uint8Array(await (await fetch(heldOfPage('files', hash))).arrayBuffer());
    const found = await workerOf('field').gpx(bytes, `${build.name}, ${name}`);
    if ('refused' in found) setProblem(`${name}, ${problemOf(found.refused, reader).message}.`);
    else handOver(`${name.replace(/\.\w+$/, '')}-kept.gpx`, 'application/gpx+xml', found.text);
  };
  const asDuty = async (name: string, hash: string) => {
    const found = await workerOf('field').driven(
      new Uint8Array(await (await fetch(heldOfPage('files', hash))).arrayBuffer()),
    );
    if ('refused' in found) return setProblem(`${name}, ${problemOf(found.refused, reader).message}.`);
    edit([
      { path: ['drive', 'heat', 'trace'], value: { name: name.slice(-120), ...found } },
      { path: ['drive', 'heat', 'duty'], value: 'track' },
    ]);
    router.push(`${segmentPath(root, revision.letter, 'drive')}?view=heat`);
  };
  return (
    <Page>
      <Bench>
        <Group title="Tracks" aside={tracked.length > 1 ? `up to ${MOST} over each other` : undefined}>
          {tracked.length === 0 ? (
            <Typography color="textSecondary">
              None yet: log a run of the kind satellite track and drop its file.
            </Typography>
          ) : (
            tracked.map(({ id, track, revisionId, ranAt }) => (
              <div key={id} className={fieldsCss.field}>
                <label>
                  <Tick checked={chosen.includes(id)} onChange={() => toggle(id)} />{' '}
                  <b>{revisions.find((one) => one.id === revisionId)?.letter}</b>{' '}
                  {new Intl.DateTimeFormat(reader.locale, {
                    day: 'numeric',
                    month: 'short',
                    timeZone: 'UTC',
                  }).format(new Date(ranAt))}
                  , {track!.name}
                </label>
                <Row sx={{ gap: 1 }}>
                  {closed ? null : (
                    <Button variant="link" onClick={() => void asDuty(track!.name, track!.hash)}>
                      drive a pack like this
                    </Button>
                  )}
                  <Button variant="link" onClick={() => void out(track!.name, track!.hash)}>
                    GPX
                  </Button>
                </Row>
              </div>
            ))
          )}
        </Group>
        <Group title="Top speed">
          <QuantityField
            label="Mean over at least"
            quantity="timeS"
            limits={{ from: 0, to: 600 }}
            value={windowS}
            usual={USUAL_WINDOW_S}
            onChange={setWindow}
          />
        </Group>
      </Bench>
      <Readings>
        {tabs}
        <Typography variant="answer" data-testid="track-answer">
          {best?.seen.result.topSpeedMps === undefined ? (
            tracked.length === 0 ? (
              'A satellite track shows where the car was fast: drop one on a run sheet.'
            ) : (
              'Reading the tracks…'
            )
          ) : (
            <>
              Fastest{' '}
              <span className={clsx(figuresCss.figure, figuresCss.measured)}>
                {formatText(best.seen.result.topSpeedMps, 'speedMps', reader)}
              </span>
              , the mean of at least {formatText(windowS ?? USUAL_WINDOW_S, 'timeS', reader)} of {best.label}.
            </>
          )}
        </Typography>
        <Problem>{problem}</Problem>
        {drawn.length > 0 ? (
          <Charts>
            <TrackPicture tracks={drawn} />
            <SpeedOverTime tracks={drawn} />
          </Charts>
        ) : null}
        {drawn.length > 0 ? (
          <Table size="small" sx={{ mt: 1.25 }}>
            <TableHead>
              <TableRow>
                <TableCell>Track</TableCell>
                <TableCell align="right">Top speed</TableCell>
                <TableCell align="right">Distance</TableCell>
                <TableCell align="right">Time</TableCell>
                <TableCell align="right">Dropped</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {drawn.map(({ id, label, seen: { result } }) => (
                <TableRow key={id}>
                  <TableCell>
                    <b>{label}</b>
                  </TableCell>
                  <TableCell align="right">
                    {result.topSpeedMps === undefined
                      ? 'shorter than the window'
                      : formatText(result.topSpeedMps, 'speedMps', reader)}
                  </TableCell>
                  <TableCell align="right">{formatText(result.distanceM, 'distanceM', reader)}</TableCell>
                  <TableCell align="right">{formatText(result.durationS, 'timeS', reader)}</TableCell>
                  <TableCell align="right">{result.droppedPoints}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        ) : null}
        {best ? (
          <Typography variant="note" color="textSecondary">
            {sayAll(best.seen.result.notes, reader)}
          </Typography>
        ) : null}
      </Readings>
    </Page>
  );
}
