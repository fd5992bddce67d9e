'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';
import { RunsSide } from './RunsSide';

const BenchSide = dynamic(() => import('./bench/BenchSide').then(({ BenchSide: Side }) => Side));
const BlowsSide = dynamic(() => import('./bench/BlowsSide').then(({ BlowsSide: Side }) => Side));
const GripSide = dynamic(() => import('./grip/GripSide').then(({ GripSide: Side }) => Side));
const TracksAndLogs = dynamic(() => import('./logs/TracksAndLogs').then(({ TracksAndLogs: Side }) => Side));
const CompareSide = dynamic(() => import('./CompareSide').then(({ CompareSide: Side }) => Side));
const CalibrateSide = dynamic(() => import('./CalibrateSide').then(({ CalibrateSide: Side }) => Side));

/** Runs as they are driven, their tracks, what differs between them, and what they say of the model. */
export function FieldPage() {
  const { side } = useSide('field');
  switch (side) {
    case 'runs':
      return <RunsSide tabs={<Tabs />} />;
    case 'bench':
      return <BenchSide tabs={<Tabs />} />;
    case 'grip':
      return <GripSide tabs={<Tabs />} />;
    case 'blows':
      return <BlowsSide tabs={<Tabs />} />;
    case 'tracks':
      return <TracksAndLogs tabs={<Tabs />} />;
    case 'compare':
      return <CompareSide tabs={<Tabs />} />;
    case 'calibrate':
      return <CalibrateSide tabs={<Tabs />} />;
  }
}

function Tabs(): ReactNode {
  const { side, show } = useSide('field');
  return <SegmentSides segment="field" label="Sides of the field" shown={side} onShow={show} />;
}
