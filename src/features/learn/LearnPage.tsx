'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { TabBar } from '@/ui/TabBar';
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
    case 'failures':
      return <FailuresSide tabs={<Tabs />} />;
    case 'life':
      return <LifeSide tabs={<Tabs />} />;
    case 'revisions':
      return <RevisionsSide tabs={<Tabs />} />;
    case 'next':
      return <NextSide tabs={<Tabs />} />;
    case 'report':
      return <ReportSide tabs={<Tabs />} />;
  }
}

function Tabs(): ReactNode {
  const { tab, show } = useLearnTab();
  return (
    <TabBar label="Sides of learning" tabs={LEARN_TABS} names={LEARN_TAB_NAMES} shown={tab} onShow={show} />
  );
}
