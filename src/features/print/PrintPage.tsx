'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { PRINT_TAB_NAMES, PRINT_TABS, usePrintTab } from './printTab';
import { TonightSide } from './TonightSide';

const FitsSide = dynamic(() => import('./FitsSide').then(({ FitsSide: Side }) => Side));
const HolesSide = dynamic(() => import('./HolesSide').then(({ HolesSide: Side }) => Side));
const MakeSide = dynamic(() => import('./MakeSide').then(({ MakeSide: Side }) => Side));
const AssemblySide = dynamic(() => import('./AssemblySide').then(({ AssemblySide: Side }) => Side));

/** What goes on the bed, what fits, what is measured off, what is bought, and how it goes together. */
export function PrintPage() {
  const { tab } = usePrintTab();
  switch (tab) {
    case 'tonight': return <TonightSide tabs={<Tabs />} />;
    case 'fits': return <FitsSide tabs={<Tabs />} />;
    case 'holes': return <HolesSide tabs={<Tabs />} />;
    case 'list': return <MakeSide tabs={<Tabs />} />;
    case 'assembly': return <AssemblySide tabs={<Tabs />} />;
  }
}

function Tabs(): ReactNode {
  const { tab, show } = usePrintTab();
  return (
    <div className="tabbar noprint"><div className="tabs" role="group" aria-label="Sides of printing">
      {PRINT_TABS.map((one) => <button key={one} type="button" aria-pressed={tab === one} onClick={() => show(one)}>{PRINT_TAB_NAMES[one]}</button>)}
    </div></div>
  );
}
