import type { BuildRecord, FailureRecord, RevisionRecord, RunRecord } from '../records/records';
import type { LibraryItem } from '../library/kinds';
import type { CopyRecord, PrintRecord } from '../records/prints';

export const FILE_FORMAT = 'lean-badger-build';
export const FILE_VERSION = 2;

export const KEPT_TYPES = ['mesh', 'image/jpeg', 'text/plain; charset=utf-8'] as const;

/** A mesh, a photograph or a track that a build uses. */
export interface NamedFile {
  /** SHA-256 of what it holds. */
  hash: string;
  type: (typeof KEPT_TYPES)[number];
}

export interface KeptFile extends NamedFile {
  /** What it holds; absent where the file lies beside the text in an archive. */
  base64?: string;
}

/** A whole build in one file. */
export interface BuildFile {
  format: typeof FILE_FORMAT;
  formatVersion: typeof FILE_VERSION;
  build: BuildRecord;
  revisions: Omit<RevisionRecord, 'buildId' | 'version'>[];
  runs: RunRecord[];
  failures: FailureRecord[];
  prints: PrintRecord[];
  copies: CopyRecord[];
  /** Items of the library that the revisions were copied from. */
  library: LibraryItem[];
  /** What the build names by its hash. */
  files: KeptFile[];
}

/** A run as it stands in the file: with its document, or with the id of a run that was driven with the same. */
export type FiledRun = (Omit<RunRecord, 'document'> & { documentOf: string }) | RunRecord;

/** The lists of a file in their order. */
export const FILE_LISTS = ['revisions', 'runs', 'failures', 'prints', 'copies', 'library', 'files'] as const;
export type FileList = (typeof FILE_LISTS)[number];

/** What the text of an archive is called, and the folder in which its files lie, each under its hash. */
export const TEXT_NAME = 'build.json';
export const FILES_FOLDER = 'files';

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

/** A to Z, then AA. */
export function byLetter(a: string, b: string): number {
  return a.length - b.length || compare(a, b);
}

/** Records come by their date and id, so that the same build gives the same bytes. */
export const FILE_ORDER = {
  builds: (a: { createdAt: string; id: string }, b: { createdAt: string; id: string }) =>
    compare(a.createdAt, b.createdAt) || compare(a.id, b.id),
  revisions: (a: { letter: string }, b: { letter: string }) => byLetter(a.letter, b.letter),
  runs: (a: { ranAt: string; id: string }, b: { ranAt: string; id: string }) =>
    compare(a.ranAt, b.ranAt) || compare(a.id, b.id),
  failures: (a: { occurredAt: string; id: string }, b: { occurredAt: string; id: string }) =>
    compare(a.occurredAt, b.occurredAt) || compare(a.id, b.id),
  prints: (a: { queuedAt: string; id: string }, b: { queuedAt: string; id: string }) =>
    compare(a.queuedAt, b.queuedAt) || compare(a.id, b.id),
  copies: (a: { madeAt: string; id: string }, b: { madeAt: string; id: string }) =>
    compare(a.madeAt, b.madeAt) || compare(a.id, b.id),
  library: (a: { kind: string; id: string }, b: { kind: string; id: string }) =>
    compare(a.kind, b.kind) || compare(a.id, b.id),
  files: (a: NamedFile, b: NamedFile) => compare(a.type, b.type) || compare(a.hash, b.hash),
} as const;
