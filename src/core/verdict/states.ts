import { CalcError } from '../base/errors';
import { finding } from '../base/finding';
import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import { type Worked, worked } from '../worked/worked';
import type {
  Check,
  CheckFace,
  CheckFamily,
  CheckRecord,
  Found,
  Remedy,
  State,
  Thresholds,
} from './engine/check';
import { familyOf } from './engine/family';
import { SEGMENTS, SIDES } from './engine/segments';
import { FACES, FAMILIES } from './faces';

const placeOf = ({ at: { segment, side } }: Pick<CheckRecord, 'at'>) =>
  SEGMENTS.indexOf(segment) * 100 + (SIDES[segment] as readonly string[]).indexOf(side);

/** In the order of the segments and their sides. */
export const inOrder = <T extends Pick<CheckRecord, 'at'>>(records: readonly T[]): T[] =>
  [...records].sort((a, b) => placeOf(a) - placeOf(b));

/** The checks of what a build has, and those of its rails, loads, aids and parts. */
export const checksOf = <T extends CheckFace>(
  ordered: readonly T[],
  families: readonly CheckFamily<T>[],
  document: BuildDocument,
): T[] => [
  ...ordered.filter(({ applies }) => applies?.(document) ?? true),
  ...families.flatMap((family) => family.of(document)),
];

const ORDERED = inOrder(FACES);

/** Margins under which a check is tight, where the workshop sets none of its own. */
export const DEFAULT_THRESHOLDS: Thresholds = Object.fromEntries(
  FACES.flatMap(({ id, tightUnder }) => (tightUnder === undefined ? [] : [[id, tightUnder]])),
);

export const ORDER: Readonly<Record<State, number>> = { over: 0, tight: 1, unknown: 2, clear: 3 };
/** Margin of what has no load at all. */
const FREE = 1e6;

/** Worse first: by state, then by the smaller margin. */
export function byUrgency(a: Check, b: Check): number {
  return ORDER[a.state] - ORDER[b.state] || (a.margin ?? Infinity) - (b.margin ?? Infinity);
}

/** The states of the quick checks of a build on one surface, without remedies; the others wait for the worker. */
export function statesOn(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  thresholds: Thresholds = {},
): Check[] {
  const subject = worked(document, surface);
  return checksOf<CheckRecord | CheckFace>(ORDERED, FAMILIES, document).map((record) =>
    'find' in record && !record.heavy
      ? evaluate(record, subject, thresholds)
      : { ...bare(record), state: 'unknown' },
  );
}

/** Ids of the checks, and beginnings of those of families, that `statesOn` leaves to the worker. */
export const HEAVY_CHECKS: ReadonlySet<string> = new Set([
  ...FACES.filter(({ heavy }) => heavy).map(({ id }) => id),
  ...FAMILIES.filter(({ heavy }) => heavy).map(({ family }) => family),
]);

/** Whether `statesOn` leaves a check to the worker. */
export const isHeavy = (id: string): boolean => HEAVY_CHECKS.has(id) || HEAVY_CHECKS.has(familyOf(id));

const bare = ({ id, named, about, at, quantity, kind, countedTo }: CheckFace) => ({
  id,
  ...(named === undefined ? {} : { named }),
  ...(about === undefined ? {} : { about }),
  ...at,
  quantity,
  kind,
  ...(countedTo === undefined ? {} : { countedTo }),
  missing: [] as readonly string[],
  remedies: [] as readonly Remedy[],
});

/** What a check says of a build on a surface, without remedies. */
export function evaluate(record: CheckRecord, subject: Worked, thresholds: Thresholds): Check {
  const found = foundBy(record, subject);
  const base = {
    ...bare(record),
    ...(subject.surface && !record.anySurface ? { surface: subject.surface.name } : {}),
  };
  if ('missing' in found)
    return {
      ...base,
      state: 'unknown',
      missing: [...new Set(found.missing)],
      ...(found.finding ? { finding: found.finding } : {}),
      ...(found.fault ? { fault: found.fault } : {}),
    };
  const margin = marginOf(record, found);
  return {
    ...base,
    ...(found.value === undefined ? {} : { value: found.value }),
    ...(found.limit === undefined ? {} : { limit: found.limit }),
    ...(margin === undefined ? {} : { margin }),
    state: found.state ?? stateOf(margin!, thresholds[record.id] ?? record.tightUnder ?? 1),
    finding: found.finding,
    ...(found.working ? { working: found.working } : {}),
  };
}

/** What a check finds; one that cannot be worked out with these figures is unknown and stops no other. */
function foundBy(record: CheckRecord, subject: Worked): Found {
  try {
    return record.find(subject);
  } catch (error) {
    return {
      missing: [],
      finding: finding('check.refused', error instanceof CalcError ? { refused: error.refused } : {}),
      ...(error instanceof CalcError ? {} : { fault: error as Error }),
    };
  }
}

function marginOf(
  { kind }: CheckRecord,
  { value, limit, margin }: Exclude<Found, { missing: readonly string[] }>,
): number | undefined {
  if (margin !== undefined) return margin;
  if (kind === 'band' || limit === undefined || value === undefined) return undefined;
  if (kind === 'ceiling') return value === 0 ? FREE : limit / value;
  return limit === 0 ? FREE : value / limit;
}

function stateOf(margin: number, tightUnder: number): State {
  if (margin < 1) return 'over';
  return margin < tightUnder ? 'tight' : 'clear';
}
