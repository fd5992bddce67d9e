import {
  type Attempt,
  type Conditions,
  type KeptTrack,
  type RunKind,
  type RunRecord,
  type RunSetting,
  type RunSheet,
  TIMED_KINDS,
} from '@/core/car/records/records';
import type { RunReport } from '@/core/car/records/report';

export type Method = 'watch' | 'frames' | 'video' | 'clip';

/** A run sheet while it is being filled in; kept in the browser until it is sent. */
export interface Sheet {
  id: string;
  kind: RunKind;
  method: Method;
  captureFps: number | undefined;
  slowdown: number | undefined;
  surfaceId: string | undefined;
  distanceM: number | undefined;
  distanceErrorM: number | undefined;
  runUpM: number | undefined;
  ambientC: number | undefined;
  packVBefore: number | undefined;
  packVAfter: number | undefined;
  extraMassG: number | undefined;
  drivenMinutes: number | undefined;
  settings: RunSetting[];
  note: string;
  attempts: Attempt[];
  report: RunReport;
  /** Printed copies on the car; those of the last run where it is not said. */
  copies: string[] | undefined;
  /** Without its file, which waits beside the sheet. */
  track: KeptTrack | undefined;
  /** Value that the next passage of a series is driven with is the next of the order. */
  seriesValues: string;
  seriesTimes: number | undefined;
}

export function emptySheet(id: string): Sheet {
  return {
    id,
    kind: 'timedDistance',
    method: 'watch',
    captureFps: 240,
    slowdown: 8,
    surfaceId: undefined,
    distanceM: 20,
    distanceErrorM: 0.02,
    runUpM: 25,
    ambientC: undefined,
    packVBefore: undefined,
    packVAfter: undefined,
    extraMassG: undefined,
    drivenMinutes: undefined,
    settings: [],
    note: '',
    attempts: [],
    report: {},
    copies: undefined,
    track: undefined,
    seriesValues: '',
    seriesTimes: 3,
  };
}

/** The sheet of a run that was entered already, to be changed. */
export function sheetOfRun({
  id,
  kind,
  attempts,
  conditions,
  drivenMinutes,
  note = '',
  report = {},
  copies,
  track,
}: RunSheet): Sheet {
  const {
    surfaceId,
    distanceM,
    distanceErrorM,
    runUpM,
    ambientC,
    packVBefore,
    packVAfter,
    extraMassG,
    settings = [],
  } = conditions;
  return {
    ...emptySheet(id),
    kind,
    attempts,
    surfaceId,
    distanceM,
    distanceErrorM,
    runUpM,
    ambientC,
    packVBefore,
    packVAfter,
    extraMassG,
    settings,
    drivenMinutes,
    note,
    report,
    copies: copies ?? [],
    track,
  };
}

/** A new sheet under the conditions of the last run. */
export function sheetAfter(id: string, last: RunRecord | undefined): Sheet {
  const sheet = emptySheet(id);
  if (!last) return sheet;
  const { surfaceId, distanceM, distanceErrorM, runUpM, ambientC } = last.conditions;
  return {
    ...sheet,
    surfaceId,
    distanceM: distanceM ?? sheet.distanceM,
    distanceErrorM: distanceErrorM ?? sheet.distanceErrorM,
    runUpM: runUpM ?? sheet.runUpM,
    ambientC,
  };
}

export const isTimedKind = (kind: RunKind): boolean => (TIMED_KINDS as readonly string[]).includes(kind);

/** Kinds that need no ground under them. */
const BENCH_KINDS: ReadonlySet<RunKind> = new Set(['spin', 'drop', 'blows', 'tyreSpin']);
export const needsSurface = (kind: RunKind): boolean => !BENCH_KINDS.has(kind);

/** Conditions as they are sent, or undefined while surface or distance of a timed run are missing. */
export function conditionsOf(
  sheet: Sheet,
  surface: { id: string; name: string } | undefined,
): Conditions | undefined {
  const timed = isTimedKind(sheet.kind);
  if (timed && (!surface || sheet.distanceM === undefined)) return undefined;
  const optional = {
    ...(needsSurface(sheet.kind) && surface ? { surfaceId: surface.id, surfaceName: surface.name } : {}),
    distanceM: timed ? sheet.distanceM : undefined,
    distanceErrorM: timed ? sheet.distanceErrorM : undefined,
    runUpM: timed && sheet.kind !== 'launch' ? sheet.runUpM : undefined,
    ambientC: sheet.ambientC,
    packVBefore: sheet.packVBefore,
    packVAfter: sheet.packVAfter,
    extraMassG: sheet.extraMassG,
    settings: sheet.settings.length > 0 ? sheet.settings : undefined,
  };
  return Object.fromEntries(Object.entries(optional).filter(([, value]) => value !== undefined));
}

/** What is still missing before a sheet can be saved, in words; nothing where it can be. */
export function missingOf(
  sheet: Sheet,
  surface: { id: string; name: string } | undefined,
): string | undefined {
  const { report } = sheet;
  if (isTimedKind(sheet.kind)) {
    if (!surface) return 'a surface';
    if (sheet.distanceM === undefined) return 'the distance';
    return sheet.attempts.length === 0 ? 'an attempt' : undefined;
  }
  switch (sheet.kind) {
    case 'spin':
      return Object.keys(report.wheels ?? {}).length > 0 ||
        report.noise ||
        (report.temperatures ?? []).length > 0
        ? undefined
        : 'a wheel, a noise or a temperature';
    case 'endurance':
      return report.endedBy ? undefined : 'what ended it';
    case 'terrain':
      return (report.passages ?? []).length > 0 ? undefined : 'something it had to pass';
    case 'drop':
      return (report.drops ?? []).length > 0 ? undefined : 'a drop';
    case 'blows':
      return (report.beaten ?? []).length > 0 ? undefined : 'a part and its blows';
    case 'tyreSpin':
      return report.shielded !== true
        ? 'the shield'
        : (report.spins ?? []).length > 0
          ? undefined
          : 'a reading';
    case 'crash':
      return report.hit ? undefined : 'what it hit';
    case 'track':
      return sheet.track ? undefined : 'the track';
    default:
      return undefined;
  }
}

/** An attempt from what was read: seconds, frames or the clip's length. */
export function attemptOf(id: string, sheet: Sheet, reading: number): Attempt | undefined {
  const attempt = timingOf(id, sheet, reading);
  const setting = sheet.kind === 'series' ? sheet.report.order?.[sheet.attempts.length] : undefined;
  return attempt && setting !== undefined ? { ...attempt, setting } : attempt;
}

function timingOf(id: string, sheet: Sheet, reading: number): Attempt | undefined {
  if (sheet.method === 'watch') return { id, timeS: reading };
  if (sheet.method === 'frames' || sheet.method === 'video')
    return sheet.captureFps === undefined
      ? undefined
      : { id, frames: Math.round(reading), captureFps: sheet.captureFps };
  return sheet.slowdown === undefined ? undefined : { id, clipTimeS: reading, slowdown: sheet.slowdown };
}

const keyOf = (revisionId: string) => `run-sheet:${revisionId}`;

export function keptSheet(revisionId: string): Sheet | undefined {
  try {
    const text = window.localStorage.getItem(keyOf(revisionId));
    return text === null ? undefined : { ...emptySheet(''), ...(JSON.parse(text) as Sheet) };
  } catch {
    return undefined;
  }
}

export function keepSheet(revisionId: string, sheet: Sheet | undefined): void {
  try {
    if (sheet) window.localStorage.setItem(keyOf(revisionId), JSON.stringify(sheet));
    else window.localStorage.removeItem(keyOf(revisionId));
  } catch {
    // a browser that keeps nothing still takes the run
  }
}
