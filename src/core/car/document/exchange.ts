import { changesBetween, isBag, type Change, type Path, valueAt } from '../../base/patch';
import type { BuildDocument } from './document';

/** One value of the document in place of another. */
export interface Exchange {
  readonly path: Path;
  readonly from: unknown;
  readonly to: unknown;
  /** Name of the item that it belongs to, where that has one. */
  readonly of?: string;
  /** Place of the stage that it belongs to, from 1. */
  readonly stage?: number;
}

/** Every difference from one document to the next that tells something, leaf by leaf. */
export function exchangesBetween(before: BuildDocument, after: BuildDocument): Exchange[] {
  return changesBetween(before, after)
    .flatMap(leavesOf)
    .filter(tellsSomething)
    .map(({ path, before: from, after: to }) => ({
      path,
      from: named(path, from, before),
      to: named(path, to, after),
      ...ownerOf(path, before, after),
    }));
}

/** Of a part's mesh its file and its way up, of a test that was passed that it was; the rest comes with them. */
const tellsSomething = ({ path }: Change): boolean =>
  (path[3] !== 'mesh' || path.length < 5 || path[4] === 'name' || path[4] === 'up') &&
  !(path[1] === 'failsafe' && path.length > 3);

/** The name of what feeds a load, in place of its id. */
function named(path: Path, value: unknown, document: BuildDocument): unknown {
  const feeds = path[0] === 'power' && (path.at(-1) === 'rail' || path.at(-1) === 'from');
  return feeds && typeof value === 'string'
    ? (valueAt(document, ['power', 'rails', value, 'name']) ?? value)
    : value;
}

function ownerOf(path: Path, before: BuildDocument, after: BuildDocument): Pick<Exchange, 'of' | 'stage'> {
  if (path.length < 4) return {};
  if (path[1] === 'stages') {
    const { stages } = after.drive.stages.some(({ id }) => id === path[2]) ? after.drive : before.drive;
    return { stage: stages.findIndex(({ id }) => id === path[2]) + 1 };
  }
  const owner = path.slice(0, 3);
  const item = (valueAt(after, owner) ?? valueAt(before, owner)) as { name?: string } | undefined;
  if (path[3] === 'name') return {};
  // a component of the build's own has a name only once it was given one
  const name = item?.name ?? (path[1] === 'bodies' ? path[2] : undefined);
  return name === undefined ? {} : { of: name };
}

/** A nameless bag that is new or gone, and a thing that kept its name, field by field. */
function leavesOf(change: Change): Change[] {
  const { before, after, path } = change;
  if (isBag(before) && isBag(after) && before.name !== undefined && before.name === after.name) {
    const [{ libraryId: _before, ...was }, { libraryId: _after, ...is }] = [before, after];
    return changesBetween(was, is, path).flatMap(leavesOf);
  }
  const bag = before ?? after;
  const nameless = isBag(bag) && !('name' in bag) && !('kind' in bag) && !('factor' in bag);
  if (!nameless || (before !== undefined && after !== undefined)) return [change];
  return Object.entries(bag).flatMap(([key, value]) =>
    leavesOf({
      path: [...path, key],
      before: before === undefined ? undefined : value,
      after: after === undefined ? undefined : value,
    }),
  );
}
