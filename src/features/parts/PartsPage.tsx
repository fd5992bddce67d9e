'use client';

import clsx from 'clsx';
import frameCss from '@/ui/layout/frame.module.css';
import { useState } from 'react';
import Typography from '@mui/material/Typography';
import { say } from '@/words/findings';
import { useReader } from '@/ui/reader';
import { inSentence } from '@/core/base/units/words';
import { checkTitle } from '@/words/checks/names';
import { stepsOf } from '@/words/workings';
import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import { familyOf } from '@/core/verdict/engine/family';
import { byUrgency } from '@/core/verdict/states';
import { WorkingPanel } from '@/ui/working';
import { useBuild, useBuildChecks } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { SurfaceSwitch } from '../frame/SurfaceSwitch';
import { Bench, Readings } from '../frame/Guarded';
import { ArmGives } from './ArmGives';
import { DrawnHoles } from './mesh/DrawnHoles';
import { LightestPart } from './LightestPart';
import { MarginChart } from './MarginChart';
import { PartAnswer } from './PartAnswer';
import { PartBench } from './PartBench';
import { PartLoads } from './PartLoads';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';
import { StiffOrTough } from './StiffOrTough';
import { Ask } from '../frame/Ask';

const MadeSide = dynamic(() => import('./made/MadeSide').then(({ MadeSide: Side }) => Side));
const MeshSide = dynamic(() => import('./mesh/MeshSide').then(({ MeshSide: Side }) => Side));

/** What breaks first, at what load, in the layers or between them, and what to do about it. */
export function PartsPage() {
  const { reader } = useReader();
  const { document } = useBuild();
  const checks = useBuildChecks();
  const { side, show } = useSide('parts');
  const [kept, keep] = useState<string>();
  const partId = useSearchParams().get('part') ?? kept;
  const all = checks.filter(({ segment }) => segment === 'parts').sort(byUrgency);
  const own = all.filter(({ id }) => familyOf(id) === 'parts');
  const links = all.filter(({ id }) => familyOf(id) === 'links');
  const screws = all.filter(({ id }) => familyOf(id) === 'fasteners');
  const weakest = own.find(({ state }) => state !== 'unknown') ?? own[0];
  const chosenId = document.parts.items.some(({ id }) => id === partId)
    ? partId
    : (weakest?.id.slice('parts.'.length) ?? document.parts.items[0]?.id);
  const part = document.parts.items.find(({ id }) => id === chosenId);
  const check = own.find(({ id }) => id === `parts.${chosenId}`);
  const weaker = links.find(({ margin = Infinity }) => margin < (weakest?.margin ?? -Infinity));
  // a part that is being looked into stays, whichever becomes the weakest meanwhile
  const hold = () => {
    if (!part || partId === part.id) return;
    // the address follows later than the next key
    keep(part.id);
    show(side, { part: part.id });
  };
  return (
    <main
      className={clsx(frameCss.page, frameCss.readfirst)}
      onFocusCapture={hold}
      onPointerDownCapture={hold}
    >
      <Bench>
        <PartBench part={part} drawn={side === 'made'} onChoose={(next) => show(side, { part: next })} />
      </Bench>
      <Readings>
        {part ? (
          <SegmentSides
            segment="parts"
            label="Depths of the parts"
            shown={side}
            onShow={(next) => show(next, { part: part.id })}
          />
        ) : null}
        {side === 'made' ? null : (
          <Ask>
            <PartAnswer weakest={weakest} />
            {own.length > 0 ? <SurfaceSwitch /> : null}
          </Ask>
        )}
        {weaker?.finding && side !== 'made' ? (
          <Typography data-testid="weaker-link">
            A link is weaker still. {say(weaker.finding, reader)}
          </Typography>
        ) : null}
        {side === 'mesh' && part ? (
          <MeshSide key={part.id} part={part} />
        ) : side === 'made' && part ? (
          <MadeSide key={part.id} part={part} />
        ) : (
          <>
            <MarginChart checks={own} chosen={chosenId} onChoose={(next) => show(side, { part: next })} />
            {part ? <PartLoads part={part} state={check?.state ?? 'unknown'} /> : null}
          </>
        )}
        {check ? <SegmentChecks segment="parts" only={[check.id]} /> : null}
        {side === 'few' && links.length + screws.length > 0 ? (
          <SegmentChecks segment="parts" only={[...screws, ...links].map(({ id }) => id)} />
        ) : null}
        {part && side === 'few' ? <DrawnHoles part={part} /> : null}
        {part && side === 'few' ? <StiffOrTough part={part} /> : null}
        {part?.shape?.as === 'beam' && side !== 'mesh' ? <LightestPart part={part} /> : null}
        {part?.kind === 'arm' && side === 'few' ? <ArmGives part={part} /> : null}
        <WorkingPanel
          fallback={
            check?.working
              ? { title: inSentence(checkTitle(check)), steps: stepsOf(check.working, reader) }
              : undefined
          }
        />
      </Readings>
    </main>
  );
}
