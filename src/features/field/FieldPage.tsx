'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { FIELD_TAB_NAMES, FIELD_TABS, useFieldTab } from './fieldTab';
import { RunsSide } from './RunsSide';

const TracksSide = dynamic(() => import('./TracksSide').then(({ TracksSide: Side }) => Side));
const CompareSide = dynamic(() => import('./CompareSide').then(({ CompareSide: Side }) => Side));
const CalibrateSide = dynamic(() => import('./CalibrateSide').then(({ CalibrateSide: Side }) => Side));

/** Runs as they are driven, their tracks, what differs between them, and what they say of the model. */
export function FieldPage() {
  const { tab } = useFieldTab();
  switch (tab) {
    case 'runs': return <RunsSide tabs={<Tabs />} />;
    case 'tracks': return <TracksSide tabs={<Tabs />} />;
    case 'compare': return <CompareSide tabs={<Tabs />} />;
    case 'calibrate': return <CalibrateSide tabs={<Tabs />} />;
  }
}

function Tabs(): ReactNode {
  const { tab, show } = useFieldTab();
  return (
    <div className="tabbar"><div className="tabs" role="group" aria-label="Sides of the field">
      {FIELD_TABS.map((one) => <button key={one} type="button" aria-pressed={tab === one} onClick={() => show(one)}>{FIELD_TAB_NAMES[one]}</button>)}
    </div></div>
  );
}
