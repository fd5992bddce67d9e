'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { gapOf, type Measured, measuredOf } from '@/core/field/measured';
import { RUN_KIND_NAMES, type RunKind, type RunRecord } from '@/core/field/records';
import { workingMeasured, workingPrediction } from '@/core/field/working';
import { formatNumber, formatText, formatWithError } from '@/core/units/formatQuantity';
import { numberFormat } from '@/core/units/numberFormat';
import { DotPlot } from '@/ui/charts/DotPlot';
import { Figure } from '@/ui/Figure';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { When } from '@/ui/When';
import { callApi, newId, sentenceOf } from '../api';
import { useBuild } from '../shell/BuildContext';
import { RunSheetForm } from './RunSheetForm';
import { emptySheet, keepSheet, keptSheet, type Sheet } from './sheet';

interface ShownRun {
  run: RunRecord;
  measured: Measured;
}

/** Run sheets, and what was measured against what was predicted. */
export function FieldPage() {
  const { revision, runs, keepRun, document } = useBuild();
  const [sheet, setSheet] = useState<Sheet>(() => emptySheet(newId()));
  const own = useMemo(() => runs.filter(({ revisionId }) => revisionId === revision.id).map((run) => ({ run, measured: measuredOf(run) })), [runs, revision.id]);

  useEffect(() => {
    const kept = keptSheet(revision.id);
    if (kept) queueMicrotask(() => setSheet(kept));
  }, [revision.id]);

  const change = useCallback((next: Sheet) => {
    setSheet(next);
    keepSheet(revision.id, next);
  }, [revision.id]);

  const sent = (run: RunRecord) => {
    keepRun(run);
    keepSheet(revision.id, undefined);
    setSheet({ ...emptySheet(newId()), kind: sheet.kind, method: sheet.method, captureFps: sheet.captureFps, slowdown: sheet.slowdown, surfaceId: sheet.surfaceId, distanceM: sheet.distanceM, runUpM: sheet.runUpM, ambientC: sheet.ambientC });
  };

  return (
    <main className="page">
      <div className="bench"><RunSheetForm sheet={sheet} onChange={change} onSent={sent} /></div>
      <div className="readings">
        <FieldAnswer shown={own.at(-1)} />
        {(['timedDistance', 'launch'] as const).map((kind) => <KindPlot key={kind} kind={kind} shown={own.filter(({ run }) => run.kind === kind)} targetMps={document.brief.targetMps} />)}
        <RunTable shown={own} />
        <WorkingPanel />
      </div>
    </main>
  );
}

function FieldAnswer({ shown }: { shown: ShownRun | undefined }) {
  const { reader } = useReader();
  const { revision } = useBuild();
  if (!shown) return <h1 className="answer">No run of revision {revision.letter} yet. Mark out 20 m, run it three times, and it stands here against the prediction.</h1>;
  const { run, measured } = shown;
  const gap = gapOf(run, measured);
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  const launch = run.kind === 'launch';
  return (
    <h1 className="answer" data-testid="field-answer">
      {launch
        ? <><Figure title="the measurement" steps={workingMeasured(run, measured)} tone="measured">{formatWithError(measured.time.mean, measured.timeErrorS, 'timeS', reader)}</Figure> over {formatText(run.conditions.distanceM, 'distanceM', reader)} from rest</>
        : <><Figure title="the measurement" steps={workingMeasured(run, measured)} tone="measured">{formatWithError(measured.speed.mean, measured.speedErrorMps, 'speedMps', reader)}</Figure> over {formatText(run.conditions.distanceM, 'distanceM', reader)}</>}
      {' '}on {run.conditions.surfaceName.toLowerCase()}, {measured.speed.n} attempt{measured.speed.n === 1 ? '' : 's'}.{' '}
      {run.prediction && gap
        ? <>Predicted <Figure title="the prediction" steps={workingPrediction(run)} tone="plainfig">{launch ? formatText(run.prediction.timeS, 'timeS', reader) : speed(run.prediction.speedMps)}</Figure>: {verdict(gap.differencePct, gap.sigmas, reader.locale)}</>
        : 'There was no prediction to compare it with.'}
    </h1>
  );
}

function verdict(differencePct: number, sigmas: number, locale: string): string {
  const size = numberFormat(locale, { maximumSignificantDigits: 2 }).format(Math.abs(differencePct));
  const way = differencePct < 0 ? 'slower' : 'faster';
  const within = Math.abs(sigmas) <= 2 ? 'within what both are sure of.' : 'more than both are sure of: something in the model or the run is off.';
  return `${size}\u00a0% ${way}, ${within}`;
}

function KindPlot({ kind, shown, targetMps }: { kind: RunKind; shown: readonly ShownRun[]; targetMps: number | undefined }) {
  const { reader } = useReader();
  if (shown.length === 0) return null;
  const launch = kind === 'launch';
  const day = new Intl.DateTimeFormat(reader.locale, { day: 'numeric', month: 'short', timeZone: 'UTC' });
  return (
    <div style={{ marginTop: 12 }}>
      <DotPlot
        title={`${RUN_KIND_NAMES[kind]}: measured against predicted`}
        quantity={launch ? 'timeS' : 'speedMps'}
        wish={launch || targetMps === undefined ? undefined : { value: targetMps, label: 'wish' }}
        rows={shown.map(({ run, measured }) => ({
          id: run.id,
          label: `${day.format(new Date(run.ranAt))}`,
          values: measured.attempts.map(({ timeS, speedMps }) => (launch ? timeS : speedMps)),
          mean: launch ? measured.time.mean : measured.speed.mean,
          error: launch ? measured.timeErrorS : measured.speedErrorMps,
          ...(run.prediction ? { predicted: launch ? { value: run.prediction.timeS, error: run.prediction.timeErrorS } : { value: run.prediction.speedMps, error: run.prediction.speedErrorMps } } : {}),
        }))}
      />
    </div>
  );
}

function RunTable({ shown }: { shown: readonly ShownRun[] }) {
  const { dropRun } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  if (shown.length === 0) return null;
  const drop = async (id: string) => {
    try {
      await callApi('DELETE', `/api/runs/${id}`);
      dropRun(id);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <>
      <div className="cap" style={{ marginTop: 16 }}>Runs of this revision</div>
      {problem ? <p className="note bad" role="alert">{problem}</p> : null}
      <div className="gridbox"><table className="grid" data-testid="runs">
        <thead><tr><th>When</th><th>Kind</th><th className="num">Mean</th><th className="num">Spread (sd)</th><th className="num">Error</th><th className="num">Predicted</th><th>Conditions</th><th /></tr></thead>
        <tbody>
          {shown.map(({ run, measured }, index) => (
            <tr key={run.id}>
              <td><When at={run.ranAt} time /></td>
              <td>{RUN_KIND_NAMES[run.kind]}</td>
              <td className="num">{formatText(measured.speed.mean, 'speedMps', reader)}</td>
              <td className="num">{measured.speed.sd === undefined ? 'one attempt' : formatText(measured.speed.sd, 'speedMps', reader, 2)}</td>
              <td className="num">± {formatText(measured.speedErrorMps, 'speedMps', reader, 2)}</td>
              <td className="num">{run.prediction ? formatText(run.prediction.speedMps, 'speedMps', reader) : 'none'}</td>
              <td className="quiet">{conditionWords(run, reader)}</td>
              <td><button type="button" className="plain" aria-label={`Delete the ${RUN_KIND_NAMES[run.kind].toLowerCase()} ${index + 1}`} onClick={() => void drop(run.id)}>delete</button></td>
            </tr>
          ))}
        </tbody>
      </table></div>
    </>
  );
}

const SETTINGS_SAID = 3;

function conditionWords({ conditions, note }: RunRecord, reader: Parameters<typeof formatText>[2]): string {
  const { surfaceName, ambientC, packVBefore, packVAfter, extraMassG, settings = [] } = conditions;
  return [
    surfaceName.toLowerCase(),
    ambientC === undefined ? '' : formatText(ambientC, 'temperatureC', reader),
    packVBefore === undefined ? '' : `${formatText(packVBefore, 'voltageV', reader)}${packVAfter === undefined ? '' : ` to ${formatText(packVAfter, 'voltageV', reader)}`}`,
    extraMassG ? `${extraMassG > 0 ? '+' : ''}${formatText(extraMassG, 'massG', reader)}` : '',
    ...settings.slice(0, SETTINGS_SAID).map(({ name, value }) => `${name} ${formatNumber(value, reader.locale, 3)}`),
    note ?? '',
  ].filter(Boolean).join(', ');
}
