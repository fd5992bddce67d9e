import type { Finding } from '@/core/base/finding';
import { expose, transfer } from 'comlink';
import type { BuildDocument } from '@/core/car/document/document';
import type { HeatCalibration } from '@/core/car/document/heat';
import { calibrateBuild } from '@/core/worked/heat/heatOf';
import { refusal } from '@/core/base/errors';
import { type PredictionBand, predictionBand } from '@/core/worked/field/band';
import { calibrateRuns, type CalibrateResult } from '@/core/worked/field/calibrate';
import type { Conditions, RunRecord } from '@/core/car/records/records';
import { expectPack } from '@/core/worked/field/predictPack';
import { type DrivenTrace, drivenTrace } from '@/core/physics/timing/track/drivenTrace';
import {
  type GpxSpeedResult,
  readSpeeds,
  USUAL_MAX_ACCEL,
  USUAL_WINDOW_S,
} from '@/core/physics/timing/track/gpxSpeed';
import { lapLine, type LapLine } from '@/core/physics/timing/track/lapLine';
import { planOf } from '@/core/physics/timing/track/plan';
import { speedLog } from '@/core/physics/timing/track/speedLog';
import { readTrack } from '@/core/physics/timing/track/readTrack';
import { writeGpx } from '@/core/physics/timing/track/writeGpx';
import type { LaidOn, LogAnswer, LogQuestion, LogSourceOf } from './logs';
import { type Refusal, told } from './refusal';

declare module '@/core/base/errors' {
  interface RefusalFacts {
    'track.large': Record<never, never>;
  }
}

/** A track as a page draws it: metres east and north of its first point, with the speed there. */
export interface SeenTrack {
  result: Omit<GpxSpeedResult, 'series'>;
  /** Thinned for a picture; a new stretch begins where `starts` says. */
  eastM: Float32Array;
  northM: Float32Array;
  tS: Float32Array;
  speedMps: Float32Array;
  starts: number[];
  /** When a point was dropped as a jump. */
  droppedS: number[];
}

export interface MotorHeat {
  calibration?: HeatCalibration;
  missing: readonly string[];
  notes: readonly Finding[];
}

const MOST_SHOWN = 4000;
const MOST_BYTES = 50 * 1024 * 1024;

function textOf(bytes: Uint8Array): string {
  if (bytes.length > MOST_BYTES) throw refusal('gpx', 'track.large');
  return new TextDecoder().decode(bytes);
}

const api = {
  track: (bytes: Uint8Array, windowS: number): SeenTrack | Refusal =>
    told(() => {
      const {
        result: { series, ...result },
        kept,
        droppedS,
      } = readSpeeds(readTrack(textOf(bytes)), windowS, USUAL_MAX_ACCEL);
      const plan = planOf(kept, series, MOST_SHOWN);
      const found: SeenTrack = { result, ...plan, droppedS };
      return transfer(found, [plan.eastM.buffer, plan.northM.buffer, plan.tS.buffer, plan.speedMps.buffer]);
    }),

  /** A track, or a log of speeds, as what a pack is driven with. */
  driven: (bytes: Uint8Array): DrivenTrace | Refusal =>
    told(() => {
      const text = textOf(bytes);
      return speedLog(text) ?? drivenTrace(readSpeeds(readTrack(text), USUAL_WINDOW_S, USUAL_MAX_ACCEL).kept);
    }),

  /** The round out of a track. */
  round: (bytes: Uint8Array): LapLine | Refusal =>
    told(() => lapLine(readSpeeds(readTrack(textOf(bytes)), USUAL_WINDOW_S, USUAL_MAX_ACCEL).kept)),

  /** What the timed runs say of the model. */
  calibrate: (runs: RunRecord[]): CalibrateResult | Refusal => told(() => calibrateRuns(runs)),

  /** Spread of what is predicted, or nothing where the build is not ready. */
  band: (document: BuildDocument, surfaceId: string): { band: PredictionBand | undefined } | Refusal =>
    told(() => ({ band: predictionBand(document, surfaceId) })),

  /** What is to be expected of an endurance run. */
  expectPack: (document: BuildDocument, conditions: Conditions) =>
    told(() => expectPack(document, conditions)),

  /** What the motor's temperatures say of how it gives off its heat. */
  heat: (document: BuildDocument, surfaceId: string): MotorHeat | Refusal =>
    told((): MotorHeat => {
      const found = calibrateBuild(
        document,
        document.brief.surfaces.find(({ id }) => id === surfaceId)!,
      );
      if (!found.ok) return { missing: found.missing, notes: [] };
      const { notes, ...calibration } = found.value;
      return { calibration, missing: [], notes };
    }),

  /** A log in the program's units, with what is predicted beside it and the motor that it tells. */
  log: async (bytes: Uint8Array, asked: LogQuestion): Promise<LogAnswer | Refusal> => {
    const { answerOf } = await import('./logs');
    return told(() => answerOf(bytes, asked));
  },

  /** Where a second log, or a track, lies on a first. */
  laidOn: async (first: LogSourceOf, second: LogSourceOf): Promise<LaidOn | Refusal> => {
    const { laidOn } = await import('./logs');
    return told(() => laidOn(first, second));
  },

  /** The kept points as GPX. */
  gpx: (bytes: Uint8Array, name: string): { text: string } | Refusal =>
    told(() => ({ text: writeGpx(name, readSpeeds(readTrack(textOf(bytes)), 1, USUAL_MAX_ACCEL).kept) })),
};

export type FieldWorker = typeof api;

expose(api);
