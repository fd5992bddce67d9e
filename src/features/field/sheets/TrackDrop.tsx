import { Problem } from '@/ui/controls/Problem';
import Typography from '@mui/material/Typography';
import { FileDrop } from '@/ui/controls/FileDrop';
import { useState } from 'react';
import type { KeptTrack } from '@/core/car/records/report';
import { USUAL_WINDOW_S } from '@/core/physics/timing/track/gpxSpeed';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import type { SeenTrack } from '@/workers/field.worker';
import { workerOf } from '@/workers/clients';
import { TrackPicture } from '../tracks/TrackPicture';
import { sayAll } from '@/words/findings';
import { refusalText } from '@/words/refusals/problemOf';

/** A hash that stands until the workshop has named the file. */
export const UNNAMED = '0'.repeat(64);

/** Takes a satellite track by drop or choice and reads it at once. */
export function TrackDrop({
  track,
  onTrack,
}: {
  track: KeptTrack | undefined;
  onTrack(track: KeptTrack, file: Blob): void;
}) {
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const [seen, setSeen] = useState<SeenTrack>();
  const take = async (file: File) => {
    setProblem(undefined);
    const found = await workerOf('field').track(new Uint8Array(await file.arrayBuffer()), USUAL_WINDOW_S);
    if ('refused' in found) return setProblem(`${file.name}, ${refusalText(found.refused, reader)}.`);
    setSeen(found);
    const { topSpeedMps, distanceM, durationS, droppedPoints } = found.result;
    onTrack(
      {
        hash: UNNAMED,
        name: file.name.slice(-120),
        windowS: USUAL_WINDOW_S,
        ...(topSpeedMps === undefined ? {} : { topSpeedMps }),
        distanceM,
        durationS,
        droppedPoints,
      },
      file,
    );
  };
  return (
    <section aria-label="Satellite track">
      <FileDrop
        label="File of the track"
        accept=".gpx,.csv,application/gpx+xml,text/csv"
        onFile={(file) => void take(file)}
      >
        {track ? `${track.name}. Another one: ` : 'Drop a track here: '}GPX, or CSV with time, lat, lon
      </FileDrop>
      <Problem>{problem}</Problem>
      {track ? (
        <p data-testid="track-read">
          {track.topSpeedMps === undefined ? (
            'Shorter than its window, so without a top speed'
          ) : (
            <>
              <b>{formatText(track.topSpeedMps, 'speedMps', reader)}</b> at best over{' '}
              {formatText(track.windowS, 'timeS', reader)}
            </>
          )}
          , {formatText(track.distanceM, 'distanceM', reader)} in{' '}
          {formatText(track.durationS, 'timeS', reader)}
          {track.droppedPoints > 0
            ? `, ${track.droppedPoints} ${track.droppedPoints === 1 ? 'point' : 'points'} dropped as jumps`
            : ''}
          .
        </p>
      ) : null}
      {seen ? (
        <Typography variant="small" color="textSecondary">
          {sayAll(seen.result.notes, reader)}
        </Typography>
      ) : null}
      {seen ? <TrackPicture tracks={[{ id: 'now', label: track?.name ?? '', seen }]} width={320} /> : null}
    </section>
  );
}
