'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';
import { FailuresSide } from './FailuresSide';

const LifeSide = dynamic(() => import('./LifeSide').then(({ LifeSide: Side }) => Side));
const RevisionsSide = dynamic(() => import('./RevisionsSide').then(({ RevisionsSide: Side }) => Side));
const NextSide = dynamic(() => import('./NextSide').then(({ NextSide: Side }) => Side));
const ReportSide = dynamic(() => import('./ReportSide').then(({ ReportSide: Side }) => Side));

/** Why it broke, how long things last, what each revision did, what to change next, and the papers of it. */
export function LearnPage() {
  const { side } = useSide('learn');
  switch (side) {
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
  const { side, show } = useSide('learn');
  return <SegmentSides segment="learn" label="Sides of learning" shown={side} onShow={show} />;
}
