import type { CopyRecord } from '../../car/records/prints';
import { lifeEstimate } from '../../physics/statistics/life';
import type { FailureRecord, RevisionRecord, RunRecord } from '../../car/records/records';

const MIN_PER_H = 60;

export interface PartLife {
  partId: string;
  name: string;
  /** Driven with the part in its revisions, and in how many runs. */
  hours: number;
  runs: number;
  failures: number;
  lostMinutes: number;
  /** Of all that had to be replaced, in the build's currency; none where the price of one is not known. */
  cost?: number;
  words: string;
}

export interface CopyLife {
  hours: number;
  runs: number;
  /** Hard ones, on the clamped part. */
  blows: number;
}

/** Hours, runs and hard blows of each printed copy, from the runs that it was on or beaten in. */
export function livesOfCopies(
  copies: readonly CopyRecord[],
  runs: readonly RunRecord[],
): ReadonlyMap<string, CopyLife> {
  const found = new Map<string, CopyLife>(copies.map(({ id }) => [id, { hours: 0, runs: 0, blows: 0 }]));
  for (const { copies: on = [], drivenMinutes = 0, report } of runs) {
    for (const id of on) {
      const life = found.get(id);
      if (life)
        found.set(id, { ...life, hours: life.hours + drivenMinutes / MIN_PER_H, runs: life.runs + 1 });
    }
    for (const { copyId = '', hard } of report?.beaten ?? []) {
      const life = found.get(copyId);
      if (life) found.set(copyId, { ...life, blows: life.blows + hard });
    }
  }
  return found;
}

/** Parts of all revisions, what was driven with them and how often they failed; what failed and is no part of any goes by its name. Those that cost most time first. */
export function livesOfParts(
  revisions: readonly RevisionRecord[],
  runs: readonly RunRecord[],
  failures: readonly FailureRecord[],
  priceOf: (partId: string) => number | undefined = () => undefined,
): PartLife[] {
  const last = revisions.at(-1);
  if (!last) return [];
  const hoursIn = new Map(
    revisions.map(({ id }) => [
      id,
      runs
        .filter(({ revisionId }) => revisionId === id)
        .reduce((sum, { drivenMinutes = 0 }) => sum + drivenMinutes, 0) / MIN_PER_H,
    ]),
  );
  const named = new Map(
    revisions.flatMap(({ document }) => document.parts.items.map(({ id, name }) => [id, name] as const)),
  );
  const runsIn = new Map(
    revisions.map(({ id }) => [id, runs.filter(({ revisionId }) => revisionId === id).length]),
  );
  const lifeOf = (
    partId: string,
    name: string,
    of: readonly RevisionRecord[],
    own: readonly FailureRecord[],
  ): PartLife => {
    const [hours, times] = [hoursIn, runsIn].map((counted) =>
      of.reduce((sum, { id }) => sum + counted.get(id)!, 0),
    ) as [number, number];
    const price = priceOf(partId);
    return {
      partId,
      name,
      hours,
      runs: times,
      failures: own.length,
      ...(price === undefined || own.length === 0 ? {} : { cost: price * own.length }),
      lostMinutes: own.reduce((sum, { ledger }) => sum + (ledger?.lostMinutes ?? 0), 0),
      words:
        hours > 0 ? lifeEstimate({ exposureHours: hours, failures: own.length }).words : 'not driven yet',
    };
  };
  const known = [...named].map(([partId, name]) =>
    lifeOf(
      partId,
      name,
      revisions.filter(({ document }) => document.parts.items.some(({ id }) => id === partId)),
      failures.filter((failure) => failure.partId === partId),
    ),
  );
  const strangers = new Map<string, FailureRecord[]>();
  for (const failure of failures)
    if (failure.partId === undefined || !named.has(failure.partId)) {
      const key = `name ${failure.partName.trim().toLowerCase()}`;
      strangers.set(key, [...(strangers.get(key) ?? []), failure]);
    }
  return [
    ...known,
    ...[...strangers].map(([key, own]) => lifeOf(key, own[0]!.partName, revisions, own)),
  ].sort((a, b) => b.lostMinutes - a.lostMinutes || b.failures - a.failures || b.hours - a.hours);
}

export interface HeldFix {
  /** Driven with the fix. */
  hours: number;
  /** How often it failed again in the same way. */
  again: number;
  /** What it had lasted without the fix: hours of all its failures whose life is known, and how many they are. */
  lived: { hours: number; failures: number };
  /** The revision that is looked from, the last where none is named, does not come from the one that carries it. */
  lost: boolean;
  words: string;
}

/** Whether a fix has held in the revisions from the one that carries it on. */
export function fixHeld(
  failure: FailureRecord,
  revisions: readonly RevisionRecord[],
  runs: readonly RunRecord[],
  failures: readonly FailureRecord[],
  seenFrom = revisions.at(-1)?.id,
): HeldFix | undefined {
  const carrier = revisions.find(({ id }) => id === failure.fixRevisionId);
  if (!failure.fixRevisionId || !carrier) return undefined;
  const carrying = lineFrom(failure.fixRevisionId, revisions);
  const hours =
    runs
      .filter(({ revisionId }) => carrying.has(revisionId))
      .reduce((sum, { drivenMinutes = 0 }) => sum + drivenMinutes, 0) / MIN_PER_H;
  const alike = failures.filter((one) => isSameAilment(one, failure));
  const again = alike.filter(({ id, revisionId }) => id !== failure.id && carrying.has(revisionId)).length;
  const before = [failure, ...alike.filter(({ id }) => id !== failure.id)].filter(
    ({ revisionId, hours: lived = 0 }) => !carrying.has(revisionId) && lived > 0,
  );
  const last = revisions.find(({ id }) => id === seenFrom);
  const lost =
    !last || carrying.has(last.id)
      ? ''
      : `; ${last.letter} does not come from ${carrier.letter}, so it is without this fix`;
  return {
    hours,
    again,
    lived: { hours: before.reduce((sum, { hours: own = 0 }) => sum + own, 0), failures: before.length },
    lost: lost !== '',
    words: `${hours > 0 ? lifeEstimate({ exposureHours: hours, failures: again }).words : 'not driven yet'}${lost}`,
  };
}

const nameOf = ({ partName }: FailureRecord) => partName.trim().toLowerCase();

/** The same part, or what is no part of the build and has the same name, failed in the same way. */
const isSameAilment = (a: FailureRecord, b: FailureRecord): boolean =>
  a.mode === b.mode &&
  (a.partId === undefined ? b.partId === undefined && nameOf(a) === nameOf(b) : a.partId === b.partId);

/** A revision and all that came from it. */
export function lineFrom(id: string, revisions: readonly RevisionRecord[]): ReadonlySet<string> {
  const found = new Set([id]);
  for (let grown = true; grown;) {
    grown = false;
    for (const revision of revisions)
      if (revision.parentId !== undefined && found.has(revision.parentId) && !found.has(revision.id)) {
        found.add(revision.id);
        grown = true;
      }
  }
  return found;
}
