import { useMemo } from 'react';
import type { Supply } from '@/core/worked/power/supplyOfBuild';
import { motorPeakA } from '@/core/worked/drive/motorShares';
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
    const [input, run] = [subject.runInput(), subject.run()];
    const supply = subject.supply();
    return {
      supply,
      ...(input.ok && run
        ? { packA: run.peakBatteryCurrentA, motorA: motorPeakA(document, input.value, run) }
        : {}),
    };
  }, [document, surface]);
}
