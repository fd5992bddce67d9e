'use client';

import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { pivotOf } from '@/core/worked/drive/pivotOfBuild';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { pivotSentence } from '@/words/driving/motors';
import { sound } from '../../frame/sound';
import { useBuild } from '../../session/BuildContext';

/** Turning by driving the sides against each other: the tyres' scrubbing against what the motors give at each speed. */
export function TurnOnTheSpot() {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const found = useMemo(
    () => (surface ? sound(() => pivotOf(document, surface)) : undefined),
    [document, surface],
  );
  if (!found?.ok) return null;
  const pivot = found.value;
  const { speedMps, driveN } = pivot.forces;
  const said = pivotSentence(pivot, reader);
  return (
    <section aria-label="Turning on the spot">
      <Typography sx={{ mt: 1.5 }} data-testid="pivot">
        {said} No steering linkage to break, at the price of tyres and pack.
      </Typography>
      <LineChart
        title="Turning on the spot: what the motors give, and what scrubs"
        testId="pivot-chart"
        width={560}
        height={220}
        xQuantity="speedMps"
        yQuantity="forceN"
        xName="speed of the treads"
        xMax={speedMps.at(-1)!}
        yMax={1.1 * Math.max(pivot.scrubN, ...driveN)}
        lines={[
          { id: 'drive', label: 'motors', style: 'predicted', xs: speedMps, ys: driveN, labelAt: 0.3 },
          {
            id: 'scrub',
            label: 'scrubbing',
            style: 'predictedQuiet',
            xs: [0, speedMps.at(-1)!],
            ys: [pivot.scrubN, pivot.scrubN],
            labelAt: 0.8,
          },
        ]}
        points={pivot.treadMps === undefined ? [] : [{ x: pivot.treadMps, y: pivot.scrubN, measured: false }]}
        summary={said}
      />
    </section>
  );
}
