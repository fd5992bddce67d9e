'use client';

import { formatText } from '@/core/base/units/formatQuantity';
import type { RideOfBuild } from '@/core/worked/suspension/rideOfBuild';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';

export const SAMPLES = 30;

/** Force of the spring at the wheel over its travel, with the weight that it holds. */
export function ForceChart({ found: { ride, input } }: { found: RideOfBuild }) {
  const { reader } = useReader();
  const preloadN = input.springRateNPerMm * (input.preloadMm ?? 0) * input.motionRatio;
  const xs = Array.from({ length: SAMPLES + 1 }, (_, index) => (input.wheelTravelMm * index) / SAMPLES);
  const ys = xs.map((x) => preloadN + ride.wheelRateNPerMm * x);
  const weightN = preloadN + ride.wheelRateNPerMm * ride.sagMm;
  const bottomed = ride.sagMm > input.wheelTravelMm;
  return (
    <LineChart
      title="Spring force at the wheel from full droop"
      width={430}
      height={250}
      testId="ride-force"
      xQuantity="lengthMm"
      xName="travel from full droop"
      yQuantity="forceN"
      xMax={input.wheelTravelMm}
      yMax={1.08 * Math.max(ys.at(-1)!, weightN)}
      lines={[
        { id: 'spring', label: 'spring', style: 'predicted', xs, ys, labelAt: 0.75 },
        {
          id: 'weight',
          label: 'what it carries',
          style: 'predictedQuiet',
          xs: [0, input.wheelTravelMm],
          ys: [weightN, weightN],
          labelAt: 1,
        },
      ]}
      points={
        bottomed || ride.toppedOut
          ? []
          : [
              {
                x: ride.sagMm,
                y: weightN,
                measured: false,
                label: `rests at ${formatText(ride.sagMm, 'lengthMm', reader)}`,
              },
            ]
      }
      summary={`The spring holds ${formatText(weightN, 'forceN', reader)} after ${formatText(ride.sagMm, 'lengthMm', reader)}.`}
    />
  );
}
