import type { Body } from '../../physics/cooling/airflow';
import type { Fan } from '../../physics/cooling/caseCooling';
import type { Housing } from '../../physics/heat/thermalDefaults';
import type { DrivenTrace } from '../../physics/timing/track/drivenTrace';
import type { DrivingStyle } from '../../physics/heat/trace';

/** What keeps the pinion on its shaft; a glue lets go when it softens. */
export const PINION_JOINTS = [
  'screw',
  'hotGlue',
  'cyanoacrylate',
  'epoxy',
  'retainingCompound',
  'printed',
  'flat',
  'pin',
] as const;
export type PinionJoint = (typeof PINION_JOINTS)[number];

export const MOUNT_MATERIALS = ['metal', 'pla', 'petg', 'abs', 'nylon', 'polycarbonate'] as const;
export type MountMaterial = (typeof MOUNT_MATERIALS)[number];

/**
 * Where each softens, °C; undefined where it does not below the motor's own limits. Glues as in their joints,
 * plastics by the usual glass transition or heat deflection at 0.45 MPa.
 */
export const JOINT_SOFTENS_C: Readonly<Record<PinionJoint, number | undefined>> = {
  screw: undefined,
  hotGlue: 60,
  cyanoacrylate: 80,
  epoxy: 90,
  retainingCompound: 150,
  printed: 60,
  flat: undefined,
  pin: undefined,
};
export const MOUNT_SOFTENS_C: Readonly<Record<MountMaterial, number | undefined>> = {
  metal: undefined,
  pla: 55,
  petg: 70,
  abs: 95,
  nylon: 100,
  polycarbonate: 115,
};

/** How a pack is driven: a style, starts to a speed of one's own, the build's own lap, or as on a track of one's own. */
export type Duty = DrivingStyle | 'cruise' | 'lap' | 'track';
export const DUTIES: readonly Duty[] = ['laps', 'fieldBashing', 'steady', 'crawl', 'cruise', 'lap', 'track'];
/** Where none is chosen. */
export const USUAL_DUTY: Duty = 'laps';

/** A temperature of the motor's case read after driving the duty for a while. */
export interface HeatReading {
  id: string;
  /** Minutes into the pack. */
  minutes: number;
  caseC: number;
}

/** What readings say of the cooling, against the first guess; it holds for motors of the size that was measured. */
export interface HeatCalibration {
  diameterMm: number;
  lengthMm: number;
  /** Found over first guess of the way from case to air. */
  factor: number;
  /** Root mean square of what is left, K. */
  residualC: number;
}

/** How a car was driven on a track of one's own, repeated until the pack is empty. */
export interface OwnTrace extends DrivenTrace {
  name: string;
}

export interface Heat {
  housing?: Housing;
  body?: Body;
  /** A sink clipped round the motor, by the height of its fins; none where that is not given. */
  sinkFinMm?: number;
  sinkLengthMm?: number;
  sinkFins?: number;
  /** A fan at the motor, by its flow; none where that is not given. */
  fanM3PerH?: number;
  fanSizeMm?: number;
  fanBlows?: Fan['blows'];
  fanA?: number;
  ambientC?: number;
  windingLimitC?: number;
  pinionJoint?: PinionJoint;
  mountMaterial?: MountMaterial;
  duty?: Duty;
  /** Of the duty `cruise`: its speed, how long it is driven at, and the rest after it. */
  cruiseMps?: number;
  cruiseS?: number;
  restS?: number;
  /** Of the duty `track`. */
  trace?: OwnTrace;
  readings?: HeatReading[];
  calibration?: HeatCalibration;
}

export const USUAL_AMBIENT_C = 25;
/** Of a small fan, A. */
export const USUAL_FAN_A = 0.15;

/** Calibration for a motor of this size. */
export function calibrationFor(
  heat: Heat | undefined,
  { diameterMm, lengthMm }: { diameterMm: number; lengthMm: number },
): HeatCalibration | undefined {
  const found = heat?.calibration;
  return found && found.diameterMm === diameterMm && found.lengthMm === lengthMm ? found : undefined;
}
