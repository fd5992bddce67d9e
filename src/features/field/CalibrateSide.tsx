'use client';

import { Tick } from '@/ui/controls/Tick';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import { RUN_KIND_RECORDS } from '@/core/car/records/runKinds';
import { RUN_KIND_NAMES } from '@/words/learn/runKinds';
import { needNames } from '@/words/needs';
import { type ReactNode, useMemo, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import type { HeatReading } from '@/core/car/document/heat';
import { applyPatch } from '@/core/base/patch';
import { acceptCalibration, correctionsOf } from '@/core/worked/field/accept';
import type { CalibrateResult, FittedFigure } from '@/core/worked/field/calibrate';
import type { Knob } from '@/core/worked/field/knobs';
import { askedRunWords, calibrationNotes, figureName, type SurfaceNames } from '@/words/learn/calibration';
import { firstUp } from '@/words/lists';
import { isRepeated } from '@/core/car/records/records';
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
import { useRuns } from './useRuns';
import { problemOf } from '@/words/refusals/problemOf';
import { sayAll } from '@/words/findings';

const MOST_READINGS = 20;

/** What the measured runs say of the model: fitted figures with their errors, predictions before and after, and the run to drive next. */
export function CalibrateSide({ tabs }: { tabs: ReactNode }) {
  const { revision, revisions, document, edit, closed } = useBuild();
  const { reader } = useReader();
  const held = useRuns();
  const [letters, setLetters] = useState<readonly string[]>();
  const usable = useMemo(() => held.map(({ run }) => run).filter((run) => isRepeated(run)), [held]);
  const chosen = letters ?? [revision.id];
  const chosenKey = chosen.join();
  const runs = useMemo(
    () => usable.filter(({ revisionId }) => chosenKey.split(',').includes(revisionId)),
    [usable, chosenKey],
  );
  const found = useWorked(runs.length > 0 ? () => workerOf('field').calibrate(runs) : undefined, [runs]);
  const result = found.value;
  const with_ = (id: string) => revisions.find((one) => one.id === id)?.letter ?? '';
  const names = chosen.map(with_).sort().join(', ');
  const patch = result
    ? acceptCalibration(document, result, chosen.map(with_).sort().at(-1)!, new Date().toISOString())
    : [];
  const surfaces: SurfaceNames = (id) =>
    runs.length > 0 && runs.every(({ conditions }) => conditions.surfaceId === runs[0]!.conditions.surfaceId)
      ? undefined
      : runs.find(({ conditions }) => conditions.surfaceId === id)?.conditions.surfaceName;
  const notes = result ? calibrationNotes(result, surfaces, reader) : [];
  const { calibration } = document.brief;
  return (
    <main className="page readfirst">
      <Bench>
        <Group title="Runs to learn from">
          {revisions.map(({ id, letter }) => {
            const count = usable.filter(({ revisionId }) => revisionId === id).length;
            return (
              <div key={id} className="field">
                <label>
                  <Tick
                    checked={chosen.includes(id)}
                    disabled={count === 0}
                    onChange={() =>
                      setLetters(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])
                    }
                  />{' '}
                  Revision {letter}
                </label>
                <span className="quiet">
                  {count} timed {count === 1 ? 'run' : 'runs'}
                </span>
              </div>
            );
          })}
          <p className="quiet" style={{ fontSize: 13, marginTop: 6 }}>
            Each run is predicted with the build as it was then. Take revisions whose tyres, ground and drive
            were alike.
          </p>
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
          <h1 className="answer" data-testid="calibrate-answer">
            No timed run of {names ? `revision ${names}` : 'any revision'} yet: time a launch and a passage,
            and they correct what is predicted here.
          </h1>
        ) : found.refused ? (
          <Note tone="bad" role="alert">
            {problemOf(found.refused, reader).message}
          </Note>
        ) : !result ? (
          <h1 className="answer">Fitting…</h1>
        ) : (
          <>
            <h1 className="answer" data-testid="calibrate-answer">
              {result.figures.length === 0 ? (
                notes[0]
              ) : (
                <>
                  {runs.length} runs of {names} say:{' '}
                  {result.figures.map((figure, at) => (
                    <span key={figureName(figure, surfaces)}>
                      {at > 0 ? ', ' : ''}
                      {figureName(figure, surfaces)}{' '}
                      <b className="nobreak">
                        {formatWithError(100 * (figure.factor - 1), 100 * figure.error, 'percent', reader)}
                      </b>
                    </span>
                  ))}
                  .
                </>
              )}
            </h1>
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
              <p key={note} className="quiet">
                {note}
              </p>
            ))}
            {result.ask ? (
              <Note tone="ask" data-testid="ask">
                {askedRunWords(result.ask, surfaces, reader)}
              </Note>
            ) : null}
            {result.figures.length > 0 ? (
              <Corrected result={result} document={document} names={surfaces} />
            ) : null}
            {result.runs.length > 0 ? (
              <DotPlot
                title="Time of each run: measured, and predicted by the corrected figures"
                legend="Filled: measured, with its error. Hollow: predicted by the corrected figures. Small dot: predicted before."
                quantity="timeS"
                rows={result.runs.map(({ id, measuredS, measuredErrorS, beforeS, afterS }) => {
                  const run = runs.find((one) => one.id === id)!;
                  return {
                    id,
                    label: `${with_(run.revisionId)} ${RUN_KIND_NAMES[run.kind].split(' ')[0]!.toLowerCase()}`,
                    values: [beforeS],
                    mean: measuredS,
                    error: measuredErrorS,
                    predicted: { value: afterS, error: measuredErrorS / 4 },
                  };
                })}
              />
            ) : null}
          </>
        )}
      </Readings>
    </main>
  );
}

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
    <Table size="small" className="grid" style={{ width: 'auto', marginTop: 8 }} data-testid="corrected">
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

/** What the temperatures of endurance runs say of how the motor gets rid of its heat. */
function MotorPath() {
  const { runs, revision, document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const readings = useMemo(
    () =>
      runs
        .filter(({ kind, revisionId }) => RUN_KIND_RECORDS[kind].wholePack && revisionId === revision.id)
        .flatMap(({ id, report }) =>
          (report?.temperatures ?? []).flatMap((one): HeatReading[] =>
            one.place === 'motor' && one.minutes !== undefined && one.minutes > 0
              ? [{ id: `${id.slice(0, 20)}-${one.id}`.slice(0, 60), minutes: one.minutes, caseC: one.valueC }]
              : [],
          ),
        )
        .slice(0, MOST_READINGS),
    [runs, revision.id],
  );
  const probed = useMemo(
    () => applyPatch(document, [{ path: ['drive', 'heat', 'readings'], value: readings }]),
    [document, readings],
  );
  const found = useWorked(
    readings.length > 0 && surface ? () => workerOf('field').heat(probed, surface.id) : undefined,
    [probed, surface?.id],
  );
  if (readings.length === 0)
    return (
      <p className="quiet" style={{ fontSize: 13 }}>
        For the motor’s way of getting rid of heat, drive a pack as an endurance run and probe the motor on
        the way.
      </p>
    );
  const value = found.value;
  if (found.refused)
    return <Note tone="bad">The motor’s heat: {problemOf(found.refused, reader).message}.</Note>;
  if (!value) return <p className="quiet">Fitting the motor’s heat…</p>;
  const { calibration } = value;
  if (!calibration) return <Note>The motor’s heat needs {needNames(value.missing)}.</Note>;
  const worse = 100 * (calibration.factor - 1);
  return (
    <Note tone="ask" data-testid="motor-path">
      <b>Motor:</b> from {readings.length} {readings.length === 1 ? 'temperature' : 'temperatures'} its case
      gives off heat {formatNumber(Math.abs(worse), reader.locale, 2)}&nbsp;% {worse > 0 ? 'worse' : 'better'}{' '}
      than guessed, {formatNumber(calibration.residualC, reader.locale, 2)}&nbsp;K off on the whole.{' '}
      {sayAll(value.notes, reader)}{' '}
      {closed ? null : (
        <Button
          onClick={() =>
            edit([
              { path: ['drive', 'heat', 'readings'], value: readings },
              { path: ['drive', 'heat', 'calibration'], value: calibration },
            ])
          }
        >
          Take it over
        </Button>
      )}
    </Note>
  );
}
