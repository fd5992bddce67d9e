import type { DrivenAxles } from '../drive/road';

export const STAGE_KINDS = ['spur', 'internal', 'bevel', 'belt', 'chain', 'planetary', 'direct'] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

/** One reduction stage; a planetary stage counts sun and ring, the ring held. */
export interface Stage {
  id: string;
  kind: StageKind;
  /** Teeth of the driving gear, or of the sun. */
  pinionTeeth?: number;
  /** Teeth of the driven gear, or of the ring. */
  wheelTeeth?: number;
  efficiency: number;
}

/** Copy of a motor's figures. */
export interface ChosenMotor {
  libraryId?: string;
  name: string;
  kvRpmPerV: number;
  resistanceMilliOhm: number;
  noLoadCurrentA: number;
  rotorInertiaKgM2: number;
  maxV: number;
  massG: number;
  diameterMm: number;
  lengthMm: number;
}

/** Copy of a tyre's figures with those of its compound. */
export interface ChosenTyre {
  libraryId?: string;
  name: string;
  compound: string;
  radiusMm: number;
  /** One wheel with its tyre. */
  massG: number;
  /** Factors on the surface's friction. */
  hardFactor: number;
  looseFactor: number;
}

export interface Drive {
  motor?: ChosenMotor;
  motorCount?: number;
  stages: Stage[];
  /** Shafts and joints behind the last stage. */
  shaftEfficiency?: number;
  drivenAxles?: DrivenAxles;
  tyre?: ChosenTyre;
}

export const emptyDrive = (): Drive => ({ stages: [] });

/** Turns in over turns out of one stage, or undefined while its teeth are missing. */
export function stageRatio(stage: Stage): number | undefined {
  if (stage.kind === 'direct') return 1;
  if (stage.pinionTeeth === undefined || stage.wheelTeeth === undefined) return undefined;
  const teeth = stage.wheelTeeth / stage.pinionTeeth;
  return stage.kind === 'planetary' ? 1 + teeth : teeth;
}

/** Motor turns per wheel turn, or undefined while a stage or its teeth are missing. */
export function overallRatio(drive: Drive): number | undefined {
  if (drive.stages.length === 0) return undefined;
  let ratio = 1;
  for (const stage of drive.stages) {
    const one = stageRatio(stage);
    if (one === undefined) return undefined;
    ratio *= one;
  }
  return ratio;
}

/** Shafts and joints of one axle, to start with. */
export const USUAL_SHAFT_EFFICIENCY = 0.97;

/** Share of the motor's power that reaches the wheels. */
export function overallEfficiency(drive: Drive): number {
  return drive.stages.reduce((product, stage) => product * stage.efficiency, drive.shaftEfficiency ?? USUAL_SHAFT_EFFICIENCY);
}
