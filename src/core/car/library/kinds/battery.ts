import { defineLibraryKind } from './define';
import { type ChosenBattery } from '../../document/power';
import { BATTERY_FIGURES } from '../../document/power.figures';

export type BatteryFigures = Omit<ChosenBattery, 'libraryId'>;

export const battery = defineLibraryKind<BatteryFigures>({
  figures: BATTERY_FIGURES,
  blank: {
    cells: 2,
    parallel: 1,
    capacityMah: 5000,
    cellResistanceMilliOhm: 3,
    maxDischargeC: 30,
    massG: 265,
  },
  tells: ['cells', 'capacityMah', 'massG'],
});
