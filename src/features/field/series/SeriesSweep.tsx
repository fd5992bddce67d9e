import { dimmedWhen } from '@/ui/layout/dimmedWhen';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { RunReport } from '@/core/car/records/report';
import type { SeriesResult } from '@/core/physics/bench/series';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { sweepSentence } from '@/words/bench/series';
import { workerOf } from '@/workers/clients';
import { StillNeeds } from '../../fields/StillNeeds';
import { useBuild } from '../../session/BuildContext';
import { useWorked } from '../../session/useWorked';
import { Refusal } from '../../fields/Refusal';

const ROOM = 1.15;

/** The aid's own simulator over the values of a series, under what was driven. */
export function SeriesSweep({
  report,
  between: [from, to],
  speedMps,
  distanceM,
  fit,
}: {
  report: RunReport & { settingAid: NonNullable<RunReport['settingAid']> };
  between: readonly [number, number];
  speedMps: number;
  distanceM: number;
  fit: SeriesResult;
}) {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const { of, perUnit = 1 } = report.settingAid;
  const question = { of, perUnit, from, to, speedMps, distanceM };
  const worked = useWorked(
    () => workerOf('aids').sweep(document, surface, question),
    [document, surface, JSON.stringify(question)],
  );
  if (!worked.value) return <Refusal of={worked} />;
  if (!worked.value.ok) return <StillNeeds missing={worked.value.missing} />;
  const { points, best, calmTo } = worked.value.value;
  const name = report.settingName ?? 'setting';
  const title = of === 'yawGain' ? 'Simulated: settles from a knock in' : 'Simulated from rest: takes';
  return (
    <Box sx={dimmedWhen(worked.stale)} data-testid="series-sweep">
      {points.length === 0 ? null : (
        <LineChart
          title={title}
          testId="sweep"
          width={560}
          height={170}
          xQuantity="coefficient"
          xName={name}
          yQuantity="timeS"
          xMin={from}
          xMax={to}
          yMin={of === 'yawGain' ? 0 : Math.min(...points.map(({ timeS }) => timeS)) / ROOM}
          yMax={Math.max(...points.map(({ timeS }) => timeS)) * ROOM}
          lines={[
            {
              id: 'sweep',
              label: 'simulator',
              style: 'predicted',
              xs: points.map(({ setting }) => setting),
              ys: points.map(({ timeS }) => timeS),
              labelAt: 0.5,
            },
          ]}
          uprights={fit.bestX === undefined ? [] : [{ x: fit.bestX, label: 'best as driven' }]}
          {...(calmTo === undefined || calmTo >= to ? {} : { beyond: { x: calmTo, label: 'swings' } })}
          summary={sweepSentence({ name, of, best, calmTo }, fit, reader)}
        />
      )}
      <Typography data-testid="sweep-verdict">
        {sweepSentence({ name, of, best, calmTo }, fit, reader)}
      </Typography>
    </Box>
  );
}
