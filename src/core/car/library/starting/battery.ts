import type { BatteryFigures } from '../kinds/battery';

/** Lithium polymer packs; the resistance of a cell falls with its capacity. */
export const STARTING_PACKS: readonly { id: string; data: BatteryFigures }[] = [
  {
    id: 'pack-1s-300',
    data: {
      name: '1S 300',
      cells: 1,
      parallel: 1,
      cellResistanceMilliOhm: 35,
      capacityMah: 300,
      maxDischargeC: 25,
      massG: 9,
    },
  },
  {
    id: 'pack-1s-600',
    data: {
      name: '1S 600',
      cells: 1,
      parallel: 1,
      cellResistanceMilliOhm: 20,
      capacityMah: 600,
      maxDischargeC: 25,
      massG: 17,
    },
  },
  {
    id: 'pack-2s-450',
    data: {
      name: '2S 450',
      cells: 2,
      parallel: 1,
      cellResistanceMilliOhm: 24,
      capacityMah: 450,
      maxDischargeC: 30,
      massG: 32,
    },
  },
  {
    id: 'pack-2s-850',
    data: {
      name: '2S 850',
      cells: 2,
      parallel: 1,
      cellResistanceMilliOhm: 14,
      capacityMah: 850,
      maxDischargeC: 30,
      massG: 55,
    },
  },
  {
    id: 'pack-2s-1500',
    data: {
      name: '2S 1500',
      cells: 2,
      parallel: 1,
      cellResistanceMilliOhm: 8.5,
      capacityMah: 1500,
      maxDischargeC: 30,
      massG: 90,
    },
  },
  {
    id: 'pack-2s-2200',
    data: {
      name: '2S 2200',
      cells: 2,
      parallel: 1,
      cellResistanceMilliOhm: 6,
      capacityMah: 2200,
      maxDischargeC: 30,
      massG: 125,
    },
  },
  {
    id: 'pack-2s-5000',
    data: {
      name: '2S 5000 hard case',
      cells: 2,
      parallel: 1,
      cellResistanceMilliOhm: 2.6,
      capacityMah: 5000,
      maxDischargeC: 40,
      massG: 265,
    },
  },
  {
    id: 'pack-2s-6500',
    data: {
      name: '2S 6500 hard case',
      cells: 2,
      parallel: 1,
      cellResistanceMilliOhm: 2.2,
      capacityMah: 6500,
      maxDischargeC: 40,
      massG: 325,
    },
  },
  {
    id: 'pack-3s-2200',
    data: {
      name: '3S 2200',
      cells: 3,
      parallel: 1,
      cellResistanceMilliOhm: 6,
      capacityMah: 2200,
      maxDischargeC: 30,
      massG: 185,
    },
  },
  {
    id: 'pack-3s-5000',
    data: {
      name: '3S 5000 hard case',
      cells: 3,
      parallel: 1,
      cellResistanceMilliOhm: 2.6,
      capacityMah: 5000,
      maxDischargeC: 40,
      massG: 390,
    },
  },
  {
    id: 'pack-4s-5000',
    data: {
      name: '4S 5000 hard case',
      cells: 4,
      parallel: 1,
      cellResistanceMilliOhm: 2.6,
      capacityMah: 5000,
      maxDischargeC: 50,
      massG: 520,
    },
  },
  {
    id: 'pack-6s-5000',
    data: {
      name: '6S 5000',
      cells: 6,
      parallel: 1,
      cellResistanceMilliOhm: 2.4,
      capacityMah: 5000,
      maxDischargeC: 50,
      massG: 760,
    },
  },
];
