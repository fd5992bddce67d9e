import type { LogSummary, ReadLog } from '../../physics/logs/logRead';
import { LOG_ROLES, type LogRole } from '../../physics/logs/roles';
import { inWorkingUnits } from '../../physics/logs/units';

/** A log as a page draws it: in the program's units, thinned so that no peak is lost. */
export interface SeenLog {
  summary: LogSummary;
  /** When the car first gets going, s; none where nothing tells. */
  launchS?: number;
  /** When it stands again after that, s. */
  standsS?: number;
  lines: { role: LogRole; tS: number[]; values: number[] }[];
}

const MOST_BUCKETS = 700;
const [MOVES_MPS, MOVES_OF_MOST] = [0.5, 0.05];

/** One column in the program's units; NaN where missing. */
export function valuesOf({ summary, columnOf }: ReadLog, role: LogRole): Float64Array | undefined {
  const values = columnOf(role);
  const column = summary.columns.find((one) => one.role === role);
  if (!values || !column) return undefined;
  const convert = inWorkingUnits(role, column.name, column.unit, column.max ?? 0);
  return values.map(convert);
}

export function seenLog(log: ReadLog): SeenLog {
  const lines = LOG_ROLES.filter((role) => role !== 'time').flatMap((role) => {
    const values = valuesOf(log, role);
    return values ? [{ role, ...thinned(log.tS, values) }] : [];
  });
  return { summary: log.summary, lines, ...firstDrive(log) };
}

/** Lowest and highest of each stretch, in their order. */
export function thinned(tS: readonly number[], values: Float64Array): { tS: number[]; values: number[] } {
  const step = Math.max(1, Math.ceil(values.length / MOST_BUCKETS));
  const kept = { tS: [] as number[], values: [] as number[] };
  for (let from = 0; from < values.length; from += step) {
    let [low, high] = [-1, -1];
    for (let k = from; k < Math.min(values.length, from + step); k++) {
      if (Number.isNaN(values[k]!)) continue;
      if (low < 0 || values[k]! < values[low]!) low = k;
      if (high < 0 || values[k]! > values[high]!) high = k;
    }
    for (const k of low === high ? [low] : [Math.min(low, high), Math.max(low, high)])
      if (k >= 0) {
        kept.tS.push(tS[k]!);
        kept.values.push(values[k]!);
      }
  }
  return kept;
}

/** The last moment before it moves and the first at which it stands again: by its speed, else by its turns. */
function firstDrive(log: ReadLog): Pick<SeenLog, 'launchS' | 'standsS'> {
  const speed = valuesOf(log, 'speed');
  const values = speed ?? valuesOf(log, 'rpm');
  if (!values) return {};
  const most = values.reduce((top, one) => (one > top ? one : top), 0);
  const moves = speed ? MOVES_MPS : MOVES_OF_MOST * most;
  const first = values.findIndex((one) => one > moves);
  if (first < 0) return {};
  const stands = values.findIndex((one, k) => k > first && one <= moves);
  return {
    launchS: log.tS[Math.max(0, first - 1)]!,
    ...(stands < 0 ? {} : { standsS: log.tS[stands]! }),
  };
}
