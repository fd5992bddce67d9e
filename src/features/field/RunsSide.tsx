'use client';

import { type ReactNode, useCallback, useEffect, useMemo, useState } from 'react';
import { gapOf, type Measured, measuredOf } from '@/core/field/measured';
import { isTimed, RUN_KIND_NAMES, type RunKind, type RunRecord, type TimedRun } from '@/core/field/records';
import { reportWords, wrongWheels } from '@/core/field/reportWords';
import { seriesOf } from '@/core/field/series';
import { workingMeasured, workingPrediction } from '@/core/field/working';
import { formatNumber, formatText, formatWithError } from '@/core/units/formatQuantity';
import { numberFormat } from '@/core/units/numberFormat';
import { DotPlot } from '@/ui/charts/DotPlot';
import { Figure } from '@/ui/Figure';
import { useReader } from '@/ui/reader';
import { WorkingPanel } from '@/ui/working';
import { When } from '@/ui/When';
import { newId, sentenceOf } from '../api';
import { useBuild } from '../session/BuildContext';
import { draftFiles, type DraftFiles, keepDraftFiles, type WaitingPhoto } from '../session/outbox';
import { SegmentChecks } from '../frame/SegmentChecks';
import { giveUp } from '../session/waiting';
import { Bench, Readings } from '../frame/Guarded';
import { RunSheetForm } from './RunSheetForm';
import { SeriesChart } from './SeriesChart';
import { emptySheet, keepSheet, keptSheet, type Sheet, sheetAfter } from './sheet';
import { type HeldRun, useRuns } from './useRuns';
import { deleteUndoably } from '../session/deleting';

/** Of many runs the last are shown; the others on demand. */
const [MOST_PLOTTED, MOST_SERIES, MOST_LISTED] = [12, 4, 30];

interface ShownRun {
  run: TimedRun;
  measured: Measured;
}

/** Run sheets, and what was measured against what was predicted. */
export function RunsSide({ tabs }: { tabs: ReactNode }) {
  const { revision, document } = useBuild();
  const all = useRuns();
  const [sheet, setSheet] = useState<Sheet>(() => sheetAfter(newId(), all.at(-1)?.run));
  const [files, setFiles] = useState<DraftFiles>({ revisionId: revision.id, photos: [] });
  const own = useMemo(() => all.filter(({ run }) => run.revisionId === revision.id), [all, revision.id]);
  const timed = useMemo(
    () => own.flatMap(({ run }): ShownRun[] => (isTimed(run) ? [{ run, measured: measuredOf(run) }] : [])),
    [own],
  );

  useEffect(() => {
    const kept = keptSheet(revision.id);
    if (kept) queueMicrotask(() => setSheet(kept));
    void draftFiles(revision.id)
      .then((found) => {
        if (found) setFiles(found);
      })
      .catch(() => undefined);
  }, [revision.id]);

  const change = useCallback(
    (next: Sheet) => {
      setSheet(next);
      keepSheet(revision.id, next);
    },
    [revision.id],
  );
  const changeFiles = (more: { photos?: WaitingPhoto[]; track?: Blob }) => {
    const next = { ...files, ...more, revisionId: revision.id };
    setFiles(next);
    void keepDraftFiles(next).catch(() => undefined);
  };
  const entered = () => {
    keepSheet(revision.id, undefined);
    changeFiles({ photos: [], track: undefined });
    setSheet({
      ...emptySheet(newId()),
      kind: sheet.kind,
      method: sheet.method,
      captureFps: sheet.captureFps,
      slowdown: sheet.slowdown,
      surfaceId: sheet.surfaceId,
      distanceM: sheet.distanceM,
      runUpM: sheet.runUpM,
      ambientC: sheet.ambientC,
      copies: sheet.copies,
    });
  };
  const series = timed.filter(({ run }) => run.kind === 'series');

  return (
    <main className="page">
      <Bench>
        <RunSheetForm
          sheet={sheet}
          photos={files.photos}
          track={files.track}
          onChange={change}
          onFiles={changeFiles}
          onEntered={entered}
        />
      </Bench>
      <Readings>
        {tabs}
        <FieldAnswer shown={timed.filter(({ run }) => run.kind !== 'series').at(-1)} last={own.at(-1)?.run} />
        {(['timedDistance', 'launch'] as const).map((kind) => (
          <KindPlot
            key={kind}
            kind={kind}
            shown={timed.filter(({ run }) => run.kind === kind).slice(-MOST_PLOTTED)}
            targetMps={document.brief.targetMps}
          />
        ))}
        {series.slice(-MOST_SERIES).map(({ run }) => (
          <SeriesChart key={run.id} run={run} points={seriesOf(run)} />
        ))}
        <RunTable own={own} />
        <SegmentChecks segment="field" />
        <WorkingPanel />
      </Readings>
    </main>
  );
}

function FieldAnswer({ shown, last }: { shown: ShownRun | undefined; last: RunRecord | undefined }) {
  const { reader } = useReader();
  const { revision } = useBuild();
  if (last && !isTimed(last)) {
    const wrong = last.report ? wrongWheels(last.report) : [];
    return (
      <h1 className="answer" data-testid="field-answer">
        {RUN_KIND_NAMES[last.kind]}:{' '}
        {wrong.length > 0 ? (
          <span className="figure over">{wrong.join(', ')}</span>
        ) : (
          reportWords(last, reader) || 'logged'
        )}
        .{wrong.length > 0 ? ' Do not put it on the ground before that is right.' : ''}
      </h1>
    );
  }
  if (!shown)
    return (
      <h1 className="answer" data-testid="field-answer">
        No run of revision {revision.letter} yet. Mark out 20 m, run it three times, and it stands here
        against the prediction.
      </h1>
    );
  const { run, measured } = shown;
  const gap = gapOf(run, measured);
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  const launch = run.kind === 'launch';
  const time = launch
    ? formatWithError(measured.time.mean, measured.timeErrorS, 'timeS', reader)
    : formatWithError(measured.speed.mean, measured.speedErrorMps, 'speedMps', reader);
  return (
    <h1 className="answer" data-testid="field-answer">
      <Figure title="the measurement" steps={workingMeasured(run, measured)} tone="measured">
        {time}
      </Figure>{' '}
      over {formatText(run.conditions.distanceM, 'distanceM', reader)}
      {launch ? ' from rest' : ''} on {run.conditions.surfaceName.toLowerCase()}, {measured.speed.n} attempt
      {measured.speed.n === 1 ? '' : 's'}.{' '}
      {run.prediction && gap ? (
        <>
          Predicted{' '}
          <Figure title="the prediction" steps={workingPrediction(run)} tone="plainfig">
            {launch ? formatText(run.prediction.timeS, 'timeS', reader) : speed(run.prediction.speedMps)}
          </Figure>
          : {verdict(gap.differencePct, gap.sigmas, reader.locale)}
        </>
      ) : (
        'There was no prediction to compare it with.'
      )}
    </h1>
  );
}

function verdict(differencePct: number, sigmas: number, locale: string): string {
  const size = numberFormat(locale, { maximumSignificantDigits: 2 }).format(Math.abs(differencePct));
  const way = differencePct < 0 ? 'slower' : 'faster';
  const within =
    Math.abs(sigmas) <= 2
      ? 'within what both are sure of.'
      : 'more than both are sure of: something in the model or the run is off.';
  return `${size}\u00a0% ${way}, ${within}`;
}

function KindPlot({
  kind,
  shown,
  targetMps,
}: {
  kind: RunKind;
  shown: readonly ShownRun[];
  targetMps: number | undefined;
}) {
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
          ...(run.prediction
            ? {
                predicted: launch
                  ? { value: run.prediction.timeS, error: run.prediction.timeErrorS }
                  : { value: run.prediction.speedMps, error: run.prediction.speedErrorMps },
              }
            : {}),
        }))}
      />
    </div>
  );
}

function RunTable({ own }: { own: readonly HeldRun[] }) {
  const { dropRun, keepRun } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const [whole, setWhole] = useState(false);
  if (own.length === 0) return null;
  const first = whole ? 0 : Math.max(0, own.length - MOST_LISTED);
  const drop = async ({ run, waits }: HeldRun) => {
    const { id } = run;
    try {
      if (waits) return await giveUp(id, RUN_KIND_NAMES[run.kind]);
      await deleteUndoably(
        `/api/runs/${id}`,
        `${RUN_KIND_NAMES[run.kind]} deleted.`,
        () => dropRun(id),
        keepRun,
      );
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <>
      <div className="cap" style={{ marginTop: 16 }}>
        Runs of this revision
      </div>
      {problem ? (
        <p className="note bad" role="alert">
          {problem}
        </p>
      ) : null}
      <div className="gridbox">
        <table className="grid" data-testid="runs">
          <thead>
            <tr>
              <th>When</th>
              <th>Kind</th>
              <th>What came out</th>
              <th className="num">Predicted</th>
              <th>Conditions</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {own.slice(first).map((held, index) => (
              <RunRow
                key={held.run.id}
                held={held}
                index={first + index}
                reader={reader}
                onDrop={() => void drop(held)}
              />
            ))}
          </tbody>
        </table>
      </div>
      {own.length > MOST_LISTED ? (
        <button type="button" className="link" onClick={() => setWhole(!whole)}>
          {whole ? `the last ${MOST_LISTED} only` : `all ${own.length} runs`}
        </button>
      ) : null}
    </>
  );
}

function RunRow({
  held: { run, waits },
  index,
  reader,
  onDrop,
}: {
  held: HeldRun;
  index: number;
  reader: Parameters<typeof formatText>[2];
  onDrop(): void;
}) {
  const measured = isTimed(run) ? measuredOf(run) : undefined;
  const gap = measured ? gapOf(run, measured) : undefined;
  return (
    <tr data-waits={waits}>
      <td>
        <When at={run.ranAt} time />
        {waits ? (
          <div className="slate" style={{ fontSize: 12 }}>
            waits to be sent
          </div>
        ) : null}
      </td>
      <td>{RUN_KIND_NAMES[run.kind]}</td>
      <td>
        {measured ? (
          <>
            <b>{formatWithError(measured.speed.mean, measured.speedErrorMps, 'speedMps', reader)}</b>{' '}
            <span className="quiet">
              {measured.speed.n === 1
                ? 'one attempt'
                : `${measured.speed.n} attempts, sd ${formatText(measured.speed.sd ?? 0, 'speedMps', reader, 2)}`}
              {run.kind === 'launch'
                ? `, ${formatText(2 * measured.speed.mean, 'speedMps', reader)} at the end`
                : ''}
            </span>
          </>
        ) : (
          reportWords(run, reader)
        )}
        {(run.photos ?? []).map(({ hash }) => (
          <a
            key={hash}
            href={`/api/files/${hash}`}
            target="_blank"
            rel="noreferrer"
            style={{ marginLeft: 8 }}
          >
            photo
          </a>
        ))}
      </td>
      <td className="num">
        {run.prediction
          ? formatText(run.prediction.speedMps, 'speedMps', reader)
          : isTimed(run)
            ? 'none'
            : ''}
        {gap && Math.abs(gap.sigmas) > 2 ? (
          <div style={{ color: 'var(--rust)', fontSize: 12 }}>outside its band</div>
        ) : null}
      </td>
      <td className="quiet">{conditionWords(run, reader)}</td>
      <td>
        <button
          type="button"
          className="plain"
          aria-label={`Delete the ${RUN_KIND_NAMES[run.kind].toLowerCase()} ${index + 1}`}
          onClick={onDrop}
        >
          delete
        </button>
      </td>
    </tr>
  );
}

const SETTINGS_SAID = 3;

function conditionWords(
  { conditions, note }: Pick<RunRecord, 'conditions' | 'note'>,
  reader: Parameters<typeof formatText>[2],
): string {
  const { surfaceName, ambientC, packVBefore, packVAfter, extraMassG, settings = [] } = conditions;
  return [
    surfaceName?.toLowerCase() ?? '',
    ambientC === undefined ? '' : formatText(ambientC, 'temperatureC', reader),
    packVBefore === undefined
      ? ''
      : `${formatText(packVBefore, 'voltageV', reader)}${packVAfter === undefined ? '' : ` to ${formatText(packVAfter, 'voltageV', reader)}`}`,
    extraMassG ? `${extraMassG > 0 ? '+' : ''}${formatText(extraMassG, 'massG', reader)}` : '',
    ...settings
      .slice(0, SETTINGS_SAID)
      .map(({ name, value }) => `${name} ${formatNumber(value, reader.locale, 3)}`),
    note ?? '',
  ]
    .filter(Boolean)
    .join(', ');
}
