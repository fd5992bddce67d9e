import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { Drive } from '../../car/document/drive';
import type { Stage } from '../../car/stages/stage';
import type { ChosenMaterial } from '../../car/material/material';
import type { WholePack } from '../heat/wholePack';
import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { bisect } from '../../base/numeric/root';
import { dynamicAt, gearStrength, type GearStrengthResult } from '../../physics/gears/strength';
import { bendingOf, GEAR_ROLES, type GearRole, planetTeethOf, type ToothBending } from './stageTeeth';
import { hasTeeth, isConical } from './stageKinds';
import type { DriveRunInput } from '../../physics/motion/definition';
import { gearTemperatures } from './gearTemperature';
import { atStage, type PeakTorques, peakTorques, type StageLoad } from './peakTorque';
import type { DriveRunResult } from '../../physics/motion/run';

export interface Tooth {
  stage: Stage;
  role: GearRole;
  teeth: number;
  material: ChosenMaterial;
  /** The load that asks most of the tooth. */
  load: StageLoad;
  torqueNm: number;
  temperatureC: number;
  bending: ToothBending & { torqueAtMargin1Nm: number; faceWidthForMargin2Mm?: number };
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

/** Fewest teeth whose form factor is known. */
const FEWEST_TEETH = 10;

/** What a stage with teeth still needs before they can be worked out. */
export function toothMissing(stage: Stage): string[] {
  const { id, kind, moduleMm, faceWidthMm, pinion, wheel, pinionTeeth = 0, wheelTeeth = 0 } = stage;
  const at = (key: string) => `drive.stages.${id}.${key}`;
  const few = (teeth: number, mate: number) =>
    teeth === 0 || (isConical(stage) ? teeth * Math.hypot(1, teeth / mate) : teeth) < FEWEST_TEETH;
  return [
    ...(moduleMm === undefined ? [at('moduleMm')] : []),
    ...(faceWidthMm === undefined ? [at('faceWidthMm')] : []),
    ...(pinion?.material ? [] : [at('pinion.material')]),
    ...(wheel?.material ? [] : [at('wheel.material')]),
    ...(few(pinionTeeth, wheelTeeth) ? [at('pinionTeeth:tooFew')] : []),
    ...(few(wheelTeeth, pinionTeeth) ? [at('wheelTeeth:tooFew')] : []),
    ...(isConical(stage) && moduleMm !== undefined && faceWidthMm !== undefined
      ? faceWidthMm >= (moduleMm * Math.hypot(pinionTeeth, wheelTeeth)) / 2
        ? [at('faceWidthMm:cone')]
        : []
      : []),
    ...(kind === 'planetary' ? setMissing(stage) : []),
    ...(kind === 'differential' && stage.planets === undefined ? [at('planets')] : []),
  ];
}

function setMissing(stage: Stage): string[] {
  const at = (key: string) => `drive.stages.${stage.id}.${key}`;
  const planetTeeth = planetTeethOf(stage);
  return [
    ...(stage.planets === undefined ? [at('planets')] : []),
    ...(stage.planet?.material ? [] : [at('planet.material')]),
    ...(Number.isInteger(planetTeeth) && planetTeeth >= FEWEST_TEETH ? [] : [at('wheelTeeth:planets')]),
  ];
}

/** Stages whose teeth are worked out, and those that still need something. */
export function judgedStages({ stages }: Drive): { judged: Stage[]; open: Stage[] } {
  const toothed = stages.filter(hasTeeth);
  return {
    judged: toothed.filter((stage) => toothMissing(stage).length === 0),
    open: toothed.filter((stage) => toothMissing(stage).length > 0),
  };
}

/** Every tooth at its worst load, the weakest first. */
export function teethOf(setting: ToothSetting): Tooth[] {
  const peaks = peakTorques(setting.document, setting.surface, setting.input, setting.run);
  return judgedStages(setting.document.drive)
    .judged.flatMap((stage) => teethOfStage(setting, peaks, stage))
    .sort((a, b) => (a.bending.margin ?? Infinity) - (b.bending.margin ?? Infinity));
}

function teethOfStage({ document, input, pack }: ToothSetting, peaks: PeakTorques, stage: Stage): Tooth[] {
  const { drive } = document;
  const [pinionC, wheelC] = gearTemperatures(drive, stage, pack.unlimited.peakCaseC);
  const under = ({ pinionNm, pinionRpm }: Pick<StageLoad, 'pinionNm' | 'pinionRpm'>) => ({
    pinionNm,
    pinionRpm,
    pinionC,
    wheelC,
  });
  const mpsPerRpm = bendingOf(stage, under({ pinionNm: 0, pinionRpm: 1 })).pinion!.pitchLineMps;
  const asked = ({ pinionNm, pinionRpm }: StageLoad) => pinionNm * dynamicAt(pinionRpm * mpsPerRpm);
  const load = [peaks.blocked, ...peaks.run, ...(peaks.landing ? [peaks.landing] : [])]
    .map((peak) => atStage(drive, stage, peak))
    .reduce((a, b) => (asked(b) > asked(a) ? b : a));
  const bendings = bendingOf(stage, under(load));
  return GEAR_ROLES.flatMap((role): Tooth[] => {
    const bending = bendings[role];
    if (!bending) return [];
    const { margin, torqueNm } = bending;
    const marginAt = (faceWidthMm: number) =>
      bendingOf({ ...stage, faceWidthMm }, under(load))[role]!.margin ?? Infinity;
    const width = margin === undefined || margin === 0 ? undefined : widthFor(stage, margin, marginAt);
    const worn = wornOf(stage, role, { pinionC, wheelC }, meanLoad(input, pack), drive);
    return [
      {
        stage,
        role,
        teeth: teethIn(stage, role),
        material: stage[role]!.material!,
        load,
        torqueNm,
        temperatureC: role === 'pinion' ? pinionC : wheelC,
        bending: {
          ...bending,
          torqueAtMargin1Nm: margin === undefined ? 0 : torqueNm * margin,
          ...(width === undefined ? {} : { faceWidthForMargin2Mm: width }),
        },
        ...(worn ? { worn } : {}),
      },
    ];
  });
}

const teethIn = (stage: Stage, role: GearRole): number =>
  role === 'pinion' ? stage.pinionTeeth! : role === 'wheel' ? stage.wheelTeeth! : planetTeethOf(stage);

const TWICE = 2;

/** Face at which a tooth holds twice what it sees; none where the cone of a bevel is too short for it. */
function widthFor(stage: Stage, margin: number, marginAt: (mm: number) => number): number | undefined {
  const { faceWidthMm = 0, moduleMm = 0, helixDeg = 0 } = stage;
  const straight = (faceWidthMm * TWICE) / margin;
  if (!isConical(stage) && helixDeg === 0) return straight;
  const most = isConical(stage)
    ? 0.999 * (moduleMm / 2) * Math.hypot(stage.pinionTeeth!, stage.wheelTeeth!)
    : WIDEST * straight;
  return marginAt(most) < TWICE ? undefined : bisect((mm) => (marginAt(mm) < TWICE ? 1 : -1), 0, most);
}

/** Times the width of a straight tooth within which that of a helical one lies. */
const WIDEST = 2;

/** Wear is known of gears on parallel shafts. */
function wornOf(
  stage: Stage,
  role: GearRole,
  { pinionC, wheelC }: { pinionC: number; wheelC: number },
  mean: ReturnType<typeof meanLoad>,
  drive: Drive,
): GearStrengthResult | undefined {
  if (!mean || stage.kind !== 'spur') return undefined;
  const isPinion = role === 'pinion';
  const own = isPinion ? 1 : stage.wheelTeeth! / stage.pinionTeeth!;
  const { pinionNm, pinionRpm } = atStage(drive, stage, { by: 'run', ...mean });
  return gearStrength({
    teeth: isPinion ? stage.pinionTeeth! : stage.wheelTeeth!,
    mateTeeth: isPinion ? stage.wheelTeeth! : stage.pinionTeeth!,
    moduleMm: stage.moduleMm!,
    faceWidthMm: stage.faceWidthMm!,
    torqueNm: pinionNm * own,
    speedRpm: pinionRpm / own,
    material: stage[role]!.material!,
    temperatureC: isPinion ? pinionC : wheelC,
  });
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
