'use client';

import type { YawResult, YawSeries } from '@/core/physics/aids/yawDefinition';
import { formatNumber } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import { LineChart } from '@/ui/charts/LineChart';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const WIDTH = 424;
const ROOM = 0.12;
/** A car that spins leaves the picture. */
const MOST_TIMES = 3;

function around(own: readonly number[], ghost: readonly number[], least: number) {
  const size = Math.max(least, ...own.map(Math.abs));
  const all = [
    ...own,
    ...ghost.map((value) => Math.max(-MOST_TIMES * size, Math.min(MOST_TIMES * size, value))),
  ];
  const [low, high] = [Math.min(...all, -0.1 * least), Math.max(...all, 0.1 * least)];
  const pad = ROOM * (high - low);
  return { yMin: low - pad, yMax: high + pad };
}

interface BothProps {
  assisted: YawResult;
  bare: YawResult;
}

export function TimeChart({
  id,
  title,
  quantity,
  of,
  assisted,
  bare,
}: BothProps & {
  id: string;
  title: string;
  quantity: QuantityName;
  of(series: YawSeries): readonly number[];
}) {
  const [own, ghost] = [of(assisted.series), of(bare.series)];
  return (
    <LineChart
      title={`${title} over time`}
      testId={id}
      width={WIDTH}
      height={215}
      xQuantity="timeS"
      yQuantity={quantity}
      xMax={assisted.series.tS.at(-1)!}
      {...around(own, ghost, 1)}
      lines={[
        ...(ghost.some((value) => value !== 0)
          ? [
              {
                id: 'bare',
                label: 'without',
                style: 'earlier' as const,
                xs: bare.series.tS,
                ys: ghost,
                labelAt: 0.3,
              },
            ]
          : []),
        {
          id: 'assisted',
          label: 'with the gyro',
          style: 'predicted',
          xs: assisted.series.tS,
          ys: own,
          labelAt: 0.55,
        },
      ]}
      summary={`With the gyro at most ${Math.max(...own.map(Math.abs)).toFixed(1)}.`}
    />
  );
}

export function PathChart({ speedMps, assisted, bare }: BothProps & { speedMps: number }) {
  const { reader } = useReader();
  const along = (series: YawSeries) => series.tS.map((t) => t * speedMps);
  return (
    <LineChart
      title="Path from above, to the left is up"
      testId="yaw-path"
      width={WIDTH}
      height={215}
      xQuantity="distanceM"
      yQuantity="distanceM"
      yName="to the left"
      xMax={along(assisted.series).at(-1)!}
      {...around(assisted.series.lateralM, bare.series.lateralM, 0.1)}
      lines={[
        {
          id: 'bare',
          label: 'without',
          style: 'earlier',
          xs: along(bare.series),
          ys: bare.series.lateralM,
          labelAt: 0.5,
        },
        {
          id: 'assisted',
          label: 'with the gyro',
          style: 'predicted',
          xs: along(assisted.series),
          ys: assisted.series.lateralM,
          labelAt: 0.7,
        },
      ]}
      summary={`It ends ${formatText(assisted.series.lateralM.at(-1)!, 'distanceM', reader)} aside.`}
    />
  );
}

/** How long it takes to settle over the gain, up to where it over-corrects. */
export function SettleChart({
  result: { sweep, criticalGain },
  gain,
  mostGain,
}: {
  result: YawResult;
  gain: number;
  mostGain: number;
}) {
  const { reader } = useReader();
  const calm = sweep.filter(({ stable, settleS }) => stable && settleS !== undefined);
  return (
    <LineChart
      title="Time to settle over the gain"
      testId="settle"
      width={WIDTH}
      height={215}
      xQuantity="coefficient"
      xName="gain"
      yQuantity="timeS"
      xMax={mostGain}
      yMax={Math.max(0.2, ...calm.map(({ settleS }) => settleS!)) * 1.15}
      lines={[
        {
          id: 'settle',
          label: 'settles in',
          style: 'predicted',
          xs: calm.map((row) => row.gain),
          ys: calm.map(({ settleS }) => settleS!),
          labelAt: 0.4,
        },
      ]}
      uprights={[{ x: gain, label: 'your gain', wish: true }]}
      {...(criticalGain === undefined
        ? {}
        : {
            beyond: { x: criticalGain, label: `calm up to ${formatNumber(criticalGain, reader.locale, 2)}` },
          })}
      summary={`${calm.length} of ${sweep.length} gains settle.`}
    />
  );
}
