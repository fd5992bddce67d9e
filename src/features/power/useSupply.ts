import { useMemo } from 'react';
import { runInputOf } from '@/core/worked/motion/runOfBuild';
import { driveRun } from '@/core/physics/motion/run';
import { type Supply, supplyOf } from '@/core/worked/power/supplyOfBuild';
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
    const input = surface ? runInputOf(document, surface) : undefined;
    const run = input?.ok ? driveRun(input.value) : undefined;
    const supply = supplyOf(document, run?.peakBatteryCurrentA ?? 0);
    return { supply, ...(run ? { packA: run.peakBatteryCurrentA, motorA: run.peakMotorCurrentA } : {}) };
  }, [document, surface]);
}
