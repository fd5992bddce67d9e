import type { GearMount, Stage } from '../../car/stages/stage';
import { gearOpening, type Mount, type OpeningResult } from '../../physics/transmissions/opening';
import type { StageLoad } from '../drive/peakTorque';
import type { ToothSetting } from '../drive/toothOfBuild';
import { peakOn } from './stagePeak';

/** Every load is a peak already. */
const PEAK_OVERLOAD = 1;

/** What a mount still needs. */
export function mountMissing({ id, moduleMm, mount }: Stage): string[] {
  const at = (key: string) => `drive.stages.${id}.${key}`;
  return [
    ...(moduleMm === undefined ? [at('moduleMm')] : []),
    ...(mount?.stiffnessNPerMm !== undefined
      ? []
      : (['support', 'lengthMm', 'widthMm', 'thicknessMm', 'material'] as const)
          .filter((key) => mount?.[key] === undefined)
          .map((key) => at(`mount.${key}`))),
  ];
}

function mountOf({ stiffnessNPerMm, support, lengthMm, widthMm, thicknessMm, material }: GearMount): Mount {
  if (stiffnessNPerMm !== undefined) return { stiffnessNPerMm };
  return {
    beam: {
      support: support!,
      lengthMm: lengthMm!,
      widthMm: widthMm!,
      thicknessMm: thicknessMm!,
      modulusMpa: material!.modulusMpa,
    },
  };
}

export interface Opening {
  stage: Stage;
  load: StageLoad;
  found: OpeningResult;
}

/**
 * How far the peak torque pushes the gears of a stage apart.
 *
 * @throws CalcError as `gear.mesh` does
 */
export function openingOf(setting: Omit<ToothSetting, 'pack'>, stage: Stage): Opening {
  const load = peakOn(setting, stage);
  const found = gearOpening({
    pinionTeeth: stage.pinionTeeth!,
    wheelTeeth: stage.wheelTeeth!,
    moduleMm: stage.moduleMm!,
    helixDeg: stage.helixDeg ?? 0,
    backlashMm: stage.backlashMm ?? 0,
    pinionShift: stage.pinion?.shift ?? 0,
    wheelShift: stage.wheel?.shift ?? 0,
    torqueNm: load.pinionNm,
    overloadFactor: PEAK_OVERLOAD,
    playMm: stage.bearingPlayMm ?? 0,
    mount: mountOf(stage.mount!),
  });
  return { stage, load, found };
}
