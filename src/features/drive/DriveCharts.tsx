'use client';

import { interpolate } from '@/core/base/numeric/interpolate';
import type { DriveRunResult } from '@/core/physics/motion/run';
import { measuredOf } from '@/core/worked/field/measured';
import type { TimedRun } from '@/core/car/records/records';
import { formatText } from '@/core/base/units/formatQuantity';
import type { ChartLine, ChartPoint } from '@/ui/charts/chartProps';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { Charts } from '../frame/Guarded';

interface DriveChartsProps {
  run: DriveRunResult;
  ghost: { label: string; run: DriveRunResult } | undefined;
  targetMps: number | undefined;
  distanceM: number;
  runs: readonly TimedRun[];
  surface: string;
}

/** Force against speed, and the run from rest. */
export function DriveCharts({ run, ghost, targetMps, distanceM, runs, surface }: DriveChartsProps) {
  'use memo';
  return (
    <Charts>
      <ForceChart run={run} ghost={ghost} targetMps={targetMps} surface={surface} />
      <RunChart run={run} ghost={ghost} distanceM={distanceM} runs={runs} targetMps={targetMps} />
    </Charts>
  );
}

function ForceChart({
  run,
  ghost,
  targetMps,
  surface,
}: Pick<DriveChartsProps, 'run' | 'ghost' | 'targetMps' | 'surface'>) {
  'use memo';
  const { reader } = useReader();
  const { forces } = run;
  const top = run.topSpeedMps ?? 0;
  const grip = forces.gripLimitN[0]!;
  const resistance = forces.resistanceN.at(-1)!;
  const lines: ChartLine[] = [
    ...(ghost
      ? [
          {
            id: 'ghost',
            label: ghost.label,
            style: 'earlier' as const,
            xs: ghost.run.forces.speedMps,
            ys: ghost.run.forces.driveN,
            labelAt: 0.82,
          },
        ]
      : []),
    {
      id: 'resistance',
      label: 'resistance',
      style: 'predictedQuiet',
      xs: forces.speedMps,
      ys: forces.resistanceN,
      labelAt: 0.25,
    },
    {
      id: 'drive',
      label: 'drive',
      style: 'predicted',
      xs: forces.speedMps,
      ys: forces.driveN,
      labelAt: 0.05,
    },
  ];
  const fastest = Math.max(
    forces.speedMps.at(-1)!,
    ghost?.run.forces.speedMps.at(-1) ?? 0,
    1.05 * (targetMps ?? 0),
  );
  return (
    <LineChart
      title="Force at the wheels"
      testId="force-chart"
      width={448}
      xQuantity="speedMps"
      yQuantity="forceN"
      lines={lines}
      limit={{
        id: 'grip',
        label: `grip, ${surface.toLowerCase()}`,
        style: 'measured',
        xs: forces.speedMps,
        ys: forces.gripLimitN,
      }}
      points={
        run.stalled || run.topSpeedMps === undefined
          ? []
          : [
              {
                x: top,
                y: interpolate(
                  forces.speedMps.map((v, i) => [v, forces.resistanceN[i]!] as const),
                  top,
                ),
                measured: false,
                label: formatText(top, 'speedMps', reader),
              },
            ]
      }
      uprights={
        targetMps === undefined
          ? []
          : [{ x: targetMps, label: `wish ${formatText(targetMps, 'speedMps', reader)}`, wish: true }]
      }
      xMax={fastest}
      yMax={Math.max(1.3 * Math.min(grip, Math.max(forces.driveN[0]!, 0.2 * grip)), 1.4 * resistance)}
      summary={
        run.stalled
          ? 'The drive does not exceed the resistance at a standstill.'
          : `Drive and resistance meet at ${formatText(top, 'speedMps', reader)}; the tyres carry ${formatText(grip, 'forceN', reader)} at rest.`
      }
    />
  );
}

function RunChart({
  run,
  ghost,
  distanceM,
  runs,
  targetMps,
}: Pick<DriveChartsProps, 'run' | 'ghost' | 'distanceM' | 'runs' | 'targetMps'>) {
  'use memo';
  const { reader } = useReader();
  const { series } = run;
  const arrival = run.timeToDistanceS;
  const end = Math.min(series.tS.at(-1)!, Math.max(1.2 * (arrival ?? 0), 1.4 * (run.timeTo95PctS ?? 5), 0.5));
  const wayTime = (metres: number) =>
    interpolate(
      series.distanceM.map((x, i) => [x, series.tS[i]!] as const),
      metres,
    );
  const points: ChartPoint[] = runs
    .filter(({ kind }) => kind === 'timedDistance')
    .map((one) => {
      const measured = measuredOf(one);
      return {
        x: Math.min(end * 0.97, wayTime((one.conditions.runUpM ?? 0) + one.conditions.distanceM / 2)),
        y: measured.speed.mean,
        error: measured.speedErrorMps,
        measured: true,
      };
    });
  const lines: ChartLine[] = [
    ...(ghost
      ? [
          {
            id: 'ghost',
            label: ghost.label,
            style: 'earlier' as const,
            xs: ghost.run.series.tS,
            ys: ghost.run.series.speedMps,
            labelAt: 1,
          },
        ]
      : []),
    {
      id: 'speed',
      label: 'predicted',
      style: 'predicted',
      xs: series.tS,
      ys: series.speedMps,
      labelAt: 0.12,
    },
  ];
  return (
    <LineChart
      title="Full throttle from rest"
      testId="run-chart"
      width={400}
      xQuantity="timeS"
      yQuantity="speedMps"
      lines={lines}
      points={points.map((point, index) =>
        index === points.length - 1 ? { ...point, label: `${points.length} measured` } : point,
      )}
      uprights={
        arrival === undefined
          ? []
          : [
              {
                x: arrival,
                label: `${formatText(distanceM, 'distanceM', reader)} in ${formatText(arrival, 'timeS', reader)}`,
              },
            ]
      }
      xMax={end}
      yMax={Math.max(
        1.12 * (run.topSpeedMps ?? 1),
        1.05 * (targetMps ?? 0),
        1.12 * (ghost?.run.topSpeedMps ?? 0),
        ...points.map(({ y, error }) => y + (error ?? 0)),
      )}
      summary={
        run.stalled
          ? 'It stays at rest.'
          : `Reaches 95 % of its top speed in ${formatText(run.timeTo95PctS ?? 0, 'timeS', reader)}.`
      }
    />
  );
}
