'use client';

import Typography from '@mui/material/Typography';
import type { HeatOfBuild } from '@/core/worked/heat/heatOf';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { passSentence } from '@/words/driving/duty';

/** What the pack is driven with, and what of it the car follows. */
export function DutyTrace({ pass, topSpeedMps }: Pick<HeatOfBuild, 'pass' | 'topSpeedMps'>) {
  const { reader } = useReader();
  if (!pass) return null;
  const { wish, tS, speedMps } = pass;
  const shownS = tS.at(-1)!;
  const fastest = Math.max(...wish.speedMps, ...speedMps);
  const levels =
    topSpeedMps !== undefined && topSpeedMps < 1.1 * fastest
      ? [{ x: [0, shownS], y: [topSpeedMps, topSpeedMps] }]
      : [];
  return (
    <>
      <LineChart
        title="Once through what is driven"
        testId="duty-chart"
        width={880}
        height={190}
        xQuantity="timeS"
        yQuantity="speedMps"
        lines={[
          { id: 'asked', label: 'asked', style: 'earlier', xs: wish.tS, ys: wish.speedMps, labelAt: 0.35 },
          { id: 'driven', label: 'driven', style: 'predicted', xs: tS, ys: speedMps, labelAt: 0.7 },
          ...levels.map(({ x, y }) => ({
            id: 'top',
            label: 'top speed',
            style: 'predictedQuiet' as const,
            xs: x,
            ys: y,
            labelAt: 0.9,
          })),
        ]}
        xMax={shownS}
        yMax={1.15 * Math.max(fastest, ...levels.flatMap(({ y }) => y))}
        summary={passSentence(pass, reader)}
      />
      <Typography variant="note" data-testid="duty-followed">
        {passSentence(pass, reader)}
      </Typography>
    </>
  );
}
