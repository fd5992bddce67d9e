import type { BuildDocument } from '../../car/document/document';
import { overallRatio } from '../../car/document/drive';
import type { RunRecord } from '../../car/records/records';
import { logMotor, type LogMotorInput, type LogMotorResult } from '../../physics/bench/motorLog';
import type { MotorReading } from '../../physics/bench/motorPoints';
import type { ReadLog } from '../../physics/logs/logRead';
import { valuesOf } from './seenLog';

export interface MotorQuestion {
  /** What the rpm of the log are divided by to be the motor's. */
  polePairs?: number;
  meterMilliOhm?: number;
  freeSpin: MotorReading[];
}

/** More rows tell no more. */
const MOST_ROWS = 4000;
const [LEAST_MPS, OFF_THROTTLE] = [1.5, 0.02];
const [LEAST_COAST_S, LEAST_COAST_ROWS, LEAST_COAST_SHARE] = [0.5, 5, 0.3];

/** Readings of motors that were spun free at the volts of their pack. */
export const freeSpinsOf = (runs: readonly RunRecord[]): MotorReading[] =>
  runs.flatMap(({ report, conditions: { packVBefore } }) =>
    packVBefore === undefined
      ? []
      : (report?.motors ?? []).map(({ rpm, currentA }) => ({ voltageV: packVBefore, rpm, currentA })),
  );

/** The motor by a log of volts, current and turns; nothing where it lacks one of them. */
export function motorOfLog(
  log: ReadLog,
  document: BuildDocument,
  { polePairs = 1, meterMilliOhm, freeSpin }: MotorQuestion,
): LogMotorResult | undefined {
  const voltageV = valuesOf(log, 'voltage');
  const motorA = valuesOf(log, 'motorCurrent');
  const currentA = motorA ?? valuesOf(log, 'batteryCurrent');
  const rpm = valuesOf(log, 'rpm')?.map((one) => one / polePairs);
  if (!voltageV || !currentA || !rpm) return undefined;
  const duty = valuesOf(log, 'throttle');
  const whole = [voltageV, currentA, rpm, ...(duty ? [duty] : [])];
  const rows = [...log.tS.keys()].filter((k) => whole.every((one) => !Number.isNaN(one[k]!)));
  const step = Math.max(1, Math.ceil(rows.length / MOST_ROWS));
  // a duty over 1 is full throttle; what goes backward or brakes tells nothing
  const drives = rows.filter((k, at) => at % step === 0 && (duty?.[k] ?? 1) > 0);
  const picked = (values: Float64Array) => drives.map((k) => values[k]!);
  const input: LogMotorInput = {
    currentIs: motorA ? 'motor' : 'battery',
    freeSpin,
    log: {
      voltageV: picked(voltageV),
      currentA: picked(currentA),
      rpm: picked(rpm),
      ...(duty ? { duty: picked(duty).map((one) => Math.min(1, one)) } : {}),
    },
    ...(meterMilliOhm === undefined ? {} : { meterMilliOhm }),
    ...wheelIn(log, document, rpm),
  };
  const coastDown = freeSpin.length > 0 && duty ? coastIn(log.tS, rpm, duty) : undefined;
  return logMotor({ ...input, ...(coastDown ? { coastDown } : {}) });
}

/** Motor turns beside the speed, while it drives. */
function wheelIn(log: ReadLog, { drive }: BuildDocument, rpm: Float64Array): Pick<LogMotorInput, 'wheel'> {
  const speed = valuesOf(log, 'speed');
  const ratio = overallRatio(drive);
  if (!speed || ratio === undefined || !drive.tyre) return {};
  const samples = [...log.tS.keys()].flatMap((k) =>
    speed[k]! > LEAST_MPS && rpm[k]! > 0 ? [{ motorRpm: rpm[k]!, speedMps: speed[k]! }] : [],
  );
  return samples.length === 0 ? {} : { wheel: { samples, ratio, tyreRadiusMm: drive.tyre.radiusMm } };
}

/** The longest stretch with the throttle closed in which the turns fall, none where it is too short to tell. */
function coastIn(
  tS: readonly number[],
  rpm: Float64Array,
  duty: Float64Array,
): LogMotorInput['coastDown'] | undefined {
  let best: [from: number, to: number] | undefined;
  let from = -1;
  for (let k = 1; k <= tS.length; k++) {
    const falls = k < tS.length && Math.abs(duty[k]!) <= OFF_THROTTLE && rpm[k]! > 0 && rpm[k]! < rpm[k - 1]!;
    if (falls && from < 0) from = k;
    if (falls || from < 0) continue;
    if (!best || tS[k - 1]! - tS[from]! > tS[best[1]]! - tS[best[0]]!) best = [from, k - 1];
    from = -1;
  }
  if (!best) return undefined;
  const [first, last] = best;
  const long = tS[last]! - tS[first]! >= LEAST_COAST_S && last - first + 1 >= LEAST_COAST_ROWS;
  if (!long || rpm[last]! > (1 - LEAST_COAST_SHARE) * rpm[first]!) return undefined;
  const at = Array.from({ length: last - first + 1 }, (_, k) => first + k);
  return { tS: at.map((k) => tS[k]!), rpm: at.map((k) => rpm[k]!) };
}
