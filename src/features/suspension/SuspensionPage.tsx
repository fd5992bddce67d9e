'use client';

import { Page } from '@/ui/layout/Page';
import frameCss from '@/ui/layout/frame.module.css';
import { Hidden } from '@/ui/layout/Hidden';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { useReader } from '@/ui/reader';
import { inSentence } from '@/core/base/units/words';
import { checkTitle } from '@/words/checks/names';
import { stepsOf } from '@/words/workings';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { End } from '@/core/car/document/suspension';
import type { Check } from '@/core/verdict/engine/check';
import { byUrgency } from '@/core/verdict/states';
import { StateMark } from '@/ui/StateMark';
import { STATE_WORDS } from '@/words/states';
import { WorkingPanel } from '@/ui/working';
import { useBuildChecks } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { CornerSide } from './corner/CornerSide';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';

const BetterSide = dynamic(() => import('./BetterSide').then(({ BetterSide: Side }) => Side));
const RideSide = dynamic(() => import('./RideSide').then(({ RideSide: Side }) => Side));
const ForcesSide = dynamic(() => import('./forces/ForcesSide').then(({ ForcesSide: Side }) => Side));
const SteeringSide = dynamic(() => import('./SteeringSide').then(({ SteeringSide: Side }) => Side));
const AidsSide = dynamic(() => import('./aids/AidsSide').then(({ AidsSide: Side }) => Side));
const PlaySide = dynamic(() => import('./PlaySide').then(({ PlaySide: Side }) => Side));

/** What the wheels do when it moves: corners, better points, ride, steering and free play. */
export function SuspensionPage() {
  const { reader } = useReader();
  const checks = useBuildChecks();
  const { side: tab, show } = useSide('suspension');
  const [end, choose] = useState<End>('front');
  const own = checks.filter(({ segment }) => segment === 'suspension');
  const here = own.filter((check) => check.side === (tab === 'better' ? 'corner' : tab));
  const working = here.filter((check) => check.working).sort(byUrgency)[0];
  const tabs = (
    <SegmentSides
      segment="suspension"
      label="Sides of the suspension"
      shown={tab}
      onShow={show}
      mark={(side) =>
        side === 'better' ? null : <TabMark checks={own.filter((check) => check.side === side)} />
      }
    >
      {tab === 'steering' || tab === 'aids' ? null : (
        <Toggles label="End of the car">
          {(['front', 'rear'] as const).map((one) => (
            <Toggle size="small" key={one} pressed={end === one} onPress={() => choose(one)}>
              {one === 'front' ? 'Front' : 'Rear'}
            </Toggle>
          ))}
        </Toggles>
      )}
    </SegmentSides>
  );
  const foot = (
    <>
      <SegmentChecks segment="suspension" side={tab === 'better' ? 'corner' : tab} />
      <WorkingPanel
        fallback={
          working
            ? { title: inSentence(checkTitle(working)), steps: stepsOf(working.working, reader) }
            : undefined
        }
      />
    </>
  );
  const Side = {
    corner: CornerSide,
    better: BetterSide,
    ride: RideSide,
    forces: ForcesSide,
    steering: SteeringSide,
    play: PlaySide,
    aids: AidsSide,
  }[tab];
  return (
    <Page>
      <Side key={`${tab}-${end}`} end={end} tabs={tabs} foot={foot} />
    </Page>
  );
}

/** A side that holds something bad says so on its tab. */
function TabMark({ checks }: { checks: readonly Check[] }) {
  const [worst] = checks.filter(({ state }) => state === 'over' || state === 'tight').sort(byUrgency);
  return worst ? (
    <span className={frameCss.tabmark}>
      <StateMark state={worst.state} size={10} />
      <Hidden>, {STATE_WORDS[worst.state]}</Hidden>
    </span>
  ) : null;
}
