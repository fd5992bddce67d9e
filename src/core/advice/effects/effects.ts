import { applyPatch, type Change, changesBetween } from '../../base/patch';
import type { QuantityName } from '../../base/units/quantities';
import type { BuildDocument } from '../../car/document/document';
import { type Exchange, exchangesBetween } from '../../car/document/exchange';
import type { Check, Thresholds } from '../../verdict/engine/check';
import { evaluateStates } from '../../verdict/evaluate';
import { acts, thingOf } from '../learn/things';

/** Checks whose figures say what the car does, in the order in which they are told. */
export const KEY_FIGURES = ['drive.speed', 'drive.heat', 'brief.charge', 'brief.mass'] as const;
export type KeyFigure = (typeof KEY_FIGURES)[number];

/** A figure of the car on either side. */
export interface Moved {
  id: KeyFigure;
  quantity: QuantityName;
  before?: number;
  after?: number;
}

/** A check on either side. */
export interface MovedCheck extends Pick<Check, 'id' | 'named' | 'segment'> {
  before: Pick<Check, 'state' | 'margin'>;
  after: Pick<Check, 'state' | 'margin'>;
}

/** What one changed thing does by itself, everything else left as it was. */
export interface ChangeEffect {
  thing: string;
  changes: Exchange[];
  figures: Moved[];
  /** Those that it moves most, the most first. */
  checks: MovedCheck[];
}

export interface Effects {
  each: ChangeEffect[];
  /** All of them at once: not always the sum. */
  together: Pick<ChangeEffect, 'figures' | 'checks'>;
  /** Changes that act on nothing that is worked out here. */
  silent: Exchange[];
}

const MOST_CHECKS = 2;
/** Smaller changes of a margin are not told, as a share. */
const TELLING = 0.02;

/**
 * What each changed thing between two builds does by itself, and all of them together, by the checks of both.
 *
 * Each is put alone into the earlier build; things that only make sense together show it in their sum.
 */
export function effectsBetween(before: BuildDocument, after: BuildDocument, thresholds: Thresholds): Effects {
  const told = exchangesBetween(before, after);
  const raw = changesBetween(before, after);
  const was = evaluateStates(before, thresholds);
  const things = [...new Set(raw.filter(({ path }) => acts(path)).map(({ path }) => thingOf(path)))];
  const each = things.map((thing) => {
    const own = raw.filter(({ path }) => acts(path) && thingOf(path) === thing);
    return {
      thing,
      changes: told.filter(({ path }) => acts(path) && thingOf(path) === thing),
      ...movedBy(was, evaluateStates(applyPatch(before, own.map(edit)), thresholds)),
    };
  });
  return {
    each: each.filter(({ changes }) => changes.length > 0),
    together: movedBy(was, things.length === 0 ? was : evaluateStates(after, thresholds)),
    silent: told.filter(({ path }) => !acts(path)),
  };
}

const edit = ({ path, after }: Change) => ({ path, value: after });

/** Figures and checks that are not the same on both sides. */
export function movedBy(
  was: readonly Check[],
  is: readonly Check[],
  most = MOST_CHECKS,
): Pick<ChangeEffect, 'figures' | 'checks'> {
  const of = (checks: readonly Check[], id: string) => checks.find((one) => one.id === id);
  const figures = KEY_FIGURES.flatMap((id): Moved[] => {
    const [a, b] = [of(was, id), of(is, id)];
    const known = b ?? a;
    if (!known || a?.value === b?.value) return [];
    return [
      {
        id,
        quantity: known.quantity,
        ...(a?.value === undefined ? {} : { before: a.value }),
        ...(b?.value === undefined ? {} : { after: b.value }),
      },
    ];
  });
  const ids = [...new Set([...was, ...is].map(({ id }) => id))];
  const checks = ids.flatMap((id): (MovedCheck & { size: number })[] => {
    const [a, b] = [of(was, id), of(is, id)];
    const [before, after] = [sideOf(a), sideOf(b)];
    const size = sizeOf(before, after);
    const { named, segment } = b ?? a!;
    return size > TELLING ? [{ id, ...(named ? { named } : {}), segment, before, after, size }] : [];
  });
  return {
    figures,
    checks: checks
      .sort((a, b) => b.size - a.size)
      .slice(0, most)
      .map(({ size: _, ...one }) => one),
  };
}

const sideOf = (check: Check | undefined): Pick<Check, 'state' | 'margin'> =>
  check
    ? { state: check.state, ...(check.margin === undefined ? {} : { margin: check.margin }) }
    : { state: 'unknown' };

/** A change of state counts for more than any change of margin; a margin counts up to three, above that there is enough. */
function sizeOf(a: Pick<Check, 'state' | 'margin'>, b: Pick<Check, 'state' | 'margin'>): number {
  const enough = (margin: number) => Math.max(0.01, Math.min(3, margin));
  const moved =
    a.margin === undefined || b.margin === undefined
      ? 0
      : Math.abs(Math.log(enough(b.margin) / enough(a.margin)));
  return moved + (a.state === b.state ? 0 : 10);
}
