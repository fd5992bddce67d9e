import type { BuildRecord } from '../records/records';
import { FILE_FORMAT, FILE_LISTS, FILE_VERSION, type FileList } from './buildFile';

const FIRST_KEYS = [
  'schemaVersion',
  'id',
  'kind',
  'name',
  'letter',
  'parentId',
  'revisionId',
  'unfinished',
  'assumed',
  'brief',
  'drive',
  'power',
  'chassis',
  'suspension',
  'parts',
  'print',
];
const rankOf = new Map(FIRST_KEYS.map((key, at) => [key, at]));
const rank = (key: string) => rankOf.get(key) ?? FIRST_KEYS.length;

function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== 'object' || value === null) return value;
  const keys = Object.keys(value).sort((a, b) => rank(a) - rank(b) || (a < b ? -1 : 1));
  return Object.fromEntries(keys.map((key) => [key, ordered((value as Record<string, unknown>)[key])]));
}

/** One record on one line: keys in one order. */
export const recordLine = (record: object): string => JSON.stringify(ordered(record));

/** The same for reading: each figure on a line of its own. */
export const indentedRecord = (line: string): string =>
  JSON.stringify(JSON.parse(line), null, 2).replaceAll('\n', '\n    ');

type Lines = Iterable<string> | AsyncIterable<string>;

/**
 * Text of a build file, record by record; each list is asked for when the ones before it are written.
 *
 * @param lists the lines of the records, each list in the file's order
 * @param write how a line goes into the text
 */
export async function* buildFilePieces(
  build: BuildRecord,
  lists: Readonly<Record<FileList, Lines>>,
  write: (line: string) => string,
): AsyncGenerator<string> {
  yield `{\n  "format": ${JSON.stringify(FILE_FORMAT)},\n  "formatVersion": ${FILE_VERSION},\n  "build": ${indentedRecord(recordLine(build)).replaceAll('\n    ', '\n  ')}`;
  for (const name of FILE_LISTS) {
    yield `,\n  "${name}": [`;
    let any = false;
    for await (const line of lists[name]) {
      yield `${any ? ',' : ''}\n    ${write(line)}`;
      any = true;
    }
    yield any ? '\n  ]' : ']';
  }
  yield '\n}\n';
}
