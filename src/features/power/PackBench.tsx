'use client';

import { Note } from '@/ui/controls/Note';
import { useBuild } from '../session/BuildContext';
import { type ChosenController, MOTOR_KINDS, USUAL_USABLE_SHARE } from '@/core/car/document/power';
import { controllerSides } from '@/core/physics/cooling/controllerCooling';
import { motorsInAll } from '@/core/car/document/motors';
import { MOTOR_KIND_NAMES } from '@/words/labels/heatWords';
import { Choice, DocumentChoice, DocumentField, Group } from '../fields/fields';
import { LibraryPick } from '../fields/LibraryPick';
import { Fields } from '../frame/Guarded';

/** Pack and controller with their figures. */
export function PackBench() {
  const { document } = useBuild();
  return (
    <Fields>
      <Group title="Pack">
        <LibraryPick
          kind="battery"
          path={['power', 'battery']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        {document.power.battery ? (
          <>
            <DocumentField path={['power', 'packs']} usual={1} />
            <DocumentField path={['power', 'battery', 'cells']} />
            <DocumentField path={['power', 'battery', 'parallel']} />
            <DocumentField path={['power', 'battery', 'capacityMah']} />
            <DocumentField path={['power', 'battery', 'cellResistanceMilliOhm']} />
            <DocumentField path={['power', 'battery', 'maxDischargeC']} />
          </>
        ) : null}
        <DocumentField path={['power', 'cutoffVPerCell']} example={3.3} />
        <DocumentField path={['power', 'usableShare']} usual={USUAL_USABLE_SHARE} />
      </Group>
      <Group title="Controller">
        <LibraryPick
          kind="controller"
          path={['power', 'controller']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        {document.power.controller ? (
          <>
            <DocumentChoice
              path={['power', 'controller', 'kind']}
              label="Kind"
              empty="not said"
              options={MOTOR_KINDS.map((one) => [one, MOTOR_KIND_NAMES[one]] as const)}
            />
            {motorsInAll(document.drive) > 1 ? (
              <DocumentField path={['power', 'motorsPerController']} usual={1} />
            ) : null}
            <DocumentField
              path={['power', 'controller', 'currentLimitA']}
              label={document.power.controller.limitsCurrent === false ? 'Peak current' : undefined}
            />
            <Limits />
            <DocumentField path={['power', 'controller', 'continuousA']} />
            <DocumentField path={['power', 'controller', 'resistanceMilliOhm']} />
            <DocumentField path={['power', 'controller', 'maxV']} label="Highest voltage" />
            <ControllerSides controller={document.power.controller} />
          </>
        ) : null}
      </Group>
      <PackCaution />
    </Fields>
  );
}

/** Its box, which gives off its heat; as one of its mass has it where it is not said. */
function ControllerSides({ controller }: { controller: ChosenController }) {
  const usual = controllerSides({ massG: controller.massG });
  return (['lengthMm', 'widthMm', 'heightMm'] as const).map((key) => (
    <DocumentField key={key} path={['power', 'controller', key]} usual={usual[key]} digits={2} />
  ));
}

function Limits() {
  const { document, edit, closed } = useBuild();
  const limits = document.power.controller?.limitsCurrent ?? true;
  return (
    <Choice
      id="controller-limits"
      label="Limits the current"
      value={limits ? 'yes' : 'no'}
      options={[
        ['yes', 'at its peak'],
        ['no', 'it does not'],
      ]}
      disabled={closed}
      onChange={(value) =>
        edit([{ path: ['power', 'controller', 'limitsCurrent'], value: value === 'no' ? false : undefined }])
      }
    />
  );
}

export const PackCaution = () => (
  <Note>
    Lithium packs: charge attended in a fire-safe place, store at storage voltage, never use a puffed or
    crashed one. Local rules go first.
  </Note>
);
