import { allPacks, type ChosenBattery, type Power } from '../../car/document/power';
import { CELL_REFERENCE_C, coldCellFactor } from '../../physics/motion/cell';

/** All packs as one, with the resistance of their cells at the temperature that they are driven at. */
export function drivenPack(power: Power): ChosenBattery | undefined {
  const pack = allPacks(power);
  return (
    pack && {
      ...pack,
      cellResistanceMilliOhm: pack.cellResistanceMilliOhm * coldCellFactor(power.packC ?? CELL_REFERENCE_C),
    }
  );
}
