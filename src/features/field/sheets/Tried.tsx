import { useState } from 'react';
import { DROP_OUTCOMES, type DropOutcome, type RunReport } from '@/core/car/records/report';
import { dropLimit } from '@/core/worked/field/reportWords';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { newId } from '../../api';

interface SheetProps {
  report: RunReport;
  onChange(change: Partial<RunReport>): void;
}

const fresh = (kind: string) => `${kind}-${newId().slice(0, 8)}`;

/** Can it pass? One thing after the other. */
export function TerrainSheet({ report, onChange }: SheetProps) {
  const list = report.passages ?? [];
  const [what, setWhat] = useState('');
  const note = (passed: boolean) => {
    if (what.trim() === '') return;
    onChange({ passages: [...list, { id: fresh('pass'), what: what.trim(), passed }] });
    setWhat('');
  };
  return (
    <>
      {list.map(({ id, what: called, passed }) => (
        <div key={id} className="field">
          <span>{called}</span>
          <span>
            <b>{passed ? 'passed' : 'stuck'}</b>{' '}
            <button
              type="button"
              className="plain"
              aria-label={`Take ${called} out`}
              onClick={() => onChange({ passages: list.filter((one) => one.id !== id) })}
            >
              ×
            </button>
          </span>
        </div>
      ))}
      <div className="field text">
        <label htmlFor="what-passed">What</label>
        <input
          id="what-passed"
          value={what}
          maxLength={120}
          placeholder="e.g. wet grass, 12 cm"
          onChange={(event) => setWhat(event.target.value)}
        />
      </div>
      <div className="counter" style={{ marginTop: 8 }}>
        <button type="button" className="go" disabled={what.trim() === ''} onClick={() => note(true)}>
          It passed
        </button>
        <button type="button" className="go stop" disabled={what.trim() === ''} onClick={() => note(false)}>
          It got stuck
        </button>
      </div>
    </>
  );
}

const NEXT_STEP = 1.25;
const OUTCOME_WORDS: Readonly<Record<DropOutcome, string>> = {
  held: 'It held',
  damaged: 'Damaged',
  failed: 'It failed',
};

/** Dropped from one height after the other until it fails; the next is a quarter higher. */
export function DropSheet({ report, onChange }: SheetProps) {
  const { reader } = useReader();
  const list = report.drops ?? [];
  const last = list.at(-1)?.heightM;
  const [heightM, setHeight] = useState<number | undefined>();
  const at = heightM ?? (last === undefined ? 0.1 : Number((last * NEXT_STEP).toFixed(2)));
  const { heldM, failedM } = dropLimit(report);
  const note = (outcome: DropOutcome) => {
    onChange({ drops: [...list, { id: fresh('drop'), heightM: at, outcome }] });
    setHeight(undefined);
  };
  return (
    <>
      {list.map(({ id, heightM: height, outcome }) => (
        <div key={id} className="field">
          <span>{formatText(height, 'distanceM', reader)}</span>
          <span>
            <b>{outcome}</b>{' '}
            <button
              type="button"
              className="plain"
              aria-label="Take this drop out"
              onClick={() => onChange({ drops: list.filter((one) => one.id !== id) })}
            >
              ×
            </button>
          </span>
        </div>
      ))}
      <QuantityField
        key={list.length}
        label="Dropped from"
        quantity="distanceM"
        limits={{ above: 0, to: 50 }}
        value={heightM}
        usual={at}
        onChange={setHeight}
      />
      <div className="counter" style={{ marginTop: 8, gridTemplateColumns: '1fr 1fr 1fr' }}>
        {DROP_OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className={`go ${outcome === 'failed' ? 'stop' : ''}`}
            onClick={() => note(outcome)}
          >
            {OUTCOME_WORDS[outcome]}
          </button>
        ))}
      </div>
      {list.length > 0 ? (
        <p className="quiet">
          {heldM === undefined
            ? 'It held no height yet'
            : `It holds ${formatText(heldM, 'distanceM', reader)}`}
          {failedM === undefined ? '' : `, and fails at ${formatText(failedM, 'distanceM', reader)}`}.
        </p>
      ) : null}
    </>
  );
}

/** Blows on clamped parts, two side by side: light and hard ones counted. */
export function BlowsSheet({ report, onChange, parts }: SheetProps & { parts: readonly string[] }) {
  const list = report.beaten ?? [];
  const [name, setName] = useState('');
  const change = (id: string, with_: object) =>
    onChange({ beaten: list.map((one) => (one.id === id ? { ...one, ...with_ } : one)) });
  return (
    <>
      <p className="note">Glasses on: a part that comes loose flies.</p>
      {list.map(({ id, name: called, light, hard, failed }) => (
        <section key={id} aria-label={called} style={{ marginTop: 8 }}>
          <div className="row">
            <b style={{ flex: 1 }}>{called}</b>
            <label>
              <input
                type="checkbox"
                checked={failed}
                onChange={(event) => change(id, { failed: event.target.checked })}
              />{' '}
              failed
            </label>
            <button
              type="button"
              className="plain"
              aria-label={`Take ${called} out`}
              onClick={() => onChange({ beaten: list.filter((one) => one.id !== id) })}
            >
              ×
            </button>
          </div>
          <div className="counter">
            <button
              type="button"
              className="go"
              aria-label={`Light blow on ${called}`}
              onClick={() => change(id, { light: light + 1 })}
            >
              {light}
              <small>light</small>
            </button>
            <button
              type="button"
              className="go stop"
              aria-label={`Hard blow on ${called}`}
              onClick={() => change(id, { hard: hard + 1 })}
            >
              {hard}
              <small>hard</small>
            </button>
          </div>
          <div className="row">
            {light > 0 ? (
              <button type="button" className="link" onClick={() => change(id, { light: light - 1 })}>
                one light less
              </button>
            ) : null}
            {hard > 0 ? (
              <button type="button" className="link" onClick={() => change(id, { hard: hard - 1 })}>
                one hard less
              </button>
            ) : null}
          </div>
        </section>
      ))}
      <form
        className="row"
        style={{ marginTop: 8, flexWrap: 'nowrap' }}
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          onChange({
            beaten: [...list, { id: fresh('blow'), name: name.trim(), light: 0, hard: 0, failed: false }],
          });
          setName('');
        }}
      >
        <input
          className="plainselect"
          style={{ flex: 1, minWidth: 0 }}
          aria-label="Part to beat"
          list="beaten-parts"
          placeholder="a part, e.g. carrier, lying"
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <datalist id="beaten-parts">
          {parts.map((part) => (
            <option key={part} value={part} />
          ))}
        </datalist>
        <button type="submit" className="btn" disabled={name.trim() === ''}>
          Clamp it
        </button>
      </form>
    </>
  );
}

/** A tyre spun up: its diameter at each speed, behind a shield. */
export function TyreSpinSheet({ report, onChange }: SheetProps) {
  const list = report.spins ?? [];
  const [rpm, setRpm] = useState<number>();
  const [diameterMm, setDiameter] = useState<number>();
  const { reader } = useReader();
  return (
    <>
      <p className="note bad">
        A tyre that bursts throws its pieces through the plane of the wheel. Spin it behind a shield, from a
        distance, with nobody in that plane.
      </p>
      <label className="row big">
        <input
          type="checkbox"
          checked={report.shielded === true}
          onChange={(event) => onChange({ shielded: event.target.checked || undefined })}
        />{' '}
        The shield stands, nobody is in the plane of the wheel
      </label>
      {list.map(({ id, rpm: speed, diameterMm: across }) => (
        <div key={id} className="field">
          <span>{formatText(speed, 'rpm', reader)}</span>
          <span className="mono">
            {formatText(across, 'lengthMm', reader, 4)}{' '}
            <button
              type="button"
              className="plain"
              aria-label="Take this reading out"
              onClick={() => onChange({ spins: list.filter((one) => one.id !== id) })}
            >
              ×
            </button>
          </span>
        </div>
      ))}
      <form
        key={list.length}
        onSubmit={(event) => {
          event.preventDefault();
          if (rpm === undefined || diameterMm === undefined) return;
          onChange({ spins: [...list, { id: fresh('spin'), rpm, diameterMm }] });
          setRpm(undefined);
          setDiameter(undefined);
        }}
      >
        <QuantityField
          label="Wheel turns"
          quantity="rpm"
          limits={{ from: 0, to: 500_000 }}
          value={rpm}
          onChange={setRpm}
          disabled={!report.shielded}
        />
        <QuantityField
          label="Diameter then"
          quantity="lengthMm"
          limits={{ above: 0, to: 2000 }}
          value={diameterMm}
          onChange={setDiameter}
          disabled={!report.shielded}
        />
        <button type="submit" className="btn big" disabled={rpm === undefined || diameterMm === undefined}>
          Add the reading
        </button>
      </form>
    </>
  );
}

/** What it hit, and how fast it was. */
export function CrashSheet({ report, onChange }: SheetProps) {
  return (
    <>
      <div className="field text">
        <label htmlFor="what-hit">It hit</label>
        <input
          id="what-hit"
          value={report.hit ?? ''}
          maxLength={200}
          placeholder="e.g. a kerb stone, front right wheel"
          onChange={(event) => onChange({ hit: event.target.value === '' ? undefined : event.target.value })}
        />
      </div>
      <QuantityField
        label="At about"
        quantity="speedMps"
        limits={{ from: 0, to: 150 }}
        value={report.speedMps}
        onChange={(value) => onChange({ speedMps: value })}
      />
      <p className="note">
        A pack that took the blow is not charged again before a day outside, and never if it has swollen.
      </p>
    </>
  );
}
