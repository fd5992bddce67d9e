import type { Wheel } from './wheels';
import type { MotorPlace } from '../document/drive';
import type {
  KeptLog,
  MeasuredCrash,
  MeasuredBalance,
  MeasuredBlows,
  SpunTyre,
  TyreSpin,
} from './benchReport';
import type { CircleSheet, CoastSheet, GripSheet, StraightSheet } from './gripReport';
import type { PackPredicted } from './packPredicted';

export const WHEEL_TURNS = ['forward', 'backward', 'still'] as const;
export type WheelTurn = (typeof WHEEL_TURNS)[number];

export const NOISES = ['even', 'whine', 'grinding', 'knocking', 'scraping'] as const;
export type Noise = (typeof NOISES)[number];

export const HOT_PLACES = ['motor', 'controller', 'battery', 'gears', 'regulator'] as const;
export type HotPlace = (typeof HOT_PLACES)[number];

/** A temperature that was felt for with a probe. */
export interface Temperature {
  id: string;
  place: HotPlace;
  /** After the start, min. */
  minutes?: number;
  valueC: number;
}

export const ENDS_OF_RUN = ['battery', 'heat', 'failure', 'stopped'] as const;
export type EndOfRun = (typeof ENDS_OF_RUN)[number];

export interface Passage {
  id: string;
  what: string;
  passed: boolean;
}

export const DROP_OUTCOMES = ['held', 'damaged', 'failed'] as const;
export type DropOutcome = (typeof DROP_OUTCOMES)[number];

export interface Drop {
  id: string;
  heightM: number;
  outcome: DropOutcome;
  what?: string;
}

/** Blows on one clamped part: light ones and hard ones are counted apart. */
export interface Beaten {
  id: string;
  name: string;
  copyId?: string;
  light: number;
  hard: number;
  failed: boolean;
}

/** What only a look can tell before a fast pass: the pack, people and roads, the order of switching on. */
export const PASS_TICKS = ['pack', 'people', 'order'] as const;
export type PassTick = (typeof PASS_TICKS)[number];

/** A stop from a speed, with what was expected of it. */
export interface MeasuredStop {
  id: string;
  fromMps: number;
  distanceM: number;
  predictedM?: number;
}

/** A weight on a string that just starts a drive, and one that just keeps it turning. */
export interface FrictionPull {
  id: string;
  /** What is taken out before the next pull; of the last what is left. */
  part: string;
  startG: number;
  keepG: number;
}

/** What string, weight and ammeter say of the drive. */
export interface MeasuredFriction {
  pulls?: FrictionPull[];
  /** At which the string winds; the wheel's where not given. */
  radiusMm?: number;
  /** Of every weight, either way. */
  errorG?: number;
  /** Wheels in the air, at full throttle. */
  freeA?: number;
  freeRpm?: number;
  /** The same with the pinion drawn. */
  aloneA?: number;
  aloneRpm?: number;
}

/** What a run that is not timed brings home; each kind fills in its own. */
export interface RunReport {
  wheels?: Partial<Record<Wheel, WheelTurn>>;
  noise?: Noise;
  /** At the volts of the pack before. */
  motors?: FreeMotor[];
  temperatures?: Temperature[];
  endedBy?: EndOfRun;
  /** How the pack was at the end of an endurance run, min after the start. */
  endedAtMinutes?: number;
  /** What was expected of it, for its own surface, air, load and charge. */
  packPredicted?: PackPredicted;
  passages?: Passage[];
  drops?: Drop[];
  beaten?: Beaten[];
  /** Tyre on the spin bench; the build's own, as it is, where not given. */
  spunTyre?: SpunTyre;
  spins?: TyreSpin[];
  /** The tyre was spun behind a shield, from a distance. */
  shielded?: boolean;
  balance?: MeasuredBalance;
  blows?: MeasuredBlows;
  log?: KeptLog;
  crash?: MeasuredCrash;
  /** In the order in which they were driven, s, and what was expected of one. */
  laps?: number[];
  lapPredictedS?: number;
  stops?: MeasuredStop[];
  friction?: MeasuredFriction;
  grip?: GripSheet;
  straight?: StraightSheet;
  circle?: CircleSheet;
  coast?: CoastSheet;
  /** Looked at before a fast pass. */
  ticked?: PassTick[];
  hit?: string;
  speedMps?: number;
  /** Name of what is set in a settings series, and its unit. */
  settingName?: string;
  settingUnit?: string;
  /** What the setting is in the simulator of an aid, and how much of it one of the setting is; 1 where not given. */
  settingAid?: { of: SweptSetting; perUnit?: number };
  /** The driver does not know the values until all are driven. */
  blind?: boolean;
  /** Values in the order in which they were driven. */
  order?: number[];
}

/** Settings of aids whose simulator can be laid beside a series. */
export const SWEPT_SETTINGS = ['yawGain', 'slipTarget', 'slipGain'] as const;
export type SweptSetting = (typeof SWEPT_SETTINGS)[number];

/** A motor that was spun free at full throttle. */
export interface FreeMotor {
  id: MotorPlace;
  rpm: number;
  currentA: number;
}

/** A photograph as the workshop keeps it. */
export interface Photo {
  /** SHA-256 of the kept file. */
  hash: string;
  caption?: string;
}

/** A satellite track as the workshop keeps it, and what was read from it. */
export interface KeptTrack {
  hash: string;
  name: string;
  windowS: number;
  topSpeedMps?: number;
  distanceM: number;
  durationS: number;
  droppedPoints: number;
}
