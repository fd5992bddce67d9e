'use client';

import { useState } from 'react';
import { aidSettings } from '@/core/control/aidSettings';
import { predictRun, runFriction } from '@/core/field/predictRun';
import { RUN_KIND_NAMES, RUN_KINDS, type RunRecord, type RunSetting } from '@/core/field/records';
import { timingLaunch } from '@/core/field/timingLaunch';
import { timingSpeed } from '@/core/field/timingSpeed';
import { formatText, formatWithError } from '@/core/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { callApi, newId, sentenceOf } from '../api';
import { useBuild } from '../shell/BuildContext';
import { attemptOf, conditionsOf, type Method, type Sheet } from './sheet';
import { Stopwatch } from './Stopwatch';

const METHODS: readonly (readonly [Method, string])[] = [['watch', 'Stop-watch'], ['frames', 'Video frames'], ['clip', 'Slowed clip']];

interface RunSheetFormProps {
  sheet: Sheet;
  onChange(sheet: Sheet): void;
  onSent(run: RunRecord): void;
}

/** A run sheet: how it was timed, the attempts, and under what conditions. */
export function RunSheetForm({ sheet, onChange, onSent }: RunSheetFormProps) {
  const { document, surface: pageSurface, revision, session } = useBuild();
  const { reader } = useReader();
  const [problem, setProblem] = useState<string>();
  const [sending, setSending] = useState(false);
  const surfaces = document.brief.surfaces;
  const surface = surfaces.find(({ id }) => id === sheet.surfaceId) ?? pageSurface;
  const conditions = conditionsOf(sheet, surface);
  const predicted = conditions ? predictRun(document, sheet.kind, conditions) : undefined;
  const set = (change: Partial<Sheet>) => onChange({ ...sheet, ...change });
  const number = (key: keyof Sheet, more: object = {}) => ({ value: sheet[key] as number | undefined, onChange: (value: number | undefined) => set({ [key]: value }), ...more });
  const addAttempt = (reading: number) => {
    const attempt = attemptOf(newId(), sheet, reading);
    if (attempt) set({ attempts: [...sheet.attempts, attempt] });
  };

  async function send() {
    if (!conditions || sheet.attempts.length === 0) return;
    setSending(true);
    setProblem(undefined);
    try {
      await session.flush();
      const run = await callApi<RunRecord>('POST', `/api/revisions/${revision.id}/runs`, {
        id: sheet.id, kind: sheet.kind, attempts: sheet.attempts, conditions, ranAt: new Date().toISOString(), document,
        ...(sheet.drivenMinutes === undefined ? {} : { drivenMinutes: sheet.drivenMinutes }),
        ...(sheet.note.trim() === '' ? {} : { note: sheet.note.trim() }),
      });
      onSent(run);
    } catch (error) {
      setProblem(`Not sent, kept here: ${sentenceOf(error)}`);
    } finally {
      setSending(false);
    }
  }

  return (
    <section aria-label="Run sheet" id="run">
      <h2 style={{ fontSize: 20, fontWeight: 650, fontStretch: '90%' }}>{RUN_KIND_NAMES[sheet.kind]}, attempt {sheet.attempts.length + 1}</h2>
      <div className="row" style={{ margin: '8px 0' }}>
        <div className="seg" role="group" aria-label="Kind of run">{RUN_KINDS.map((kind) => <button key={kind} type="button" aria-pressed={sheet.kind === kind} onClick={() => set({ kind, attempts: [] })}>{RUN_KIND_NAMES[kind]}</button>)}</div>
      </div>
      <div className="seg" role="group" aria-label="How it is timed">{METHODS.map(([method, name]) => <button key={method} type="button" aria-pressed={sheet.method === method} onClick={() => set({ method })}>{name}</button>)}</div>

      {surfaces.length === 0 ? <p className="note bad">The brief names no surface yet: choose one there first, so that the run has a prediction.</p> : (
        <div className="field"><label htmlFor="run-surface">Surface</label>
          <select id="run-surface" value={surface?.id} onChange={(event) => set({ surfaceId: event.target.value })}>{surfaces.map(({ id, name }) => <option key={id} value={id}>{name}</option>)}</select>
        </div>
      )}
      <QuantityField label="Distance" quantity="distanceM" limits={{ above: 0, to: 100_000 }} example={20} {...number('distanceM')} />
      {sheet.kind === 'timedDistance' ? <QuantityField label="Run-up before it" quantity="distanceM" limits={{ from: 0, to: 100_000 }} example={25} {...number('runUpM')} /> : null}
      {sheet.method === 'frames' ? <QuantityField label="Frames a second" quantity="count" limits={{ above: 0 }} example={240} {...number('captureFps')} /> : null}
      {sheet.method === 'clip' ? <QuantityField label="Slowed down by" quantity="count" limits={{ above: 0 }} example={8} {...number('slowdown')} /> : null}

      {sheet.method === 'watch' ? <Stopwatch onTime={addAttempt} /> : null}
      <ReadingEntry key={sheet.method} method={sheet.method} onReading={addAttempt} />
      <Tries sheet={sheet} predictedMps={predicted?.ok ? predicted.value.speedMps : undefined} onDrop={(id) => set({ attempts: sheet.attempts.filter((attempt) => attempt.id !== id) })} />
      {sheet.kind === 'launch' && sheet.attempts.length > 0 && conditions ? <LaunchNote sheet={sheet} mu={runFriction(document, conditions)} /> : null}

      <details className="more" open={sheet.attempts.length > 0}>
        <summary>Conditions</summary>
        <QuantityField label="Air" quantity="temperatureC" limits={{ from: -50, to: 400 }} example={15} {...number('ambientC')} />
        <QuantityField label="Pack before" quantity="voltageV" limits={{ above: 0, to: 1000 }} example={8.3} {...number('packVBefore')} />
        <QuantityField label="Pack after" quantity="voltageV" limits={{ above: 0, to: 1000 }} example={8} {...number('packVAfter')} />
        <QuantityField label="Extra weight on the car" quantity="massG" limits={{ from: -100_000, to: 100_000 }} example={0} {...number('extraMassG')} />
        <QuantityField label="Driven in all" quantity="minutes" limits={{ from: 0, to: 10_000 }} example={6} {...number('drivenMinutes')} />
        <QuantityField label="Distance, ±" quantity="distanceM" limits={{ from: 0 }} example={0.02} {...number('distanceErrorM')} />
        <Settings sheet={sheet} onChange={(settings) => set({ settings })} />
        <div className="field text"><textarea aria-label="Note" rows={2} maxLength={2000} placeholder="What you saw, heard and felt" value={sheet.note} onChange={(event) => set({ note: event.target.value })} /></div>
      </details>
      {predicted && !predicted.ok ? <p className="quiet" style={{ fontSize: 12 }}>No prediction: needs {predicted.missing.join(', ')}. The run is kept all the same.</p> : null}
      {predicted?.ok ? <p className="quiet" style={{ fontSize: 13, marginTop: 4 }}>Predicted for these conditions: {formatWithError(predicted.value.timeS, predicted.value.timeErrorS, 'timeS', reader)}, {formatText(predicted.value.speedMps, 'speedMps', reader)}.</p> : null}
      {problem ? <p className="note bad" role="alert">{problem}</p> : null}
      <div className="row" style={{ marginTop: 10 }}>
        <button type="button" className="btn main" disabled={sending || sheet.attempts.length === 0 || !conditions} onClick={() => void send()}>{sending ? 'Saving' : `Save the run (${sheet.attempts.length} attempt${sheet.attempts.length === 1 ? '' : 's'})`}</button>
        {sheet.attempts.length > 0 && sheet.attempts.length < 3 ? <span className="quiet">Three attempts show a spread.</span> : null}
      </div>
      <p className="quiet" style={{ fontSize: 12, marginTop: 10 }}>Closed ground, nobody in the car&rsquo;s path, a spotter for fast runs. Local rules go first.</p>
    </section>
  );
}

/** Named settings that go with the run, so that runs can be compared by them; those of the aids in the build are offered. */
function Settings({ sheet: { settings }, onChange }: { sheet: Sheet; onChange(settings: RunSetting[]): void }) {
  const { document } = useBuild();
  const [name, setName] = useState('');
  const [value, setValue] = useState<number>();
  const [round, setRound] = useState(0);
  const offered = aidSettings(document).filter((one) => !settings.some((own) => own.name === one.name));
  const add = () => {
    if (name.trim() === '' || value === undefined) return;
    onChange([...settings.filter((one) => one.name !== name.trim()), { name: name.trim(), value }]);
    setName('');
    setValue(undefined);
    setRound(round + 1);
  };
  return (
    <div aria-label="Settings of this run" role="group">
      {settings.map((one) => <div key={one.name} className="field"><span>{one.name}</span><span className="mono">{one.value} <small className="quiet">{one.unit}</small> <button type="button" className="plain" aria-label={`Take ${one.name} out`} onClick={() => onChange(settings.filter((other) => other !== one))}>×</button></span></div>)}
      {offered.length > 0 ? <button type="button" className="link" style={{ fontSize: 13, margin: '4px 0' }} onClick={() => onChange([...settings, ...offered])}>Take the settings of the aids along ({offered.length})</button> : null}
      <div className="row" style={{ flexWrap: 'nowrap' }}>
        <input className="plainselect" style={{ flex: 1, minWidth: 0 }} aria-label="Name of a setting" placeholder="a setting, e.g. front toe" maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
        <div style={{ width: 130 }} className="bare"><QuantityField key={round} label="Value of the setting" quantity="coefficient" value={value} onChange={setValue} /></div>
        <button type="button" className="btn" disabled={name.trim() === '' || value === undefined} onClick={add}>Add the setting</button>
      </div>
    </div>
  );
}

const READING: Readonly<Record<Method, { label: string; quantity: 'timeS' | 'count'; example: number }>> = {
  watch: { label: 'Or type the time', quantity: 'timeS', example: 2.1 },
  frames: { label: 'Frames counted', quantity: 'count', example: 504 },
  clip: { label: 'Length of the slowed clip', quantity: 'timeS', example: 16.8 },
};

function ReadingEntry({ method, onReading }: { method: Method; onReading(value: number): void }) {
  const [value, setValue] = useState<number>();
  const [round, setRound] = useState(0);
  const { label, quantity, example } = READING[method];
  const add = () => {
    if (value === undefined) return;
    onReading(value);
    setValue(undefined);
    setRound(round + 1);
  };
  return (
    <form className="row" style={{ flexWrap: 'nowrap' }} onSubmit={(event) => { event.preventDefault(); add(); }}>
      <div style={{ flex: 1 }}><QuantityField key={round} autoFocus={round > 0} label={label} quantity={quantity} value={value} onChange={setValue} limits={method === 'frames' ? { from: 1 } : { above: 0 }} example={example} /></div>
      <button type="submit" className="btn" disabled={value === undefined}>Add</button>
    </form>
  );
}

function Tries({ sheet, predictedMps, onDrop }: { sheet: Sheet; predictedMps: number | undefined; onDrop(id: string): void }) {
  const { reader } = useReader();
  const { distanceM } = sheet;
  if (distanceM === undefined) return null;
  return (
    <div className="tries" style={{ marginTop: 8 }}>
      {sheet.attempts.map(({ id, ...timing }, index) => {
        const { speedMps, timeS, errorMps } = timingSpeed({ distanceM, ...timing });
        return <div key={id} className="try">{formatText(speedMps, 'speedMps', reader)}<small>attempt {index + 1}: {formatText(timeS, 'timeS', reader)}</small><small>± {formatText(errorMps, 'speedMps', reader, 2)}</small><button type="button" aria-label={`Take attempt ${index + 1} out`} onClick={() => onDrop(id)}>×</button></div>;
      })}
      {predictedMps === undefined ? null : <div className="try predicted">{formatText(predictedMps, 'speedMps', reader)}<small>predicted</small></div>}
    </div>
  );
}

function LaunchNote({ sheet, mu }: { sheet: Sheet; mu: number | undefined }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const { drive, chassis } = document;
  const last = sheet.attempts.at(-1)!;
  const { timeS } = timingSpeed({ distanceM: sheet.distanceM!, ...last });
  if (drive.drivenAxles === undefined || (drive.drivenAxles !== 'all' && chassis.frontLoadShare === undefined)) return null;
  const launch = timingLaunch({
    distanceM: sheet.distanceM!, timeS, drivenAxles: drive.drivenAxles,
    ...(mu === undefined ? {} : { mu }),
    ...(chassis.frontLoadShare === undefined ? {} : { frontLoadShare: chassis.frontLoadShare }),
    ...(chassis.cgHeightMm === undefined || chassis.wheelbaseMm === undefined ? {} : { cgHeightMm: chassis.cgHeightMm, wheelbaseMm: chassis.wheelbaseMm }),
  });
  return (
    <p className={`note ${launch.plausible ? '' : 'bad'}`}>
      Mean {formatText(launch.accelMps2, 'accelMps2', reader)} ± {formatText(launch.accelErrorMps2, 'accelMps2', reader, 2)}
      {launch.muNeeded === undefined ? '' : `, which takes a friction of ${formatText(launch.muNeeded, 'coefficient', reader, 2)}`}. {launch.plausible ? '' : launch.notes.at(-1)}
    </p>
  );
}
