import type { Housing } from '../../physics/heat/thermalDefaults';
import type { MotorKind } from '../document/power';
import type { Duty, MountMaterial, PinionJoint } from '../document/heat';

export const DUTY_NAMES: Readonly<Record<Duty, string>> = {
  laps: 'laps',
  fieldBashing: 'hard bursts on a field',
  steady: 'steady driving',
  crawl: 'crawling up and down',
  cruise: 'starts to a speed of your own',
};
export const HOUSING_NAMES: Readonly<Record<Housing, string>> = {
  closed: 'closed',
  vented: 'vented',
  heatsink: 'with a heat sink',
};
export const JOINT_NAMES: Readonly<Record<PinionJoint, string>> = {
  screw: 'set screw or clamp',
  hotGlue: 'hot glue, 60 °C',
  cyanoacrylate: 'instant glue, 80 °C',
  epoxy: 'epoxy, 90 °C',
  retainingCompound: 'retaining compound, 150 °C',
  printed: 'press fit',
  flat: 'flat on the shaft',
  pin: 'pin through hub and shaft',
};
export const MOUNT_NAMES: Readonly<Record<MountMaterial, string>> = {
  metal: 'metal',
  pla: 'PLA, 55 °C',
  petg: 'PETG, 70 °C',
  abs: 'ABS, 95 °C',
  nylon: 'nylon, 100 °C',
  polycarbonate: 'polycarbonate, 115 °C',
};

/** How a motor is switched. */
export const MOTOR_KIND_NAMES: Readonly<Record<MotorKind, string>> = {
  brushed: 'brushed',
  sensored: 'brushless, sensored',
  sensorless: 'brushless, sensorless',
};
