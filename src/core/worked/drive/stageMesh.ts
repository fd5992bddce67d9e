import { isSpur } from './stageKinds';
import { CalcError } from '../../base/errors';
import type { Drive } from '../../car/document/drive';
import type { Stage } from '../../car/stages/stage';
import { gearMesh, type MeshResult } from '../../physics/gears/mesh';

/** Two gears as they mesh, or the refusal of their figures. */
export function meshOrRefusal(stage: Stage): { mesh: MeshResult } | { refused: CalcError } {
  try {
    return { mesh: meshOf(stage)! };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: error };
  }
}

export const spurStages = ({ stages }: Drive): Stage[] => stages.filter(isSpur);

/**
 * The mesh of a spur stage as it stands in a build.
 *
 * @returns undefined while its module or its teeth are missing
 * @throws CalcError as `gear.mesh` does
 */
export function meshOf(stage: Stage): MeshResult | undefined {
  if (!isSpur(stage) || stage.moduleMm === undefined) return undefined;
  const slot =
    stage.slotMinMm !== undefined && stage.slotMaxMm !== undefined
      ? { slotMinMm: stage.slotMinMm, slotMaxMm: stage.slotMaxMm }
      : {};
  return gearMesh({
    pinionTeeth: stage.pinionTeeth!,
    wheelTeeth: stage.wheelTeeth!,
    moduleMm: stage.moduleMm,
    ...(stage.wheelModuleMm === undefined ? {} : { wheelModuleMm: stage.wheelModuleMm }),
    helixDeg: stage.helixDeg ?? 0,
    backlashMm: stage.backlashMm ?? 0,
    pinionShift: stage.pinion?.shift ?? 0,
    wheelShift: stage.wheel?.shift ?? 0,
    ...slot,
  });
}
