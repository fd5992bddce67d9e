import clsx from 'clsx';
import figuresCss from '@/ui/Figure.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { FIGURE_NAMES } from '@/words/learn/calibration';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { wheelTurned } from '@/words/checks/field';
import { gapOf, type Measured } from '@/core/worked/field/measured';
import { isTimed, type RunRecord, type TimedRun } from '@/core/car/records/records';
import { RUN_KIND_RECORDS, type RunKind } from '@/core/car/records/runKinds';
import { shareOfBest } from '@/words/learn/runs';
import { reportWords } from '@/words/learn/reportWords';
import { wrongWheels } from '@/core/worked/field/wrongWheels';
import { workingMeasured, workingPrediction } from '@/words/workings/field';
import { formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { numberFormat } from '@/core/base/units/numberFormat';
import { DotPlot } from '@/ui/charts/DotPlot';
import { Figure } from '@/ui/Figure';
import { useReader, useWriter } from '@/ui/reader';
import { useBuild } from '../session/BuildContext';

export interface ShownRun {
  run: TimedRun;
  measured: Measured;
}

/** What the last run measured against what was predicted, in one sentence. */
export function FieldAnswer({ shown, last }: { shown: ShownRun | undefined; last: RunRecord | undefined }) {
  const write = useWriter();
  const { reader } = useReader();
  const { revision } = useBuild();
  if (last && !isTimed(last)) {
    const wrong = last.report ? wrongWheels(last.report) : [];
    return (
      <Typography variant="answer" data-testid="field-answer">
        {RUN_KIND_NAMES[last.kind]}:{' '}
        {wrong.length > 0 ? (
          <span className={clsx(figuresCss.figure, figuresCss.over)}>
            {wrong.map(wheelTurned).join(', ')}
          </span>
        ) : (
          reportWords(last, reader) || 'logged'
        )}
        .{wrong.length > 0 ? ' Do not put it on the ground before that is right.' : ''}
      </Typography>
    );
  }
  if (!shown)
    return (
      <Typography variant="answer" data-testid="field-answer">
        No run of revision {revision.letter} yet. Mark out 20 m, run it three times, and it stands here
        against the prediction.
      </Typography>
    );
  const { run, measured } = shown;
  const gap = gapOf(run, measured);
  const speed = (value: number) => formatText(value, 'speedMps', reader);
  const { fromRest } = RUN_KIND_RECORDS[run.kind];
  const time = fromRest
    ? formatWithError(measured.time.mean, measured.timeErrorS, 'timeS', reader)
    : formatWithError(measured.speed.mean, measured.speedErrorMps, 'speedMps', reader);
  return (
    <Typography variant="answer" data-testid="field-answer">
      <Figure title="the measurement" steps={workingMeasured(run, measured, write)} tone="measured">
        {time}
      </Figure>{' '}
      over {formatText(run.conditions.distanceM, 'distanceM', reader)}
      {fromRest ? ' from rest' : RUN_KIND_RECORDS[run.kind].weaves ? ' through gates' : ''} on{' '}
      {run.conditions.surfaceName.toLowerCase()}, {measured.speed.n} attempt
      {measured.speed.n === 1 ? '' : 's'}.{' '}
      {run.prediction && gap ? (
        <>
          Predicted{' '}
          <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
            <Figure title="the prediction" steps={workingPrediction(run, write)} tone="plainfig">
              {fromRest ? formatText(run.prediction.timeS, 'timeS', reader) : speed(run.prediction.speedMps)}
            </Figure>
            :
          </Box>{' '}
          {verdict(gap.differencePct, gap.sigmas, reader.locale)}
          {run.prediction.mostFrom ? (
            <Typography component="span" color="textSecondary">
              {' '}
              Its error comes most from the {FIGURE_NAMES[run.prediction.mostFrom]}.
            </Typography>
          ) : null}
        </>
      ) : run.prediction && RUN_KIND_RECORDS[run.kind].weaves ? (
        <>
          At best{' '}
          <Figure title="the prediction" steps={workingPrediction(run, write)} tone="plainfig">
            {speed(run.prediction.speedMps)}
          </Figure>
          : {shareOfBest(measured.speed.mean, run.prediction.speedMps, reader)}.
        </>
      ) : (
        'There was no prediction to compare it with.'
      )}
    </Typography>
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

/** The runs of one kind, each measured beside its prediction. */
export function KindPlot({
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
  const { fromRest } = RUN_KIND_RECORDS[kind];
  const day = new Intl.DateTimeFormat(reader.locale, { day: 'numeric', month: 'short', timeZone: 'UTC' });
  return (
    <Box sx={{ mt: 1.5 }}>
      <DotPlot
        title={`${RUN_KIND_NAMES[kind]}: measured against predicted`}
        quantity={fromRest ? 'timeS' : 'speedMps'}
        wish={
          kind !== 'timedDistance' || targetMps === undefined
            ? undefined
            : { value: targetMps, label: 'wish' }
        }
        rows={shown.map(({ run, measured }) => ({
          id: run.id,
          label: `${day.format(new Date(run.ranAt))}`,
          values: measured.attempts.map(({ timeS, speedMps }) => (fromRest ? timeS : speedMps)),
          mean: fromRest ? measured.time.mean : measured.speed.mean,
          error: fromRest ? measured.timeErrorS : measured.speedErrorMps,
          ...(run.prediction
            ? {
                predicted: fromRest
                  ? { value: run.prediction.timeS, error: run.prediction.timeErrorS }
                  : { value: run.prediction.speedMps, error: run.prediction.speedErrorMps },
              }
            : {}),
        }))}
      />
    </Box>
  );
}
