'use client';

import Typography from '@mui/material/Typography';
import { USUAL_BESIDE_M, USUAL_MARGINS } from '@/core/worked/place/placeOfBuild';
import { USUAL_COAST_S, USUAL_MOTOR_SHARE } from '@/core/worked/track/brakesOfBuild';
import { Note } from '@/ui/controls/Note';
import { DocumentField, Group } from '../../fields/fields';
import { Fields } from '../../frame/Guarded';
import { useBuild } from '../../session/BuildContext';

const place = (key: string) => ['brief', 'place', key];
const brakes = (key: string) => ['drive', 'brakes', key];

/** Where it is driven at speed, and how it is slowed. */
export function PlaceBench() {
  const { document } = useBuild();
  const { lengthM } = document.brief.place ?? {};
  return (
    <Fields>
      <Group title="The place">
        <DocumentField path={place('lengthM')} example={60} />
        <DocumentField path={place('widthM')} example={6} />
        <DocumentField path={place('marginStartM')} usual={USUAL_MARGINS.startM} />
        <DocumentField path={place('marginEndM')} usual={USUAL_MARGINS.endM} />
        <DocumentField path={place('marginSideM')} usual={USUAL_MARGINS.sideM} />
        <DocumentField path={place('windMps')} usual={0} />
      </Group>
      <Group title="Where you stand">
        <DocumentField
          path={place('driverAlongM')}
          {...(lengthM === undefined ? {} : { usual: lengthM / 2 })}
        />
        <DocumentField path={place('driverBesideM')} usual={USUAL_BESIDE_M} />
        <DocumentField path={place('radioRangeM')} example={150} />
      </Group>
      <Group title="Brakes">
        <DocumentField path={brakes('motorShare')} usual={USUAL_MOTOR_SHARE} />
        <DocumentField path={brakes('dragShare')} usual={0} />
        <DocumentField path={brakes('mechanicalFrontNm')} usual={0} />
        <DocumentField path={brakes('mechanicalRearNm')} usual={0} />
        <DocumentField path={brakes('coastS')} usual={USUAL_COAST_S} />
        <Typography variant="small" color="textSecondary" sx={{ mt: 0.75 }}>
          Shares are of the controller’s current limit. The driver eases off before a wheel locks.
        </Typography>
      </Group>
      <Note>
        Fast passes only on closed ground with nobody in line with the car, a spotter beside you, the
        fail-safe tried with the wheels off the ground. Local rules go first.
      </Note>
    </Fields>
  );
}
