import type { BuildDocument } from '../../car/document/document';
import type { GearBody, Stage } from '../../car/stages/stage';
import { PINION_JOINTS, type PinionJoint, USUAL_AMBIENT_C } from '../../car/document/heat';
import { CalcError } from '../../base/errors';
import { type JointInput, type JointResult, jointCapacity } from '../../physics/joints/joint';
import { meshOf } from './stageMesh';
import { type PeakCause, type PeakTorques, peakTorques, wheelPeakNm } from './peakTorque';
import type { ToothSetting } from './toothOfBuild';

/** To start with, by judgement: an M3 set screw drawn up firmly, a thumb-pressed hub, a pin of spring steel. */
export const USUAL_SCREW_N = 500;
/** Of a plastic hub, and of a metal one. */
export const USUAL_INTERFERENCE_MM = { plastic: 0.05, metal: 0.005 } as const;
const METAL_FROM_MPA = 20_000;
export const usualInterferenceMm = ({ modulusMpa }: { modulusMpa: number }) =>
  modulusMpa < METAL_FROM_MPA ? USUAL_INTERFERENCE_MM.plastic : USUAL_INTERFERENCE_MM.metal;
export const USUAL_PIN_MM = 1.5;
const PIN_SHEAR_MPA = 400;

export interface Asked {
  by: PeakCause;
  torqueNm: number;
}

/** One way to hold the pinion: what it carries, or what it still needs. */
export type HeldBy = { kind: PinionJoint } & ({ result: JointResult } | { needs: string });

/** Largest torque at one motor's shaft. */
export function pinionDemand({ blocked, run, landing }: PeakTorques): Asked {
  const worst = [blocked, ...run, ...(landing ? [landing] : [])].reduce((a, b) =>
    b.motorNm > a.motorNm ? b : a,
  );
  return { by: worst.by, torqueNm: worst.motorNm };
}

/** What the pinion's shaft and hub still lack for any joint. */
export function pinionMissing(stage: Stage | undefined): string[] {
  if (!stage) return ['drive.stages'];
  return [
    ...(stage.pinion?.boreMm === undefined ? [`drive.stages.${stage.id}.pinion.boreMm`] : []),
    ...(stage.pinion?.hubLengthMm === undefined && stage.faceWidthMm === undefined
      ? [`drive.stages.${stage.id}.faceWidthMm`]
      : []),
  ];
}

/** Every way to hold the pinion side by side, at a temperature (°C) and against a torque (Nm); the motor's stage must be complete. */
export function pinionHeld(stage: Stage, temperatureC: number, demandNm: number): HeldBy[] {
  return PINION_JOINTS.map((kind) => {
    const input = jointInput(stage, kind, temperatureC, demandNm);
    if (typeof input === 'string') return { kind, needs: input };
    try {
      return { kind, result: jointCapacity(input) };
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      return { kind, needs: `drive.stages.${stage.id}.pinion:holds` };
    }
  });
}

function jointInput(
  stage: Stage,
  kind: PinionJoint,
  temperatureC: number,
  demandNm: number,
): JointInput | string {
  const body: GearBody = stage.pinion!;
  const common = {
    shaftMm: body.boreMm!,
    lengthMm: body.hubLengthMm ?? stage.faceWidthMm!,
    temperatureC,
    demandNm,
  };
  const { material } = body;
  switch (kind) {
    case 'screw':
      return { ...common, kind: 'grubScrew', screwForceN: body.screwForceN ?? USUAL_SCREW_N };
    case 'pin':
      return { ...common, kind: 'pin', pinMm: body.pinMm ?? USUAL_PIN_MM, pinShearMpa: PIN_SHEAR_MPA };
    case 'flat':
      if (body.flatDepthMm === undefined) return 'depth of the flat';
      return material
        ? {
            ...common,
            kind: 'flat',
            flatDepthMm: body.flatDepthMm,
            bearingMpa: material.inPlaneStrengthMpa,
            softeningC: material.softeningC,
          }
        : `drive.stages.${stage.id}.pinion.material`;
    case 'printed': {
      const root = rootDiameter(stage);
      if (!material || root === undefined)
        return `drive.stages.${stage.id}.${material ? 'moduleMm' : 'pinion.material'}`;
      return {
        ...common,
        kind: 'press',
        interferenceMm: body.interferenceMm ?? usualInterferenceMm(material),
        hubOuterMm: root,
        hubModulusMpa: material.modulusMpa,
        hubStrengthMpa: material.inPlaneStrengthMpa,
        softeningC: material.softeningC,
      };
    }
    default:
      return { ...common, kind: 'adhesive', preset: kind };
  }
}

function rootDiameter(stage: Stage): number | undefined {
  try {
    return meshOf(stage)?.rootDiametersMm[0];
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}

/** What the wheel's hex still lacks. */
export function hexMissing({ drive: { wheelHex = {} } }: BuildDocument): string[] {
  const { acrossFlatsMm, lengthMm, material } = wheelHex;
  return [
    ...(acrossFlatsMm === undefined ? ['drive.wheelHex.acrossFlatsMm'] : []),
    ...(lengthMm === undefined ? ['drive.wheelHex.lengthMm'] : []),
    ...(material ? [] : ['drive.wheelHex.material']),
  ];
}

/** The wheel on its hex, in air, against the largest torque of one wheel; the hex must be complete. */
export function wheelHeld(setting: Pick<ToothSetting, 'document' | 'surface' | 'input' | 'run'>): {
  asked: Asked;
  temperatureC: number;
  result: JointResult;
} {
  const { acrossFlatsMm, lengthMm, material } = setting.document.drive.wheelHex!;
  const asked = wheelPeakNm(
    setting.document,
    setting.input,
    peakTorques(setting.document, setting.surface, setting.input, setting.run),
  );
  const temperatureC = setting.document.drive.heat?.ambientC ?? USUAL_AMBIENT_C;
  return {
    asked,
    temperatureC,
    result: jointCapacity({
      kind: 'hex',
      shaftMm: acrossFlatsMm!,
      lengthMm: lengthMm!,
      acrossFlatsMm: acrossFlatsMm!,
      bearingMpa: material!.inPlaneStrengthMpa,
      softeningC: material!.softeningC,
      temperatureC,
      demandNm: asked.torqueNm,
    }),
  };
}
