'use client';

import Typography from '@mui/material/Typography';
import { LineChart } from '@/ui/charts/LineChart';
import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import { Row } from '@/ui/layout/Row';
import { useReader } from '@/ui/reader';
import { gearName, gearSentence } from '@/words/driving/lap';
import { workerOf } from '@/workers/clients';
import { TakeOrCompare } from '../../frame/TakeOrCompare';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { Refusal } from '../../fields/Refusal';

/** Gears that are shown, over the fastest and under it. */
const WIDE = 1.7;

/** Lap time over the gear, and the fastest one to take. */
export function LapGearing() {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useWorked(surface ? () => workerOf('drive').lapGears(document, surface) : undefined, [
    document,
    surface,
  ]);
  if (!found.value?.ok) return <Refusal of={found} />;
  const { gears, present, best } = found.value.value;
  if (!best) return null;
  const round = gears.filter(
    ({ lapTimeS, ratio }) => lapTimeS !== undefined && ratio < WIDE * best.ratio && ratio > best.ratio / WIDE,
  );
  if (round.length < 2) return null;
  const times = round.map(({ lapTimeS }) => lapTimeS!);
  const [least, most] = [Math.min(...times), Math.max(...times)];
  const room = 0.15 * Math.max(0.1, most - least);
  return (
    <section aria-label="The gear for this lap" aria-busy={found.stale}>
      <Typography variant="heading" sx={{ mt: 2 }}>
        The gear for this lap
      </Typography>
      <Row sx={{ ...dimmedWhen(found.stale), gap: 2 }}>
        <Typography data-testid="lap-gear">{gearSentence({ gears, present, best }, reader)}</Typography>
        {best.isPresent ? null : <TakeOrCompare text={gearName(best, reader)} patch={best.patch} />}
      </Row>
      <LineChart
        title="Lap time over the ratio"
        testId="lap-gears"
        width={620}
        height={220}
        xQuantity="ratio"
        xName="motor turns per wheel turn"
        yName="lap time"
        yQuantity="timeS"
        xMin={round[0]!.ratio}
        xMax={round.at(-1)!.ratio}
        yMin={Math.max(0, least - room)}
        yMax={most + room}
        lines={[
          {
            id: 'times',
            label: '',
            style: 'predicted',
            xs: round.map(({ ratio }) => ratio),
            ys: times,
          },
        ]}
        points={[
          {
            x: best.ratio,
            y: best.lapTimeS!,
            measured: false,
            ...(best.isPresent ? {} : { label: 'fastest' }),
          },
        ]}
        uprights={[{ x: present.ratio, label: 'on the car' }]}
        summary={gearSentence({ gears, present, best }, reader)}
      />
    </section>
  );
}
