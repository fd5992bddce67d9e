import type { DrivenAxles } from '../../physics/motion/road';
import type { Housing } from '../../physics/heat/thermalDefaults';
import type { DifferentialKind } from '../../physics/gears/differential';
import type { ShaftAxis } from '../../physics/gears/rotation';
import type { Heat } from './heat';
import { type Axle, AXLES, type Stage, stageRatio } from '../stages/stage';
import type { ChosenMaterial } from '../material/material';
import type { MotorKind } from './power';
import type { Tyres } from '../tyres/tyres';

export const SHAFT_KINDS = ['axle', 'long'] as const;
export type ShaftKind = (typeof SHAFT_KINDS)[number];

/** A wheel's axle that sticks out of its bearing, or a long shaft between two bearings. */
export interface Shaft {
  id: string;
  kind: ShaftKind;
  diameterMm?: number;
  /** Of a tube. */
  boreMm?: number;
  material?: ChosenMaterial;
  /** From the bearing to the middle of the wheel. */
  overhangMm?: number;
  spanMm?: number;
  /** A bearing in the middle makes two shafts of half the span. */
  halves?: boolean;
  /** Stage whose driven gear turns it; the first where not given. */
  behind?: string;
}

/** What turns the wheel with its axle. */
export interface WheelHex {
  acrossFlatsMm?: number;
  lengthMm?: number;
  /** Of the wheel around it. */
  material?: ChosenMaterial;
}

/** Copy of a motor's figures. */
export interface ChosenMotor {
  libraryId?: string;
  name: string;
  kind?: MotorKind;
  kvRpmPerV: number;
  resistanceMilliOhm: number;
  noLoadCurrentA: number;
  rotorInertiaKgM2: number;
  maxV: number;
  massG: number;
  diameterMm: number;
  lengthMm: number;
  /** How its case gives off heat; closed where not given. */
  housing?: Housing;
}

export const MOTOR_AT = [
  'car',
  'front',
  'rear',
  'left',
  'right',
  'frontLeft',
  'frontRight',
  'rearLeft',
  'rearRight',
] as const;
export type MotorPlace = (typeof MOTOR_AT)[number];

/** What is known of the motors of one place, and of their controllers, where they are not as the others. */
export interface OwnMotor extends Partial<
  Pick<ChosenMotor, 'name' | 'kvRpmPerV' | 'resistanceMilliOhm' | 'noLoadCurrentA' | 'massG'>
> {
  id: MotorPlace;
  /** Of each motor's own controller. */
  controllerLimitA?: number;
  controllerMilliOhm?: number;
  controllerName?: string;
  controllerMassG?: number;
}

/** How it is slowed: by its motors, and by what rubs at the axles. */
export interface Brakes {
  /** Share of the controller's current limit. */
  motorShare?: number;
  /** The same while the throttle is closed. */
  dragShare?: number;
  /** At the axle, Nm. */
  mechanicalFrontNm?: number;
  mechanicalRearNm?: number;
  /** Until the driver brakes, s. */
  coastS?: number;
}

export interface Drive extends Tyres {
  motor?: ChosenMotor;
  /** At each place. */
  motorCount?: number;
  motorsAt?: MotorsAt;
  ownMotors?: OwnMotor[];
  mounting?: 'chassis' | 'wheel';
  /** Lies along the car or across it; by the bevel pairs where not given. */
  motorAxis?: ShaftAxis;
  /** Leads swapped: of the one motor, or of those at the rear; and of those at the front. */
  reversed?: boolean;
  frontReversed?: boolean;
  steering?: 'steered' | 'skid';
  stages: Stage[];
  /** Shafts and joints behind the last stage. */
  shaftEfficiency?: number;
  drivenAxles?: DrivenAxles;
  frontDifferential?: DifferentialKind;
  rearDifferential?: DifferentialKind;
  /** Torque of the slower wheel over the faster's, of a limited one. */
  biasRatio?: number;
  /** Torque at which the slip clutch gives, at the motor's output, Nm. */
  clutchNm?: number;
  /** Set by hand under the controller's own, A a motor. */
  currentLimitA?: number;
  /** Share of the throttle that the driver may give. */
  throttleLimit?: number;
  heat?: Heat;
  brakes?: Brakes;
  /** How long the gears should last, h. */
  gearHours?: number;
  shafts?: Shaft[];
  wheelHex?: WheelHex;
}

export const MOTOR_PLACES = ['car', 'axle', 'side', 'wheel'] as const;
export type MotorsAt = (typeof MOTOR_PLACES)[number];

export const emptyDrive = (): Drive => ({ stages: [] });

/** Axles that are driven; both while that is open. */
export const drivenOf = ({ drivenAxles }: Drive): readonly Axle[] =>
  drivenAxles === 'front' || drivenAxles === 'rear' ? [drivenAxles] : AXLES;

/** Stages from the motor to one axle. */
export const stagesTo = ({ stages }: Drive, axle: Axle): Stage[] =>
  stages.filter(({ on }) => on === undefined || on === axle);

/** The stage whose driving gear or pulley sits on the motor's shaft, whatever its kind. */
export const motorStage = ({ drive }: { drive: Drive }): Stage | undefined =>
  stagesTo(drive, drivenOf(drive)[0]!).find(({ kind }) => kind !== 'direct');

/** Motor turns per turn of the wheels of one axle; a motor in its wheel turns with it unless a stage is given. */
export function axleRatio(drive: Drive, axle: Axle): number | undefined {
  const stages = stagesTo(drive, axle);
  if (stages.length === 0 && !motorsInWheels(drive)) return undefined;
  let ratio = 1;
  for (const stage of stages) {
    const one = stageRatio(stage);
    if (one === undefined) return undefined;
    ratio *= one;
  }
  return ratio;
}

/** Motor turns per wheel turn, or undefined while a stage or its teeth are missing; of axles that differ the geometric mean. */
export function overallRatio(drive: Drive): number | undefined {
  const ratios = drivenOf(drive).map((axle) => axleRatio(drive, axle));
  const [first, second = first] = ratios;
  if (first === undefined || second === undefined) return undefined;
  return first === second ? first : Math.sqrt(first * second);
}

/** Whether axles or wheels have motors of their own; a motor of one side turns both axles there. */
export const motorsApart = ({ motorsAt = 'car' }: Drive): boolean =>
  motorsAt === 'axle' || motorsAt === 'wheel';

/** Whether left and right have motors of their own, so that nothing shares torque between them. */
export const sidesApart = ({ motorsAt = 'car' }: Drive): boolean =>
  motorsAt === 'side' || motorsAt === 'wheel';

/** A motor can only sit in a wheel that has one of its own. */
export const motorsInWheels = ({ motorsAt, mounting }: Drive): boolean =>
  motorsAt === 'wheel' && mounting === 'wheel';

/** Whether there are gears between motor and wheels, or will be; motors in the wheels may do without. */
export const isGeared = (drive: Drive): boolean => drive.stages.length > 0 || !motorsInWheels(drive);

/** Shafts and joints of one axle, to start with. */
const USUAL_SHAFT_EFFICIENCY = 0.97;

/** As typed, or the usual one; a motor in its wheel has no shaft that loses any. */
export const shaftEfficiencyOf = (drive: Drive): number =>
  drive.shaftEfficiency ?? (motorsInWheels(drive) ? 1 : USUAL_SHAFT_EFFICIENCY);

/** Share of the motor's power that reaches the wheels; the mean of the driven axles. */
export function overallEfficiency(drive: Drive): number {
  const axles = drivenOf(drive);
  const to = (axle: Axle) =>
    stagesTo(drive, axle).reduce((product, { efficiency }) => product * efficiency, shaftEfficiencyOf(drive));
  return axles.reduce((sum, axle) => sum + to(axle), 0) / axles.length;
}
