'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import { TextInput } from '@/ui/controls/TextInput';
import fieldsCss from '@/ui/fields.module.css';
import { valueAt } from '@/core/base/patch';
import type { OwnMotor } from '@/core/car/document/drive';
import { motorPlaces } from '@/core/car/document/motors';
import { freeMotors } from '@/core/worked/field/freeMotors';
import { Fold } from '@/ui/controls/Fold';
import { useReader } from '@/ui/reader';
import { freeMotorWords } from '@/words/driving/motors';
import { MOTOR_PLACE_NAMES } from '@/words/labels/heatWords';
import { firstUp } from '@/words/lists';
import { DocumentField, Group } from '../../fields/fields';
import { useBuild } from '../../session/BuildContext';

const OWN = ['drive', 'ownMotors'];

/** Figures of each of several motors where they are not alike, and what the last bench run found of them. */
export function OwnMotors() {
  const { document, edit, closed, runs, revision } = useBuild();
  const { reader } = useReader();
  const { drive } = document;
  const { motor, ownMotors } = drive;
  const { controller } = document.power;
  const places = motorPlaces(drive);
  if (places.length < 2 || !motor) return null;
  const bench = runs.filter(({ report, revisionId }) => report?.motors && revisionId === revision.id).at(-1);
  const found = bench ? freeMotors(bench).filter(({ place }) => places.includes(place)) : [];
  const take = () => {
    const own = new Map((ownMotors ?? []).map((one) => [one.id, one]));
    for (const { place, kvRpmPerV, noLoadCurrentA } of found)
      own.set(place, { ...own.get(place), id: place, kvRpmPerV, noLoadCurrentA } satisfies OwnMotor);
    edit([{ path: OWN, value: [...own.values()] }]);
  };
  return (
    <Group title="Figures of each motor" aside={ownMotors?.length ? 'unlike' : 'alike'}>
      {ownMotors ? (
        places.map((place) => (
          <Fold
            key={place}
            title={firstUp(MOTOR_PLACE_NAMES[place])}
            open={ownMotors.some(({ id }) => id === place)}
          >
            <Named path={[...OWN, place, 'name']} label="Called" usual={motor.name} />
            <DocumentField path={[...OWN, place, 'kvRpmPerV']} usual={motor.kvRpmPerV} digits={4} />
            <DocumentField path={[...OWN, place, 'resistanceMilliOhm']} usual={motor.resistanceMilliOhm} />
            <DocumentField path={[...OWN, place, 'noLoadCurrentA']} usual={motor.noLoadCurrentA} />
            <DocumentField path={[...OWN, place, 'massG']} usual={motor.massG} />
            <Named
              path={[...OWN, place, 'controllerName']}
              label="Controller called"
              usual={controller?.name}
            />
            <DocumentField path={[...OWN, place, 'controllerMassG']} usual={controller?.massG} />
            <DocumentField path={[...OWN, place, 'controllerLimitA']} usual={controller?.currentLimitA} />
            <DocumentField
              path={[...OWN, place, 'controllerMilliOhm']}
              usual={controller?.resistanceMilliOhm}
            />
          </Fold>
        ))
      ) : closed ? null : (
        <Button onClick={() => edit([{ path: OWN, value: [] }])}>Give each figures of its own</Button>
      )}
      {found.map((one) => (
        <Typography key={one.place} variant="small" data-testid={`free-${one.place}`}>
          {freeMotorWords(one, reader)}.
        </Typography>
      ))}
      {found.length > 0 && !closed ? (
        <Button onClick={take}>Take the figures of the bench run over</Button>
      ) : (
        <Typography variant="small" color="textSecondary">
          A bench run with the revolutions and the current of each motor tells them apart.
        </Typography>
      )}
    </Group>
  );
}

/** What a motor or its controller is called where it is another one. */
function Named({ path, label, usual }: { path: readonly string[]; label: string; usual?: string }) {
  const { document, edit, session, closed } = useBuild();
  const id = useId();
  const name = valueAt(document, path);
  return (
    <div className={fieldsCss.field} data-path={path.join('.')}>
      <label htmlFor={id}>{label}</label>
      <TextInput
        id={id}
        value={typeof name === 'string' ? name : ''}
        placeholder={usual}
        maxLength={80}
        disabled={closed}
        onChange={({ target }) => edit([{ path, value: target.value || undefined }], path.join('.'))}
        onBlur={() => session.endStep()}
      />
    </div>
  );
}
