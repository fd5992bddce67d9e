import { useMemo } from 'react';
import { predictRun } from '@/core/worked/field/predictRun';
import { isTimed, type RunRecord, type RunSheet } from '@/core/car/records/records';
import { useBuild } from '../session/BuildContext';
import { useWaiting } from '../session/waiting';

/** A run that may still wait on this device. */
export interface HeldRun {
  run: RunRecord;
  waits: boolean;
}

/** Runs of the build with those that were entered here and are not sent yet, the oldest first. */
export function useRuns(): HeldRun[] {
  const { build, runs } = useBuild();
  const waiting = useWaiting();
  return useMemo(() => {
    const known = new Set(runs.map(({ id }) => id));
    const held = waiting
      .filter(({ kind, buildId, id }) => kind === 'run' && buildId === build.id && !known.has(id))
      .map(({ sheet, revisionId }): HeldRun => {
        const run = sheet as RunSheet;
        const predicted = isTimed(run) ? predictRun(run.document, run.kind, run.conditions) : undefined;
        return {
          waits: true,
          run: { ...run, revisionId, ...(predicted?.ok ? { prediction: predicted.value } : {}) },
        };
      });
    return [...runs.map((run) => ({ run, waits: false })), ...held].sort((a, b) =>
      a.run.ranAt < b.run.ranAt ? -1 : 1,
    );
  }, [runs, waiting, build.id]);
}
