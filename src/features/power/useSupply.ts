import { useMemo } from 'react';
import { supplyOfSubject } from '@/core/verdict/power/supply/onSupply';
import type { Supply } from '@/core/worked/power/supplyOfBuild';
import { subjectOf } from '@/core/worked/subject';
import { useBuild } from '../session/BuildContext';

export interface SupplyView {
  readonly supply: Supply;
  /** What the motors draw at the peak of a full-throttle run; left out while there is none. */
  readonly packA?: number;
  readonly motorA?: number;
}

/** The supply tree of the page's build on its surface, both states. */
export function useSupply(): SupplyView {
  const { document, surface } = useBuild();
  return useMemo(() => {
    const subject = subjectOf(document, surface);
    const run = subject.run();
    const supply = supplyOfSubject(subject);
    return { supply, ...(run ? { packA: run.peakBatteryCurrentA, motorA: run.peakMotorCurrentA } : {}) };
  }, [document, surface]);
}
