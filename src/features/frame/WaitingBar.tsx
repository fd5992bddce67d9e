'use client';

import dynamic from 'next/dynamic';
import { useEffect } from 'react';
import type { FailureRecord, RunRecord, Versioned } from '@/core/car/records/records';
import { onFirstAct } from '@/ui/onFirstAct';
import { useBuild } from '../session/BuildContext';
import { onTaken, useWaiting } from '../session/waiting';

const fetchList = () => import('./WaitingList').then((module) => module.WaitingList);
const WaitingList = dynamic(fetchList);

/** What waits on this device to be sent, and what the workshop would not take. */
export function WaitingBar() {
  const { build, keepRun, keepFailure } = useBuild();
  const waiting = useWaiting();
  useEffect(
    () =>
      onTaken(({ one, answer }) => {
        if (one.buildId !== build.id) return;
        if (one.kind === 'run') keepRun(answer as RunRecord);
        else keepFailure(answer as Versioned<FailureRecord>);
      }),
    [build.id, keepRun, keepFailure],
  );
  // it must be here before the signal is gone
  useEffect(() => onFirstAct(() => void fetchList()), []);
  if (waiting.length === 0) return null;
  return <WaitingList waiting={waiting} />;
}
