import fieldsCss from '@/ui/fields.module.css';
import { Row } from '@/ui/layout/Row';
import Typography from '@mui/material/Typography';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { Tick } from '@/ui/controls/Tick';
import Button from '@mui/material/Button';
import { useId, useState } from 'react';
import type { TyreSpin } from '@/core/car/records/benchReport';
import { formatText } from '@/core/base/units/formatQuantity';
import { SPIN_OUTCOMES, type SpinOutcome } from '@/core/physics/tyres/tyreFit';
import { tyreSpin } from '@/core/physics/tyres/tyreSpin';
import { makeOf } from '@/core/worked/tyres/tyreMake';
import { tyreForBench } from '@/core/worked/bench/constructions';
import { QuantityField } from '@/ui/QuantityField';
import { useReader } from '@/ui/reader';
import { SPIN_OUTCOME_WORDS } from '@/words/labels/tyres';
import { Choice } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';
import { Instruments, TakeReading } from '../instruments/Instruments';
import { SpinByItself } from '../instruments/SpinByItself';
import { PhotoDiameter } from './PhotoDiameter';
import { SpunTyreFields } from './SpunTyreFields';
import { fresh, type SheetProps } from './Tried';

/** A tyre spun up behind a shield: its diameter at each speed, and what became of it. */
export function TyreSpinSheet({ report, onChange }: SheetProps) {
  const { document } = useBuild();
  const id = useId();
  const list = report.spins ?? [];
  const [rpm, setRpm] = useState<number>();
  const [diameterMm, setDiameter] = useState<number>();
  const [outcome, setOutcome] = useState<SpinOutcome>();
  const { reader } = useReader();
  const tyre = report.spunTyre ?? tyreForBench(document, 'rear');
  const make = tyre ? makeOf(tyre.kind, tyre.radiusMm, tyre.hold) : undefined;
  const energyJ = make?.ok && rpm ? tyreSpin({ ...make.value, rpm }).storedEnergyJ : undefined;
  const ready = rpm !== undefined && (diameterMm !== undefined || (outcome !== undefined && rpm > 0));
  const add = (reading: Omit<TyreSpin, 'id'>) =>
    onChange({
      ...(report.spunTyre || !tyre ? {} : { spunTyre: tyre }),
      spins: [...list, { id: fresh('spin'), ...reading }],
    });
  return (
    <>
      <Note tone="bad">
        A tyre that bursts throws its pieces through the plane of the wheel
        {energyJ === undefined
          ? ''
          : `, at this speed with up to ${formatText(energyJ, 'energyJ', reader, 2)}`}
        . Spin it behind a shield, from a distance, with nobody in that plane. Local rules go first.
      </Note>
      <Row as="label" sx={{ flexWrap: 'nowrap', my: 1 }}>
        <Tick
          checked={report.shielded === true}
          onChange={(event) => onChange({ shielded: event.target.checked || undefined })}
        />{' '}
        The shield stands, nobody is in the plane of the wheel
      </Row>
      {tyre ? <SpunTyreFields tyre={tyre} onChange={(spunTyre) => onChange({ spunTyre })} /> : null}
      {make && !make.ok ? <Note>Say the rest of how it is held, and its growth is compared.</Note> : null}
      {list.map(({ id: own, rpm: speed, diameterMm: across, outcome: end }) => (
        <div key={own} className={fieldsCss.field}>
          <span>{formatText(speed, 'rpm', reader, 5)}</span>
          <Typography variant="reading">
            {across === undefined ? '' : formatText(across, 'lengthMm', reader, 4)}{' '}
            {end ? SPIN_OUTCOME_WORDS[end] : ''}{' '}
            <IconAct
              icon="takeOut"
              label="Take this reading out"
              onClick={() => onChange({ spins: list.filter((one) => one.id !== own) })}
            />
          </Typography>
        </div>
      ))}
      {report.shielded ? (
        <Instruments kind="tachometer">
          {(device) => (
            <>
              <TakeReading device={device} field="rpm" onTake={setRpm} />
              <SpinByItself onReading={(held) => add(held)} />
            </>
          )}
        </Instruments>
      ) : null}
      <form
        key={list.length}
        onSubmit={(event) => {
          event.preventDefault();
          if (!ready) return;
          add({
            rpm,
            ...(diameterMm === undefined ? {} : { diameterMm }),
            ...(outcome === undefined ? {} : { outcome }),
          });
          setRpm(undefined);
          setDiameter(undefined);
          setOutcome(undefined);
        }}
      >
        <QuantityField
          label="Wheel turns"
          quantity="rpm"
          digits={5}
          limits={{ from: 0, to: 500000 }}
          value={rpm}
          onChange={setRpm}
          disabled={!report.shielded}
        />
        <QuantityField
          label="Diameter then"
          quantity="lengthMm"
          digits={4}
          limits={{ above: 0, to: 2000 }}
          value={diameterMm}
          onChange={setDiameter}
          disabled={!report.shielded}
        />
        <Choice
          id={`${id}-outcome`}
          label="What became of it"
          value={outcome ?? ''}
          disabled={!report.shielded}
          options={[
            ['', 'only read'],
            ...SPIN_OUTCOMES.map((one) => [one, SPIN_OUTCOME_WORDS[one]] as const),
          ]}
          onChange={(value) => setOutcome(value === '' ? undefined : (value as SpinOutcome))}
        />
        {report.shielded ? <PhotoDiameter onRead={setDiameter} /> : null}
        <Button size="large" type="submit" disabled={!ready}>
          Add the reading
        </Button>
      </form>
    </>
  );
}
