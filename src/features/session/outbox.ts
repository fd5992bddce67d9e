import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { FailureSheet, RunSheet } from '@/core/car/records/records';
import type { Photo } from '@/core/car/records/report';
import { keepableTexts } from '@/core/base/schema/keepable';
import { ApiProblem } from '../api';

/** A photograph that waits beside its run or failure until it is sent. */
export interface WaitingPhoto {
  id: string;
  blob: Blob;
  caption?: string;
  /** Once the workshop keeps it. */
  hash?: string;
}

/** Something that was entered and is not known to be with the workshop yet. */
export interface Waiting {
  id: string;
  kind: 'run' | 'failure';
  revisionId: string;
  letter: string;
  buildId: string;
  /** The workshop that it was entered in. */
  workshopId?: string;
  at: string;
  sheet: RunSheet | FailureSheet;
  photos: WaitingPhoto[];
  /** The text of a satellite track. */
  track?: Blob;
  /** Why the workshop does not take it; it is not sent again by itself. */
  refused?: string;
  /** The field that it was refused at. */
  refusedPath?: string;
  /** Since when it is thrown away, ISO 8601; it can be taken back for a while. */
  givenUpAt?: string;
}

/** Files of a sheet that is still being filled in. */
export interface DraftFiles {
  revisionId: string;
  photos: WaitingPhoto[];
  track?: Blob;
}

interface Box extends DBSchema {
  waiting: { key: string; value: Waiting };
  drafts: { key: string; value: DraftFiles };
}

const [NAME, VERSION, STORE, DRAFTS] = ['lean-badger-field', 1, 'waiting', 'drafts'] as const;
let opened: Promise<IDBPDatabase<Box>> | undefined;

const box = () =>
  (opened ??= openDB<Box>(NAME, VERSION, {
    upgrade: (database) => {
      database.createObjectStore(STORE, { keyPath: 'id' });
      database.createObjectStore(DRAFTS, { keyPath: 'revisionId' });
    },
  }));

/** Its texts go in as they can be kept. */
export const keepWaiting = async (one: Waiting): Promise<void> =>
  void (await (await box()).put(STORE, { ...one, sheet: keepableTexts(one.sheet) }));
export const dropWaiting = async (id: string): Promise<void> => void (await (await box()).delete(STORE, id));
export const keptWaiting = async (id: string): Promise<Waiting | undefined> => (await box()).get(STORE, id);

const KEPT_MS = 30 * 86_400_000;

/** What waits, without what was thrown away; that goes for good after 30 days. */
export async function allWaiting(): Promise<Waiting[]> {
  const all = await (await box()).getAll(STORE);
  for (const { id, givenUpAt } of all)
    if (givenUpAt !== undefined && Date.parse(givenUpAt) < Date.now() - KEPT_MS) await dropWaiting(id);
  return all.filter(({ givenUpAt }) => givenUpAt === undefined).sort((a, b) => (a.at < b.at ? -1 : 1));
}

export const keepDraftFiles = async (draft: DraftFiles): Promise<void> =>
  void (await (await box()).put(DRAFTS, draft));
export const draftFiles = async (revisionId: string): Promise<DraftFiles | undefined> =>
  (await box()).get(DRAFTS, revisionId);

/** What the doors of the workshop do with one thing; throws an ApiProblem as they do. */
export interface Doors {
  photo(blob: Blob, of: Waiting): Promise<string>;
  track(blob: Blob, of: Waiting): Promise<string>;
  /** Gives back what the workshop made of it. */
  send(one: Waiting): Promise<unknown>;
}

export interface Shelf {
  all(): Promise<Waiting[]>;
  one(id: string): Promise<Waiting | undefined>;
  keep(one: Waiting): Promise<void>;
  drop(id: string): Promise<void>;
  /** Does something with one thing while nobody else, in this tab or another, does anything with it. */
  alone<T>(id: string, work: () => Promise<T>): Promise<T>;
}

/** What the workshop took, with what it made of it. */
export interface Taken {
  one: Waiting;
  answer: unknown;
}

/** Answers after which it makes no sense to send the same again. */
const FINAL: ReadonlySet<number> = new Set([400, 403, 404, 405, 409, 410, 413, 414, 415, 422, 431]);
/** A fault of the server over one thing says nothing of the next. */
const ITS_OWN_FAULT = 500;

const waits = (one: Waiting | undefined): one is Waiting =>
  one !== undefined && one.refused === undefined && one.givenUpAt === undefined;

/**
 * Sends what waits, the oldest first: photographs before what they belong to. Each carries the id that was made where it was entered, so
 * that one whose answer was lost is taken for the same when it is sent again.
 *
 * Stops at the first that the network or the database did not carry.
 *
 * @param take hears of each that was taken before anything else can be done with it
 */
export async function sendWaiting(shelf: Shelf, doors: Doors, take: (taken: Taken) => void): Promise<void> {
  for (const { id } of await shelf.all())
    if (!(await shelf.alone(id, () => sendOne(id, shelf, doors, take)))) return;
}

/** Whether the next can be sent. */
async function sendOne(
  id: string,
  shelf: Shelf,
  doors: Doors,
  take: (taken: Taken) => void,
): Promise<boolean> {
  const waiting = await shelf.one(id);
  if (!waits(waiting)) return true;
  try {
    const one = await withFiles(waiting, shelf, doors);
    const answer = await doors.send(one);
    await shelf.drop(id);
    take({ one, answer });
  } catch (error) {
    if (!(error instanceof ApiProblem)) return false;
    if (FINAL.has(error.status))
      await shelf.keep({ ...waiting, refused: error.sentence, refusedPath: error.path });
    else if (error.status !== ITS_OWN_FAULT) return false;
  }
  return true;
}

/**
 * Sets something aside that was not sent. What is being sent at this moment is waited for.
 *
 * @returns it as it waited; nothing where the workshop has it by now
 */
export const setAside = (id: string, at: Date, shelf: Shelf): Promise<Waiting | undefined> =>
  shelf.alone(id, async () => {
    const one = await shelf.one(id);
    if (one) await shelf.keep({ ...one, givenUpAt: at.toISOString() });
    return one;
  });

/** The sheet with the names of its files, each file sent once; progress is kept between tries. */
async function withFiles(waiting: Waiting, shelf: Shelf, doors: Doors): Promise<Waiting> {
  let one = waiting;
  for (const photo of waiting.photos) {
    if (photo.hash !== undefined) continue;
    const hash = await doors.photo(photo.blob, waiting);
    one = { ...one, photos: one.photos.map((other) => (other.id === photo.id ? { ...other, hash } : other)) };
    await shelf.keep(one);
  }
  if (one.track && one.kind === 'run') {
    const sheet = one.sheet as RunSheet;
    if (sheet.track)
      one = {
        ...one,
        sheet: { ...sheet, track: { ...sheet.track, hash: await doors.track(one.track, waiting) } },
      };
    else if (sheet.report?.log) {
      const log = { ...sheet.report.log, hash: await doors.track(one.track, waiting) };
      one = { ...one, sheet: { ...sheet, report: { ...sheet.report, log } } };
    }
  }
  const photos = one.photos.map(({ hash, caption }) => ({ hash: hash!, ...(caption ? { caption } : {}) }));
  if (photos.length === 0) return one;
  return {
    ...one,
    sheet:
      one.kind === 'run'
        ? { ...(one.sheet as RunSheet), photos }
        : withLedger(one.sheet as FailureSheet, photos),
  };
}

const withLedger = (sheet: FailureSheet, photos: Photo[]): FailureSheet => ({
  ...sheet,
  ledger: {
    ...sheet.ledger,
    photos: [
      ...(sheet.ledger?.photos ?? []).filter(({ hash }) => !photos.some((one) => one.hash === hash)),
      ...photos,
    ],
  },
});
