import type { BuildDocument } from '../../car/document/document';
import { PART_KIND_RECORDS } from '../../car/parts/partKinds';
import { cellCharge } from '../../physics/motion/cell';
import type { DiagnoseInput } from '../../physics/diagnosis/diagnose';
import { TABLES } from '../../physics/diagnosis/tables';
import type { FailureRecord, RunRecord } from '../../car/records/records';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.diagnosis.unknownMode': { mode: string };
    'note.diagnosis.unknownClues': { clues: readonly string[] };
    'note.diagnosis.noPart': { part: string };
  }
}

/** What the diagnosis calls a surface, by the id that it has in the library. */
const groundOf = (libraryId: string | undefined) =>
  TABLES.surfaces.find((ground) => `surface-${ground}` === libraryId) ?? 'other';

export interface AskedDiagnosis {
  input: DiagnoseInput;
  /** What the tables no longer know, in words. */
  notes: Finding[];
}

/** A failure as the diagnosis asks for it, with what its run and its part know; margins are those of its revision. */
export function askDiagnosis(
  failure: FailureRecord,
  document: BuildDocument,
  run: RunRecord | undefined,
  margins: Readonly<Record<string, number>>,
  hours?: number,
): AskedDiagnosis {
  const { ledger = {}, mode } = failure;
  const notes: Finding[] = [];
  const known = TABLES.modes[mode] !== undefined;
  if (!known) notes.push(finding('note.diagnosis.unknownMode', { mode }));
  const clues = (ledger.clues ?? []).filter((clue) => TABLES.clues[clue] !== undefined);
  const lost = (ledger.clues ?? []).filter((clue) => TABLES.clues[clue] === undefined);
  if (lost.length > 0) notes.push(finding('note.diagnosis.unknownClues', { clues: lost }));
  const part = document.parts.items.find(({ id }) => id === failure.partId);
  if (failure.partId !== undefined && !part)
    notes.push(finding('note.diagnosis.noPart', { part: failure.partName }));
  const kind = part ? (PART_KIND_RECORDS[part.kind].diagnosedAs ?? part.kind) : undefined;
  const surface = document.brief.surfaces.find(({ id }) => id === run?.conditions.surfaceId);
  const cells = document.power.battery?.cells;
  const stateOfCharge =
    ledger.stateOfCharge ??
    (run?.conditions.packVAfter !== undefined && cells
      ? Math.max(0, Math.min(1, cellCharge(run.conditions.packVAfter / cells)))
      : undefined);
  const given = {
    surface: surface
      ? groundOf(surface.libraryId)
      : run && run.conditions.surfaceId === undefined
        ? 'bench'
        : undefined,
    stateOfCharge,
    motorCaseC: ledger.motorCaseC,
    ambientC: run?.conditions.ambientC,
    wet: ledger.wet,
    impactMps: ledger.impactMps ?? run?.report?.speedMps,
    extraMassG: positive(run?.conditions.extraMassG),
  };
  const lived = failure.hours ?? hours;
  const history = {
    hours: lived,
    repaired: ledger.repaired,
    crackedBefore: ledger.crackedBefore,
    sameModeBefore: (ledger.rounds ?? []).length > 0 || undefined,
    changesSinceGood: (ledger.changesSinceGood ?? []).filter(
      (change) => TABLES.changes[change] !== undefined,
    ),
  };
  return {
    notes,
    input: {
      mode: known ? mode : 'own',
      ...(kind !== undefined && TABLES.partKinds[kind] ? { partKind: kind } : {}),
      clues,
      margins,
      conditions: defined(given),
      history: defined(history),
      outcomes: (ledger.outcomes ?? [])
        .filter(({ check }) => TABLES.checks.some(({ id }) => id === check))
        .map(({ check, result }) => ({ check, result })),
    },
  };
}

const positive = (value: number | undefined) => (value !== undefined && value >= 0 ? value : undefined);
const defined = <T extends object>(bag: T): T =>
  Object.fromEntries(Object.entries(bag).filter(([, value]) => value !== undefined)) as T;

/** A failure taken up again: what was found stays in the record, and the fix is what changed since. */
export function reopened(
  { fix: _, fixRevisionId: __, ...failure }: FailureRecord,
  changes: readonly string[],
): FailureRecord {
  const { outcomes = [], verdict, rounds = [], ...rest } = failure.ledger ?? {};
  return {
    ...failure,
    ledger: {
      ...rest,
      rounds: [...rounds, { outcomes, ...(verdict ? { verdict } : {}) }],
      changesSinceGood: [...new Set([...(rest.changesSinceGood ?? []), ...changes])],
    },
  };
}
