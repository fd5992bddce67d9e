import { Instruments, TakeReading } from '../instruments/Instruments';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId, useState } from 'react';
import type { ChosenSurface } from '@/core/car/document/brief';
import { overallEfficiency } from '@/core/car/document/drive';
import type { MeasuredFriction } from '@/core/car/records/report';
import { formatText } from '@/core/base/units/formatQuantity';
import { efficiencyTaken, frictionOrRefusal } from '@/core/worked/transmissions/frictionOfBuild';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { TextInput } from '@/ui/controls/TextInput';
import fieldsCss from '@/ui/fields.module.css';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { sayAll } from '@/words/findings';
import { efficiencySentence, startSentence } from '@/words/learn/friction';
import { refusalText } from '@/words/refusals/problemOf';
import { useBuild } from '../../session/BuildContext';
import { FrictionBar } from './FrictionBar';
import { fresh, type SheetProps } from './Tried';

/** String and weight on a wheel, from everything in to the least, and the current of a drive that spins free. */
export function FrictionSheet({
  report,
  onChange,
  surface,
}: SheetProps & { surface: ChosenSurface | undefined }) {
  const { document, edit, closed } = useBuild();
  const { reader } = useReader();
  const friction = report.friction ?? {};
  const { pulls = [] } = friction;
  const set = (part: Partial<MeasuredFriction>) => onChange({ friction: { ...friction, ...part } });
  const measured = pulls.length > 0 || friction.freeA !== undefined;
  const seen = measured ? frictionOrRefusal(document, surface, friction) : undefined;
  const found = seen && 'ok' in seen && seen.ok ? seen.value : undefined;
  return (
    <>
      <Note>
        Pack unplugged for the string. Before it spins: wheels off the ground, hair and fingers away. Local
        rules go first.
      </Note>
      <Pulls pulls={pulls} onChange={(next) => set({ pulls: next })} />
      <QuantityField
        label="String winds at a radius of"
        quantity="lengthMm"
        limits={{ above: 0, to: 1000 }}
        value={friction.radiusMm}
        {...(document.drive.tyre ? { usual: document.drive.tyre.radiusMm } : {})}
        onChange={(radiusMm) => set({ radiusMm })}
      />
      <QuantityField
        label="Weights known to, either way"
        quantity="massG"
        limits={{ from: 0, to: 10_000 }}
        usual={0}
        value={friction.errorG}
        onChange={(errorG) => set({ errorG })}
      />
      <Spun label="Wheels in the air" of={['freeA', 'freeRpm']} friction={friction} onChange={set} />
      <Instruments kind="meter">
        {(device) => <TakeReading device={device} field="a" onTake={(freeA) => set({ freeA })} />}
      </Instruments>
      <Spun label="Pinion drawn" of={['aloneA', 'aloneRpm']} friction={friction} onChange={set} />
      {seen && 'refused' in seen ? (
        <Note tone="bad" role="alert">
          {refusalText(seen.refused.refused, reader)}.
        </Note>
      ) : null}
      {found ? (
        <section aria-label="What the friction says">
          <FrictionBar parts={found.found.parts} />
          <Typography data-testid="start-margin">{startSentence(found.found, reader)}</Typography>
          {found.efficiency === undefined ? null : (
            <>
              <Typography data-testid="drive-efficiency">
                {efficiencySentence(found.efficiency, overallEfficiency(document.drive), reader)}
              </Typography>
              {closed ? null : (
                <Button onClick={() => edit(efficiencyTaken(document, found.efficiency!))}>
                  Let the run take {formatText(found.efficiency, 'share', reader, 2)}
                </Button>
              )}
            </>
          )}
          {found.found.notes.length > 0 ? (
            <Typography variant="small" color="textSecondary">
              {sayAll(found.found.notes, reader)}
            </Typography>
          ) : null}
        </section>
      ) : null}
    </>
  );
}

type Pull = NonNullable<MeasuredFriction['pulls']>[number];

/** Weights in the order in which parts are taken out. */
function Pulls({ pulls, onChange }: { pulls: readonly Pull[]; onChange(pulls: Pull[]): void }) {
  const { reader } = useReader();
  const id = useId();
  const [part, setPart] = useState('motor');
  const [startG, setStart] = useState<number>();
  const [keepG, setKeep] = useState<number>();
  const g = (grams: number) => formatText(grams, 'massG', reader);
  return (
    <>
      <div className={fieldsCss.field}>
        <label htmlFor={id}>Taken out next</label>
        <TextInput id={id} value={part} maxLength={60} onChange={({ target }) => setPart(target.value)} />
      </div>
      <QuantityField
        label="Just starts it"
        quantity="massG"
        limits={{ from: 0, to: 100_000 }}
        example={60}
        value={startG}
        onChange={setStart}
      />
      <QuantityField
        label="Just keeps it turning"
        quantity="massG"
        limits={{ from: 0, to: 100_000 }}
        example={45}
        value={keepG}
        onChange={setKeep}
      />
      <Instruments kind="scale">
        {(device) => (
          <>
            <TakeReading device={device} field="g" onTake={setStart} /> as just starts it,{' '}
            <TakeReading device={device} field="g" onTake={setKeep} /> as just keeps it turning
          </>
        )}
      </Instruments>
      <Button
        disabled={startG === undefined || keepG === undefined || part.trim() === ''}
        onClick={() => {
          onChange([...pulls, { id: fresh('pull'), part: part.trim(), startG: startG!, keepG: keepG! }]);
          setPart('');
          setStart(undefined);
          setKeep(undefined);
        }}
      >
        Add the weights
      </Button>
      {pulls.map((pull, at) => (
        <div key={pull.id} className={fieldsCss.field}>
          <span>
            {at + 1}. with the {pull.part}
          </span>
          <span>
            <b>{g(pull.startG)}</b>, {g(pull.keepG)}{' '}
            <IconAct
              icon="takeOut"
              label={`Take weights ${at + 1} out`}
              onClick={() => onChange(pulls.filter(({ id: one }) => one !== pull.id))}
            />
          </span>
        </div>
      ))}
    </>
  );
}

/** Current and revolutions of a drive that spins free at full throttle. */
function Spun({
  label,
  of: [amps, rpm],
  friction,
  onChange,
}: {
  label: string;
  of: readonly ['freeA', 'freeRpm'] | readonly ['aloneA', 'aloneRpm'];
  friction: MeasuredFriction;
  onChange(part: Partial<MeasuredFriction>): void;
}) {
  return (
    <>
      <QuantityField
        label={`${label}: current`}
        quantity="currentA"
        limits={{ from: 0, to: 5000 }}
        value={friction[amps]}
        onChange={(value) => onChange({ [amps]: value })}
      />
      <QuantityField
        label={`${label}: motor’s revolutions`}
        quantity="rpm"
        limits={{ from: 0, to: 500_000 }}
        value={friction[rpm]}
        onChange={(value) => onChange({ [rpm]: value })}
      />
    </>
  );
}
