import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { USUAL_WINDOW_S } from '@/core/physics/timing/track/gpxSpeed';
import { formatText } from '@/core/base/units/formatQuantity';
import { Note } from '@/ui/controls/Note';
import { QuantitySlider } from '@/ui/QuantitySlider';
import { useReader } from '@/ui/reader';
import { refusalText } from '@/words/refusals/problemOf';
import { workerOf } from '@/workers/clients';
import type { SeenTrack } from '@/workers/field.worker';
import { heldOfPage, sentenceOf } from '../../api';
import { TrackPicture } from '../tracks/TrackPicture';

/** The speed at a place of a track that was recorded, to be taken as that of the crash. */
export function CrashPlace({ hash, onTake }: { hash: string; onTake(speedMps: number): void }) {
  const { reader } = useReader();
  const [seen, setSeen] = useState<SeenTrack>();
  const [problem, setProblem] = useState<string>();
  const [chosenS, choose] = useState<number>();
  useEffect(() => {
    let current = true;
    void (async () => {
      try {
        const bytes = new Uint8Array(await (await fetch(heldOfPage('files', hash))).arrayBuffer());
        const found = await workerOf('field').track(bytes, USUAL_WINDOW_S);
        if (!current) return;
        if ('refused' in found) setProblem(`${refusalText(found.refused, reader)}.`);
        else setSeen(found);
      } catch (error) {
        if (current) setProblem(sentenceOf(error));
      }
    })();
    return () => {
      current = false;
    };
  }, [hash, reader]);
  if (problem)
    return (
      <Note tone="bad" role="alert">
        {problem}
      </Note>
    );
  if (!seen) return <Typography color="textSecondary">Reading the track…</Typography>;
  const lastS = seen.tS.at(-1)!;
  const atS = chosenS ?? lastS;
  const k = Math.max(
    0,
    seen.tS.findLastIndex((t) => t <= atS),
  );
  const speedMps = seen.speedMps[k]!;
  return (
    <>
      <TrackPicture tracks={[{ id: hash, label: 'Last track', seen }]} at={k} width={330} />
      <QuantitySlider
        label="Where it crashed, after"
        quantity="timeS"
        value={Math.min(lastS, atS)}
        min={seen.tS[0]!}
        max={lastS}
        step={0.2}
        onChange={choose}
        effect={`There it drove ${formatText(speedMps, 'speedMps', reader)}.`}
      />
      <Button onClick={() => onTake(Number(speedMps.toFixed(2)))}>
        Take {formatText(speedMps, 'speedMps', reader)}
      </Button>
    </>
  );
}
