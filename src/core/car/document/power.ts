import type { LoadKind, RailKind } from '../../physics/supply/budgetDefinition';

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

/** A regulator, or a plain junction, that feeds what hangs on it. */
export interface PowerRail {
  id: string;
  libraryId?: string;
  name: string;
  /** Rail that feeds it, or `battery`. */
  from: string;
  kind: RailKind;
  setV?: number;
  dropoutV?: number;
  minInV?: number;
  maxInV?: number;
  continuousA?: number;
  peakA?: number;
  efficiency?: number;
}

/** The two points of a servo's data sheet. */
export interface ServoFigures {
  lowV?: number;
  lowTorqueKgcm?: number;
  lowSecondsPer60Deg?: number;
  highV?: number;
  highTorqueKgcm?: number;
  highSecondsPer60Deg?: number;
}

/** What turning the wheels at a standstill asks of a servo. */
export interface SteerWork {
  contactWidthMm?: number;
  /** Kingpin offset at the ground. */
  scrubRadiusMm?: number;
  /** Servo degrees a wheel degree. */
  linkageRatio?: number;
  linkageEfficiency?: number;
}

export interface PowerLoad {
  id: string;
  libraryId?: string;
  name: string;
  kind: LoadKind;
  /** Rail that it hangs on, or `battery`. */
  rail: string;
  minV?: number;
  maxV?: number;
  typicalA?: number;
  peakA?: number;
  massG?: number;
  /** False where its peak never comes with those of the others. */
  peaksTogether?: boolean;
  servo?: ServoFigures;
  steer?: SteerWork;
  /** Of a receiver. */
  protocol?: string;
  channels?: number;
}

export interface Transmitter {
  libraryId?: string;
  name: string;
  protocol: string;
  channels: number;
  rangeM: number;
}

export interface Radio {
  transmitter?: Transmitter;
  /** A gyro whose gain is set from the transmitter takes a channel. */
  gyroGain?: boolean;
  /** Furthest that it is driven away. */
  awayM?: number;
}

/** Wire to one consumer, by the consumer's id. */
export interface Wire {
  id: string;
  areaMm2?: number;
  /** On the feeding side, and on the consumer's. */
  plug?: string;
  socket?: string;
}

export const FAILSAFE_ITEMS = [
  'signalLoss',
  'restart',
  'neutralArming',
  'pullDown',
  'steeringCentre',
  'brake',
] as const;
export type FailsafeItem = (typeof FAILSAFE_ITEMS)[number];

/** A test that was passed on a day, with marks of what was built in then. */
export interface FailsafeTick {
  id: FailsafeItem;
  at: string;
  of: { radio: string; receiver: string; controller: string; wiring: string };
}

export interface Power {
  battery?: ChosenBattery;
  controller?: ChosenController;
  /** Loaded volts a cell under which the pack must not fall. */
  cutoffVPerCell?: number;
  /** Share of the charge that is driven; the rest spares the cells. */
  usableShare?: number;
  rails?: PowerRail[];
  loads?: PowerLoad[];
  wires?: Wire[];
  radio?: Radio;
  failsafe?: FailsafeTick[];
}

/** Wire from the pack to the controller, and from there to the motor. */
export const CONTROLLER_WIRE = 'controller';
export const MOTOR_WIRE = 'motor';

export const emptyPower = (): Power => ({});

export const USUAL_CUTOFF_V = 3.3;
export const USUAL_USABLE_SHARE = 0.8;
/** Volts of a fresh cell. */
export const CHARGED_CELL_V = 4.2;
/** Volts of a fresh pack, without the last digit of a product that would make three cells more than 12.6 V. */
export const chargedV = (cells: number) => Number((cells * CHARGED_CELL_V).toFixed(6));
