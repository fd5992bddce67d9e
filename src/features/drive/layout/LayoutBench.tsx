'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Select } from '@/ui/controls/Select';
import { drivenOf, MOTOR_PLACES, motorsApart, sidesApart } from '@/core/car/document/drive';
import { motorsInAll } from '@/core/car/document/motors';
import { motorAxisOf, sidesAt } from '@/core/worked/drive/rotationOfBuild';
import { DIFFERENTIALS } from '@/core/physics/gears/differential';
import { MOTORS_AT_NAMES } from '@/words/labels/heatWords';
import { useBuild } from '../../session/BuildContext';
import { Choice, DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { OwnMotors } from './OwnMotors';
import { Stages } from '../gears/Stages';
import { Fields } from '../../frame/Guarded';

const KINDS = DIFFERENTIALS.map(
  (kind) => [kind, { open: 'open', limited: 'limited slip', locked: 'locked' }[kind]] as const,
);

/** Which axles are driven, by how many motors, over which gears, and what shares the torque. */
export function LayoutBench() {
  const { document, edit, closed } = useBuild();
  const { drive } = document;
  const axles = drivenOf(drive);
  const count = motorsInAll(drive);
  const apart = motorsApart(drive);
  const bevels = drive.stages.filter(({ kind }) => kind === 'bevel');
  const axis = motorAxisOf(drive);
  const leads = drive.motorsAt === 'wheel' ? 'motors\u2019 leads' : 'motor leads';
  return (
    <Fields>
      <Group title="Motors and axles" aside={`${count} ${count === 1 ? 'motor' : 'motors'}`}>
        <DocumentChoice
          path={['drive', 'drivenAxles']}
          label="Driven"
          options={[
            ['front', 'front axle'],
            ['rear', 'rear axle'],
            ['all', 'both axles'],
          ]}
        />
        <DocumentChoice
          path={['drive', 'motorsAt']}
          label="A motor for"
          empty={MOTORS_AT_NAMES.car}
          options={MOTOR_PLACES.filter((place) => place !== 'car').map(
            (place) => [place, MOTORS_AT_NAMES[place]] as const,
          )}
        />
        <DocumentField path={['drive', 'motorCount']} label="Motors at each place" usual={1} />
        {drive.motorsAt === 'wheel' ? (
          <DocumentChoice
            path={['drive', 'mounting']}
            label="Sitting"
            empty="on the chassis"
            options={[['wheel', 'in the wheels']]}
          />
        ) : null}
        <div className={fieldsCss.field}>
          <label htmlFor="layout-axis">Motor lies</label>
          <Select
            id="layout-axis"
            value={drive.motorAxis ?? ''}
            disabled={closed}
            onChange={(event) =>
              edit([{ path: ['drive', 'motorAxis'], value: event.target.value || undefined }])
            }
          >
            <option value="">
              {axis === 'x' ? 'along the car, by the gears' : 'across the car, by the gears'}
            </option>
            <option value="x">along the car</option>
            <option value="y">across the car</option>
          </Select>
        </div>
        <Leads
          path="reversed"
          label={apart && axles.includes('rear') && axles.length > 1 ? `Rear ${leads}` : 'Motor leads'}
        />
        {apart && axles.length > 1 ? <Leads path="frontReversed" label={`Front ${leads}`} /> : null}
        <DocumentChoice
          path={['drive', 'steering']}
          label="Turns by"
          empty="steered wheels"
          options={[['skid', 'driving the sides apart']]}
        />
      </Group>
      <OwnMotors />
      <Stages withAxle />
      {bevels.map((stage) =>
        axles
          .filter((axle) => stage.on === undefined || stage.on === axle)
          .map((axle) => {
            const sides = sidesAt(stage, axle);
            const set = (key: 'pinion' | 'ring', value: string) =>
              edit([{ path: ['drive', 'stages', stage.id, axle], value: { ...sides, [key]: value } }]);
            return (
              <Group key={`${stage.id}-${axle}`} title={`Bevel pair, ${axle} axle`}>
                <Choice
                  id={`${stage.id}-${axle}-pinion`}
                  label="Shaft along the car ends"
                  value={sides.pinion}
                  options={[
                    ['ahead', 'ahead of the axle'],
                    ['behind', 'behind the axle'],
                  ]}
                  disabled={closed}
                  onChange={(value) => set('pinion', value)}
                />
                <Choice
                  id={`${stage.id}-${axle}-ring`}
                  label="Ring gear sits"
                  value={sides.ring}
                  options={[
                    ['left', 'left of the shaft'],
                    ['right', 'right of the shaft'],
                  ]}
                  disabled={closed}
                  onChange={(value) => set('ring', value)}
                />
              </Group>
            );
          }),
      )}
      <Group title={sidesApart(drive) ? 'Clutch' : 'Differentials and clutch'}>
        {sidesApart(drive)
          ? null
          : axles.map((axle) => (
              <DocumentChoice
                key={axle}
                path={['drive', `${axle}Differential`]}
                label={`${axle === 'front' ? 'Front' : 'Rear'} axle`}
                empty="open"
                options={KINDS.filter(([kind]) => kind !== 'open')}
              />
            ))}
        {!sidesApart(drive) && [drive.frontDifferential, drive.rearDifferential].includes('limited') ? (
          <DocumentField path={['drive', 'biasRatio']} usual={2.5} />
        ) : null}
        <DocumentField path={['drive', 'clutchNm']} label="Slip clutch at the motor" />
      </Group>
      <Typography variant="small" color="textSecondary">
        Check every wheel&rsquo;s direction with the car on a stand, wheels off the ground, hands and sleeves
        away. Local rules go before anything here.
      </Typography>
    </Fields>
  );
}

function Leads({ path, label }: { path: 'reversed' | 'frontReversed'; label: string }) {
  const { document, edit, closed } = useBuild();
  return (
    <Choice
      id={`layout-${path}`}
      label={label}
      value={document.drive[path] ? 'swapped' : 'right'}
      options={[
        ['right', 'roll forward'],
        ['swapped', 'swapped'],
      ]}
      disabled={closed}
      onChange={(value) => edit([{ path: ['drive', path], value: value === 'swapped' ? true : undefined }])}
    />
  );
}
