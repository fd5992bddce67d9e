'use client';

import frameCss from '@/ui/layout/frame.module.css';
import { REPEATED_KINDS, RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import dynamic from 'next/dynamic';
import { type ReactNode, useMemo } from 'react';
import { attemptSpread, measuredOf } from '@/core/worked/field/measured';
import { isRepeated, isTimed, type TimedConditions } from '@/core/car/records/records';
import Typography from '@mui/material/Typography';
import type { Sheet } from './sheet';
import { isRevealed, seriesOf } from '@/core/advice/learn/series';
import { WorkingPanel } from '@/ui/working';
import { Working } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { Bench, Readings } from '../frame/Guarded';
import { RunSheetForm } from './RunSheetForm';
import { useRuns } from './useRuns';
import { useRunSheet } from './useRunSheet';
import { type ShownRun, FieldAnswer, KindPlot } from './FieldAnswer';
import { PackRun } from './PackRun';
import { RunTable } from './RunTable';

const SeriesChart = dynamic(() => import('./series/SeriesChart').then(({ SeriesChart: Chart }) => Chart));

/** Of many runs the last are shown; the others on demand. */
const [MOST_PLOTTED, MOST_SERIES] = [12, 4];

/** The series on the sheet as far as it is driven, unless the driver must not know. */
function LiveSeries({ sheet }: { sheet: Sheet }) {
  const { kind, distanceM, attempts, report } = sheet;
  if (kind !== 'series' || distanceM === undefined || attempts.length === 0) return null;
  if (!isRevealed(sheet))
    return <Typography color="textSecondary">Blind: shown when all is driven.</Typography>;
  return (
    <SeriesChart
      testId="series-now"
      report={report}
      distanceM={distanceM}
      points={seriesOf({ attempts, conditions: { distanceM } as TimedConditions })}
    />
  );
}

/** Run sheets, and what was measured against what was predicted. */
export function RunsSide({ tabs }: { tabs: ReactNode }) {
  const { revision, document } = useBuild();
  const all = useRuns();
  const form = useRunSheet();
  const own = useMemo(() => all.filter(({ run }) => run.revisionId === revision.id), [all, revision.id]);
  const timed = useMemo(() => {
    const spread = attemptSpread(all.map(({ run }) => run));
    return own.flatMap(({ run }): ShownRun[] =>
      isTimed(run) ? [{ run, measured: measuredOf(run, spread) }] : [],
    );
  }, [own, all]);

  const pack = own.filter(({ run }) => RUN_KIND_RECORDS[run.kind].wholePack).at(-1)?.run;
  const series = timed.filter(({ run }) => !isRepeated(run));

  return (
    <main className={frameCss.page}>
      <Bench>
        <Working
          instead={
            <Typography color="textSecondary">Runs are logged here by those who work on the car.</Typography>
          }
        >
          <RunSheetForm {...form} />
        </Working>
      </Bench>
      <Readings>
        {tabs}
        <FieldAnswer shown={timed.filter(({ run }) => isRepeated(run)).at(-1)} last={own.at(-1)?.run} />
        {REPEATED_KINDS.map((kind) => (
          <KindPlot
            key={kind}
            kind={kind}
            shown={timed.filter(({ run }) => run.kind === kind).slice(-MOST_PLOTTED)}
            targetMps={document.brief.targetMps}
          />
        ))}
        <LiveSeries sheet={form.sheet} />
        {series.slice(-MOST_SERIES).map(({ run }) => (
          <SeriesChart
            key={run.id}
            report={run.report}
            points={seriesOf(run)}
            distanceM={run.conditions.distanceM}
          />
        ))}
        {pack ? <PackRun key={pack.id} run={pack} /> : null}
        <RunTable own={own} />
        <SegmentChecks segment="field" />
        <WorkingPanel />
      </Readings>
    </main>
  );
}
