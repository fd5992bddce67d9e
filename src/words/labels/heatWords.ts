import type { Housing } from '@/core/physics/heat/thermalDefaults';
import type { Body } from '@/core/physics/cooling/airflow';
import type { Fan } from '@/core/physics/cooling/caseCooling';
import type { ControllerCooling } from '@/core/physics/cooling/controllerCooling';
import type { MotorPlace, MotorsAt } from '@/core/car/document/drive';
import type { MotorKind } from '@/core/car/document/power';
import type { Duty, MountMaterial, PinionJoint } from '@/core/car/document/heat';

export const DUTY_NAMES: Readonly<Record<Duty, string>> = {
  laps: 'laps',
  fieldBashing: 'hard bursts on a field',
  steady: 'steady driving',
  crawl: 'crawling up and down',
  cruise: 'starts to a speed of your own',
  lap: 'the lap of this build',
  track: 'as on a track of your own',
};
export const HOUSING_NAMES: Readonly<Record<Housing, string>> = {
  closed: 'closed',
  vented: 'vented',
  heatsink: 'with a heat sink',
};
/** What is over the motor. */
export const BODY_NAMES: Readonly<Record<Body, string>> = {
  open: 'open',
  vents: 'closed, with vents',
  duct: 'closed, with a duct to the motor',
  closed: 'closed',
};
export const FAN_BLOWS_NAMES: Readonly<Record<NonNullable<Fan['blows']>, string>> = {
  free: 'over the motor',
  throughSink: 'through the fins of the sink',
};
export const CONTROLLER_COOLING_NAMES: Readonly<Record<ControllerCooling, string>> = {
  bare: 'bare case',
  sink: 'heat sink',
  fan: 'heat sink with a fan',
};
export const JOINT_NAMES: Readonly<Record<PinionJoint, string>> = {
  screw: 'set screw or clamp',
  hotGlue: 'hot glue',
  cyanoacrylate: 'instant glue',
  epoxy: 'epoxy',
  retainingCompound: 'retaining compound',
  printed: 'press fit',
  flat: 'flat on the shaft',
  pin: 'pin through hub and shaft',
};
export const MOUNT_NAMES: Readonly<Record<MountMaterial, string>> = {
  metal: 'metal',
  pla: 'PLA',
  petg: 'PETG',
  abs: 'ABS',
  nylon: 'nylon',
  polycarbonate: 'polycarbonate',
};

/** What a motor is there for. */
export const MOTORS_AT_NAMES: Readonly<Record<MotorsAt, string>> = {
  car: 'the whole car',
  axle: 'each driven axle',
  side: 'each side',
  wheel: 'each driven wheel',
};
/** One of several motors. */
export const MOTOR_PLACE_NAMES: Readonly<Record<MotorPlace, string>> = {
  car: 'motor',
  front: 'front motor',
  rear: 'rear motor',
  left: 'left motor',
  right: 'right motor',
  frontLeft: 'front left motor',
  frontRight: 'front right motor',
  rearLeft: 'rear left motor',
  rearRight: 'rear right motor',
};

/** How a motor is switched. */
export const MOTOR_KIND_NAMES: Readonly<Record<MotorKind, string>> = {
  brushed: 'brushed',
  sensored: 'brushless, sensored',
  sensorless: 'brushless, sensorless',
};
