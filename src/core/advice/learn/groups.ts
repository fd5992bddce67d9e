import { type Exchange, exchangesBetween } from '../../car/document/exchange';
import { type Measure, measure } from '../../base/measure';
import { mean } from '../../base/numeric/statistics';
import type { QuantityName } from '../../base/units/quantities';
import { type LeftOut, mostAlike } from '../../worked/field/alike';
import { measuredOf } from '../../worked/field/measured';
import { isTimed, type RevisionRecord, type RunRecord, type TimedRun } from '../../car/records/records';
import { RUN_KIND_RECORDS, type TimedKind } from '../../car/records/runKinds';
import { compareRuns } from '../../physics/statistics/compareRuns';
import { runsCompare, type RunsCompareResult } from '../../physics/statistics/runsCompare';

/** By what runs are put into groups. */
export const GROUPINGS = ['revision', 'tyre', 'surface', 'setting', 'run'] as const;
export type Grouping = (typeof GROUPINGS)[number];

export interface RunGroup {
  id: string;
  label: string;
  runs: TimedRun[];
  /** Speed of every attempt, m/s; for a launch its time, s. */
  values: number[];
  /** The same of every run. */
  means: number[];
  /** Runs of the group that are not like the others. */
  leftOut?: LeftOut;
}

/** Timed runs of a kind in groups; a setting is one of those that the runs name. */
export function groupsOf(
  runs: readonly RunRecord[],
  revisions: readonly RevisionRecord[],
  kind: TimedKind,
  by: Grouping,
  setting?: string,
): RunGroup[] {
  const letters = new Map(revisions.map(({ id, letter }) => [id, letter]));
  // each value with the run that it comes from
  const groups = new Map<string, RunGroup & { owners: TimedRun[] }>();
  for (const run of runs) {
    if (run.kind !== kind || !isTimed(run)) continue;
    for (const { key, label, only } of keysOf(run, letters, by, setting)) {
      const { attempts } = measuredOf(run);
      const values = attempts
        .filter((_, at) => !only || only(at))
        .map(({ timeS, speedMps }) => (RUN_KIND_RECORDS[kind].fromRest ? timeS : speedMps));
      if (values.length === 0) continue;
      const known = groups.get(key) ?? { id: key, label, runs: [], values: [], means: [], owners: [] };
      groups.set(key, {
        ...known,
        runs: [...known.runs, run],
        values: [...known.values, ...values],
        owners: [...known.owners, ...values.map(() => run)],
        means: [...known.means, mean(values)],
      });
    }
  }
  return [...groups.values()].map((group) => alikeOnly(group, by));
}

/** A group with only the runs that may be averaged; what is compared may differ. */
function alikeOnly(group: RunGroup & { owners: TimedRun[] }, by: Grouping): RunGroup {
  const { runs, leftOut } = mostAlike(group.runs, by === 'surface' ? 'surface' : undefined);
  const kept = new Set(runs);
  const { owners, ...rest } = group;
  return {
    ...rest,
    runs,
    values: group.values.filter((_, at) => kept.has(owners[at]!)),
    means: group.means.filter((_, at) => kept.has(group.runs[at]!)),
    ...(leftOut ? { leftOut } : {}),
  };
}

interface Key {
  key: string;
  label: string;
  /** Which attempts of the run belong to it; all where not given. */
  only?: (at: number) => boolean;
}

function keysOf(
  run: TimedRun,
  letters: ReadonlyMap<string, string>,
  by: Grouping,
  setting: string | undefined,
): Key[] {
  switch (by) {
    case 'revision':
      return [{ key: run.revisionId, label: `revision ${letters.get(run.revisionId) ?? '?'}` }];
    case 'tyre':
      return [
        {
          key: run.document.drive.tyre?.name ?? 'none',
          label: run.document.drive.tyre?.name ?? 'no tyre named',
        },
      ];
    case 'surface':
      return [{ key: run.conditions.surfaceName, label: run.conditions.surfaceName }];
    case 'run':
      return [
        {
          key: run.id,
          label: `${letters.get(run.revisionId) ?? '?'}, ${run.ranAt.slice(0, 16).replace('T', ' ')}`,
        },
      ];
    case 'setting': {
      if (run.report?.settingName === setting && run.kind === 'series')
        return [
          ...new Set(run.attempts.flatMap(({ setting: value }) => (value === undefined ? [] : [value]))),
        ].map((value) => ({
          key: String(value),
          label: `${setting} ${value}`,
          only: (at) => run.attempts[at]!.setting === value,
        }));
      const found = run.conditions.settings?.find(({ name }) => name === setting);
      return found ? [{ key: String(found.value), label: `${setting} ${found.value}` }] : [];
    }
  }
}

/** Names of settings by which runs can be compared. */
export const settingNames = (runs: readonly RunRecord[]): string[] =>
  [
    ...new Set(
      runs.flatMap(({ conditions, report, kind }) => [
        ...(conditions.settings ?? []).map(({ name }) => name),
        ...(kind === 'series' && report?.settingName ? [report.settingName] : []),
      ]),
    ),
  ].sort();

export interface Comparison {
  /** Attempts where both are of the same runs, which share their conditions; runs else. */
  unit: 'attempts' | 'runs';
  result: RunsCompareResult;
  unlike: Unlike[];
}

const runIds = ({ runs }: RunGroup) => runs.map(({ id }) => id).join();

/** Two of some groups compared, with what else was different between them. */
export function compareGroups(
  a: RunGroup,
  b: RunGroup,
  groups: readonly RunGroup[],
  kind: TimedKind,
  by: Grouping,
): Comparison {
  const better = RUN_KIND_RECORDS[kind].fromRest ? 'lower' : 'higher';
  // attempts of one series share its day; those of two runs that are held against each other have no other unit
  const unit = by === 'run' || runIds(a) === runIds(b) ? 'attempts' : 'runs';
  return {
    unit,
    result:
      unit === 'attempts'
        ? runsCompare({ a: a.values, b: b.values, better })
        : compareRuns({ a: a.means, b: b.means, better, groups: groups.map(({ means }) => means) }),
    unlike: unlike(a, b, by),
  };
}

/** Differences of the means that matter to a speed: more than this. */
const TELLING = { ambientC: 5, packVBefore: 0.1, extraMassG: 20, distanceM: 0.1, runUpM: 1 } as const;
export type UnlikeCondition = keyof typeof TELLING;
const CONDITION_QUANTITIES = {
  ambientC: 'temperatureC',
  packVBefore: 'voltageV',
  extraMassG: 'massG',
  distanceM: 'distanceM',
  runUpM: 'distanceM',
} as const satisfies Record<UnlikeCondition, QuantityName>;

/** What was not alike between two groups, apart from what is compared. */
export type Unlike =
  | { readonly of: 'surface'; readonly a: readonly string[]; readonly b: readonly string[] }
  | { readonly of: UnlikeCondition; readonly a: Measure; readonly b: Measure }
  | { readonly of: UnlikeCondition; readonly onOneSide: true }
  | { readonly of: 'build'; readonly exchange: Exchange };

function unlike(a: RunGroup, b: RunGroup, by: Grouping): Unlike[] {
  const found: Unlike[] = [];
  const [one, other] = [a, b].map(({ runs }) =>
    [...new Set(runs.map(({ conditions }) => conditions.surfaceName))].sort(),
  ) as [string[], string[]];
  if (by !== 'surface' && one.join() !== other.join()) found.push({ of: 'surface', a: one, b: other });
  for (const of of Object.keys(TELLING) as UnlikeCondition[]) {
    const [before, after] = [a, b].map(({ runs }) => {
      const said = runs.flatMap(({ conditions }) => conditions[of] ?? []);
      return said.length === 0 ? undefined : mean(said);
    });
    const quantity = CONDITION_QUANTITIES[of];
    if (before !== undefined && after !== undefined && Math.abs(before - after) > TELLING[of])
      found.push({ of, a: measure(before, quantity), b: measure(after, quantity) });
    else if ((before === undefined) !== (after === undefined)) found.push({ of, onOneSide: true });
  }
  if (by === 'revision' || by === 'run') return found;
  const exchanges = exchangesBetween(a.runs[0]!.document, b.runs[0]!.document).filter(
    ({ path }) => !['parts', 'print'].includes(path[0] ?? '') && !(by === 'tyre' && path[1] === 'tyre'),
  );
  return [...found, ...exchanges.map((exchange): Unlike => ({ of: 'build', exchange }))];
}
