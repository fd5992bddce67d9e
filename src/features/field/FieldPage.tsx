'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { TabBar } from '@/ui/TabBar';
import { FIELD_TAB_NAMES, FIELD_TABS, useFieldTab } from './fieldTab';
import { RunsSide } from './RunsSide';

const TracksSide = dynamic(() => import('./TracksSide').then(({ TracksSide: Side }) => Side));
const CompareSide = dynamic(() => import('./CompareSide').then(({ CompareSide: Side }) => Side));
const CalibrateSide = dynamic(() => import('./CalibrateSide').then(({ CalibrateSide: Side }) => Side));

/** Runs as they are driven, their tracks, what differs between them, and what they say of the model. */
export function FieldPage() {
  const { tab } = useFieldTab();
  switch (tab) {
    case 'runs':
      return <RunsSide tabs={<Tabs />} />;
    case 'tracks':
      return <TracksSide tabs={<Tabs />} />;
    case 'compare':
      return <CompareSide tabs={<Tabs />} />;
    case 'calibrate':
      return <CalibrateSide tabs={<Tabs />} />;
  }
}

function Tabs(): ReactNode {
  const { tab, show } = useFieldTab();
  return (
    <TabBar label="Sides of the field" tabs={FIELD_TABS} names={FIELD_TAB_NAMES} shown={tab} onShow={show} />
  );
}
