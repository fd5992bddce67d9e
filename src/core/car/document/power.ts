import type { ControllerCooling } from '../../physics/cooling/controllerCooling';
import type { LoadKind, RailKind } from '../../physics/supply/budgetDefinition';

/** How a motor is switched, and what a controller can switch; `sensored` controllers drive motors without sensors too. */
export const MOTOR_KINDS = ['brushed', 'sensored', 'sensorless'] as const;
export type MotorKind = (typeof MOTOR_KINDS)[number];

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
  kind?: MotorKind;
  /** Peak; at which it limits, unless it does not. */
  currentLimitA: number;
  /** False where more than its peak goes through until it burns. */
  limitsCurrent?: boolean;
  continuousA: number;
  resistanceMilliOhm: number;
  maxV: number;
  massG: number;
  /** Its box without its sink. */
  lengthMm?: number;
  widthMm?: number;
  heightMm?: number;
  cooling?: ControllerCooling;
  /** At which it shuts down. */
  limitC?: number;
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
  /** Heat that a linear one sheds for long, W. */
  shedsW?: number;
  /** At its output, under what it feeds as a rule. */
  meteredV?: number;
}

/**
 * Heat that a small linear regulator sheds without a heat sink, W: its chip 85 K over the air, 62 K/W from chip to air.
 * @see JEDEC JESD51-2 (still air), package TO-220
 */
export const USUAL_SHEDS_W = 1.4;

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
  /** At its plug, while it draws as a rule. */
  meteredV?: number;
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
  /** Of the pack when it is driven; a cold one has more resistance. */
  packC?: number;
  /** Packs of this kind side by side; one where not given. */
  packs?: number;
  controller?: ChosenController;
  /** Motors that one controller drives; one where not given. */
  motorsPerController?: number;
  /** Loaded volts a cell under which the pack must not fall. */
  cutoffVPerCell?: number;
  /** Share of the charge that is driven; the rest spares the cells. */
  usableShare?: number;
  /** Volts of the pack while plugs were metered; charged where not given. */
  meteredPackV?: number;
  rails?: PowerRail[];
  loads?: PowerLoad[];
  wires?: Wire[];
  radio?: Radio;
  failsafe?: FailsafeTick[];
}

/** Wire from the pack to the controller, and from there to the motor. */
export const CONTROLLER_WIRE = 'controller';
export const MOTOR_WIRE = 'motor';

/** All packs of a build as one: strings, charge and mass together; undefined while none is chosen. */
export function allPacks({ battery, packs = 1 }: Power): ChosenBattery | undefined {
  return battery && packs > 1
    ? {
        ...battery,
        parallel: battery.parallel * packs,
        capacityMah: battery.capacityMah * packs,
        massG: battery.massG * packs,
      }
    : battery;
}

export const emptyPower = (): Power => ({});

export const USUAL_CUTOFF_V = 3.3;
export const USUAL_USABLE_SHARE = 0.8;
/** Volts of a fresh cell. */
export const CHARGED_CELL_V = 4.2;
/** Volts of a fresh pack, without the last digit of a product that would make three cells more than 12.6 V. */
export const chargedV = (cells: number) => Number((cells * CHARGED_CELL_V).toFixed(6));
