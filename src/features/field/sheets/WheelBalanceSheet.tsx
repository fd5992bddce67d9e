import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import Button from '@mui/material/Button';
import { useId, useState } from 'react';
import { formatNumber } from '@/core/base/units/formatQuantity';
import type { MeasuredBalance } from '@/core/car/records/benchReport';
import { type Wheel, WHEELS } from '@/core/car/records/wheels';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { WHEEL_WORDS } from '@/words/bench/wheelWords';
import { Choice } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';
import { useVibration } from '../bench/useVibration';
import { Instruments, TakeReading } from '../instruments/Instruments';
import { fresh, type SheetProps } from './Tried';

const FIRST_DEG = 0;
const APART_DEG = 120;
const USUAL_ERROR_PCT = 5;

/** A wheel that spins with and without a trial weight: how much it shakes each time. */
export function WheelBalanceSheet({ report, onChange }: SheetProps) {
  const { document } = useBuild();
  const { reader } = useReader();
  const id = useId();
  const balance = report.balance ?? {};
  const { runs = [] } = balance;
  const [angle, setAngle] = useState<number>();
  const [amplitude, setAmplitude] = useState<number>();
  const nextDeg = runs.length === 0 ? FIRST_DEG : (runs.at(-1)!.angleDeg + APART_DEG) % 360;
  const set = (change: Partial<MeasuredBalance>) =>
    onChange({
      balance: Object.fromEntries(
        Object.entries({ ...balance, ...change }).filter(([, value]) => value !== undefined),
      ),
    });
  const shake = useVibration((found) =>
    balance.amplitude === undefined ? set({ amplitude: found }) : setAmplitude(found),
  );
  const figure = (
    key: 'amplitude' | 'trialMassG' | 'trialRadiusMm' | 'massG' | 'rpm' | 'errorPct' | 'amplitudeAfter',
    label: string,
    quantity: 'coefficient' | 'massG' | 'lengthMm' | 'rpm' | 'percent',
    more: { usual?: number; example?: number; to?: number } = {},
  ) => (
    <QuantityField
      label={label}
      quantity={quantity}
      digits={4}
      limits={{ above: 0, to: more.to ?? 1e6 }}
      value={balance[key]}
      {...(more.usual === undefined ? {} : { usual: more.usual })}
      {...(more.example === undefined ? {} : { example: more.example })}
      onChange={(value) => set({ [key]: value })}
    />
  );
  return (
    <>
      <Note tone="bad">
        A weight that comes off flies in the plane of the wheel: tape it over, spin behind a shield, nobody in
        that plane. Always the same speed.
      </Note>
      <Choice
        id={`${id}-wheel`}
        label="Wheel"
        value={balance.wheel ?? ''}
        disabled={false}
        options={[['', 'not said'], ...WHEELS.map((one) => [one, WHEEL_WORDS[one]] as const)]}
        onChange={(value) => set({ wheel: value === '' ? undefined : (value as Wheel) })}
      />
      {figure('rpm', 'Turns while it is measured', 'rpm', { to: 500_000 })}
      {figure('massG', 'Wheel with its tyre', 'massG', {
        ...(document.drive.tyre ? { example: document.drive.tyre.massG } : {}),
        to: 100_000,
      })}
      {figure('amplitude', 'Shakes without a weight', 'coefficient')}
      {figure('trialMassG', 'Trial weight', 'massG', { to: 10_000 })}
      {figure('trialRadiusMm', 'at the radius', 'lengthMm', { to: 1000 })}
      <Instruments kind="scale">
        {(device) => <TakeReading device={device} field="g" onTake={(trialMassG) => set({ trialMassG })} />}
      </Instruments>
      {shake.start ? (
        <Button variant="link" disabled={shake.state === 'measuring'} onClick={shake.start}>
          {shake.state === 'measuring'
            ? 'Measuring for three seconds'
            : 'Measure the shaking with this device, laid on the car'}
        </Button>
      ) : null}
      {shake.state === 'nothing' ? (
        <Typography variant="small" color="textSecondary">
          This device gave no acceleration: type what your meter shows, in any unit.
        </Typography>
      ) : null}
      {runs.map(({ id: own, angleDeg, amplitude: read }) => (
        <div key={own} className={fieldsCss.field}>
          <span>weight at {formatNumber(angleDeg, reader.locale, 3)}°</span>
          <Typography variant="reading">
            {formatNumber(read, reader.locale, 4)}{' '}
            <IconAct
              icon="takeOut"
              label={`Take the run at ${formatNumber(angleDeg, reader.locale, 3)}° out`}
              onClick={() => set({ runs: runs.filter((one) => one.id !== own) })}
            />
          </Typography>
        </div>
      ))}
      <form
        key={runs.length}
        onSubmit={(event) => {
          event.preventDefault();
          if (amplitude === undefined) return;
          set({ runs: [...runs, { id: fresh('place'), angleDeg: angle ?? nextDeg, amplitude }] });
          setAngle(undefined);
          setAmplitude(undefined);
        }}
      >
        <QuantityField
          label="Trial weight sits at"
          quantity="angleDeg"
          limits={{ from: -360, to: 360 }}
          value={angle}
          usual={nextDeg}
          onChange={setAngle}
        />
        <QuantityField
          label="Shakes then"
          quantity="coefficient"
          digits={4}
          limits={{ from: 0, to: 1e6 }}
          value={amplitude}
          onChange={setAmplitude}
        />
        <Button size="large" type="submit" disabled={amplitude === undefined}>
          Add the place
        </Button>
      </form>
      {runs.length >= 3 ? figure('amplitudeAfter', 'Shakes with the weight stuck on', 'coefficient') : null}
      {figure('errorPct', 'A reading is right to', 'percent', { usual: USUAL_ERROR_PCT, to: 50 })}
    </>
  );
}
