'use client';

import { USUAL_KERB_STOP_MM, USUAL_STOP_MM } from '@/core/car/document/suspension';
import { DocumentField, Group } from '../../fields/fields';

/** What the car lands from and runs into: the hardest loads on teeth, joints and axles. */
export function Knocks({ kerb = false }: { kerb?: boolean }) {
  return (
    <Group title="Hard knocks">
      <DocumentField path={['brief', 'dropHeightM']} example={0.25} />
      <DocumentField path={['suspension', 'stopMm']} usual={USUAL_STOP_MM} />
      {kerb ? (
        <>
          <DocumentField path={['brief', 'kerbMps']} example={1.5} />
          <DocumentField path={['suspension', 'kerbStopMm']} usual={USUAL_KERB_STOP_MM} />
        </>
      ) : null}
    </Group>
  );
}
