import {
  type Attempt,
  type Conditions,
  type Gates,
  type RunRecord,
  type RunSetting,
  type RunSheet,
} from '@/core/car/records/records';
import type { KeptTrack, RunReport } from '@/core/car/records/report';
import { isTimedKind, RUN_KIND_RECORDS, type RunKind } from '@/core/car/records/runKinds';
import type { Missing } from '@/words/learn/runKinds';

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
  gateSpacingM: number | undefined;
  gateOffsetM: number | undefined;
  /** Where it was not driven just now. */
  ranAt?: string | undefined;
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
    gateSpacingM: undefined,
    gateOffsetM: undefined,
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
  ranAt,
}: RunSheet): Sheet {
  const {
    surfaceId,
    distanceM,
    distanceErrorM,
    runUpM,
    gates,
    ambientC,
    packVBefore,
    packVAfter,
    extraMassG,
    settings = [],
  } = conditions;
  return {
    ...emptySheet(id),
    kind,
    ranAt,
    attempts,
    surfaceId,
    distanceM,
    distanceErrorM,
    runUpM,
    gateSpacingM: gates?.spacingM,
    gateOffsetM: gates?.offsetM,
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
  const { surfaceId, distanceM, distanceErrorM, runUpM, gates, ambientC } = last.conditions;
  return {
    ...sheet,
    surfaceId,
    distanceM: distanceM ?? sheet.distanceM,
    distanceErrorM: distanceErrorM ?? sheet.distanceErrorM,
    runUpM: runUpM ?? sheet.runUpM,
    gateSpacingM: gates?.spacingM,
    gateOffsetM: gates?.offsetM,
    ambientC,
  };
}

/** Gates of a slalom, or of a settings series that is driven through some. */
function gatesOf({ kind, gateSpacingM, gateOffsetM }: Sheet): Gates | undefined {
  const { weaves, timed } = RUN_KIND_RECORDS[kind];
  return (weaves || timed === 'series') && gateSpacingM !== undefined && gateOffsetM !== undefined
    ? { spacingM: gateSpacingM, offsetM: gateOffsetM }
    : undefined;
}

/** Conditions as they are sent, or undefined while surface or distance of a timed run are missing. */
export function conditionsOf(
  sheet: Sheet,
  surface: { id: string; name: string } | undefined,
): Conditions | undefined {
  const { bench, fromRest } = RUN_KIND_RECORDS[sheet.kind];
  const timed = isTimedKind(sheet.kind);
  if (timed && (!surface || sheet.distanceM === undefined)) return undefined;
  const optional = {
    ...(!bench && surface ? { surfaceId: surface.id, surfaceName: surface.name } : {}),
    distanceM: timed ? sheet.distanceM : undefined,
    distanceErrorM: timed ? sheet.distanceErrorM : undefined,
    runUpM: timed && !fromRest ? sheet.runUpM : undefined,
    gates: gatesOf(sheet),
    ambientC: sheet.ambientC,
    packVBefore: sheet.packVBefore,
    packVAfter: sheet.packVAfter,
    extraMassG: sheet.extraMassG,
    settings: sheet.settings.length > 0 ? sheet.settings : undefined,
  };
  return Object.fromEntries(Object.entries(optional).filter(([, value]) => value !== undefined));
}

/** What is still missing before a sheet can be saved, by its code; nothing where it can be. */
export function missingOf(
  sheet: Sheet,
  surface: { id: string; name: string } | undefined,
): Missing | undefined {
  const { kind, distanceM, attempts, report, track } = sheet;
  if (!isTimedKind(kind)) return RUN_KIND_RECORDS[kind].lacks?.(report, track);
  if (!surface) return 'surface';
  if (distanceM === undefined) return 'distance';
  if (RUN_KIND_RECORDS[kind].weaves && !gatesOf(sheet)) return 'gates';
  return attempts.length === 0 ? 'attempt' : undefined;
}

/** An attempt from what was read: seconds, frames or the clip's length. */
export function attemptOf(id: string, sheet: Sheet, reading: number): Attempt | undefined {
  const attempt = timingOf(id, sheet, reading);
  const setting =
    RUN_KIND_RECORDS[sheet.kind].timed === 'series' ? sheet.report.order?.[sheet.attempts.length] : undefined;
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
