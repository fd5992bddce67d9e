'use client';

import { useBuild } from '../session/BuildContext';
import { DocumentField, Group } from '../fields/fields';
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
            <DocumentField path={['power', 'battery', 'cells']} />
            <DocumentField path={['power', 'battery', 'parallel']} />
            <DocumentField path={['power', 'battery', 'capacityMah']} />
            <DocumentField path={['power', 'battery', 'cellResistanceMilliOhm']} />
            <DocumentField path={['power', 'battery', 'maxDischargeC']} />
          </>
        ) : null}
        <DocumentField path={['power', 'cutoffVPerCell']} example={3.3} />
      </Group>
      <Group title="Controller">
        <LibraryPick
          kind="controller"
          path={['power', 'controller']}
          copy={({ id, data }) => ({ libraryId: id, ...data })}
        />
        {document.power.controller ? (
          <>
            <DocumentField path={['power', 'controller', 'currentLimitA']} />
            <DocumentField path={['power', 'controller', 'continuousA']} />
            <DocumentField path={['power', 'controller', 'resistanceMilliOhm']} />
            <DocumentField path={['power', 'controller', 'maxV']} label="Highest voltage" />
          </>
        ) : null}
      </Group>
      <PackCaution />
    </Fields>
  );
}

export const PackCaution = () => (
  <p className="note">
    Lithium packs: charge attended in a fire-safe place, store at storage voltage, never use a puffed or
    crashed one. Local rules go first.
  </p>
);
