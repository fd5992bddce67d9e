'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { SegmentSides } from '../frame/SegmentSides';
import { useSide } from '../frame/sides';
import { TonightSide } from './TonightSide';

const FitsSide = dynamic(() => import('./fits/FitsSide').then(({ FitsSide: Side }) => Side));
const HolesSide = dynamic(() => import('./holes/HolesSide').then(({ HolesSide: Side }) => Side));
const MakeSide = dynamic(() => import('./MakeSide').then(({ MakeSide: Side }) => Side));
const AssemblySide = dynamic(() => import('./AssemblySide').then(({ AssemblySide: Side }) => Side));

/** What goes on the bed, what fits, what is measured off, what is bought, and how it goes together. */
export function PrintPage() {
  const { side } = useSide('print');
  switch (side) {
    case 'tonight':
      return <TonightSide tabs={<Tabs />} />;
    case 'fits':
      return <FitsSide tabs={<Tabs />} />;
    case 'holes':
      return <HolesSide tabs={<Tabs />} />;
    case 'list':
      return <MakeSide tabs={<Tabs />} />;
    case 'assembly':
      return <AssemblySide tabs={<Tabs />} />;
  }
}

function Tabs(): ReactNode {
  const { side, show } = useSide('print');
  return <SegmentSides segment="print" label="Sides of printing" shown={side} onShow={show} />;
}
