import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type Drive, drivenOf, overallRatio, stagesTo } from '../../car/document/drive';
import { type Stage, stageRatio } from '../../car/stages/stage';
import { motorPlaces, motorsInAll, limitOfController, motorsPerController } from '../../car/document/motors';
import { tyreAt } from '../../car/tyres/tyres';
import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { oneWheelLandingN } from '../suspension/landingOfBuild';
import type { DriveRunInput } from '../../physics/motion/definition';
import { createPlant, tractionN } from '../../physics/motion/plant';
import type { DriveRunResult } from '../../physics/motion/run';
import { frictionOf, WHEELS } from '../motion/tyreOfRun';

export const PEAK_CAUSES = ['stall', 'currentLimit', 'clutch', 'grip', 'spinUp', 'run', 'landing'] as const;
export type PeakCause = (typeof PEAK_CAUSES)[number];

/** Torque on the motor's shaft, or as it comes back there without losses, and its speed. */
export interface TorquePeak {
  by: PeakCause;
  motorNm: number;
  motorRpm: number;
}

export interface PeakTorques {
  /** Full throttle from standing: what motor and controller give, less what the rotor keeps where the tyres slip, held by a clutch. */
  blocked: TorquePeak;
  /** Each sample of a full-throttle run. */
  run: readonly TorquePeak[];
  /** Left out where nothing is dropped. */
  landing?: TorquePeak;
  /** On the tread of the one wheel that lands, Nm. */
  landingWheelNm?: number;
  /** Every limit that was looked at, Nm at one motor's shaft. */
  candidates: Readonly<Partial<Record<PeakCause, number>>>;
}

/** Torque of a motor over its current beyond idling, Nm/A. */
const perAmpere = (kvRpmPerV: number) => 1 / (kvRpmPerV * RAD_PER_S_PER_RPM);

/** Wheels that one place of motors turns. */
const wheelsAt = (drive: Drive): number => (2 * drivenOf(drive).length) / motorPlaces(drive).length;

/** Share of what turns that is wheels, the rest rotors, both seen from the wheels. */
function wheelShare(drive: Drive, { car, drive: { ratio }, motor }: DriveRunInput): number {
  const wheels = (wheelsAt(drive) * (car.wheelInertiaKgM2 ?? 0)) / WHEELS;
  const rotors = (drive.motorCount ?? 1) * (motor.rotorInertiaKgM2 ?? 0) * ratio ** 2;
  return wheels + rotors === 0 ? 1 : wheels / (wheels + rotors);
}

/**
 * The largest torques at one motor's shaft. From standing, what motor and controller give beyond the grip of the tyres spins
 * wheels and rotor up, and the gears pass on the wheels' share of it: T = T_grip + (T_motor − T_grip)·J_w/(J_w + J_r·i²). A
 * landing on one wheel at full grip is resisted by the rotor's inertia alone, because a motor that has spun up in the air
 * gives nothing: T = T_wheel/i·J_r·i²/(J_w + J_r·i²), which holds for an open differential as for a locked one. A clutch
 * holds both.
 *
 * @see Meriam and Kraige, Dynamics, ch. 6 (bodies turning together)
 */
export function peakTorques(
  document: BuildDocument,
  surface: ChosenSurface,
  input: DriveRunInput,
  run: DriveRunResult,
): PeakTorques {
  const { drive } = document;
  const { clutchNm = Infinity } = drive;
  const plant = createPlant(input);
  const constant = perAmpere(input.motor.kvRpmPerV);
  const torqueAt = (amps: number) => Math.max(0, amps - input.motor.noLoadCurrentA) * constant;
  const radiusM = input.tyre.radiusMm / 1000;
  const { ratio, efficiency } = input.drive;
  const share = wheelShare(drive, input);
  const stall = torqueAt(plant.appliedV / plant.loopOhm);
  const currentLimit = torqueAt(
    Math.min(
      limitOfController(document.power.controller!) / motorsPerController(document),
      drive.currentLimitA ?? Infinity,
    ),
  );
  const grip = (Math.max(0, tractionN(plant, 0)) * radiusM) / (ratio * efficiency * motorsInAll(drive));
  const given = Math.min(stall, currentLimit);
  const spinUp = given > grip ? grip + (given - grip) * share : undefined;
  const passed = spinUp ?? given;
  const landingWheelNm = landingOnWheelNm(document, surface);
  const landing =
    landingWheelNm === undefined
      ? undefined
      : ((1 - share) * landingWheelNm) / ratio / (drive.motorCount ?? 1);
  return {
    blocked: {
      by:
        clutchNm < passed
          ? 'clutch'
          : spinUp !== undefined
            ? 'spinUp'
            : stall < currentLimit
              ? 'stall'
              : 'currentLimit',
      motorNm: Math.min(passed, clutchNm),
      motorRpm: 0,
    },
    run: run.series.tS.map((_, index) => ({
      by: 'run',
      motorNm: torqueAt(run.series.motorCurrentA[index]!),
      motorRpm: ((run.series.speedMps[index]! / radiusM) * ratio) / RAD_PER_S_PER_RPM,
    })),
    ...(landing === undefined
      ? {}
      : {
          landing: {
            by: clutchNm < landing ? 'clutch' : 'landing',
            motorNm: Math.min(landing, clutchNm),
            motorRpm: 0,
          },
          landingWheelNm,
        }),
    candidates: {
      stall,
      currentLimit,
      grip,
      ...(spinUp === undefined ? {} : { spinUp }),
      ...(drive.clutchNm === undefined ? {} : { clutch: drive.clutchNm }),
      ...(landing === undefined ? {} : { landing }),
    },
  };
}

/** What a landing at full grip turns the driven wheel that lands with, the hardest of them, Nm; undefined where nothing is dropped. */
function landingOnWheelNm(document: BuildDocument, surface: ChosenSurface): number | undefined {
  const { drive, brief } = document;
  if (brief.dropHeightM === undefined) return undefined;
  const force = oneWheelLandingN(document);
  const armsM = drivenOf(drive).map((axle) => {
    const tyre = tyreAt(drive, axle)!;
    return frictionOf(surface, tyre) * (tyre.radiusMm / 1000);
  });
  return force * Math.max(...armsM);
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

/** What comes back from the wheels passes the gears without losses. */
const comesBack = (by: PeakCause): boolean => by === 'landing';

/** A peak at the motor's shaft as it loads a stage: forward with the losses on the way, a landing back without them. */
export function atStage(drive: Drive, stage: Stage, { by, motorNm, motorRpm }: TorquePeak): StageLoad {
  const way = stagesTo(drive, stage.on ?? drivenOf(drive)[0]!);
  const index = way.indexOf(stage);
  const before = way.slice(0, index);
  const up = before.reduce((product, one) => product * (stageRatio(one) ?? 1), 1);
  const kept = comesBack(by) ? 1 : before.reduce((product, { efficiency }) => product * efficiency, 1);
  return { by, pinionNm: motorNm * up * kept * motorsOn(drive, index), pinionRpm: motorRpm / up };
}

/**
 * Largest torque on one driven wheel, Nm: its share of what the drive passes on, or a landing at full grip less what slows the
 * wheel itself, with the axle locked.
 */
export function wheelPeakNm(
  document: BuildDocument,
  input: DriveRunInput,
  { blocked, landing, landingWheelNm = 0 }: PeakTorques,
): { by: PeakCause; torqueNm: number } {
  const { drive } = document;
  const ratio = overallRatio(drive)!;
  const driven =
    (blocked.motorNm * ratio * input.drive.efficiency * motorsInAll(drive)) / (2 * drivenOf(drive).length);
  const passed = (landing?.motorNm ?? 0) * ratio * (drive.motorCount ?? 1);
  const landed = landingWheelNm - Math.max(0, landingWheelNm - passed) / wheelsAt(drive);
  return landed > driven ? { by: 'landing', torqueNm: landed } : { by: blocked.by, torqueNm: driven };
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
      torqueNm: atStage(drive, stage, peak).pinionNm * own * (comesBack(peak.by) ? 1 : stage.efficiency),
    }))
    .reduce((a, b) => (b.torqueNm > a.torqueNm ? b : a));
}

/** Turns of the motor for one of a stage's driven gear. */
export function turnsTo(drive: Drive, stage: Stage): number {
  const way = stagesTo(drive, stage.on ?? drivenOf(drive)[0]!);
  return way.slice(0, way.indexOf(stage) + 1).reduce((product, one) => product * (stageRatio(one) ?? 1), 1);
}
