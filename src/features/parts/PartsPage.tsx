'use client';

import dynamic from 'next/dynamic';
import { byUrgency } from '@/core/checks/evaluate';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { SurfaceSwitch } from '../frame/SurfaceSwitch';
import { Bench, Readings } from '../frame/Guarded';
import { ArmGives } from './ArmGives';
import { DrawnHoles } from './DrawnHoles';
import { MarginChart } from './MarginChart';
import { PartAnswer } from './PartAnswer';
import { PartBench } from './PartBench';
import { PartLoads } from './PartLoads';
import { PARTS_TAB_NAMES, PARTS_TABS, usePartsTab } from './partsTab';
import { StiffOrTough } from './StiffOrTough';

const MeshSide = dynamic(() => import('./MeshSide').then(({ MeshSide: Side }) => Side));

/** What breaks first, at what load, in the layers or between them, and what to do about it. */
export function PartsPage() {
  const { document, checks } = useBuild();
  const { tab, partId, show } = usePartsTab();
  const own = checks.filter(({ segment }) => segment === 'parts').sort(byUrgency);
  const weakest = own.find(({ state }) => state !== 'unknown') ?? own[0];
  const chosenId = document.parts.items.some(({ id }) => id === partId)
    ? partId
    : (weakest?.id.slice('parts.'.length) ?? document.parts.items[0]?.id);
  const part = document.parts.items.find(({ id }) => id === chosenId);
  const check = own.find(({ id }) => id === `parts.${chosenId}`);
  // a part that is being looked into stays, whichever becomes the weakest meanwhile
  const hold = () => {
    if (part && partId !== part.id) show({ partId: part.id });
  };
  return (
    <main className="page readfirst" onFocusCapture={hold} onPointerDownCapture={hold}>
      <Bench>
        <PartBench part={part} onChoose={(next) => show({ partId: next })} />
      </Bench>
      <Readings>
        {part ? (
          <div className="tabbar">
            <div className="tabs" role="group" aria-label="Depths of the parts">
              {PARTS_TABS.map((one) => (
                <button
                  key={one}
                  type="button"
                  aria-pressed={tab === one}
                  onClick={() => show({ tab: one, partId: part.id })}
                >
                  {PARTS_TAB_NAMES[one]}
                </button>
              ))}
            </div>
          </div>
        ) : null}
        <div className="ask">
          <PartAnswer weakest={weakest} />
          {own.length > 0 ? <SurfaceSwitch /> : null}
        </div>
        {tab === 'mesh' && part ? (
          <MeshSide key={part.id} part={part} />
        ) : (
          <>
            <MarginChart checks={own} chosen={chosenId} onChoose={(next) => show({ partId: next })} />
            {part ? <PartLoads part={part} /> : null}
          </>
        )}
        {check ? <SegmentChecks segment="parts" only={[check.id]} /> : null}
        {part && tab === 'few' ? <DrawnHoles part={part} /> : null}
        {part && tab === 'few' ? <StiffOrTough part={part} /> : null}
        {part?.kind === 'arm' && tab === 'few' ? <ArmGives part={part} /> : null}
        <WorkingPanel
          fallback={
            check && check.working.length > 0
              ? { title: check.title.toLowerCase(), steps: check.working }
              : undefined
          }
        />
      </Readings>
    </main>
  );
}
