/** Copy of a pack's figures; capacity, charge rating and mass are the whole pack's. */
export interface ChosenBattery {
  libraryId?: string;
  name: string;
  cells: number;
  parallel: number;
  cellResistanceMilliOhm: number;
  capacityMah: number;
  maxDischargeC: number;
  massG: number;
}

/** Copy of a speed controller's figures. */
export interface ChosenController {
  libraryId?: string;
  name: string;
  /** Peak, at which it limits. */
  currentLimitA: number;
  continuousA: number;
  resistanceMilliOhm: number;
  maxV: number;
  massG: number;
}

export interface Power {
  battery?: ChosenBattery;
  controller?: ChosenController;
  /** Loaded volts a cell under which the pack must not fall. */
  cutoffVPerCell?: number;
}

export const emptyPower = (): Power => ({});

export const USUAL_CUTOFF_V = 3.3;
/** Volts of a fresh cell. */
export const CHARGED_CELL_V = 4.2;
/** Volts of a fresh pack, without the last digit of a product that would make three cells more than 12.6 V. */
export const chargedV = (cells: number) => Number((cells * CHARGED_CELL_V).toFixed(6));
