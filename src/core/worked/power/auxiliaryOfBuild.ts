import type { BuildDocument } from '../../car/document/document';
import { TYPICAL_LOSSES } from '../../physics/heat/losses';
import { supplyOf } from './supplyOfBuild';

/** What hangs on the pack beside the motors, A: the supply tree's typical current, or the typical figure while it is not complete. */
export function auxiliaryOf(document: BuildDocument): number {
  const supply = supplyOf(document, 0);
  return supply.ok ? supply.result.batteryTypicalA : TYPICAL_LOSSES.auxiliaryA;
}

/** Whether the supply tree does not say yet what it draws. */
export const auxiliaryIsGuessed = (document: BuildDocument): boolean => !supplyOf(document, 0).ok;
