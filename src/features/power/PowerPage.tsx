'use client';

import { byUrgency } from '@/core/checks/evaluate';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../shell/BuildContext';
import { DocumentField, Group } from '../shell/fields';
import { LibraryPick } from '../shell/LibraryPick';
import { SegmentChecks } from '../shell/SegmentChecks';
import { SurfaceSwitch } from '../shell/SurfaceSwitch';
import { VoltsChart } from './VoltsChart';

/** Pack and controller against what the drive asks of them. */
export function PowerPage() {
  const { checks, document } = useBuild();
  const own = checks.filter(({ segment }) => segment === 'power');
  const bad = own.filter(({ state }) => state === 'over' || state === 'tight');
  const unknown = own.filter(({ state }) => state === 'unknown');
  const working = [...own].filter((check) => check.working.length > 0).sort(byUrgency)[0];
  const sentence = own.length === unknown.length
    ? `Not worked out yet: it needs ${[...new Set(unknown.flatMap(({ missing }) => missing))].join(', ')}.`
    : bad.length === 0 ? 'Pack and controller carry what the drive asks of them.' : bad.map(({ why }) => why).join(' ');
  return (
    <main className="page readfirst">
      <div className="bench">
        <Group title="Pack">
          <LibraryPick kind="battery" path={['power', 'battery']} copy={({ id, data }) => ({ libraryId: id, ...data })} />
          {document.power.battery ? <>
            <DocumentField path={['power', 'battery', 'cells']} />
            <DocumentField path={['power', 'battery', 'parallel']} />
            <DocumentField path={['power', 'battery', 'capacityMah']} />
            <DocumentField path={['power', 'battery', 'cellResistanceMilliOhm']} />
            <DocumentField path={['power', 'battery', 'maxDischargeC']} />
          </> : null}
          <DocumentField path={['power', 'cutoffVPerCell']} example={3.3} />
        </Group>
        <Group title="Controller">
          <LibraryPick kind="controller" path={['power', 'controller']} copy={({ id, data }) => ({ libraryId: id, ...data })} />
          {document.power.controller ? <>
            <DocumentField path={['power', 'controller', 'currentLimitA']} />
            <DocumentField path={['power', 'controller', 'continuousA']} />
            <DocumentField path={['power', 'controller', 'resistanceMilliOhm']} />
            <DocumentField path={['power', 'controller', 'maxV']} label="Highest voltage" />
          </> : null}
        </Group>
        <p className="note">Lithium packs: charge attended in a fire-safe place, store at storage voltage, never use a puffed or crashed one. Local rules go first.</p>
      </div>
      <div className="readings">
        <div className="ask"><h1 className="answer">{sentence}</h1><SurfaceSwitch /></div>
        <VoltsChart />
        <SegmentChecks segment="power" />
        <WorkingPanel fallback={working ? { title: working.title.toLowerCase(), steps: working.working } : undefined} />
      </div>
    </main>
  );
}
