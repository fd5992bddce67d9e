import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import type { BrakeResult } from '@/core/physics/aids/brakeAssist';
import type { SlipSeries, TractionResult } from '@/core/physics/aids/slipDefinition';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';

/** The same drive with the aid and without it. */
export type Both =
  { assisted: TractionResult; bare: TractionResult } | { assisted: BrakeResult; bare: BrakeResult };

export const OFF_PCT = 100;

const MOST_SLIP_SHOWN_PCT = 150;

const isBrake = (result: TractionResult | BrakeResult): result is BrakeResult => 'stopM' in result;

/** What the aid gains over the car without it, in one sentence. */
export function Answer({
  both: { assisted, bare },
  brakes,
  distanceM,
  fromMps,
}: {
  both: Both;
  brakes: boolean;
  distanceM: number;
  fromMps: number;
}) {
  const { reader } = useReader();
  const seconds = (value: number | undefined) =>
    value === undefined ? 'never' : formatText(value, 'timeS', reader);
  if (brakes && isBrake(assisted) && isBrake(bare))
    return (
      <>
        From {formatText(fromMps, 'speedMps', reader)} it stands after{' '}
        <span className={clsx(figuresCss.figure, figuresCss.plainfig)} data-testid="stops">
          {formatText(assisted.stopM, 'distanceM', reader)}
        </span>
        ; without, after {formatText(bare.stopM, 'distanceM', reader)}
        {bare.lockedShare > 0.3 ? ', most of it with locked wheels' : ''}.
      </>
    );
  if (isBrake(assisted) || isBrake(bare)) return <>Being worked out.</>;
  const won =
    assisted.timeToDistanceS !== undefined && bare.timeToDistanceS !== undefined
      ? bare.timeToDistanceS - assisted.timeToDistanceS
      : undefined;
  return (
    <>
      Over {formatText(distanceM, 'distanceM', reader)} it takes{' '}
      <span className={clsx(figuresCss.figure, figuresCss.plainfig)} data-testid="takes">
        {seconds(assisted.timeToDistanceS)}
      </span>
      ; without, {seconds(bare.timeToDistanceS)}
      {won === undefined
        ? ''
        : won > 0.005
          ? `: ${formatText(won, 'timeS', reader, 2)} won`
          : won < -0.005
            ? `: ${formatText(-won, 'timeS', reader, 2)} lost, it holds back too much`
            : ': nothing won'}
      . The throttle turns round {formatNumber(assisted.throttleReversalsPerS, reader.locale, 2)} times a
      second.
    </>
  );
}

const LINES = (
  id: string,
  label: string,
  series: SlipSeries,
  of: (series: SlipSeries) => readonly number[],
  style: 'predicted' | 'predictedQuiet' | 'earlier',
  labelAt: number,
) => ({ id, label, style, xs: series.tS, ys: of(series), labelAt });

const endOf = ({ assisted, bare }: Both) =>
  Math.max(assisted.series.tS.at(-1)!, Math.min(bare.series.tS.at(-1)!, 1.6 * assisted.series.tS.at(-1)!)) ||
  0.1;

/** Speed of the car and of its wheels, with the aid and without. */
export function Speeds({ both }: { both: Both }) {
  const { reader } = useReader();
  const { assisted, bare } = both;
  const most = Math.max(...assisted.series.speedMps, ...assisted.series.wheelMps);
  return (
    <LineChart
      title="Wheel and car"
      testId="slip-speeds"
      width={424}
      height={215}
      xQuantity="timeS"
      yQuantity="speedMps"
      xMax={endOf(both)}
      yMax={1.15 * Math.max(most, ...bare.series.speedMps)}
      lines={[
        LINES('bareCar', 'car, without', bare.series, (s) => s.speedMps, 'earlier', 0.8),
        LINES('wheel', 'driven wheel', assisted.series, (s) => s.wheelMps, 'predictedQuiet', 0.3),
        LINES('car', 'car', assisted.series, (s) => s.speedMps, 'predicted', 0.6),
      ]}
      summary={`The car ends at ${formatText(assisted.series.speedMps.at(-1)!, 'speedMps', reader)}.`}
    />
  );
}

/** Slip of the wheels against what the aid aims at. */
export function Slip({ both, targetPct, brakes }: { both: Both; targetPct: number; brakes: boolean }) {
  const sign = brakes ? -1 : 1;
  const shown = (series: SlipSeries) =>
    series.slipPct.map((slip) => Math.max(0, Math.min(MOST_SLIP_SHOWN_PCT, sign * slip)));
  return (
    <LineChart
      title={brakes ? 'Slip, wheel slower than the car' : 'Slip, wheel faster than the car'}
      testId="slip"
      width={424}
      height={215}
      xQuantity="timeS"
      yQuantity="percent"
      yName="slip"
      xMax={endOf(both)}
      yMax={brakes ? 110 : MOST_SLIP_SHOWN_PCT}
      lines={[
        LINES('bare', 'without', both.bare.series, shown, 'earlier', 0.6),
        LINES('assisted', 'with', both.assisted.series, shown, 'predicted', 0.5),
        ...(targetPct < OFF_PCT
          ? [
              {
                id: 'target',
                label: 'aimed at',
                style: 'predictedQuiet' as const,
                xs: [0, endOf(both)],
                ys: [targetPct, targetPct],
                labelAt: 1,
              },
            ]
          : []),
      ]}
      summary={`Aimed at ${targetPct} per cent.`}
    />
  );
}

/** What the aid makes of the throttle or the brake. */
export function Throttle({ both, brakes }: { both: Both; brakes: boolean }) {
  const [low, high] = brakes ? [1000, 1500] : [1500, 2000];
  return (
    <LineChart
      title={brakes ? 'Brake signal, 1000 is full' : 'Throttle signal, 2000 is full'}
      testId="throttle"
      width={424}
      height={215}
      xQuantity="timeS"
      yQuantity="micros"
      xMax={endOf(both)}
      yMin={low - 30}
      yMax={high + 30}
      lines={[LINES('assisted', '', both.assisted.series, (s) => s.throttleUs, 'predicted', 0.5)]}
      summary="What the controller sends, frame by frame."
    />
  );
}
