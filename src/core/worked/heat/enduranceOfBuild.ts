import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type ChosenMotor, type Drive, motorsInWheels } from '../../car/document/drive';
import {
  calibrationFor,
  JOINT_SOFTENS_C,
  MOUNT_SOFTENS_C,
  type OwnTrace,
  USUAL_AMBIENT_C,
  USUAL_DUTY,
} from '../../car/document/heat';
import { USUAL_CUTOFF_V, USUAL_USABLE_SHARE } from '../../car/document/power';
import { coolingPerMps } from '../../physics/heat/airflow';
import type { CycleDefinition } from '../../physics/motion/cruise';
import type { EnduranceInput } from '../../physics/heat/enduranceDefinition';
import type { TraceSeries } from '../../physics/heat/trace';
import { motorStage } from '../../car/document/drive';
import type { DriveRunInput } from '../../physics/motion/definition';
import { lapDriven, lapTrace } from '../track/lapDriven';
import { auxiliaryOf } from '../power/auxiliaryOfBuild';
import { runInputOf } from '../motion/runOfBuild';
import type { Assembled } from '../../base/assembled';
import { type ThermalDefinition, USUAL_WINDING_LIMIT_C } from '../../physics/heat/thermal';
import { motorThermalDefaults } from '../../physics/heat/thermalDefaults';

/** Where a motor's own magnets and bearings have had enough, when no plastic holds it, °C. */
export const MOTOR_CASE_C = 100;
/** Mean speed over the wish where the brief says none. */
export const USUAL_MEAN_SHARE = 0.6;
const LONGEST_S = 4 * 3600;

/** Of the duty `cruise`, s. */
export const [USUAL_CRUISE_S, USUAL_REST_S] = [60, 0];
/** The wish jumps to its speed, and back, in this time, s; the car follows as it can. */
const JUMP_S = 0.1;

/** A pack of a build: the input of `drive.endurance`, with the charge that the driver leaves in it, share. */
export interface PackOfBuild extends EnduranceInput {
  leastCharge: number;
}

/** Speed of the duty `cruise`, m/s: as typed, or the wish's mean; undefined while there is neither. */
export function cruiseMpsOf({ brief, drive }: Pick<BuildDocument, 'brief' | 'drive'>): number | undefined {
  const { targetMps, meanSpeedShare = USUAL_MEAN_SHARE } = brief;
  return drive.heat?.cruiseMps ?? (targetMps === undefined ? undefined : targetMps * meanSpeedShare);
}

type Cycle = Exclude<EnduranceInput['cycle'], CycleDefinition>;

/** How the pack is driven, or what is still needed to say so. */
export function dutyOf(document: BuildDocument, run: DriveRunInput): Assembled<Cycle> {
  const {
    duty = USUAL_DUTY,
    cruiseS = USUAL_CRUISE_S,
    restS = USUAL_REST_S,
    trace,
  } = document.drive.heat ?? {};
  const needs = (path: string) => ({ ok: false, missing: [path] }) as const;
  const is = (value: Cycle) => ({ ok: true, value }) as const;
  if (duty === 'lap') {
    if (!document.brief.track?.segments?.length) return needs('brief.track.segments');
    const { series } = lapDriven(document, run);
    if (!series) return needs('brief.track.segments:drivable');
    return is({ series: lapTrace(series) });
  }
  if (duty === 'track') return trace ? is({ series: seriesOf(trace) }) : needs('drive.heat.trace');
  if (duty !== 'cruise') return is({ style: duty });
  const speed = cruiseMpsOf(document);
  return speed === undefined
    ? needs('drive.heat.cruiseMps')
    : is({ series: startsTo(speed, cruiseS, restS) });
}

const seriesOf = ({ stepS, speedMps, lateralMps2 }: OwnTrace): TraceSeries => ({
  tS: speedMps.map((_, at) => at * stepS),
  speedMps,
  lateralMps2,
});

/** One start to a speed held for a while, then a rest; without a rest the speed alone. */
function startsTo(speedMps: number, cruiseS: number, restS: number): TraceSeries {
  const held = Math.max(JUMP_S, cruiseS);
  if (restS === 0) return { tS: [0, held], speedMps: [speedMps, speedMps] };
  const stops = JUMP_S + held;
  return {
    tS: [0, JUMP_S, stops, stops + JUMP_S, stops + JUMP_S + restS],
    speedMps: [0, speedMps, speedMps, 0, 0],
  };
}

export interface CaseLimit {
  limitC: number;
  /** What is at its limit first: the pinion on its shaft, its glue, the mount, or the motor itself. */
  of: 'pinion' | 'glue' | 'mount' | 'motor';
}

/** What softens first, and where; the motor itself where no plastic holds it. */
export function caseLimitOf(drive: Drive): CaseLimit {
  const { heat = {} } = drive;
  const ownHub = heat.pinionJoint === 'printed' || heat.pinionJoint === 'flat';
  const limits: CaseLimit[] = [
    { limitC: pinionSoftensC(drive) ?? Infinity, of: ownHub ? 'pinion' : 'glue' },
    { limitC: (heat.mountMaterial && MOUNT_SOFTENS_C[heat.mountMaterial]) ?? Infinity, of: 'mount' },
    { limitC: MOTOR_CASE_C, of: 'motor' },
  ];
  return limits.reduce((a, b) => (b.limitC < a.limitC ? b : a));
}

/** A glue by its kind; a pinion that holds by its own hub by its material, where that is said. */
function pinionSoftensC(drive: Drive): number | undefined {
  const joint = drive.heat?.pinionJoint;
  const material = motorStage({ drive })?.pinion?.material;
  if ((joint === 'printed' || joint === 'flat') && material) return material.softeningC;
  return joint && JOINT_SOFTENS_C[joint];
}

/** Thermal figures of a motor as it is built in: first guesses, with the readings' correction where there is one. */
export function thermalOf(drive: Drive, motor: ChosenMotor): ThermalDefinition {
  const {
    housing = motor.housing ?? 'closed',
    body = 'open',
    ambientC = USUAL_AMBIENT_C,
    windingLimitC = USUAL_WINDING_LIMIT_C,
  } = drive.heat ?? {};
  const first = motorThermalDefaults({
    massG: motor.massG,
    diameterMm: motor.diameterMm,
    lengthMm: motor.lengthMm,
    housing,
  });
  const factor = calibrationFor(drive.heat, motor)?.factor ?? 1;
  return {
    ...first,
    caseToAmbientKPerW: first.caseToAmbientKPerW * factor,
    coolingPerMps: coolingPerMps(motor.diameterMm, motorsInWheels(drive) ? 'closed' : body),
    ambientC,
    windingLimitC,
    caseLimitC: caseLimitOf(drive).limitC,
  };
}

/** What has to be another where the air is already at a limit; nothing where it is under both. */
export function underAir({
  ambientC,
  caseLimitC = Infinity,
  windingLimitC = USUAL_WINDING_LIMIT_C,
}: ThermalDefinition): string[] {
  if (caseLimitC <= ambientC) return ['drive.heat.pinionJoint:underLimit'];
  return windingLimitC <= ambientC ? ['drive.heat.ambientC:underLimit'] : [];
}

/** A pack of a build on one surface, or the paths of what it still needs. */
export function packOfBuild(document: BuildDocument, surface: ChosenSurface): Assembled<PackOfBuild> {
  const run = runInputOf(document, surface);
  if (!run.ok) return run;
  const cycle = dutyOf(document, run.value);
  if (!cycle.ok) return cycle;
  const { cutoffVPerCell = USUAL_CUTOFF_V, usableShare = USUAL_USABLE_SHARE } = document.power;
  return {
    ok: true,
    value: {
      ...run.value,
      thermal: thermalOf(document.drive, document.drive.motor!),
      cycle: cycle.value,
      losses: { auxiliaryA: auxiliaryOf(document) },
      cutoffVPerCell,
      maxDurationS: LONGEST_S,
      leastCharge: 1 - usableShare,
    },
  };
}
