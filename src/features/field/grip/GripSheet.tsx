import Typography from '@mui/material/Typography';
import { useId } from 'react';
import { GRIP_METHODS, type GripSheet as Measured } from '@/core/car/records/gripReport';
import { refusedOr } from '@/core/base/errors';
import type { GripMethod, Slipping } from '@/core/physics/grip/definition';
import { gripMeasure } from '@/core/physics/grip/measure';
import { tyreName } from '@/core/car/tyres/tyres';
import { gripCarOf, measurementOf } from '@/core/worked/grip/gripOfRuns';
import { formatText, formatWithError } from '@/core/base/units/formatQuantity';
import { Note } from '@/ui/controls/Note';
import { Tick } from '@/ui/controls/Tick';
import { Row } from '@/ui/layout/Row';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { BUDGET_WORDS, METHOD_WORDS } from '@/words/bench/gripWords';
import { GRIP_METHOD_NAMES } from '@/words/learn/gripRuns';
import { say } from '@/words/findings';
import '@/words/later/bringIn';
import { refusalText } from '@/words/refusals/problemOf';
import { Choice } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';
import { Instruments, TakeReading } from '../instruments/Instruments';
import type { SheetProps } from '../sheets/Tried';
import { MethodPicture } from './MethodPicture';
import { ReadingList } from './ReadingList';

const WHEELS: readonly (readonly [Slipping, string])[] = [
  ['all', 'all wheels'],
  ['front', 'front wheels'],
  ['rear', 'rear wheels'],
];

/** Friction by one of the home methods: how to do it, what was read, and what comes out. */
export function GripSheet({ report, onChange }: SheetProps) {
  const { document } = useBuild();
  const grip = report.grip ?? {};
  const { method = 'pull', readings = [] } = grip;
  const tyre = document.drive.tyre ? tyreName(document.drive.tyre) : undefined;
  const set = (part: Partial<Measured>) =>
    onChange({ grip: { method, ...(tyre ? { tyre } : {}), ...grip, ...part } });
  const words = METHOD_WORDS[method];
  return (
    <>
      <Choose<GripMethod>
        label="Method"
        value={method}
        options={GRIP_METHODS.map((one) => [one, GRIP_METHOD_NAMES[one].name])}
        onChange={(next) => onChange({ grip: { method: next, ...(tyre ? { tyre } : {}) } })}
      />
      <MethodPicture method={method} />
      <Typography>{words.how}</Typography>
      <Note>
        Pack unplugged while wheels are held by hand; fingers away from wheels that spin. Open ground for what
        is driven. Local rules go first.
      </Note>
      <MethodFields grip={{ ...grip, method }} onChange={set} />
      <Row as="label" sx={{ flexWrap: 'nowrap' }}>
        <Tick
          checked={grip.wet === true}
          onChange={(event) => set({ wet: event.target.checked || undefined })}
        />{' '}
        Ground or tyres were wet
      </Row>
      <ReadingList
        key={method}
        label={words.reading}
        quantity={GRIP_METHOD_NAMES[method].quantity}
        example={words.example}
        readings={readings}
        onChange={(next) => set({ readings: next })}
        {...(method === 'pull'
          ? {
              take: (onTake: (value: number) => void) => (
                <Instruments kind="scale">
                  {(device) => (
                    <TakeReading device={device} field="g" onTake={(g) => onTake((g / 1000) * 9.80665)} />
                  )}
                </Instruments>
              ),
            }
          : {})}
      />
      <Found grip={{ ...grip, method }} />
    </>
  );
}

function MethodFields({ grip, onChange }: { grip: Measured; onChange(part: Partial<Measured>): void }) {
  const { method, direction = 'longitudinal', nose = 'down', locked = 'all', toward = 'forward' } = grip;
  const across = direction === 'lateral' || nose === 'across';
  const partly = locked !== 'all';
  const number = (key: 'pullHeightMm' | 'resistanceN' | 'radiusM' | 'radiusErrorM' | 'fromMps') => ({
    value: grip[key],
    onChange: (value: number | undefined) => onChange({ [key]: value }),
  });
  return (
    <>
      {method === 'pull' ? (
        <Choose
          label="Pulled"
          value={direction}
          options={[
            ['longitudinal', 'along the car'],
            ['lateral', 'to the side'],
          ]}
          onChange={(next) =>
            onChange({ direction: next, ...(next === 'lateral' ? { locked: undefined } : {}) })
          }
        />
      ) : null}
      {method === 'tilt' ? (
        <Choose
          label="Car on the board"
          value={nose}
          options={[
            ['down', 'nose down'],
            ['up', 'nose up'],
            ['across', 'across it'],
          ]}
          onChange={(next) => onChange({ nose: next, ...(next === 'across' ? { locked: undefined } : {}) })}
        />
      ) : null}
      {method === 'circle' || method === 'launch' || across ? null : (
        <Choose
          label="Held"
          value={locked}
          options={WHEELS}
          onChange={(next) => onChange({ locked: next })}
        />
      )}
      {method === 'pull' && !across ? (
        <Choose
          label="Towards"
          value={toward}
          options={[
            ['forward', 'its nose'],
            ['backward', 'its tail'],
          ]}
          onChange={(next) => onChange({ toward: next })}
        />
      ) : null}
      {method === 'pull' ? (
        <QuantityField
          label="Pulled at a height of"
          quantity="lengthMm"
          limits={{ from: 0, to: 2000 }}
          usual={30}
          {...number('pullHeightMm')}
        />
      ) : null}
      {partly && method !== 'tilt' ? (
        <QuantityField
          label="The free wheels take"
          quantity="forceN"
          limits={{ from: 0, to: 10_000 }}
          usual={0}
          {...number('resistanceN')}
        />
      ) : null}
      {method === 'circle' ? (
        <>
          <QuantityField
            label="Radius"
            quantity="distanceM"
            limits={{ above: 0, to: 1000 }}
            example={3}
            {...number('radiusM')}
          />
          <QuantityField
            label="Radius, ±"
            quantity="distanceM"
            limits={{ from: 0, to: 100 }}
            usual={0.05}
            {...number('radiusErrorM')}
          />
        </>
      ) : null}
      {method === 'brakeLength' || method === 'brakeTime' || method === 'launch' ? (
        <>
          <QuantityField
            label={method === 'launch' ? 'Timed until' : 'Braked from'}
            quantity="speedMps"
            limits={{ above: 0, to: 150 }}
            example={6}
            value={grip.speedMps}
            onChange={(speedMps) => onChange({ speedMps })}
          />
          <QuantityField
            label="Speed, ±"
            quantity="speedMps"
            limits={{ from: 0, to: 50 }}
            usual={0}
            value={grip.speedErrorMps}
            onChange={(speedErrorMps) => onChange({ speedErrorMps })}
          />
        </>
      ) : null}
    </>
  );
}

function Found({ grip }: { grip: Measured }) {
  const { document } = useBuild();
  const { reader } = useReader();
  const car = gripCarOf(document);
  const measured = measurementOf('this', grip, document.drive.drivenAxles);
  if (!car.ok || !measured.ok) return null;
  const seen = refusedOr(() => gripMeasure({ car: car.value, measurements: [measured.value] }));
  if ('refused' in seen)
    return (
      <Note tone="bad" role="alert">
        {refusalText(seen.refused, reader)}.
      </Note>
    );
  const [found] = seen.value.methods;
  const { mu, u, dominatedBy, budget, direction } = found!;
  return (
    <section aria-label="What the readings say">
      <Typography data-testid="grip-found">
        Friction {direction === 'lateral' ? 'across' : 'along'}{' '}
        <b>{formatWithError(mu, u, 'coefficient', reader)}</b>
        {dominatedBy
          ? `; most of its error is ${BUDGET_WORDS[dominatedBy]}, ${formatText(budget[0]!.shareOfVariance, 'share', reader, 2)}`
          : ''}
        .
      </Typography>
      {seen.value.findings.map(({ why }) => (
        <Note key={why.code}>{say(why, reader)}</Note>
      ))}
    </section>
  );
}

interface ChooseProps<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange(value: T): void;
}

/** A choice of the sheet, which is never closed. */
function Choose<T extends string>({ onChange, ...rest }: ChooseProps<T>) {
  return <Choice id={useId()} disabled={false} onChange={(value) => onChange(value as T)} {...rest} />;
}
