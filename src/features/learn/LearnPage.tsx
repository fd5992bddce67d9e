'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { FailuresSide } from './FailuresSide';
import { LEARN_TAB_NAMES, LEARN_TABS, useLearnTab } from './learnTab';

const LifeSide = dynamic(() => import('./LifeSide').then(({ LifeSide: Side }) => Side));
const RevisionsSide = dynamic(() => import('./RevisionsSide').then(({ RevisionsSide: Side }) => Side));
const NextSide = dynamic(() => import('./NextSide').then(({ NextSide: Side }) => Side));
const ReportSide = dynamic(() => import('./ReportSide').then(({ ReportSide: Side }) => Side));

/** Why it broke, how long things last, what each revision did, what to change next, and the papers of it. */
export function LearnPage() {
  const { tab } = useLearnTab();
  switch (tab) {
    case 'failures': return <FailuresSide tabs={<Tabs />} />;
    case 'life': return <LifeSide tabs={<Tabs />} />;
    case 'revisions': return <RevisionsSide tabs={<Tabs />} />;
    case 'next': return <NextSide tabs={<Tabs />} />;
    case 'report': return <ReportSide tabs={<Tabs />} />;
  }
}

function Tabs(): ReactNode {
  const { tab, show } = useLearnTab();
  return (
    <div className="tabbar noprint"><div className="tabs" role="group" aria-label="Sides of learning">
      {LEARN_TABS.map((one) => <button key={one} type="button" aria-pressed={tab === one} onClick={() => show(one)}>{LEARN_TAB_NAMES[one]}</button>)}
    </div></div>
  );
}
