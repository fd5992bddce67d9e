import type { BuildDocument } from '@/core/car/document/document';
import { isItemList, type Path, valueAt, withValue } from '@/core/base/patch';
import type { Problem } from '@/core/base/errors';

interface Held {
  readonly path: Path;
  readonly value: unknown;
  readonly problem: Problem;
}

/** Values that the server refused: the rest is saved without them, and they are tried again when they are others. */
export class HeldBack {
  private held: Held[] = [];

  /** Why the last of them was refused. */
  get problem(): Problem | undefined {
    return this.held.at(-1)?.problem;
  }

  /** The document with the last saved values in their places. */
  without(document: BuildDocument, saved: BuildDocument): BuildDocument {
    this.held = this.held.filter(({ path, value }) => valueAt(document, path) === value);
    return this.held.reduce((kept, { path }) => withValue(kept, path, valueAt(saved, path)), document);
  }

  /** Holds the refused value back, and where that was not enough what it stands in; false where nothing is left to hold back. */
  add(problem: Problem, document: BuildDocument, saved: BuildDocument): boolean {
    const path = this.narrowest(pathIn(document, problem.path), document, saved);
    if (path.length === 0) return false;
    const value = valueAt(document, path);
    if (JSON.stringify(value) === JSON.stringify(valueAt(saved, path))) return false;
    this.held = [...this.held.filter((one) => !startsWith(one.path, path)), { path, value, problem }];
    return true;
  }

  private narrowest(path: Path, document: BuildDocument, saved: BuildDocument): Path {
    let end = path.length;
    while (
      end > 0 &&
      (this.held.some((one) => one.path.length >= end && startsWith(one.path, path.slice(0, end))) ||
        valueAt(document, path.slice(0, end)) === undefined ||
        (end > 1 && valueAt(saved, path.slice(0, end - 1)) === undefined))
    )
      end -= 1;
    return path.slice(0, end);
  }
}

const startsWith = (path: Path, head: Path) => head.every((key, index) => path[index] === key);

/** A refusal's dotted path as a way into the document, list items by their ids. */
function pathIn(document: BuildDocument, dotted: string): Path {
  const path: string[] = [];
  let node: unknown = document;
  for (const key of dotted
    .replace(/^document\.?/, '')
    .split('.')
    .filter(Boolean)) {
    const next = isItemList(node) ? (node[Number(key)]?.id ?? key) : key;
    path.push(next);
    node = valueAt(node, [next]);
  }
  return path;
}
