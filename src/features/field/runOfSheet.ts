import type { BuildDocument } from '@/core/car/document/document';
import type { Conditions, RunSheet } from '@/core/car/records/records';
import { isTimedKind } from '@/core/car/records/runKinds';
import type { Waiting } from '../session/outbox';
import type { Sheet } from './sheet';

/** The run that a whole sheet tells. */
export const runOfSheet = (
  sheet: Sheet,
  conditions: Conditions,
  onCar: string[],
  ran: Pick<RunSheet, 'ranAt' | 'document'>,
): RunSheet => ({
  id: sheet.id,
  kind: sheet.kind,
  attempts: isTimedKind(sheet.kind) ? sheet.attempts : [],
  conditions,
  ...ran,
  ...(sheet.drivenMinutes === undefined ? {} : { drivenMinutes: sheet.drivenMinutes }),
  ...(sheet.note.trim() === '' ? {} : { note: sheet.note.trim() }),
  ...(Object.keys(sheet.report).length > 0 ? { report: sheet.report } : {}),
  ...(onCar.length > 0 ? { copies: onCar } : {}),
  ...(sheet.kind === 'track' && sheet.track ? { track: sheet.track } : {}),
});

/** When a run was driven and with what: one that is changed keeps both, unless what it was driven with is what was refused. */
export function asRun(
  entered: Waiting | undefined,
  document: BuildDocument,
  saidAt: string | undefined,
): Pick<RunSheet, 'ranAt' | 'document'> {
  if (!entered) return { ranAt: saidAt ?? new Date().toISOString(), document };
  const { ranAt, document: driven } = entered.sheet as RunSheet;
  return {
    ranAt: saidAt ?? ranAt,
    document: entered.refusedPath?.startsWith('document') ? document : driven,
  };
}
