import type { CopyRecord } from '../../car/records/prints';
import { designOfPart } from './designs';
import type { FailureRecord, RevisionRecord, RunRecord } from '../../car/records/records';

const MIN_PER_H = 60;

/** What was driven, and what failed meanwhile. */
export interface Lived {
  hours: number;
  failures: number;
}

export interface PartLife extends Lived {
  partId: string;
  name: string;
  /** In how many runs; these, like hours and failures, of the part as the last revision that has it draws it. */
  runs: number;
  /** Of its earlier designs, where it had any. */
  earlier?: Lived;
  /** Over all designs. */
  lostMinutes: number;
  /** Of all that had to be replaced, in the build's currency; none where the price of one is not known. */
  cost?: number;
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

/**
 * Parts of all revisions, what was driven with them and how often they failed, design by design: a part that was drawn anew begins
 * anew. What failed and is no part of any revision goes by its name. Those that cost most time first.
 */
export function livesOfParts(
  revisions: readonly RevisionRecord[],
  runs: readonly RunRecord[],
  failures: readonly FailureRecord[],
  priceOf: (partId: string) => number | undefined = () => undefined,
): PartLife[] {
  const drivenIn = new Map(revisions.map(({ id }) => [id, { hours: 0, runs: 0 }]));
  for (const { revisionId, drivenMinutes = 0 } of runs) {
    const driven = drivenIn.get(revisionId);
    if (driven)
      drivenIn.set(revisionId, { hours: driven.hours + drivenMinutes / MIN_PER_H, runs: driven.runs + 1 });
  }
  const sumOf = (of: readonly RevisionRecord[], key: 'hours' | 'runs') =>
    of.reduce((sum, { id }) => sum + drivenIn.get(id)![key], 0);
  const totals = (partId: string, own: readonly FailureRecord[]) => {
    const price = priceOf(partId);
    return {
      lostMinutes: own.reduce((sum, { ledger }) => sum + (ledger?.lostMinutes ?? 0), 0),
      ...(price === undefined || own.length === 0 ? {} : { cost: price * own.length }),
    };
  };
  const names = new Map(
    revisions.flatMap(({ document }) => document.parts.items.map(({ id, name }) => [id, name] as const)),
  );
  const known = [...names].map(([partId, name]): PartLife => {
    const own = failures.filter((failure) => failure.partId === partId);
    const designs = new Map(
      revisions.flatMap(({ id, document }) => {
        const design = designOfPart(document, partId);
        return design === undefined ? [] : [[id, design] as const];
      }),
    );
    const now = [...designs.values()].at(-1);
    const having = revisions.filter(({ id }) => designs.has(id));
    const [same, others] = [true, false].map((wanted) =>
      having.filter(({ id }) => (designs.get(id) === now) === wanted),
    ) as [RevisionRecord[], RevisionRecord[]];
    const failedIn = (of: readonly RevisionRecord[]) =>
      own.filter(({ revisionId }) => of.some(({ id }) => id === revisionId)).length;
    return {
      partId,
      name,
      hours: sumOf(same, 'hours'),
      runs: sumOf(same, 'runs'),
      // what failed in a revision that is gone counts for the part as it is
      failures: own.length - failedIn(others),
      ...(others.length > 0
        ? { earlier: { hours: sumOf(others, 'hours'), failures: failedIn(others) } }
        : {}),
      ...totals(partId, own),
    };
  });
  const strangers = new Map<string, FailureRecord[]>();
  for (const failure of failures)
    if (failure.partId === undefined || !names.has(failure.partId)) {
      const key = `name ${nameOf(failure)}`;
      strangers.set(key, [...(strangers.get(key) ?? []), failure]);
    }
  const unknown = [...strangers].map(([partId, own]): PartLife => ({
    partId,
    name: own[0]!.partName,
    hours: sumOf(revisions, 'hours'),
    runs: sumOf(revisions, 'runs'),
    failures: own.length,
    ...totals(partId, own),
  }));
  return [...known, ...unknown].sort(
    (a, b) => b.lostMinutes - a.lostMinutes || failuresEver(b) - failuresEver(a) || b.hours - a.hours,
  );
}

/** Of all designs of a part. */
export const failuresEver = ({ failures, earlier }: Lived & { earlier?: Lived }): number =>
  failures + (earlier?.failures ?? 0);

/** Hours of the revision, and of the part as it was drawn then, up to a failure: by the minutes of the runs before it. */
export function hoursUntil(
  { revisionId, partId, occurredAt }: Pick<FailureRecord, 'revisionId' | 'partId' | 'occurredAt'>,
  revisions: readonly RevisionRecord[],
  runs: readonly RunRecord[],
): { revision: number; part?: number } {
  const drivenIn = (ids: ReadonlySet<string>) =>
    runs
      .filter((run) => ids.has(run.revisionId) && run.ranAt <= occurredAt)
      .reduce((sum, { drivenMinutes = 0 }) => sum + drivenMinutes, 0) / MIN_PER_H;
  const documentOf = (id: string) => revisions.find((one) => one.id === id)?.document;
  const design = partId === undefined ? undefined : designOfPart(documentOf(revisionId), partId);
  const alike = revisions.filter(({ document }) => designOfPart(document, partId ?? '') === design);
  return {
    revision: drivenIn(new Set([revisionId])),
    ...(design === undefined ? {} : { part: drivenIn(new Set(alike.map(({ id }) => id))) }),
  };
}

/** What became of a fix. */
export interface HeldFix {
  /** Driven with it. */
  hours: number;
  /** How often it failed again in the same way. */
  again: number;
  /** What it had lasted without the fix: hours of all its failures whose life is known, and how many they are. */
  lived: Lived;
  /** Where the revision that is looked from, the last if none is named, does not come from the one that carries it: their letters. */
  lost?: { in: string; from: string };
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
  return {
    hours,
    again,
    lived: { hours: before.reduce((sum, { hours: own = 0 }) => sum + own, 0), failures: before.length },
    ...(last && !carrying.has(last.id) ? { lost: { in: last.letter, from: carrier.letter } } : {}),
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
