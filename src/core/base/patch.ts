/** Way to a value in a document; an item of a list goes by its id. */
export type Path = readonly string[];

/** One edit: the value at a path, `undefined` for none. */
export interface Edit {
  readonly path: Path;
  readonly value: unknown;
}

export type Patch = readonly Edit[];

/** A difference between two documents. */
export interface Change {
  readonly path: Path;
  readonly before: unknown;
  readonly after: unknown;
}

type Item = { readonly id: string };
type Bag = Readonly<Record<string, unknown>>;

export const isItemList = (value: unknown): value is readonly Item[] =>
  Array.isArray(value) &&
  value.every((item) => typeof item === 'object' && item !== null && typeof (item as Item).id === 'string');
export const isBag = (value: unknown): value is Bag =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

export function valueAt(root: unknown, path: Path): unknown {
  return path.reduce<unknown>((value, key) => {
    if (isItemList(value)) return value.find((item) => item.id === key);
    if (Array.isArray(value)) return value[Number(key)];
    return isBag(value) ? value[key] : undefined;
  }, root);
}

/**
 * A new document with one value set; `undefined` takes the key or the list's item out, and makes nothing on
 * its way. A number in a plain list goes by its place.
 */
export function withValue<T>(root: T, path: Path, value: unknown): T {
  return setIn(root, path, value) as T;
}

function setIn(node: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value;
  if (isItemList(node)) {
    const index = node.findIndex((item) => item.id === key);
    if (index < 0) return value === undefined ? node : [...node, setIn({ id: key }, rest, value)];
    const next = setIn(node[index], rest, value);
    return next === undefined ? node.toSpliced(index, 1) : node.with(index, next as Item);
  }
  if (Array.isArray(node))
    return value === undefined ? node : node.with(Number(key), setIn(node[Number(key)], rest, value));
  if (node === undefined && value === undefined) return undefined;
  const bag = isBag(node) ? node : {};
  const next = setIn(bag[key], rest, value);
  if (next !== undefined) return { ...bag, [key]: next };
  const { [key]: _, ...others } = bag;
  return others;
}

export function applyPatch<T>(root: T, patch: Patch): T {
  return patch.reduce<T>((document, { path, value }) => withValue(document, path, value), root);
}

/** The patch that takes an edited document back. */
export function inverseOf(root: unknown, patch: Patch): Patch {
  return patch.map(({ path }) => ({ path, value: valueAt(root, path) })).reverse();
}

/** Every difference between two documents, leaf by leaf; a library item that was exchanged is one difference. */
export function changesBetween(before: unknown, after: unknown, path: Path = []): Change[] {
  if (before === after) return [];
  if (isItemList(before) && isItemList(after) && before.length + after.length > 0) {
    const ids = [...new Set([...before, ...after].map(({ id }) => id))];
    return ids.flatMap((id) =>
      changesBetween(
        before.find((item) => item.id === id),
        after.find((item) => item.id === id),
        [...path, id],
      ),
    );
  }
  if (isBag(before) && isBag(after) && before.libraryId === after.libraryId) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
    return keys.flatMap((key) => changesBetween(before[key], after[key], [...path, key]));
  }
  return JSON.stringify(before) === JSON.stringify(after) ? [] : [{ path, before, after }];
}

/** The same value changed on both sides. */
export interface Conflict {
  readonly path: Path;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/**
 * Joins two sets of edits to one base: edits of different fields are both kept; where both changed the same field the
 * merged document holds theirs and the conflict carries both.
 */
export function mergeDocuments<T>(base: T, mine: T, theirs: T): { document: T; conflicts: Conflict[] } {
  const foreign = changesBetween(base, theirs);
  const conflicts: Conflict[] = [];
  let document = theirs;
  for (const change of changesBetween(base, mine)) {
    const rival = foreign.find(({ path }) => overlaps(path, change.path));
    if (!rival) document = withValue(document, change.path, change.after);
    else {
      const path = rival.path.length < change.path.length ? rival.path : change.path;
      const [a, b] = [valueAt(mine, path), valueAt(theirs, path)];
      const known = conflicts.some((conflict) => conflict.path.join('/') === path.join('/'));
      if (!known && JSON.stringify(a) !== JSON.stringify(b)) conflicts.push({ path, mine: a, theirs: b });
    }
  }
  return { document, conflicts };
}

function overlaps(a: Path, b: Path): boolean {
  const length = Math.min(a.length, b.length);
  return a.slice(0, length).join('/') === b.slice(0, length).join('/');
}
