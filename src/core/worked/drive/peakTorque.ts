import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import {
  type Drive,
  drivenOf,
  motorsInAll,
  overallRatio,
  type Stage,
  stageRatio,
  stagesTo,
} from '../../car/document/drive';
import { USUAL_STOP_MM } from '../../car/document/suspension';
import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { landingOneWheelN } from '../../physics/strength/landing';
import type { DriveRunInput } from '../../physics/motion/definition';
import { createPlant, tractionN } from '../../physics/motion/plant';
import type { DriveRunResult } from '../../physics/motion/run';
import { frictionOf, massWithPayloadKg } from '../motion/runOfBuild';

export const PEAK_CAUSES = ['stall', 'currentLimit', 'clutch', 'grip', 'run', 'landing'] as const;
export type PeakCause = (typeof PEAK_CAUSES)[number];

export const CAUSE_WORDS: Readonly<Record<PeakCause, string>> = {
  stall: 'the motor’s stall',
  currentLimit: 'the current limit',
  clutch: 'the slip clutch',
  grip: 'the grip of the driven tyres',
  run: 'full throttle at speed',
  landing: 'a landing on one wheel',
};

/** Torque on the motor's shaft, or as it comes back there without losses, and its speed. */
export interface TorquePeak {
  by: PeakCause;
  motorNm: number;
  motorRpm: number;
}

export interface PeakTorques {
  /** With the wheels held by the ground: the least of stall, current limit, clutch and grip. */
  blocked: TorquePeak;
  /** Each sample of a full-throttle run. */
  run: readonly TorquePeak[];
  /** Left out where nothing is dropped. */
  landing?: TorquePeak;
  /** Every limit that was looked at, Nm at the motor's shaft. */
  candidates: Readonly<Partial<Record<PeakCause, number>>>;
}

/** Torque of a motor over its current beyond idling, Nm/A. */
const perAmpere = (kvRpmPerV: number) => 1 / (kvRpmPerV * RAD_PER_S_PER_RPM);

/**
 * The largest torques at one motor's shaft: what motor, controller, clutch and grip let through with the wheels held, what
 * a full-throttle run asks at each speed, and what a landing on one wheel at full grip sends back, held by a clutch.
 */
export function peakTorques(
  document: BuildDocument,
  surface: ChosenSurface,
  input: DriveRunInput,
  run: DriveRunResult,
): PeakTorques {
  const { drive } = document;
  const plant = createPlant(input);
  const constant = perAmpere(input.motor.kvRpmPerV);
  const torqueAt = (amps: number) => Math.max(0, amps - input.motor.noLoadCurrentA) * constant;
  const radiusM = input.tyre.radiusMm / 1000;
  const { ratio, efficiency } = input.drive;
  const motors = motorsInAll(drive);
  const candidates: Partial<Record<PeakCause, number>> = {
    stall: torqueAt(plant.appliedV / plant.loopOhm),
    currentLimit: torqueAt(
      Math.min(document.power.controller!.currentLimitA, drive.currentLimitA ?? Infinity),
    ),
    ...(drive.clutchNm === undefined ? {} : { clutch: drive.clutchNm }),
    grip: (Math.max(0, tractionN(plant, 0)) * radiusM) / (ratio * efficiency * motors),
  };
  const blockedBy = (Object.keys(candidates) as PeakCause[]).reduce((a, b) =>
    candidates[b]! < candidates[a]! ? b : a,
  );
  const landing = landingAtMotor(document, surface, radiusM);
  if (landing !== undefined) candidates.landing = landing;
  return {
    blocked: { by: blockedBy, motorNm: candidates[blockedBy]!, motorRpm: 0 },
    run: run.series.tS.map((_, index) => ({
      by: 'run',
      motorNm: torqueAt(run.series.motorCurrentA[index]!),
      motorRpm: ((run.series.speedMps[index]! / radiusM) * ratio) / RAD_PER_S_PER_RPM,
    })),
    ...(landing === undefined
      ? {}
      : {
          landing: {
            by: drive.clutchNm !== undefined && drive.clutchNm < landing ? 'clutch' : 'landing',
            motorNm: Math.min(landing, drive.clutchNm ?? Infinity),
            motorRpm: 0,
          },
        }),
    candidates,
  };
}

/** What a landing on one wheel at full grip turns the motor's shaft with, Nm; undefined where nothing is dropped. */
function landingAtMotor(
  document: BuildDocument,
  surface: ChosenSurface,
  radiusM: number,
): number | undefined {
  const { drive, brief, suspension } = document;
  if (brief.dropHeightM === undefined) return undefined;
  const force = landingOneWheelN(
    massWithPayloadKg(document)!,
    brief.dropHeightM,
    (suspension.stopMm ?? USUAL_STOP_MM) / 1000,
  );
  return (force * frictionOf(surface, drive.tyre!) * radiusM) / overallRatio(drive)!;
}

/** Torque and speed at the driving gear of a stage. */
export interface StageLoad {
  by: PeakCause;
  pinionNm: number;
  pinionRpm: number;
}

/** Motors whose torque meets in a stage: the first is each motor's own. */
function motorsOn(drive: Drive, index: number): number {
  return index === 0 ? 1 : (drive.motorCount ?? 1);
}

/** A peak at the motor's shaft as it loads a stage: forward with the losses on the way, a landing back without them. */
export function atStage(drive: Drive, stage: Stage, { by, motorNm, motorRpm }: TorquePeak): StageLoad {
  const way = stagesTo(drive, stage.on ?? drivenOf(drive)[0]!);
  const index = way.indexOf(stage);
  const before = way.slice(0, index);
  const up = before.reduce((product, one) => product * (stageRatio(one) ?? 1), 1);
  const forward =
    by === 'landing'
      ? index === 0
        ? 1 / (drive.motorCount ?? 1)
        : 1
      : before.reduce((product, { efficiency }) => product * efficiency, 1) * motorsOn(drive, index);
  return { by, pinionNm: motorNm * up * forward, pinionRpm: motorRpm / up };
}

/** Largest torque on one driven wheel, Nm: a landing at full grip, or its share of what the drive passes on. */
export function wheelPeakNm(
  document: BuildDocument,
  input: DriveRunInput,
  { blocked, landing }: PeakTorques,
): { by: PeakCause; torqueNm: number } {
  const { drive } = document;
  const ratio = overallRatio(drive)!;
  const wheels = 2 * drivenOf(drive).length;
  const driven = (blocked.motorNm * ratio * input.drive.efficiency * motorsInAll(drive)) / wheels;
  const landed = landing === undefined ? 0 : landing.motorNm * ratio;
  return landed > driven ? { by: landing!.by, torqueNm: landed } : { by: blocked.by, torqueNm: driven };
}

/** Largest torque and speed on a long shaft behind a stage. */
export function behindStage(
  drive: Drive,
  stage: Stage,
  peaks: PeakTorques,
): { by: PeakCause; torqueNm: number } {
  const own = stageRatio(stage) ?? 1;
  return [peaks.blocked, ...(peaks.landing ? [peaks.landing] : [])]
    .map((peak) => ({
      by: peak.by,
      torqueNm: atStage(drive, stage, peak).pinionNm * own * (peak.by === 'landing' ? 1 : stage.efficiency),
    }))
    .reduce((a, b) => (b.torqueNm > a.torqueNm ? b : a));
}

/** Turns of the motor for one of a stage's driven gear. */
export function turnsTo(drive: Drive, stage: Stage): number {
  const way = stagesTo(drive, stage.on ?? drivenOf(drive)[0]!);
  return way.slice(0, way.indexOf(stage) + 1).reduce((product, one) => product * (stageRatio(one) ?? 1), 1);
}
