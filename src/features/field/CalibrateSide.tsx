'use client';

import { needNames } from '@/words/needs';
import { type ReactNode, useMemo, useState } from 'react';
import type { HeatReading } from '@/core/car/document/heat';
import { applyPatch } from '@/core/base/patch';
import { acceptCalibration } from '@/core/worked/field/accept';
import { KNOB_WORDS } from '@/core/worked/field/knobs';
import { isTimed, RUN_KIND_NAMES } from '@/core/car/records/records';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { DotPlot } from '@/ui/charts/DotPlot';
import { useReader } from '@/ui/reader';
import { When } from '@/ui/When';
import { useBuild } from '../session/BuildContext';
import { workerOf } from '@/workers/clients';
import { Group } from '../fields/fields';
import { useWorked } from '../session/useWorked';
import { Bench, Readings } from '../frame/Guarded';
import { useRuns } from './useRuns';

const TOGETHER = 0.7;
const MOST_READINGS = 20;

/** What the measured runs say of the model: fitted figures with their errors, predictions before and after, and the run to drive next. */
export function CalibrateSide({ tabs }: { tabs: ReactNode }) {
  const { revision, revisions, document, edit, closed } = useBuild();
  const { reader } = useReader();
  const held = useRuns();
  const [letters, setLetters] = useState<readonly string[]>();
  const usable = useMemo(
    () => held.map(({ run }) => run).filter((run) => isTimed(run) && run.kind !== 'series'),
    [held],
  );
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
  const accept = () => {
    if (!result) return;
    const surfaces = [...new Set(runs.flatMap(({ conditions }) => conditions.surfaceId ?? []))];
    edit(
      acceptCalibration(
        document,
        surfaces,
        result,
        chosen.map(with_).sort().at(-1)!,
        new Date().toISOString(),
      ),
    );
  };
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
                  <input
                    type="checkbox"
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
          <p className="note ok">
            Calibrated on {calibration.runs} runs of revision {calibration.letter},{' '}
            <When at={calibration.at} />.
          </p>
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
          <p className="note bad" role="alert">
            {found.refused.message}
          </p>
        ) : !result ? (
          <h1 className="answer">Fitting…</h1>
        ) : (
          <>
            <h1 className="answer" data-testid="calibrate-answer">
              {result.figures.length === 0 ? (
                (result.notes[0] ?? 'These runs tell nothing new.')
              ) : (
                <>
                  {runs.length} runs of {names} say:{' '}
                  {result.figures.map(({ knob, factor, error }, at) => (
                    <span key={knob}>
                      {at > 0 ? ', ' : ''}
                      {KNOB_WORDS[knob]}{' '}
                      <b className="nobreak">
                        {formatNumber(100 * (factor - 1), reader.locale, 2)} ±{' '}
                        {formatNumber(100 * error, reader.locale, 2)}&nbsp;%
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
                error now, by {formatNumber(result.rmsAfter, reader.locale, 2)} afterwards.{' '}
                {closed ? (
                  'This revision is closed: accept it in the next one.'
                ) : (
                  <button type="button" className="btn main" onClick={accept}>
                    Take it over
                  </button>
                )}
              </p>
            ) : null}
            {result.notes.slice(result.figures.length === 0 ? 1 : 0).map((note) => (
              <p key={note} className="quiet">
                {note}
              </p>
            ))}
            {result.correlations
              .filter(({ correlation }) => Math.abs(correlation) > TOGETHER)
              .map(({ a, b, correlation }) => (
                <p key={`${a}${b}`} className="quiet">
                  {KNOB_WORDS[a][0]!.toUpperCase()}
                  {KNOB_WORDS[a].slice(1)} and {KNOB_WORDS[b]} move{' '}
                  {correlation > 0 ? 'together' : 'against each other'} in these runs (
                  {formatNumber(correlation, reader.locale, 2)}): their errors are larger than if the other
                  were known.
                </p>
              ))}
            {result.ask ? (
              <p className="note ask" data-testid="ask">
                To know the {KNOB_WORDS[result.ask.knob]} better, drive <b>{result.ask.words}</b>, three
                times: it would then be known to ±{formatNumber(100 * result.ask.error, reader.locale, 2)}
                &nbsp;%.
              </p>
            ) : null}
            {result.figures.length > 0 ? <Corrected result={result.figures} document={document} /> : null}
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

/** The figures of the build, now and afterwards. */
function Corrected({
  result,
  document,
}: {
  result: readonly { knob: string; factor: number; error: number }[];
  document: ReturnType<typeof useBuild>['document'];
}) {
  const { reader } = useReader();
  const [surface] = document.brief.surfaces;
  const now: Readonly<
    Record<string, readonly [number | undefined, 'coefficient' | 'areaM2' | 'share', string]>
  > = {
    grip: [surface?.mu, 'coefficient', `Friction on ${surface?.name.toLowerCase() ?? 'the ground'}`],
    rolling: [surface?.rollingResistance, 'coefficient', 'Rolling resistance'],
    drag: [document.chassis.cdaM2, 'areaM2', 'Drag area'],
    efficiency: [document.drive.shaftEfficiency ?? 0.97, 'share', 'Efficiency of shafts and joints'],
  };
  return (
    <table className="grid tight" style={{ width: 'auto', marginTop: 8 }} data-testid="corrected">
      <thead>
        <tr>
          <th>Figure</th>
          <th className="num">In the build</th>
          <th className="num">Corrected</th>
          <th className="num">±</th>
        </tr>
      </thead>
      <tbody>
        {result.map(({ knob, factor, error }) => {
          const [value, quantity, label] = now[knob]!;
          return value === undefined ? null : (
            <tr key={knob}>
              <td>{label}</td>
              <td className="num">{formatText(value, quantity, reader)}</td>
              <td className="num">
                <b>{formatText(value * factor, quantity, reader)}</b>
              </td>
              <td className="num">{formatText(value * error, quantity, reader, 2)}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What the temperatures of endurance runs say of how the motor gets rid of its heat. */
function MotorPath() {
  const { runs, revision, document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const readings = useMemo(
    () =>
      runs
        .filter(({ kind, revisionId }) => kind === 'endurance' && revisionId === revision.id)
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
  if (found.refused) return <p className="note bad">The motor’s heat: {found.refused.message}.</p>;
  if (!value) return <p className="quiet">Fitting the motor’s heat…</p>;
  const { calibration } = value;
  if (!calibration) return <p className="note">The motor’s heat needs {needNames(value.missing)}.</p>;
  const worse = 100 * (calibration.factor - 1);
  return (
    <div className="note ask" data-testid="motor-path">
      <b>Motor:</b> from {readings.length} {readings.length === 1 ? 'temperature' : 'temperatures'} its case
      gives off heat {formatNumber(Math.abs(worse), reader.locale, 2)}&nbsp;% {worse > 0 ? 'worse' : 'better'}{' '}
      than guessed, {formatNumber(calibration.residualC, reader.locale, 2)}&nbsp;K off on the whole.{' '}
      {value.notes.join(' ')}{' '}
      {closed ? null : (
        <button
          type="button"
          className="btn"
          onClick={() =>
            edit([
              { path: ['drive', 'heat', 'readings'], value: readings },
              { path: ['drive', 'heat', 'calibration'], value: calibration },
            ])
          }
        >
          Take it over
        </button>
      )}
    </div>
  );
}
