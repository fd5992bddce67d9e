'use client';

import { useMemo } from 'react';
import { airOf } from '@/core/physics/motion/air';
import { worked } from '@/core/worked/worked';
import { formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { Charts } from '../frame/Guarded';

/** Grip of the driven tyres against all that holds the car back, over speed, and where drag outruns grip. */
export function AirChart() {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const air = useMemo(() => {
    const input = worked(document, surface).runInput();
    return input.ok ? airOf(input.value) : undefined;
  }, [document, surface]);
  if (!air) return null;
  const speed = (mps: number) => formatText(mps, 'speedMps', reader);
  const said =
    air.outrunMps === undefined
      ? 'Downforce keeps grip ahead of drag at every speed.'
      : `Drag outruns grip at ${speed(air.outrunMps)}.`;
  return (
    <Charts>
      <LineChart
        title={`Grip and drag against speed, ${surface!.name.toLowerCase()}`}
        testId="air-chart"
        width={620}
        height={230}
        xQuantity="speedMps"
        yQuantity="forceN"
        xMax={air.speedMps.at(-1)!}
        yMax={
          1.12 *
          Math.max(...air.gripN, ...air.resistanceN.filter((value) => value <= 1.6 * Math.max(...air.gripN)))
        }
        lines={[
          {
            id: 'grip',
            label: 'grip of the driven tyres',
            style: 'predictedQuiet',
            xs: air.speedMps,
            ys: air.gripN,
            labelAt: 0.1,
            labelShift: [0, -8],
          },
          {
            id: 'resistance',
            label: 'drag and rolling',
            style: 'predicted',
            xs: air.speedMps,
            ys: air.resistanceN,
            labelAt: 0.5,
            labelShift: [8, 12],
          },
        ]}
        uprights={
          air.outrunMps === undefined
            ? []
            : [{ x: air.outrunMps, label: `drag outruns grip, ${speed(air.outrunMps)}` }]
        }
        summary={said}
      />
      <p className="quiet" style={{ maxWidth: 230, alignSelf: 'center' }}>
        {said} Downforce grows with the square of speed like drag; lift on an axle takes grip away.
      </p>
    </Charts>
  );
}
