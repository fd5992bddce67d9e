import type { Path } from '../../base/patch';

/** Segments whose changes act on their own: a part's mesh comes with its shape, a list with its part. */
const QUIET: ReadonlySet<string> = new Set(['print']);
const MONEY: ReadonlySet<string> = new Set(['budget', 'currency', 'calibration']);
const LISTS: ReadonlySet<string> = new Set(['items', 'stages', 'loads', 'rails', 'shafts', 'surfaces']);

/** Things of a build that were changed, one for each motor, stage, part or plain figure; what was said of money and printing left out. */
export const thingsChanged = (changes: readonly { path: Path }[]): string[] => [
  ...new Set(changes.filter(({ path }) => acts(path)).map(({ path }) => thingOf(path))),
];

/** Whether a change at a path can act on the car. */
export const acts = (path: Path): boolean =>
  !QUIET.has(path[0] ?? '') && !(path[0] === 'brief' && MONEY.has(path[1] ?? ''));

/** The motor, stage, part or plain figure that a path belongs to. */
export const thingOf = (path: Path): string => path.slice(0, LISTS.has(path[1] ?? '') ? 3 : 2).join('.');
