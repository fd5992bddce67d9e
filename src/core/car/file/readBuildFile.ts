import { parse, type ParseError } from 'jsonc-parser';
import { migrateDocument } from '../document/document';
import { CalcError, refusal } from '../../base/errors';
import { FILE_FORMAT, FILE_VERSION } from './buildFile';
import { LARGEST_FILE } from './largestFile';

declare module '../../base/errors' {
  interface RefusalFacts {
    'buildFile.large': { mostMb: number };
    'buildFile.format': { fileFormat: string };
    'buildFile.noVersion': Record<never, never>;
    'buildFile.newer': { formatVersion: number; fileVersion: number };
    'buildFile.damaged': { line: number };
  }
}

/**
 * JSON of a build file with its documents brought up to date and in the present format; the schema still has to check it.
 *
 * @param mostBytes over which it is refused unread
 * @throws CalcError for a damaged, foreign or newer file, saying where
 */
export function readBuildFileText(text: string, mostBytes = LARGEST_FILE): unknown {
  if (text.length > mostBytes) throw refusal('', 'buildFile.large', { mostMb: mostBytes / 1024 / 1024 });
  const raw = parseJson(text);
  if (typeof raw !== 'object' || raw === null || (raw as { format?: unknown }).format !== FILE_FORMAT) {
    throw refusal('format', 'buildFile.format', { fileFormat: FILE_FORMAT });
  }
  const { formatVersion } = raw as { formatVersion?: unknown };
  if (typeof formatVersion !== 'number' || !Number.isInteger(formatVersion) || formatVersion < 1)
    throw refusal('formatVersion', 'buildFile.noVersion');
  if (formatVersion > FILE_VERSION)
    throw refusal('formatVersion', 'buildFile.newer', { formatVersion, fileVersion: FILE_VERSION });
  return lifted(raw as Bag, formatVersion);
}

type Bag = Record<string, unknown>;
const isBag = (value: unknown): value is Bag =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    const errors: ParseError[] = [];
    parse(text, errors, { disallowComments: true });
    const line = text.slice(0, errors[0]?.offset ?? text.length).split('\n').length;
    throw refusal('', 'buildFile.damaged', { line });
  }
}

/** Files of format 1 hold a document in each run, and may hold copies of a print that was gone already. */
function lifted(raw: Bag, formatVersion: number): Bag {
  const migrated = {
    ...raw,
    formatVersion: FILE_VERSION,
    revisions: withDocuments(raw.revisions, 'revisions'),
    runs: withDocuments(formatVersion === 1 ? shared(raw.runs) : raw.runs, 'runs'),
  };
  return formatVersion === 1 && Array.isArray(raw.copies)
    ? { ...migrated, copies: withoutLostPrints(raw.copies, raw.prints) }
    : migrated;
}

function withDocuments(list: unknown, name: string): unknown {
  if (!Array.isArray(list)) return list;
  return list.map((record: unknown, index) => {
    if (!isBag(record) || !('document' in record)) return record;
    try {
      return { ...record, document: migrateDocument(record.document) };
    } catch (error) {
      if (error instanceof CalcError) throw error.at(`${name}.${index}.document.${error.path}`);
      throw error;
    }
  });
}

/** Runs that name the first of those that were driven with the same document. */
function shared(runs: unknown): unknown {
  if (!Array.isArray(runs)) return runs;
  const holders = new Map<string, unknown>();
  return runs.map((run: unknown) => {
    if (!isBag(run) || !('document' in run) || 'documentOf' in run) return run;
    const text = JSON.stringify(run.document);
    if (!holders.has(text)) {
      holders.set(text, run.id);
      return run;
    }
    const { document: _, ...light } = run;
    return { ...light, documentOf: holders.get(text) };
  });
}

function withoutLostPrints(copies: unknown[], prints: unknown): unknown[] {
  const held = new Set(
    Array.isArray(prints) ? prints.map((print: unknown) => (isBag(print) ? print.id : undefined)) : [],
  );
  return copies.map((copy) => {
    if (!isBag(copy) || held.has(copy.printId)) return copy;
    const { printId: _, ...rest } = copy;
    return rest;
  });
}
