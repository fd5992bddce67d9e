import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { Tick } from '@/ui/controls/Tick';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { formatText } from '@/core/base/units/formatQuantity';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { fresh, type SheetProps } from './Tried';

/** A tyre spun up: its diameter at each speed, behind a shield. */
export function TyreSpinSheet({ report, onChange }: SheetProps) {
  const list = report.spins ?? [];
  const [rpm, setRpm] = useState<number>();
  const [diameterMm, setDiameter] = useState<number>();
  const { reader } = useReader();
  return (
    <>
      <Note tone="bad">
        A tyre that bursts throws its pieces through the plane of the wheel. Spin it behind a shield, from a
        distance, with nobody in that plane.
      </Note>
      <Row as="label">
        <Tick
          checked={report.shielded === true}
          onChange={(event) => onChange({ shielded: event.target.checked || undefined })}
        />{' '}
        The shield stands, nobody is in the plane of the wheel
      </Row>
      {list.map(({ id, rpm: speed, diameterMm: across }) => (
        <div key={id} className={fieldsCss.field}>
          <span>{formatText(speed, 'rpm', reader)}</span>
          <Typography variant="reading">
            {formatText(across, 'lengthMm', reader, 4)}{' '}
            <IconAct
              icon="takeOut"
              label="Take this reading out"
              onClick={() => onChange({ spins: list.filter((one) => one.id !== id) })}
            />
          </Typography>
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
          limits={{ from: 0, to: 500000 }}
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
        <Button size="large" type="submit" disabled={rpm === undefined || diameterMm === undefined}>
          Add the reading
        </Button>
      </form>
    </>
  );
}
