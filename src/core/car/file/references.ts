/** What a place in a build's records can name. */
export type Named = 'library' | 'mesh' | 'file' | 'revision' | 'run' | 'print' | 'copy';

interface Reference {
  /** Way from the file's root: `*` is any item or key, `**` any way down. */
  readonly at: string;
  readonly names: Named;
}

const inDocument = (list: 'revisions' | 'runs'): Reference[] => [
  { at: `${list}.*.document.**.libraryId`, names: 'library' },
  { at: `${list}.*.document.drive.tyre.compound`, names: 'library' },
  { at: `${list}.*.document.drive.frontTyre.compound`, names: 'library' },
  { at: `${list}.*.document.parts.items.*.mesh.hash`, names: 'mesh' },
];

/**
 * Every place in a build's records that names something else by its id or its hash; what a build brings
 * along, protects and renames follows from it.
 */
export const REFERENCES: readonly Reference[] = [
  ...inDocument('revisions'),
  { at: 'revisions.*.parentId', names: 'revision' },
  ...inDocument('runs'),
  { at: 'runs.*.revisionId', names: 'revision' },
  { at: 'runs.*.copies.*', names: 'copy' },
  { at: 'runs.*.report.**.copyId', names: 'copy' },
  { at: 'runs.*.photos.*.hash', names: 'file' },
  { at: 'runs.*.track.hash', names: 'file' },
  { at: 'runs.*.report.log.hash', names: 'file' },
  { at: 'failures.*.revisionId', names: 'revision' },
  { at: 'failures.*.runId', names: 'run' },
  { at: 'failures.*.fixRevisionId', names: 'revision' },
  { at: 'failures.*.ledger.copyId', names: 'copy' },
  { at: 'failures.*.ledger.photos.*.hash', names: 'file' },
  { at: 'prints.*.revisionId', names: 'revision' },
  { at: 'prints.*.items.*.copyId', names: 'copy' },
  { at: 'copies.*.revisionId', names: 'revision' },
  { at: 'copies.*.printId', names: 'print' },
  { at: 'library.*.data.compound', names: 'library' },
];

/** One name that was found, with its dotted way. */
export interface FoundReference {
  readonly path: string;
  readonly names: Named;
  readonly name: string;
}

/** Every name in records that are laid out as a build file is. */
export function referencesIn(records: object): FoundReference[] {
  const found: FoundReference[] = [];
  replaced(
    records,
    REFERENCES.map(({ at, names }) => ({ way: at.split('.'), names })),
    (name, names, path) => {
      found.push({ path, names, name });
      return name;
    },
    [],
  );
  return found;
}

/** What is named of some kind. */
export const namesIn = (records: object, kind: Named): Set<string> =>
  new Set(referencesIn(records).flatMap(({ names, name }) => (names === kind ? [name] : [])));

/** The same records with other names. */
export function renamedIn<T extends object>(records: T, rename: (name: string, names: Named) => string): T {
  return replaced(
    records,
    REFERENCES.map(({ at, names }) => ({ way: at.split('.'), names })),
    rename,
    [],
  ) as T;
}

interface Way {
  readonly way: readonly string[];
  readonly names: Named;
}

/** The node with every name that the ways lead to replaced; what holds none is the same object. */
function replaced(
  node: unknown,
  ways: readonly Way[],
  rename: (name: string, names: Named, path: string) => string,
  path: readonly string[],
): unknown {
  if (ways.length === 0 || node === undefined || node === null) return node;
  if (typeof node === 'string') {
    const end = ways.find(({ way }) => way.length === 0);
    return end ? rename(node, end.names, path.join('.')) : node;
  }
  if (typeof node !== 'object') return node;
  const step = (key: string, value: unknown) =>
    replaced(
      value,
      ways.flatMap((one) => onward(one, key)),
      rename,
      [...path, key],
    );
  if (Array.isArray(node)) {
    const list = node.map((value, index) => step(String(index), value) as unknown);
    return list.every((value, index) => value === node[index]) ? node : list;
  }
  const entries = Object.entries(node).map(([key, value]) => [key, step(key, value)] as const);
  return entries.every(([key, value]) => value === (node as Record<string, unknown>)[key])
    ? node
    : Object.fromEntries(entries);
}

/** What is left of a way after a key; a `**` stays until its next key has come. */
function onward({ way, names }: Way, key: string): Way[] {
  const [head, next] = way;
  if (head === '**') return [{ way, names }, ...(next === key ? [{ way: way.slice(2), names }] : [])];
  return head === '*' || head === key ? [{ way: way.slice(1), names }] : [];
}
