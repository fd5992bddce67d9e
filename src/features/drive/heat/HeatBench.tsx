'use client';

import Typography from '@mui/material/Typography';
import { useReader } from '@/ui/reader';
import {
  calibrationFor,
  DUTIES,
  type Duty,
  MOUNT_MATERIALS,
  PINION_JOINTS,
  USUAL_DUTY,
} from '@/core/car/document/heat';
import { describeValue } from '@/words/labels/describe';
import { BODY_NAMES, DUTY_NAMES, HOUSING_NAMES } from '@/words/labels/heatWords';
import { USUAL_USABLE_SHARE } from '@/core/car/document/power';
import { cruiseMpsOf, USUAL_CRUISE_S, USUAL_REST_S } from '@/core/worked/heat/enduranceOfBuild';
import { CELL_REFERENCE_C } from '@/core/physics/motion/cell';
import { STYLES } from '@/core/physics/heat/trace';
import { BODIES } from '@/core/physics/cooling/airflow';
import { HOUSINGS } from '@/core/physics/heat/thermalDefaults';
import { useBuild } from '../../session/BuildContext';
import { DocumentChoice, DocumentField, Group } from '../../fields/fields';
import { CoolingParts } from './CoolingParts';
import { Readings } from '../Readings';
import { OwnTrack } from './OwnTrack';
import { Fields } from '../../frame/Guarded';

/** Ways of driving that are known by judgement alone. */
const SHARES_OF_TOP: ReadonlySet<Duty> = new Set(STYLES);

const heat = (key: string) => ['drive', 'heat', key];

/** How the pack is driven, how the motor is cooled, and what softens. */
export function HeatBench() {
  const { document } = useBuild();
  const { reader } = useReader();
  const { motor } = document.drive;
  const own = document.drive.heat ?? {};
  const duty = own.duty ?? USUAL_DUTY;
  return (
    <Fields>
      <Group
        title="How the pack is driven"
        aside={SHARES_OF_TOP.has(duty) ? 'shares of its top speed' : undefined}
      >
        <DocumentChoice
          path={heat('duty')}
          empty={DUTY_NAMES[USUAL_DUTY]}
          options={DUTIES.filter((one) => one !== USUAL_DUTY).map((one) => [one, DUTY_NAMES[one]] as const)}
        />
        {duty === 'cruise' ? (
          <>
            <DocumentField
              path={heat('cruiseMps')}
              usual={cruiseMpsOf({
                ...document,
                drive: { ...document.drive, heat: { ...own, cruiseMps: undefined } },
              })}
              digits={3}
            />
            <DocumentField path={heat('cruiseS')} usual={USUAL_CRUISE_S} />
            <DocumentField path={heat('restS')} usual={USUAL_REST_S} />
          </>
        ) : null}
        {duty === 'track' ? <OwnTrack /> : null}
        <DocumentField path={['power', 'usableShare']} usual={USUAL_USABLE_SHARE} />
        <DocumentField path={heat('ambientC')} usual={25} />
        <DocumentField path={['power', 'packC']} usual={CELL_REFERENCE_C} />
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
          options={BODIES.filter((one) => one !== 'open').map((one) => [one, BODY_NAMES[one]] as const)}
        />
        <CoolingParts />
        <DocumentChoice
          path={heat('pinionJoint')}
          empty="not said"
          options={PINION_JOINTS.map(
            (one) => [one, describeValue(heat('pinionJoint'), one, reader)] as const,
          )}
        />
        <DocumentChoice
          path={heat('mountMaterial')}
          empty="not said"
          options={MOUNT_MATERIALS.map(
            (one) => [one, describeValue(heat('mountMaterial'), one, reader)] as const,
          )}
        />
        <DocumentField path={heat('windingLimitC')} usual={130} />
      </Group>
      <Readings />
      <Typography variant="small" color="textSecondary">
        A motor that has just run burns fingers and melts wires: measure with a probe, and let it cool before
        the next pack. Charge packs attended, in a fire-safe place. Local rules go before anything here.
      </Typography>
    </Fields>
  );
}
