'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { End } from '@/core/car/document/suspension';
import type { Check } from '@/core/verdict/engine/check';
import { byUrgency } from '@/core/verdict/evaluate';
import { STATE_WORDS, StateMark } from '@/ui/StateMark';
import { WorkingPanel } from '@/ui/working';
import { useBuild } from '../session/BuildContext';
import { SegmentChecks } from '../frame/SegmentChecks';
import { CornerSide } from './corner/CornerSide';
import { SegmentSides } from '../frame/SegmentSides';
import { type SideOf, useSide } from '../frame/sides';

const BetterSide = dynamic(() => import('./BetterSide').then(({ BetterSide: Side }) => Side));
const RideSide = dynamic(() => import('./RideSide').then(({ RideSide: Side }) => Side));
const SteeringSide = dynamic(() => import('./SteeringSide').then(({ SteeringSide: Side }) => Side));
const AidsSide = dynamic(() => import('./aids/AidsSide').then(({ AidsSide: Side }) => Side));
const PlaySide = dynamic(() => import('./PlaySide').then(({ PlaySide: Side }) => Side));

/** Checks that each side of the page answers to. */
const BELONGS: Readonly<Record<SideOf<'suspension'>, readonly string[]>> = {
  corner: ['suspension.bump', 'suspension.lock'],
  better: ['suspension.bump'],
  ride: ['suspension.sag', 'suspension.landing', 'suspension.damping'],
  steering: ['steering.effort'],
  play: ['fit.play'],
  aids: ['aids.yaw', 'aids.traction'],
};

/** What the wheels do when it moves: corners, better points, ride, steering and free play. */
export function SuspensionPage() {
  const { checks } = useBuild();
  const { side: tab, show } = useSide('suspension');
  const [end, choose] = useState<End>('front');
  const own = checks.filter(({ segment }) => segment === 'suspension');
  const here = own.filter(({ id }) => BELONGS[tab].includes(id));
  const working = here.filter((check) => check.working.length > 0).sort(byUrgency)[0];
  const tabs = (
    <SegmentSides
      segment="suspension"
      label="Sides of the suspension"
      shown={tab}
      onShow={show}
      mark={(side) =>
        side === 'better' ? null : <TabMark checks={own.filter(({ id }) => BELONGS[side].includes(id))} />
      }
    >
      {tab === 'steering' || tab === 'aids' ? null : (
        <span className="seg" role="group" aria-label="End of the car">
          {(['front', 'rear'] as const).map((one) => (
            <button
              key={one}
              type="button"
              className="small"
              aria-pressed={end === one}
              onClick={() => choose(one)}
            >
              {one === 'front' ? 'Front' : 'Rear'}
            </button>
          ))}
        </span>
      )}
    </SegmentSides>
  );
  const foot = (
    <>
      <SegmentChecks segment="suspension" only={here.map(({ id }) => id)} />
      <WorkingPanel
        fallback={working ? { title: working.title.toLowerCase(), steps: working.working } : undefined}
      />
    </>
  );
  const Side = {
    corner: CornerSide,
    better: BetterSide,
    ride: RideSide,
    steering: SteeringSide,
    play: PlaySide,
    aids: AidsSide,
  }[tab];
  return (
    <main className="page readfirst">
      <Side key={`${tab}-${end}`} end={end} tabs={tabs} foot={foot} />
    </main>
  );
}

/** A side that holds something bad says so on its tab. */
function TabMark({ checks }: { checks: readonly Check[] }) {
  const [worst] = checks.filter(({ state }) => state === 'over' || state === 'tight').sort(byUrgency);
  return worst ? (
    <span className="tabmark">
      <StateMark state={worst.state} size={10} />
      <span className="hidden">, {STATE_WORDS[worst.state]}</span>
    </span>
  ) : null;
}
