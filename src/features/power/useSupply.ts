import { useMemo } from 'react';
import type { Supply } from '@/core/worked/power/supplyOfBuild';
import { worked } from '@/core/worked/worked';
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
    const subject = worked(document, surface);
    const run = subject.run();
    const supply = subject.supply();
    return { supply, ...(run ? { packA: run.peakBatteryCurrentA, motorA: run.peakMotorCurrentA } : {}) };
  }, [document, surface]);
}
