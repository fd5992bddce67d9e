'use client';

import { Page } from '@/ui/layout/Page';
import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { Tick } from '@/ui/controls/Tick';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { type ReactNode, useMemo, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import { acceptCalibration, correctionsOf } from '@/core/worked/field/accept';
import type { CalibrateResult, FittedFigure } from '@/core/worked/field/calibrate';
import type { Knob } from '@/core/worked/field/knobs';
import { askedRunWords, calibrationNotes, figureName, type SurfaceNames } from '@/words/learn/calibration';
import { firstUp } from '@/words/lists';
import { isTimed, type RunRecord } from '@/core/car/records/records';
import { isEvidence } from '@/core/worked/field/evidence';
import { formatNumber, formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { DotPlot } from '@/ui/charts/DotPlot';
import type { QuantityName } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { useBuild } from '../session/BuildContext';
import { workerOf } from '@/workers/clients';
import { Group } from '../fields/fields';
import { useWorked } from '../session/useWorked';
import { Bench, Readings } from '../frame/Guarded';
import { MotorPath } from './MotorPath';
import { useRuns } from './useRuns';
import { problemOf } from '@/words/refusals/problemOf';

/** What the measured runs say of the model: fitted figures with their errors, predictions before and after, and the run to drive next. */
export function CalibrateSide({ tabs }: { tabs: ReactNode }) {
  const { revision, revisions, document, edit, closed } = useBuild();
  const { reader } = useReader();
  const held = useRuns();
  const [picked, setPicked] = useState<readonly string[]>();
  const usable = useMemo(() => held.map(({ run }) => run).filter(isEvidence), [held]);
  const chosen = picked ?? [revision.id];
  const chosenKey = chosen.join();
  const runs = useMemo(
    () => usable.filter(({ revisionId }) => chosenKey.split(',').includes(revisionId)),
    [usable, chosenKey],
  );
  const found = useWorked(runs.length > 0 ? () => workerOf('field').calibrate(runs) : undefined, [runs]);
  const result = found.value;
  const letterOf = (id: string) => revisions.find((one) => one.id === id)?.letter ?? '';
  const letters = chosen.map(letterOf).sort();
  const names = letters.join(', ');
  const patch = result ? acceptCalibration(document, result, letters.at(-1)!, new Date().toISOString()) : [];
  const surfaces: SurfaceNames = (id) =>
    runs.length > 0 && runs.every(({ conditions }) => conditions.surfaceId === runs[0]!.conditions.surfaceId)
      ? undefined
      : runs.find(({ conditions }) => conditions.surfaceId === id)?.conditions.surfaceName;
  const notes = result ? calibrationNotes(result, surfaces, reader) : [];
  const { calibration } = document.brief;
  return (
    <Page>
      <Bench>
        <Group title="Runs to learn from">
          {revisions.map(({ id, letter }) => {
            const count = usable.filter(({ revisionId }) => revisionId === id).length;
            return (
              <div key={id} className={fieldsCss.field}>
                <label>
                  <Tick
                    checked={chosen.includes(id)}
                    disabled={count === 0}
                    onChange={() =>
                      setPicked(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])
                    }
                  />{' '}
                  Revision {letter}
                </label>
                <Typography component="span" color="textSecondary">
                  {count} {count === 1 ? 'run' : 'runs'}
                </Typography>
              </div>
            );
          })}
          <Typography variant="note" color="textSecondary" sx={{ mt: 0.75 }}>
            Timed runs, and packs that were driven empty. Each is predicted with the build as it was then.
            Take revisions whose tyres, ground and drive were alike.
          </Typography>
        </Group>
        {calibration ? (
          <Note tone="ok">
            Calibrated on {calibration.runs} runs of revision {calibration.letter},{' '}
            <When at={calibration.at} />.
          </Note>
        ) : null}
        <MotorPath />
      </Bench>
      <Readings>
        {tabs}
        {runs.length === 0 ? (
          <Typography variant="answer" data-testid="calibrate-answer">
            No timed run of {names ? `revision ${names}` : 'any revision'} yet: time a launch and a passage,
            and they correct what is predicted here.
          </Typography>
        ) : found.refused ? (
          <Note tone="bad" role="alert">
            {problemOf(found.refused, reader).message}
          </Note>
        ) : !result ? (
          <Typography variant="answer">Fitting…</Typography>
        ) : (
          <>
            <Typography variant="answer" data-testid="calibrate-answer">
              {result.figures.length === 0 ? (
                notes[0]
              ) : (
                <>
                  {runs.length} runs of {names} say:{' '}
                  {result.figures.map((figure, at) => (
                    <span key={figureName(figure, surfaces)}>
                      {at > 0 ? ', ' : ''}
                      {figureName(figure, surfaces)}{' '}
                      <Box component="b" sx={{ whiteSpace: 'nowrap' }}>
                        {formatWithError(100 * (figure.factor - 1), 100 * figure.error, 'percent', reader)}
                      </Box>
                    </span>
                  ))}
                  .
                </>
              )}
            </Typography>
            {result.figures.length > 0 ? (
              <p>
                Predictions miss by {formatNumber(result.rmsBefore, reader.locale, 2)} times their measuring
                error without a calibration, by {formatNumber(result.rmsAfter, reader.locale, 2)} with these
                figures.{' '}
                {closed
                  ? 'This revision is closed: accept it in the next one.'
                  : patch.length === 0
                    ? 'These figures are in the build.'
                    : ''}
              </p>
            ) : null}
            {result.figures.length > 0 && !closed && patch.length > 0 ? (
              <Button variant="contained" sx={{ mt: 1, mb: 0.5 }} onClick={() => edit(patch)}>
                Take it over
              </Button>
            ) : null}
            {notes.slice(result.figures.length === 0 ? 1 : 0).map((note) => (
              <Typography color="textSecondary" key={note}>
                {note}
              </Typography>
            ))}
            {result.ask ? (
              <Note tone="ask" data-testid="ask">
                {askedRunWords(result.ask, surfaces, reader)}
              </Note>
            ) : null}
            {result.figures.length > 0 ? (
              <Corrected result={result} document={document} names={surfaces} />
            ) : null}
            <FittedRuns fitted={result.runs} runs={runs} letterOf={letterOf} />
          </>
        )}
      </Readings>
    </Page>
  );
}

/** Every run beside what the corrected figures make of it; packs last minutes and stand apart. */
function FittedRuns({
  fitted,
  runs,
  letterOf,
}: {
  fitted: CalibrateResult['runs'];
  runs: readonly RunRecord[];
  letterOf(id: string): string;
}) {
  const rowsOf = (packs: boolean) =>
    fitted.flatMap(({ id, measuredS, measuredErrorS, beforeS, afterS }) => {
      const run = runs.find((one) => one.id === id)!;
      if (isTimed(run) === packs) return [];
      const scale = packs ? S_PER_MIN : 1;
      return [
        {
          id,
          label: `${letterOf(run.revisionId)} ${RUN_KIND_NAMES[run.kind].split(' ')[0]!.toLowerCase()}`,
          values: [beforeS / scale],
          mean: measuredS / scale,
          error: measuredErrorS / scale,
          predicted: { value: afterS / scale, error: measuredErrorS / 4 / scale },
        },
      ];
    });
  const plots = [
    { title: 'Time of each run', quantity: 'timeS', rows: rowsOf(false) },
    { title: 'Minutes of each pack', quantity: 'minutes', rows: rowsOf(true) },
  ] as const;
  return plots.map(({ title, quantity, rows }) =>
    rows.length === 0 ? null : (
      <DotPlot
        key={title}
        title={`${title}: measured, and predicted by the corrected figures`}
        legend="Filled: measured, with its error. Hollow: predicted by the corrected figures. Small dot: predicted before."
        quantity={quantity}
        rows={rows}
      />
    ),
  );
}

const S_PER_MIN = 60;

const KINDS: Readonly<Record<Knob, QuantityName>> = {
  grip: 'coefficient',
  rolling: 'coefficient',
  drag: 'areaM2',
  efficiency: 'share',
  motor: 'motorConstant',
};

/** The figures of the build, before any calibration and by these runs. */
function Corrected({
  result,
  document,
  names,
}: {
  result: CalibrateResult;
  document: BuildDocument;
  names: SurfaceNames;
}) {
  const { reader } = useReader();
  const text = (of: FittedFigure, value: number, digits?: number) =>
    formatText(value, KINDS[of.knob], reader, digits);
  return (
    <Table size="small" sx={{ width: 'auto', mt: 1 }} data-testid="corrected">
      <TableHead>
        <TableRow>
          <TableCell>Figure</TableCell>
          <TableCell align="right">Before</TableCell>
          <TableCell align="right">By these runs</TableCell>
          <TableCell align="right">±</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {correctionsOf(document, result).map(({ figure, from, to, error }) => (
          <TableRow key={figureName(figure, names)}>
            <TableCell>{firstUp(figureName(figure, names))}</TableCell>
            <TableCell align="right">{text(figure, from)}</TableCell>
            <TableCell align="right">
              <b>{text(figure, to)}</b>
            </TableCell>
            <TableCell align="right">{text(figure, error, 2)}</TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
