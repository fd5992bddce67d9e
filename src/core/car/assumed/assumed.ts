import type { Patch, Path } from '../../base/patch';
import type { BuildDocument } from '../document/document';

type Assuming = Pick<BuildDocument, 'assumed'>;

const keyOf = (path: Path) => path.join('/');

/** Whether a figure, or the thing that it belongs to, was filled in for the builder and not touched since. */
export const isAssumed = ({ assumed = [] }: Assuming, path: Path): boolean => {
  const key = keyOf(path);
  return assumed.some((one) => one === key || key.startsWith(`${one}/`));
};

/** The same of the figure alone, whatever it belongs to. */
export const isAssumedItself = ({ assumed = [] }: Assuming, path: Path): boolean =>
  assumed.includes(keyOf(path));

/** Ways to what was filled in for the builder and not touched since. */
export const assumedPaths = ({ assumed = [] }: Assuming): Path[] => assumed.map((key) => key.split('/'));

/** The patch, with what it sets marked as assumed. */
export function assuming({ assumed = [] }: Assuming, patch: Patch): Patch {
  const keys = new Set([...assumed, ...patch.map(({ path }) => keyOf(path))]);
  return [...patch, { path: ['assumed'], value: [...keys].sort() }];
}

/** The patch with what it touches no longer assumed; one that sets the marks itself stays as it is. */
export function touching({ assumed = [] }: Assuming, patch: Patch): Patch {
  if (assumed.length === 0 || patch.some(({ path }) => path[0] === 'assumed')) return patch;
  const touched = patch.map(({ path }) => keyOf(path));
  const left = assumed.filter(
    (key) => !touched.some((one) => one === key || one.startsWith(`${key}/`) || key.startsWith(`${one}/`)),
  );
  if (left.length === assumed.length) return patch;
  return [...patch, { path: ['assumed'], value: left.length === 0 ? undefined : left }];
}

/** What is still assumed where two pages went on from one document: what either of them touched is not. */
export function assumedOf(base: Assuming, mine: Assuming, theirs: Assuming): string[] {
  const [before, here, there] = [base, mine, theirs].map(({ assumed = [] }) => new Set(assumed));
  return [...new Set([...here!, ...there!])]
    .filter((key) => !before!.has(key) || (here!.has(key) && there!.has(key)))
    .sort();
}
