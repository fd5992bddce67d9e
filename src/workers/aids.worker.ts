import { expose } from 'comlink';
import { type BrakeInput, type BrakeResult, brakeAssist } from '@/core/physics/aids/brakeAssist';
import { criticalGain } from '@/core/physics/aids/criticalGain';
import { brakeStudy, driveStudy, type Study, studySlip } from '@/core/physics/aids/slipStudy';
import { tractionAssist } from '@/core/physics/aids/tractionAssist';
import type { TractionInput } from '@/core/physics/aids/slipDefinition';
import { verdictOf, yawAssist } from '@/core/physics/aids/yawAssist';
import type { YawInput, YawRow } from '@/core/physics/aids/yawDefinition';
import { yawMotion } from '@/core/physics/aids/yawMotion';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import { type SweepQuestion, sweepOfSetting } from '@/core/worked/aids/sweepOfSetting';
import { elementsOfBuild } from '@/core/worked/stability/elementsOfBuild';
import { steadyBand } from '@/core/worked/stability/steadyBand';
import type { GyroLogInput } from '@/core/physics/aids/gyro/definition';
import { gyroLog } from '@/core/physics/aids/gyro/gyroLog';
import { pieces } from './pieces';
import { told } from './refusal';

const OFF_PCT = 100;

/** One speed of a sweep: up to which gain it stays calm, and which settles it fastest. */
export interface SpeedRow {
  speedMps: number;
  criticalGain?: number;
  fastest?: YawRow;
}

const { run, cancel } = pieces();

function* overSpeeds(
  input: YawInput,
  speeds: readonly number[],
  gainsAShare: number,
): Generator<number, SpeedRow[]> {
  const rows: SpeedRow[] = [];
  let done = 0;
  for (const speedMps of speeds) {
    const at = { ...input, speedMps };
    const critical = criticalGain(at);
    const most = critical ?? input.gyro.gain * 4;
    const tried: YawRow[] = [];
    for (let k = 1; k <= gainsAShare; k++) {
      const gain = most * (k / gainsAShare) ** 2;
      tried.push({ gain, ...verdictOf(at, yawMotion(at, gain, at.durationS ?? 2)) });
      yield ++done;
    }
    const fastest = tried
      .filter(({ stable, settleS }) => stable && settleS !== undefined)
      .sort((a, b) => a.settleS! - b.settleS!)[0];
    rows.push({
      speedMps,
      ...(critical === undefined ? {} : { criticalGain: critical }),
      ...(fastest ? { fastest } : {}),
    });
  }
  return rows;
}

const api = {
  /** With the sweep over its gains, and the same car without its gyro. */
  yaw: (input: YawInput) =>
    told(() => {
      const bare = yawAssist({ ...input, gyro: { ...input.gyro, gain: 0 }, gains: [] });
      return { assisted: yawAssist(input), bare };
    }),
  speeds: (
    input: YawInput,
    speeds: readonly number[],
    gains: number,
    report: (done: number) => Promise<void>,
  ): Promise<SpeedRow[] | undefined> => run(overSpeeds(input, speeds, gains), report),
  traction: (input: TractionInput) =>
    told(() => ({
      assisted: tractionAssist(input),
      bare: tractionAssist({ ...input, controller: { ...input.controller, targetSlipPct: OFF_PCT } }),
    })),
  brake: (input: BrakeInput) =>
    told((): { assisted: BrakeResult; bare: BrakeResult } => ({
      assisted: brakeAssist(input),
      bare: brakeAssist({ ...input, controller: { ...input.controller, targetSlipPct: OFF_PCT } }),
    })),
  study: (input: TractionInput, report: (done: number) => Promise<void>): Promise<Study | undefined> =>
    run(studySlip(driveStudy(input)), report),
  brakeStudy: (input: BrakeInput, report: (done: number) => Promise<void>): Promise<Study | undefined> =>
    run(studySlip(brakeStudy(input)), report),
  sweep: (document: BuildDocument, surface: ChosenSurface | undefined, question: SweepQuestion) =>
    told(() => sweepOfSetting(document, surface, question)),
  gyroLog: (input: GyroLogInput) => told(() => gyroLog(input)),
  /** How sure the speeds are at which the car stops being steady. */
  steadyBand: (document: BuildDocument, surface: ChosenSurface) =>
    told(() => ({ band: steadyBand(document, surface) })),
  elements: (document: BuildDocument, surface: ChosenSurface) =>
    told(() => ({ elements: elementsOfBuild(document, surface) })),
  cancel,
};

export type AidsWorker = typeof api;

expose(api);
