import type { FailureRecord, Versioned } from '@/core/car/records/records';
import type { CopyRecord, PrintRecord } from '@/core/car/records/prints';
import {
  mergeSheets,
  type Rival,
  type SheetKind,
  type SheetOf,
  withMine,
} from '@/core/car/records/mergeSheets';
import { ApiProblem, callApi, outliving } from '../api';
import { askRivals } from './askedRivals';

interface RecordOf {
  failure: FailureRecord;
  print: PrintRecord;
  copy: CopyRecord;
}

interface AnswerOf {
  failure: Versioned<FailureRecord>;
  print: { print: Versioned<PrintRecord>; copies: Versioned<CopyRecord>[] };
  copy: Versioned<CopyRecord>;
}

const DOORS: Readonly<Record<SheetKind, string>> = {
  failure: '/api/failures',
  print: '/api/prints',
  copy: '/api/copies',
};

/** What a change does when somebody else was quicker. */
export interface SaveDoors {
  send(path: string, body: unknown): Promise<unknown>;
  /** Of each rival whether the writer's own value stays. */
  ask(rivals: readonly Rival[]): Promise<readonly boolean[]>;
}

const DOORS_OF_THE_PAGE: SaveDoors = {
  send: (path, body) => callApi('PUT', path, body, outliving(body)),
  ask: askRivals,
};

/**
 * Saves a changed record. Where another tab or person was quicker, both changes are joined and sent again; what both changed is asked.
 *
 * @param base the record that the change was made to
 * @param latest the record as it is known now, where that is another
 */
export async function saveRecord<K extends SheetKind>(
  kind: K,
  base: RecordOf[K],
  mine: RecordOf[K],
  latest: Versioned<RecordOf[K]>,
  { send, ask }: SaveDoors = DOORS_OF_THE_PAGE,
): Promise<AnswerOf[K]> {
  const join = async (from: SheetOf[K], to: SheetOf[K], theirs: SheetOf[K]) => {
    const { sheet, rivals } = mergeSheets(kind, from, to, theirs);
    const keepsMine = rivals.length > 0 ? await ask(rivals) : [];
    return rivals.reduce((settled, rival, at) => (keepsMine[at] ? withMine(settled, rival) : settled), sheet);
  };
  let present = latest;
  let sheet = await join(sheetOf(base), sheetOf(mine), sheetOf(present));
  for (;;) {
    try {
      return (await send(`${DOORS[kind]}/${base.id}`, { version: present.version, sheet })) as AnswerOf[K];
    } catch (error) {
      const theirs = presentIn<Versioned<RecordOf[K]>>(error);
      if (theirs === undefined) throw error;
      sheet = await join(sheetOf(present), sheet, sheetOf(theirs));
      present = theirs;
    }
  }
}

function sheetOf<K extends SheetKind>(record: RecordOf[K]): SheetOf[K] {
  const { revisionId: _, version: __, ...sheet } = record as RecordOf[K] & { version?: number };
  return sheet as unknown as SheetOf[K];
}

/** The record as it stands, where a change was refused because it was made to an older one. */
function presentIn<T>(error: unknown): T | undefined {
  return error instanceof ApiProblem && error.code === 'conflict'
    ? (error.body as { current: T }).current
    : undefined;
}
