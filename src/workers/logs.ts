import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import { CalcError, refusal, type Refused } from '@/core/base/errors';
import type { LogMotorResult } from '@/core/physics/bench/motorLog';
import { logRead, type LogReadInput, type LogRoles, type OneLog, readLog } from '@/core/physics/logs/logRead';
import type { LogSync } from '@/core/physics/logs/sync';
import { readSpeeds, USUAL_MAX_ACCEL, USUAL_WINDOW_S } from '@/core/physics/timing/track/gpxSpeed';
import { readTrack } from '@/core/physics/timing/track/readTrack';
import { besideLog, type BesideLog } from '@/core/worked/logs/besideLog';
import { motorOfLog, type MotorQuestion } from '@/core/worked/logs/motorOfLog';
import { slipOfLog, type SlipOfLog } from '@/core/worked/logs/slipOfLog';
import { seenLog, type SeenLog } from '@/core/worked/logs/seenLog';

declare module '@/core/base/errors' {
  interface RefusalFacts {
    'logFile.large': Record<never, never>;
  }
}

export interface LogQuestion {
  roles: LogRoles | undefined;
  document: BuildDocument;
  surface: ChosenSurface | undefined;
  motor: MotorQuestion;
}

export interface LogAnswer {
  seen: SeenLog;
  beside: BesideLog[];
  slip?: SlipOfLog;
  motor?: LogMotorResult;
  /** Why the motor is not told. */
  motorRefused?: Refused;
}

/** A log or a satellite track by its bytes. */
export interface LogSourceOf {
  kind: 'log' | 'track';
  bytes: Uint8Array;
  roles?: LogRoles | undefined;
}

export interface LaidOn {
  sync?: LogSync;
  /** The second one's speed, or what else lay on the first, at the first one's times. */
  second?: SeenLog;
}

const MOST_BYTES = 50 * 1024 * 1024;

function textOf(bytes: Uint8Array): string {
  if (bytes.length > MOST_BYTES) throw refusal('text', 'logFile.large');
  return new TextDecoder().decode(bytes);
}

export function answerOf(bytes: Uint8Array, { roles, document, surface, motor }: LogQuestion): LogAnswer {
  const log = readLog({ text: textOf(bytes), ...(roles ? { roles } : {}) }, '');
  const seen = seenLog(log);
  const slip = slipOfLog(log, document, surface, motor.polePairs);
  const told = {
    seen,
    beside: besideLog(document, surface, seen.summary.durationS),
    ...(slip ? { slip } : {}),
  };
  try {
    const found = motorOfLog(log, document, motor);
    return { ...told, ...(found ? { motor: found } : {}) };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ...told, motorRefused: error.refused };
  }
}

export function laidOn(first: LogSourceOf, second: LogSourceOf): LaidOn {
  const [one, other] = [sourceOf(first), sourceOf(second)];
  const { sync } = logRead({ ...one, second: other } as LogReadInput);
  return { ...(sync ? { sync } : {}), second: seenLog(readLog(other, 'second.')) };
}

function sourceOf({ kind, bytes, roles }: LogSourceOf): OneLog {
  if (kind === 'log') return { text: textOf(bytes), ...(roles ? { roles } : {}) };
  const { series } = readSpeeds(readTrack(textOf(bytes)), USUAL_WINDOW_S, USUAL_MAX_ACCEL).result;
  return { columns: { 'time [s]': [...series.tS], 'speed [m/s]': [...series.speedMps] } };
}
