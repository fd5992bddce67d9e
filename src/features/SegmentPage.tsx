'use client';

import dynamic from 'next/dynamic';
import type { Segment } from '@/core/verdict/engine/segments';
import { LaterPage } from './frame/LaterPage';

const Brief = dynamic(() => import('./brief/BriefPage').then(({ BriefPage }) => BriefPage));
const Drive = dynamic(() => import('./drive/DrivePage').then(({ DrivePage }) => DrivePage));
const Power = dynamic(() => import('./power/PowerPage').then(({ PowerPage }) => PowerPage));
const Chassis = dynamic(() => import('./chassis/ChassisPage').then(({ ChassisPage }) => ChassisPage));
const Suspension = dynamic(() =>
  import('./suspension/SuspensionPage').then(({ SuspensionPage }) => SuspensionPage),
);
const Parts = dynamic(() => import('./parts/PartsPage').then(({ PartsPage }) => PartsPage));
const Print = dynamic(() => import('./print/PrintPage').then(({ PrintPage }) => PrintPage));
const Field = dynamic(() => import('./field/FieldPage').then(({ FieldPage }) => FieldPage));
const Learn = dynamic(() => import('./learn/LearnPage').then(({ LearnPage }) => LearnPage));

export function SegmentPage({ segment }: { segment: Segment }) {
  switch (segment) {
    case 'brief':
      return <Brief />;
    case 'drive':
      return <Drive />;
    case 'power':
      return <Power />;
    case 'chassis':
      return <Chassis />;
    case 'suspension':
      return <Suspension />;
    case 'parts':
      return <Parts />;
    case 'print':
      return <Print />;
    case 'field':
      return <Field />;
    case 'learn':
      return <Learn />;
    default:
      return <LaterPage segment={segment} />;
  }
}
