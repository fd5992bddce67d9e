import { TakeReading } from '../instruments/Instruments';
import { OffDevices } from '../instruments/OffDevices';
import { devicesOf } from '../instruments/instruments';
import { TemperatureSeries } from '../instruments/TemperatureSeries';
import sheetsCss from '@/features/field/sheets/sheets.module.css';
import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Box from '@mui/material/Box';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { Select } from '@/ui/controls/Select';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type MotorPlace } from '@/core/car/document/drive';
import { motorPlaces } from '@/core/car/document/motors';
import { MOTOR_PLACE_NAMES } from '@/words/labels/heatWords';
import { firstUp } from '@/words/lists';
import { useBuild } from '../../session/BuildContext';
import {
  type FreeMotor,
  HOT_PLACES,
  type HotPlace,
  NOISES,
  type Noise,
  type RunReport,
  WHEEL_TURNS,
  type WheelTurn,
} from '@/core/car/records/report';
import { useInstruments } from '../instruments/useInstruments';
import { WHEELS } from '@/core/car/records/wheels';
import { QuantityField } from '@/ui/QuantityField';
import { newId } from '../../api';

const WHEEL_WORDS = {
  frontLeft: 'Front left',
  frontRight: 'Front right',
  rearLeft: 'Rear left',
  rearRight: 'Rear right',
} as const;

interface SheetProps {
  report: RunReport;
  onChange(change: Partial<RunReport>): void;
}

/** Wheels off the ground: which way each turns, how it sounds, what gets warm. */
export function SpinSheet({ report, onChange }: SheetProps) {
  return (
    <>
      <Note>Wheels off the ground, hands and hair away, the first throttle small.</Note>
      <div className={sheetsCss.wheelgrid}>
        {WHEELS.map((wheel) => (
          <label key={wheel}>
            {WHEEL_WORDS[wheel]}
            <Select
              look="large"
              aria-label={`${WHEEL_WORDS[wheel]} wheel`}
              value={report.wheels?.[wheel] ?? ''}
              onChange={(event) => {
                const { [wheel]: _, ...rest } = report.wheels ?? {};
                onChange({
                  wheels:
                    event.target.value === '' ? rest : { ...rest, [wheel]: event.target.value as WheelTurn },
                });
              }}
            >
              <option value="">not looked at</option>
              {WHEEL_TURNS.map((turn) => (
                <option key={turn}>{turn}</option>
              ))}
            </Select>
          </label>
        ))}
      </div>
      <Row>
        <Button
          size="large"
          onClick={() => onChange({ wheels: Object.fromEntries(WHEELS.map((wheel) => [wheel, 'forward'])) })}
        >
          All four turn forward
        </Button>
      </Row>
      <div className={fieldsCss.field}>
        <label htmlFor="noise">Noise</label>
        <Select
          id="noise"
          value={report.noise ?? ''}
          onChange={(event) =>
            onChange({ noise: event.target.value === '' ? undefined : (event.target.value as Noise) })
          }
        >
          <option value="">not listened to</option>
          {NOISES.map((noise) => (
            <option key={noise}>{noise}</option>
          ))}
        </Select>
      </div>
      <FreeMotors report={report} onChange={onChange} />
      <Temperatures report={report} onChange={onChange} timed={false} />
    </>
  );
}

/** Revolutions and current of each motor at full throttle, wheels in the air. */
function FreeMotors({ report, onChange }: SheetProps) {
  const { document } = useBuild();
  const places = motorPlaces(document.drive);
  const motors = report.motors ?? [];
  const heard = useInstruments();
  const [tachometer, meter] = [devicesOf(heard, 'tachometer')[0], devicesOf(heard, 'meter')[0]];
  const [typed, setTyped] = useState<Partial<Record<MotorPlace, Partial<FreeMotor>>>>({});
  const set = (place: MotorPlace, change: Partial<FreeMotor>) => {
    const { rpm, currentA } = { ...motors.find(({ id }) => id === place), ...typed[place], ...change };
    setTyped({ ...typed, [place]: { rpm, currentA } });
    const others = motors.filter(({ id }) => id !== place);
    const whole = rpm !== undefined && currentA !== undefined;
    const next = whole ? [...others, { id: place, rpm, currentA }] : others;
    onChange({ motors: next.length > 0 ? next : undefined });
  };
  return (
    <>
      <Typography component="p" variant="label" sx={{ mt: 1.25 }}>
        At full throttle, the wheels in the air
      </Typography>
      {places.map((place) => {
        const known = { ...typed[place], ...motors.find(({ id }) => id === place) };
        const name = firstUp(MOTOR_PLACE_NAMES[place]);
        return (
          <div key={place}>
            <QuantityField
              label={`${name} turns`}
              quantity="rpm"
              limits={{ above: 0, to: 500_000 }}
              example={16_000}
              value={known.rpm}
              onChange={(rpm) => set(place, { rpm })}
            />
            <QuantityField
              label={`${name} draws`}
              quantity="currentA"
              limits={{ from: 0, to: 1000 }}
              example={1.8}
              value={known.currentA}
              onChange={(currentA) => set(place, { currentA })}
            />
          </div>
        );
      })}
      <OffDevices title="Read the motors off devices">
        {tachometer || meter
          ? places.map((place) => (
              <Row key={place}>
                {firstUp(MOTOR_PLACE_NAMES[place])}:{' '}
                <TakeReading device={tachometer} field="rpm" onTake={(rpm) => set(place, { rpm })} />{' '}
                <TakeReading device={meter} field="a" onTake={(currentA) => set(place, { currentA })} />
              </Row>
            ))
          : null}
      </OffDevices>
    </>
  );
}

/** Where a reading starts until its own figure is typed. */
const USUAL_HOT_C = 40;

/** Readings of a probe, for an endurance run with the minutes. */
export function Temperatures({
  report,
  onChange,
  timed,
  nowMinutes,
}: SheetProps & { timed: boolean; nowMinutes?: number }) {
  const list = report.temperatures ?? [];
  const change = (id: string, with_: object) =>
    onChange({ temperatures: list.map((one) => (one.id === id ? { ...one, ...with_ } : one)) });
  const add = (place: HotPlace, valueC = USUAL_HOT_C, minutes = timed ? nowMinutes : undefined) =>
    onChange({
      temperatures: [
        ...list,
        {
          id: `t-${newId().slice(0, 8)}`,
          place,
          valueC,
          ...(minutes === undefined ? {} : { minutes: Number(minutes.toFixed(1)) }),
        },
      ],
    });
  return (
    <section aria-label="Temperatures">
      {list.map(({ id, place, valueC, minutes }) => (
        <Row sx={{ flexWrap: 'nowrap', alignItems: 'flex-end' }} key={id}>
          <Box sx={{ flex: 1 }}>
            <QuantityField
              label={`${place[0]!.toUpperCase()}${place.slice(1)}`}
              quantity="temperatureC"
              limits={{ from: -50, to: 400 }}
              value={valueC}
              onChange={(value) => {
                if (value !== undefined) change(id, { valueC: value });
              }}
            />
          </Box>
          {timed ? (
            <Box sx={{ flex: 1 }}>
              <QuantityField
                label="after"
                quantity="minutes"
                limits={{ from: 0, to: 10_000 }}
                value={minutes}
                onChange={(value) => change(id, { minutes: value })}
              />
            </Box>
          ) : null}
          <IconAct
            icon="takeOut"
            label={`Take the temperature of the ${place} out`}
            onClick={() => onChange({ temperatures: list.filter((one) => one.id !== id) })}
          />
        </Row>
      ))}
      <Row sx={{ mt: 0.75 }}>
        Probe on the{' '}
        {HOT_PLACES.map((place) => (
          <Button key={place} onClick={() => add(place)}>
            {place}
          </Button>
        ))}
      </Row>
      <TemperatureSeries onReading={add} />
    </section>
  );
}
