import type { BuildDocument } from '../document/document';
import {
  applyPatch,
  type Conflict,
  type Edit,
  isBag,
  isItemList,
  mergeDocuments,
  type Patch,
  type Path,
  valueAt,
} from '../../base/patch';
import { assumedOf, touching } from '../assumed/assumed';
import { isRequired } from './required';

const keyOf = (path: Path) => path.join('/');

/** Whether a figure was emptied and counts with its last value. */
export const isUnfinished = ({ unfinished }: Pick<BuildDocument, 'unfinished'>, path: Path): boolean =>
  unfinished.includes(keyOf(path));

/** Ways to the figures that were emptied. */
export const unfinishedPaths = ({ unfinished }: Pick<BuildDocument, 'unfinished'>): Path[] =>
  unfinished.map((key) => key.split('/'));

/**
 * The patch with its emptied figures made good: what cannot be absent keeps its last value and is listed as unfinished,
 * what has a value again is not, and what went with a thing that was taken out or exchanged is forgotten. In a list that
 * is set as a whole the items that stay as they were stay unfinished.
 */
export function finishPatch(document: BuildDocument, given: Patch): Patch {
  const patch = touching(document, given);
  const open = new Set(document.unfinished);
  const kept: Edit[] = [];
  let present = document;
  for (const edit of patch) {
    const { path } = edit;
    const value = typeof edit.value === 'string' && edit.value.trim() === '' ? undefined : edit.value;
    if (value === undefined && cannotBeAbsent(present, path)) {
      open.add(keyOf(path));
      continue;
    }
    const next = { path, value };
    kept.push(next);
    const before = present;
    present = applyPatch(present, [next]);
    for (const key of open) {
      const within =
        key.startsWith(`${keyOf(path)}/`) &&
        !(Array.isArray(value) && valueAt(before, key.split('/')) === valueAt(present, key.split('/')));
      if (key === keyOf(path) || within) open.delete(key);
    }
  }
  const unfinished = [...open].filter((key) => valueAt(present, key.split('/')) !== undefined).sort();
  return unfinished.join(' ') === document.unfinished.join(' ')
    ? kept
    : [...kept, { path: ['unfinished'], value: unfinished }];
}

function cannotBeAbsent(document: BuildDocument, path: Path): boolean {
  if (valueAt(document, path) === undefined) return false;
  const parent = valueAt(document, path.slice(0, -1));
  if (Array.isArray(parent)) return !isItemList(parent);
  return isBag(parent) && isRequired(starred(document, path));
}

/** The path with `*` for every item's id. */
function starred(document: BuildDocument, path: Path): string[] {
  return path.map((key, index) => {
    const parent = valueAt(document, path.slice(0, index));
    return Array.isArray(parent) && isItemList(parent) ? '*' : key;
  });
}

/** Joins two tabs' documents; what either of them emptied or filled in again counts. */
export function mergeBuilds(
  base: BuildDocument,
  mine: BuildDocument,
  theirs: BuildDocument,
): { document: BuildDocument; conflicts: Conflict[] } {
  const merged = mergeDocuments(base, marksOf(base, mine), marksOf(base, theirs));
  const [before, here, there] = [base, mine, theirs].map(({ unfinished }) => new Set(unfinished));
  const open = [...new Set([...here!, ...there!])].filter((key) =>
    before!.has(key) ? here!.has(key) && there!.has(key) : true,
  );
  const unfinished = open.filter((key) => valueAt(merged.document, key.split('/')) !== undefined).sort();
  const assumed = assumedOf(base, mine, theirs);
  const { assumed: _, ...document } = merged.document;
  return { ...merged, document: { ...document, unfinished, ...(assumed.length > 0 ? { assumed } : {}) } };
}

/** A document with the marks of another, which are joined apart. */
function marksOf(
  { unfinished, assumed }: BuildDocument,
  { assumed: _, ...document }: BuildDocument,
): BuildDocument {
  return { ...document, unfinished, ...(assumed ? { assumed } : {}) };
}
