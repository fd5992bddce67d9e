'use client';

import {
  BODIES,
  calibrationFor,
  CYCLE_PRESETS,
  MOUNT_MATERIALS,
  PINION_JOINTS,
} from '@/core/car/document/heat';
import { HOUSING_NAMES, JOINT_NAMES, MOUNT_NAMES, PRESET_NAMES } from '@/core/car/labels/heatWords';
import { cycleOf } from '@/core/worked/heat/enduranceOfBuild';
import { HOUSINGS } from '@/core/physics/heat/thermalDefaults';
import { useBuild } from '../../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { Readings } from '../Readings';
import { Fields } from '../../frame/Guarded';

const heat = (key: string) => ['drive', 'heat', key];

/** How the pack is driven, how the motor is cooled, and what softens. */
export function HeatBench() {
  const { document, edit, closed } = useBuild();
  const { motor } = document.drive;
  const own = document.drive.heat ?? {};
  const usual = cycleOf({
    ...document,
    drive: {
      ...document.drive,
      heat: { ...own, cruiseMps: undefined, cruiseS: undefined, restS: undefined },
    },
  });
  const typed = own.cruiseMps !== undefined || own.cruiseS !== undefined || own.restS !== undefined;
  const choosePreset = (value: string) =>
    edit([
      { path: heat('preset'), value: value || undefined },
      ...['cruiseMps', 'cruiseS', 'restS'].map((key) => ({ path: heat(key), value: undefined })),
    ]);
  return (
    <Fields>
      <Group title="How the pack is driven" aside={typed ? 'your own figures' : undefined}>
        <div className="field">
          <label htmlFor="heat-preset">Driven</label>
          <select
            id="heat-preset"
            value={own.preset ?? 'steady'}
            disabled={closed}
            onChange={(event) => choosePreset(event.target.value)}
          >
            {CYCLE_PRESETS.map((preset) => (
              <option key={preset} value={preset}>
                {PRESET_NAMES[preset]}
              </option>
            ))}
          </select>
        </div>
        <DocumentField path={heat('cruiseMps')} usual={usual?.cruiseMps} digits={3} />
        <DocumentField path={heat('cruiseS')} usual={usual?.cruiseS} />
        <DocumentField path={heat('restS')} usual={usual?.restS} />
        <DocumentField path={heat('ambientC')} usual={25} />
      </Group>
      <Group
        title="Cooling, and what softens"
        aside={motor && calibrationFor(own, motor) ? 'calibrated' : 'first guesses'}
      >
        <DocumentChoice
          path={heat('housing')}
          label="Motor case"
          empty={`as it comes${motor ? ` (${HOUSING_NAMES[motor.housing ?? 'closed']})` : ''}`}
          options={HOUSINGS.map((one) => [one, HOUSING_NAMES[one]] as const)}
        />
        <DocumentChoice
          path={heat('body')}
          label="Body over it"
          empty="open"
          options={BODIES.map((one) => [one, one] as const)}
        />
        <DocumentChoice
          path={heat('pinionJoint')}
          empty="not said"
          options={PINION_JOINTS.map((one) => [one, JOINT_NAMES[one]] as const)}
        />
        <DocumentChoice
          path={heat('mountMaterial')}
          empty="not said"
          options={MOUNT_MATERIALS.map((one) => [one, MOUNT_NAMES[one]] as const)}
        />
        <DocumentField path={heat('windingLimitC')} usual={130} />
      </Group>
      <Readings />
      <p className="quiet" style={{ fontSize: 12 }}>
        A motor that has just run burns fingers and melts wires: measure with a probe, and let it cool before
        the next pack. Charge packs attended, in a fire-safe place. Local rules go before anything here.
      </p>
    </Fields>
  );
}
