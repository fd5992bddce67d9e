'use client';

import Typography from '@mui/material/Typography';
import { needNames } from '@/words/needs';
import { useMemo } from 'react';
import { tyreOfBuild, type TyreOfBuild } from '@/core/worked/drive/tyreOfBuild';
import { TYRE_KINDS, type TyreKind, tyreSpin } from '@/core/physics/tyres/tyreSpin';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import type { ChartLine } from '@/ui/charts/chartProps';
import { LineChart } from '@/ui/charts/LineChart';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../../session/BuildContext';
import { CheckFigure } from '../../frame/CheckFigure';
import { SegmentChecks } from '../../frame/SegmentChecks';
import { Apart, Charts } from '../../frame/Guarded';
import { BalanceSheet } from './BalanceSheet';
import { SpinSheet } from './SpinSheet';
import type { DriveView } from '../useDriveView';

/** How the tyre grows with speed, what that does to the car, where it bursts, what keeps it on; and a wheel on its own. */
export function TyresView({ view }: { view: DriveView }) {
  const { document } = useBuild();
  const { tyre } = document.drive;
  const found = useMemo(
    () => (view.input && view.run ? tyreOfBuild(document, view.input, view.run.noLoadSpeedMps) : undefined),
    [document, view.input, view.run],
  );
  return (
    <Apart>
      {found ? (
        <TyreAnswer found={found} />
      ) : (
        <Typography variant="answer">
          {view.missing.length > 0
            ? `How fast the tyre turns is not worked out yet: it needs ${needNames(view.missing)}.`
            : 'Say how the tyre is built, and its growth is worked out.'}
        </Typography>
      )}
      {tyre ? <GrowthChart radiusMm={tyre.radiusMm} own={tyre.ring} rpm={found?.inAir.rpm} /> : null}
      <SegmentChecks segment="drive" side="tyres" />
      <Charts>
        <SpinSheet radiusMm={tyre?.radiusMm} kind={tyre?.ring} rpm={found?.inAir.rpm} />
        <BalanceSheet
          massG={tyre?.massG}
          radiusMm={document.drive.tyreHold?.rimRadiusMm}
          rpm={found?.inAir.rpm}
        />
      </Charts>
      <WorkingPanel />
    </Apart>
  );
}

function TyreAnswer({ found: { inAir, rolling, seat } }: { found: TyreOfBuild }) {
  const { reader } = useReader();
  const { document } = useBuild();
  const speed = (mps: number) => formatText(mps, 'speedMps', reader);
  const rpm = (value: number) => formatText(Math.round(value / 10) * 10, 'rpm', reader, 5);
  const margin = inAir.margin ?? 0;
  const hold = document.drive.tyreHold;
  return (
    <Typography variant="answer">
      {rolling?.spin.growthPct === undefined
        ? ''
        : `At top speed the tyre grows by ${formatNumber(rolling.spin.growthPct, reader.locale, 2)} %, which makes ${speed(rolling.stiffMps)} into ${speed(rolling.grownMps)}. `}
      In the air it {inAir.endsBy === 'burst' ? 'bursts' : 'grows without end'} at{' '}
      <CheckFigure
        check="tyre.burst"
        title="the tyre in the air"
        tone={inAir.runsAway || margin < 1.3 ? 'over' : margin < 2 ? 'tight' : ''}
      >
        <span data-testid="burst-rpm">{rpm(inAir.limitRpm)}</span>
      </CheckFigure>{' '}
      and turns {rpm(inAir.rpm!)}.
      {seat
        ? ` ${seat.by === 'bead' ? 'Its bead lifts' : 'The glue fails'} at ${rpm(seat.letsGoRpm)}.`
        : hold?.by
          ? ' Give the rim radius, and what keeps it on is worked out.'
          : ''}
    </Typography>
  );
}

const RINGS = TYRE_KINDS.filter((kind): kind is Exclude<TyreKind, 'own'> => kind !== 'own');
const POINTS = 40;
const MOST_GROWTH_PCT = 25;

/** Growth over the speed of the tread for every kind, the build's own in ink. */
function GrowthChart({
  radiusMm,
  own,
  rpm,
}: {
  radiusMm: number;
  own: TyreKind | undefined;
  rpm: number | undefined;
}) {
  const { reader } = useReader();
  const most =
    1.15 *
    Math.max(
      rpm ?? 0,
      tyreSpin({ kind: own && own !== 'own' ? own : 'solid rubber', radiusMm, rpm: 1 }).limitRpm,
    );
  const lines = RINGS.map((kind, index): ChartLine => {
    const end = Math.min(most, tyreSpin({ kind, radiusMm, rpm: 1 }).limitRpm);
    const points = Array.from({ length: POINTS + 1 }, (_, step) => (end * step) / POINTS)
      .map((at) => [at, tyreSpin({ kind, radiusMm, rpm: at }).growthPct] as const)
      .filter(
        (point): point is readonly [number, number] => point[1] !== undefined && point[1] <= MOST_GROWTH_PCT,
      );
    return {
      id: kind,
      label: kind,
      style: kind === own ? 'predicted' : 'predictedQuiet',
      xs: points.map(([x]) => x),
      ys: points.map(([, y]) => y),
      labelAt: 0.95 - 0.12 * index,
    };
  });
  return (
    <Charts>
      <LineChart
        title="Growth with the speed of the wheel, each kind to its end"
        testId="growth-chart"
        width={720}
        height={230}
        xQuantity="rpm"
        yQuantity="percent"
        yName="growth"
        lines={lines}
        xMax={most}
        yMax={MOST_GROWTH_PCT}
        uprights={
          rpm === undefined
            ? []
            : [{ x: rpm, label: `in the air, ${formatText(Math.round(rpm / 10) * 10, 'rpm', reader, 5)}` }]
        }
        summary={`Growth in per cent of a tyre of ${formatText(radiusMm, 'lengthMm', reader)} radius for ${RINGS.join(', ')}.`}
      />
    </Charts>
  );
}
