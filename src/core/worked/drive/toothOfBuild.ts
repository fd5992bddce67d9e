import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { GearBody, Stage } from '../../car/stages/stage';
import type { ChosenMaterial } from '../../car/material/material';
import type { WholePack } from '../heat/wholePack';
import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { gearStrength, type GearStrengthResult } from '../../physics/gears/strength';
import { spurStages } from './stageMesh';
import type { DriveRunInput } from '../../physics/motion/definition';
import { gearTemperatures } from './gearTemperature';
import { atStage, type PeakTorques, peakTorques, type StageLoad } from './peakTorque';
import type { DriveRunResult } from '../../physics/motion/run';

export type GearRole = 'pinion' | 'wheel';
export const GEAR_ROLES: readonly GearRole[] = ['pinion', 'wheel'];

export interface Tooth {
  stage: Stage;
  role: GearRole;
  teeth: number;
  material: ChosenMaterial;
  /** The load that asks most of the tooth. */
  load: StageLoad;
  torqueNm: number;
  temperatureC: number;
  bending: GearStrengthResult;
  /** At the means of the pack; its wear alone counts. */
  worn?: GearStrengthResult;
}

/** What a build on a surface lets a tooth see. */
export interface ToothSetting {
  document: BuildDocument;
  surface: ChosenSurface;
  input: DriveRunInput;
  run: DriveRunResult;
  pack: WholePack;
}

/** Every load that a tooth is held against is a peak already. */
const PEAK_OVERLOAD = 1;

/** Fewest teeth whose form factor is known. */
const FEWEST_TEETH = 10;

/** What a pair still needs before its teeth can be reckoned with. */
export function toothMissing({
  id,
  moduleMm,
  faceWidthMm,
  pinion,
  wheel,
  pinionTeeth = 0,
  wheelTeeth = 0,
}: Stage): string[] {
  return [
    ...(moduleMm === undefined ? [`drive.stages.${id}.moduleMm`] : []),
    ...(faceWidthMm === undefined ? [`drive.stages.${id}.faceWidthMm`] : []),
    ...(pinion?.material ? [] : [`drive.stages.${id}.pinion.material`]),
    ...(wheel?.material ? [] : [`drive.stages.${id}.wheel.material`]),
    ...(pinionTeeth < FEWEST_TEETH ? [`drive.stages.${id}.pinionTeeth:tooFew`] : []),
    ...(wheelTeeth < FEWEST_TEETH ? [`drive.stages.${id}.wheelTeeth:tooFew`] : []),
  ];
}

/** Every tooth of the spur gears at its worst load, the weakest first. */
export function teethOf(setting: ToothSetting): Tooth[] {
  const peaks = peakTorques(setting.document, setting.surface, setting.input, setting.run);
  return spurStages(setting.document.drive)
    .filter((stage) => toothMissing(stage).length === 0)
    .flatMap((stage) => GEAR_ROLES.map((role) => toothOf(setting, peaks, stage, role)))
    .sort((a, b) => (a.bending.margin ?? Infinity) - (b.bending.margin ?? Infinity));
}

function toothOf(
  { document, input, pack }: ToothSetting,
  peaks: PeakTorques,
  stage: Stage,
  role: GearRole,
): Tooth {
  const { drive } = document;
  const body: GearBody = stage[role]!;
  const [pinionC, wheelC] = gearTemperatures(drive, stage, pack.unlimited.peakCaseC);
  const temperatureC = role === 'pinion' ? pinionC : wheelC;
  const [teeth, mateTeeth] =
    role === 'pinion' ? [stage.pinionTeeth!, stage.wheelTeeth!] : [stage.wheelTeeth!, stage.pinionTeeth!];
  const own = role === 'pinion' ? 1 : stage.wheelTeeth! / stage.pinionTeeth!;
  const strength = ({ pinionNm, pinionRpm }: Pick<StageLoad, 'pinionNm' | 'pinionRpm'>) =>
    gearStrength({
      teeth,
      mateTeeth,
      moduleMm: stage.moduleMm!,
      faceWidthMm: stage.faceWidthMm!,
      torqueNm: pinionNm * own,
      overloadFactor: PEAK_OVERLOAD,
      speedRpm: pinionRpm / own,
      material: body.material!,
      temperatureC,
      ...(body.fillFactor === undefined ? {} : { fillFactor: body.fillFactor }),
    });
  const loads = [peaks.blocked, ...peaks.run, ...(peaks.landing ? [peaks.landing] : [])].map((peak) =>
    atStage(drive, stage, peak),
  );
  const worst = loads
    .map((load) => ({ load, bending: strength(load) }))
    .reduce((a, b) => (b.bending.bendingStressMpa > a.bending.bendingStressMpa ? b : a));
  const mean = meanLoad(input, pack);
  return {
    stage,
    role,
    teeth,
    material: body.material!,
    ...worst,
    torqueNm: worst.load.pinionNm * own,
    temperatureC,
    ...(mean ? { worn: strength(atStage(drive, stage, { by: 'run', ...mean })) } : {}),
  };
}

/** Torque of the root mean square current at the mean speed of the pack: a little more work than was done. */
function meanLoad(
  { motor, tyre, drive }: DriveRunInput,
  { unlimited }: WholePack,
): { motorNm: number; motorRpm: number } | undefined {
  const { rmsMotorCurrentA, distanceM, durationS } = unlimited;
  if (rmsMotorCurrentA === undefined || durationS === 0) return undefined;
  return {
    motorNm: Math.max(0, rmsMotorCurrentA - motor.noLoadCurrentA) / (motor.kvRpmPerV * RAD_PER_S_PER_RPM),
    motorRpm: ((distanceM / durationS) * 1000 * drive.ratio) / tyre.radiusMm / RAD_PER_S_PER_RPM,
  };
}
