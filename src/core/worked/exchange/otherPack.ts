import type { BuildDocument } from '../../car/document/document';
import type { Patch } from '../../base/patch';
import { chargedV } from '../../car/document/power';

/** What another pack of the same make has of the present one. */
export interface PackChange {
  cells?: number;
  /** Capacity over the present one's, in larger cells. */
  capacity?: number;
  /** Packs over the present ones. */
  packs?: number;
}

const STEP_MAH = 100;
/** As packs are sold: to a hundred, the smallest ones to two digits. */
const asSold = (mah: number) =>
  mah < 10 * STEP_MAH ? Number(mah.toPrecision(2)) : Math.round(mah / STEP_MAH) * STEP_MAH;
const rounded = (value: number) => Number(value.toPrecision(4));

/** Whether motor and controller bear a fresh pack of so many cells. */
export function bearsCells({ drive, power }: BuildDocument, cells: number): boolean {
  return chargedV(cells) <= Math.min(drive.motor?.maxV ?? Infinity, power.controller?.maxV ?? Infinity);
}

/**
 * Another pack of the same make, with all that goes along: a larger cell has less resistance, cells and packs weigh what
 * they weigh, and the car with them.
 *
 * @returns the patch, and how much heavier the car becomes, g
 */
export function otherPack(
  { power, chassis }: BuildDocument,
  { cells, capacity = 1, packs = 1 }: PackChange,
): { patch: Patch; heavierG: number } | undefined {
  const { battery, packs: present = 1 } = power;
  if (!battery) return undefined;
  const at = (key: string) => ['power', 'battery', key];
  const capacityMah = capacity === 1 ? battery.capacityMah : asSold(battery.capacityMah * capacity);
  const larger = capacityMah / battery.capacityMah;
  const massG = rounded(battery.massG * ((cells ?? battery.cells) / battery.cells) * larger);
  const heavierG = present * (packs * massG - battery.massG);
  const carG = chassis.massG === undefined ? undefined : chassis.massG + heavierG;
  const patch: Patch = [
    ...(cells === undefined ? [] : [{ path: at('cells'), value: cells }]),
    ...(packs === 1 ? [] : [{ path: ['power', 'packs'], value: present * packs }]),
    ...(capacityMah === battery.capacityMah ? [] : [{ path: at('capacityMah'), value: capacityMah }]),
    ...(larger === 1
      ? []
      : [{ path: at('cellResistanceMilliOhm'), value: rounded(battery.cellResistanceMilliOhm / larger) }]),
    ...(massG === battery.massG ? [] : [{ path: at('massG'), value: massG }]),
    ...(carG === undefined || carG <= 0
      ? []
      : [{ path: ['chassis', 'massG'], value: Number(carG.toFixed(1)) }]),
  ];
  return { patch, heavierG };
}
