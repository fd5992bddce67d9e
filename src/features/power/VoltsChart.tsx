'use client';

import { useMemo } from 'react';
import { USUAL_CUTOFF_V } from '@/core/car/document/power';
import { LOW_CHARGE } from '@/core/worked/power/supplyOfBuild';
import { worked } from '@/core/worked/worked';
import { formatText } from '@/core/base/units/formatQuantity';
import type { ChartLine } from '@/ui/charts/chartProps';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';
import { Charts } from '../frame/Guarded';

/** Volts of a loaded cell over a full-throttle run, from a fresh and from a low pack, against the cut-off. */
export function VoltsChart() {
  const { document, surface } = useBuild();
  const { reader } = useReader();
  const cutoff = document.power.cutoffVPerCell ?? USUAL_CUTOFF_V;
  const runs = useMemo(() => {
    const build = worked(document, surface);
    const [fresh, low] = [build.run(), build.run(LOW_CHARGE)];
    return fresh && low ? [fresh, low] : undefined;
  }, [document, surface]);
  if (!runs || runs[0]!.stalled) return null;
  const cells = document.power.battery!.cells;
  const end = Math.min(...runs.map(({ series }) => series.tS.at(-1)!));
  const lines = runs.map(({ series }, index): ChartLine => ({
    id: index === 0 ? 'fresh' : 'low',
    label: index === 0 ? 'fresh pack' : 'at 30 %',
    style: index === 0 ? 'predicted' : 'predictedQuiet',
    xs: series.tS,
    ys: series.batteryVoltageV.map((volts) => volts / cells),
    labelAt: 0.1,
  }));
  const least = Math.min(...lines.flatMap(({ ys }) => ys), cutoff);
  return (
    <Charts>
      <LineChart
        title={`Volts per cell at full throttle from rest, ${surface!.name.toLowerCase()}`}
        testId="volts-chart"
        width={620}
        xQuantity="timeS"
        yQuantity="voltageV"
        yName="volts per cell"
        lines={lines}
        floor={{ y: cutoff, label: `cut-off ${formatText(cutoff, 'voltageV', reader)}` }}
        xMax={end}
        yMin={Math.floor((least - 0.15) * 5) / 5}
        yMax={4.3}
        summary={`The lowest is ${formatText(least, 'voltageV', reader)} a cell.`}
      />
    </Charts>
  );
}
