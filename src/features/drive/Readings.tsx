'use client';

import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import Button from '@mui/material/Button';
import { needNames } from '@/words/needs';
import { useState } from 'react';
import { calibrationFor, type HeatReading } from '@/core/car/document/heat';
import { thermalOf } from '@/core/worked/heat/thermalOfBuild';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { QuantityField } from '@/ui/QuantityField';
import { newId } from '../api';
import { useBuild } from '../session/BuildContext';
import { Group } from '../fields/fields';
import { workerOf } from '@/workers/clients';
import { refusalText } from '@/words/refusals/problemOf';
import { say } from '@/words/findings';

const PATH = ['drive', 'heat', 'readings'];

/** Measured case temperatures, and what they make of the first guess. */
export function Readings() {
  const { document, surface, edit, closed } = useBuild();
  const { reader } = useReader();
  const [minutes, setMinutes] = useState<number>();
  const [caseC, setCaseC] = useState<number>();
  const [said, setSaid] = useState<string>();
  const { motor, heat } = document.drive;
  if (!motor) return null;
  const readings = heat?.readings ?? [];
  const calibration = calibrationFor(heat, motor);
  const guess = thermalOf(
    { ...document.drive, heat: { ...heat, calibration: undefined } },
    motor,
  ).caseToAmbientKPerW;
  const keep = (next: readonly HeatReading[]) =>
    edit([{ path: PATH, value: next.length === 0 ? undefined : next }]);
  const add = () => {
    if (minutes === undefined || caseC === undefined)
      return setSaid('Give the minutes driven and the temperature of the case.');
    keep([...readings, { id: `reading-${newId().slice(0, 8)}`, minutes, caseC }]);
    setMinutes(undefined);
    setCaseC(undefined);
    setSaid(undefined);
  };
  const calibrate = async () => {
    if (!surface) return;
    const found = await workerOf('drive').calibrate(document, surface);
    if ('refused' in found) return setSaid(`${refusalText(found.refused, reader)}`);
    if (!found.ok) return setSaid(`Needs ${needNames(found.missing)} first.`);
    const { notes, ...value } = found.value;
    edit([{ path: ['drive', 'heat', 'calibration'], value }]);
    setSaid(notes[0] && say(notes[0], reader));
  };
  return (
    <Group
      title="Measured at the motor case"
      aside={readings.length === 0 ? 'none yet' : `${readings.length}`}
    >
      {readings.map((reading) => (
        <div key={reading.id} className={fieldsCss.field}>
          <span>after {formatText(reading.minutes, 'minutes', reader)}</span>
          <span className={fieldsCss.entry}>
            <Typography variant="reading">{formatText(reading.caseC, 'temperatureC', reader)}</Typography>
            <IconAct
              icon="takeOut"
              disabled={closed}
              label={`Take the reading after ${formatNumber(reading.minutes, reader.locale)} minutes out`}
              onClick={() => keep(readings.filter(({ id }) => id !== reading.id))}
            />
          </span>
        </div>
      ))}
      {closed ? null : (
        <form
          aria-label="New reading"
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <QuantityField
            label="Driven for"
            quantity="minutes"
            value={minutes}
            limits={{ above: 0, to: 120 }}
            example={10}
            onChange={setMinutes}
          />
          <QuantityField
            label="Case reads"
            quantity="temperatureC"
            value={caseC}
            limits={{ from: -50, to: 400 }}
            example={62}
            onChange={setCaseC}
          />
          <Row sx={{ mt: 0.75 }}>
            <Button type="submit">Add reading</Button>
            <Button variant="contained" disabled={readings.length === 0} onClick={() => void calibrate()}>
              Calibrate
            </Button>
            {calibration ? (
              <Button
                variant="link"
                onClick={() => edit([{ path: ['drive', 'heat', 'calibration'], value: undefined }])}
              >
                back to the first guess
              </Button>
            ) : null}
          </Row>
        </form>
      )}
      {said ? (
        <Typography color="textSecondary" sx={{ mt: 0.5 }} role="alert">
          {said}
        </Typography>
      ) : null}
      <Typography variant="small" color="textSecondary" sx={{ mt: 0.5 }} data-testid="cooling">
        {calibration
          ? `Calibrated: ${formatNumber(guess * calibration.factor, reader.locale, 3)} K/W from case to air, the first guess was ${formatNumber(guess, reader.locale, 3)}. The readings are met within ${formatNumber(calibration.residualC, reader.locale, 2)} K.`
          : `First guess: ${formatNumber(guess, reader.locale, 3)} K/W from case to air, from the motor's size. Two readings, early and late in the pack, make it yours.`}
      </Typography>
    </Group>
  );
}
