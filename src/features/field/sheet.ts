import type { Attempt, Conditions, RunKind, RunSetting } from '@/core/field/records';

export type Method = 'watch' | 'frames' | 'clip';

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
}

export function emptySheet(id: string): Sheet {
  return {
    id, kind: 'timedDistance', method: 'watch', captureFps: 240, slowdown: 8, surfaceId: undefined, distanceM: 20, distanceErrorM: 0.02, runUpM: 25,
    ambientC: undefined, packVBefore: undefined, packVAfter: undefined, extraMassG: undefined, drivenMinutes: undefined, settings: [], note: '', attempts: [],
  };
}

/** Conditions as they are sent, or undefined while surface or distance are missing. */
export function conditionsOf(sheet: Sheet, surface: { id: string; name: string } | undefined): Conditions | undefined {
  if (!surface || sheet.distanceM === undefined) return undefined;
  const optional = { distanceErrorM: sheet.distanceErrorM, runUpM: sheet.kind === 'timedDistance' ? sheet.runUpM : undefined, ambientC: sheet.ambientC, packVBefore: sheet.packVBefore, packVAfter: sheet.packVAfter, extraMassG: sheet.extraMassG, settings: sheet.settings.length > 0 ? sheet.settings : undefined };
  return { surfaceId: surface.id, surfaceName: surface.name, distanceM: sheet.distanceM, ...Object.fromEntries(Object.entries(optional).filter(([, value]) => value !== undefined)) };
}

/** An attempt from what was read: seconds, frames or the clip's length. */
export function attemptOf(id: string, sheet: Sheet, reading: number): Attempt | undefined {
  if (sheet.method === 'watch') return { id, timeS: reading };
  if (sheet.method === 'frames') return sheet.captureFps === undefined ? undefined : { id, frames: Math.round(reading), captureFps: sheet.captureFps };
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
