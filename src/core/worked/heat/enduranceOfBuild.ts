import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type ChosenMotor, type Drive, motorsInWheels } from '../../car/document/drive';
import {
  calibrationFor,
  type CyclePreset,
  JOINT_SOFTENS_C,
  MOUNT_SOFTENS_C,
  USUAL_AMBIENT_C,
} from '../../car/document/heat';
import { USUAL_CUTOFF_V } from '../../car/document/power';
import { coolingPerMps } from '../../physics/heat/airflow';
import type { CycleDefinition } from '../../physics/motion/cruise';
import type { CruiseInput } from '../../physics/heat/enduranceDefinition';
import { runInputOf } from '../motion/runOfBuild';
import type { Assembled } from '../../base/assembled';
import { type ThermalDefinition, USUAL_WINDING_LIMIT_C } from '../../physics/heat/thermal';
import { motorThermalDefaults } from '../../physics/heat/thermalDefaults';

/** Where a motor's own magnets and bearings have had enough, when no plastic holds it, °C. */
export const MOTOR_CASE_C = 100;
/** Mean speed over the wish where the brief says none. */
export const USUAL_MEAN_SHARE = 0.6;
const LONGEST_S = 4 * 3600;

interface Preset {
  /** Cruise over the wish, or over its mean speed. */
  of: 'wish' | 'mean';
  share: number;
  cruiseS: number;
  restS: number;
}

/** Ways of driving to start with, by judgement; each figure may be typed over. */
const PRESETS: Readonly<Record<CyclePreset, Preset>> = {
  steady: { of: 'mean', share: 1, cruiseS: 60, restS: 0 },
  stopAndGo: { of: 'mean', share: 1, cruiseS: 5, restS: 4 },
  grass: { of: 'mean', share: 1.1, cruiseS: 20, restS: 5 },
  speedPasses: { of: 'wish', share: 1, cruiseS: 4, restS: 40 },
  crawl: { of: 'wish', share: 0.2, cruiseS: 30, restS: 5 },
};

/** How the car is driven over the pack: the preset's figures where none is typed; undefined while there is no wish. */
export function cycleOf({
  brief,
  drive,
}: Pick<BuildDocument, 'brief' | 'drive'>): Required<CycleDefinition> | undefined {
  const { preset = 'steady', cruiseMps, cruiseS, restS } = drive.heat ?? {};
  const { of, share, ...times } = PRESETS[preset];
  const reference =
    brief.targetMps === undefined
      ? undefined
      : brief.targetMps * (of === 'wish' ? 1 : (brief.meanSpeedShare ?? USUAL_MEAN_SHARE));
  const speed = cruiseMps ?? (reference === undefined ? undefined : reference * share);
  return speed === undefined
    ? undefined
    : { cruiseMps: speed, cruiseS: cruiseS ?? times.cruiseS, restS: restS ?? times.restS };
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
function pinionSoftensC({ heat, stages }: Drive): number | undefined {
  const joint = heat?.pinionJoint;
  const material = stages.find(({ kind }) => kind === 'spur')?.pinion?.material;
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

/** The input of `drive.endurance` for a build on one surface, or the paths of what it still needs. */
export function enduranceInputOf(document: BuildDocument, surface: ChosenSurface): Assembled<CruiseInput> {
  const run = runInputOf(document, surface);
  const cycle = cycleOf(document);
  const missing = [...(run.ok ? [] : run.missing), ...(cycle ? [] : ['brief.targetMps'])];
  if (!run.ok || !cycle) return { ok: false, missing };
  return {
    ok: true,
    value: {
      ...run.value,
      thermal: thermalOf(document.drive, document.drive.motor!),
      cycle,
      cutoffVPerCell: document.power.cutoffVPerCell ?? USUAL_CUTOFF_V,
      maxDurationS: LONGEST_S,
    },
  };
}
