import { parse, type ParseError } from 'jsonc-parser';
import { LARGEST_FILE } from './largestFile';
import { migrateDocument } from '../build/document';
import { CalcError } from '../errors';
import type { BuildRecord, FailureRecord, RevisionRecord, RunRecord } from '../field/records';
import type { LibraryItem } from '../library/items';
import type { CopyRecord, PrintRecord } from '../print/log';

export const FILE_FORMAT = 'lean-badger-build';
export const FILE_VERSION = 1;

export const KEPT_TYPES = ['mesh', 'image/jpeg', 'text/plain; charset=utf-8'] as const;

/** A mesh, a photograph or a track that a build uses. */
export interface KeptFile {
  /** SHA-256 of what it holds. */
  hash: string;
  type: (typeof KEPT_TYPES)[number];
  base64: string;
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
  /** What the build names by its hash, as far as it fits. */
  files: KeptFile[];
}

const FIRST_KEYS = ['format', 'formatVersion', 'schemaVersion', 'build', 'revisions', 'runs', 'failures', 'prints', 'copies', 'library', 'files', 'id', 'kind', 'name', 'letter', 'parentId', 'revisionId', 'unfinished', 'brief', 'drive', 'power', 'chassis', 'suspension', 'parts', 'print'];

/** Text of a build file: keys in one order, records by their date and id, so that the same build gives the same bytes. */
export function writeBuildFile(file: BuildFile): string {
  const sorted: BuildFile = {
    ...file,
    revisions: [...file.revisions].sort((a, b) => byLetter(a.letter, b.letter)),
    runs: [...file.runs].sort((a, b) => compare(a.ranAt, b.ranAt) || compare(a.id, b.id)),
    failures: [...file.failures].sort((a, b) => compare(a.occurredAt, b.occurredAt) || compare(a.id, b.id)),
    prints: [...file.prints].sort((a, b) => compare(a.queuedAt, b.queuedAt) || compare(a.id, b.id)),
    copies: [...file.copies].sort((a, b) => compare(a.madeAt, b.madeAt) || compare(a.id, b.id)),
    library: [...file.library].sort((a, b) => compare(a.kind, b.kind) || compare(a.id, b.id)),
    files: [...file.files].sort((a, b) => compare(a.type, b.type) || compare(a.hash, b.hash)),
  };
  return `${JSON.stringify(ordered(sorted), null, 2)}\n`;
}

const compare = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0);

/** A to Z, then AA. */
export function byLetter(a: string, b: string): number {
  return a.length - b.length || compare(a, b);
}

function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== 'object' || value === null) return value;
  const rank = (key: string) => (FIRST_KEYS.indexOf(key) + 1 || FIRST_KEYS.length + 1);
  const keys = Object.keys(value).sort((a, b) => rank(a) - rank(b) || compare(a, b));
  return Object.fromEntries(keys.map((key) => [key, ordered((value as Record<string, unknown>)[key])]));
}

/**
 * JSON of a build file with its documents brought up to date; the schema still has to check it.
 *
 * @throws CalcError for a damaged, foreign or newer file, saying where
 */
export function readBuildFileText(text: string): unknown {
  if (text.length > LARGEST_FILE) throw new CalcError('', `is larger than ${LARGEST_FILE / 1024 / 1024} MB`, 'a build file holds one build only');
  const raw = parseJson(text);
  if (typeof raw !== 'object' || raw === null || (raw as { format?: unknown }).format !== FILE_FORMAT) {
    throw new CalcError('format', 'is not a build file of this program', `a build file begins with "format": "${FILE_FORMAT}"`);
  }
  const { formatVersion } = raw as { formatVersion?: unknown };
  if (typeof formatVersion !== 'number' || !Number.isInteger(formatVersion) || formatVersion < 1) throw new CalcError('formatVersion', 'is missing or is no whole number from 1');
  if (formatVersion > FILE_VERSION) throw new CalcError('formatVersion', `is ${formatVersion}, and this program reads versions up to ${FILE_VERSION}`, 'open it with a newer version of the program');
  return liftDocuments(raw as Record<string, unknown>);
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    const errors: ParseError[] = [];
    parse(text, errors, { disallowComments: true });
    const line = text.slice(0, errors[0]?.offset ?? text.length).split('\n').length;
    throw new CalcError('', `is damaged: the text stops being JSON at line ${line}`, 'export it again from where it came');
  }
}

function liftDocuments(raw: Record<string, unknown>): unknown {
  const lift = (list: unknown, name: string) =>
    Array.isArray(list)
      ? list.map((record: unknown, index) => {
          if (typeof record !== 'object' || record === null || !('document' in record)) return record;
          try {
            return { ...record, document: migrateDocument(record.document) };
          } catch (error) {
            if (error instanceof CalcError) throw new CalcError(`${name}.${index}.document.${error.path}`, error.message, error.remedy);
            throw error;
          }
        })
      : list;
  return { ...raw, revisions: lift(raw.revisions, 'revisions'), runs: lift(raw.runs, 'runs') };
}

/** Left for keys and line ends around what is added to a file, bytes a thing. */
const AROUND = 256;

/** Of the files of a build those that fit into one beside a text of so many bytes: the small ones first, so that as many as can be go along. */
export function filesThatFit(files: readonly KeptFile[], textBytes: number): KeptFile[] {
  let left = LARGEST_FILE - textBytes - AROUND;
  return [...files].sort((a, b) => a.base64.length - b.base64.length || compare(a.hash, b.hash)).filter(({ base64 }) => {
    left -= base64.length + AROUND;
    return left >= 0;
  });
}
