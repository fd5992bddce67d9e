import type { BuildDocument } from '../../car/document/document';
import type { QuantityName } from '../../base/units/quantities';
import { measuredOf } from '../../worked/field/measured';
import { hottest } from '../../worked/field/reportWords';
import { isTimed, type RevisionRecord, type RunRecord } from '../../car/records/records';
import { runsSummary } from '../../physics/statistics/runsSummary';

export interface RevisionPoint {
  letter: string;
  mean: number;
  /** Half of the 95 % interval, where there are two values. */
  error?: number;
  n: number;
}

/** One measure through the revisions, with what was wished. */
export interface Measure {
  id: string;
  title: string;
  quantity: QuantityName;
  better: 'higher' | 'lower';
  goal?: number;
  points: RevisionPoint[];
  best: string;
}

interface Kind {
  id: string;
  title: string;
  quantity: QuantityName;
  better: 'higher' | 'lower';
  values(run: RunRecord): number[];
  goal?(document: BuildDocument): number | undefined;
}

const attemptsOf = (
  run: RunRecord,
  kind: RunRecord['kind'],
  pick: (one: { timeS: number; speedMps: number }) => number,
) => (run.kind === kind && isTimed(run) ? measuredOf(run).attempts.map(pick) : []);

const KINDS: readonly Kind[] = [
  {
    id: 'speed',
    title: 'Speed over a distance',
    quantity: 'speedMps',
    better: 'higher',
    values: (run) => attemptsOf(run, 'timedDistance', ({ speedMps }) => speedMps),
    goal: ({ brief }) => brief.targetMps,
  },
  {
    id: 'launch',
    title: 'Standing start',
    quantity: 'timeS',
    better: 'lower',
    values: (run) => attemptsOf(run, 'launch', ({ timeS }) => timeS),
    goal: ({ brief }) => brief.timeToDistanceS,
  },
  {
    id: 'track',
    title: 'Top speed by satellite',
    quantity: 'speedMps',
    better: 'higher',
    values: (run) => (run.track?.topSpeedMps === undefined ? [] : [run.track.topSpeedMps]),
    goal: ({ brief }) => brief.targetMps,
  },
  {
    id: 'pack',
    title: 'A pack lasts',
    quantity: 'minutes',
    better: 'higher',
    values: (run) =>
      run.kind === 'endurance' && run.report?.endedAtMinutes !== undefined ? [run.report.endedAtMinutes] : [],
    goal: ({ brief }) => brief.runTimeMinutes,
  },
  {
    id: 'motor',
    title: 'Motor at its hottest',
    quantity: 'temperatureC',
    better: 'lower',
    values: (run) =>
      hottest(run.report?.temperatures)
        .filter(({ place }) => place === 'motor')
        .map(({ valueC }) => valueC),
  },
];

/** What was measured of each revision, measure by measure; only those of which there is something. */
export function measuresOver(revisions: readonly RevisionRecord[], runs: readonly RunRecord[]): Measure[] {
  return KINDS.flatMap(({ id, title, quantity, better, values, goal }): Measure[] => {
    const points = revisions.flatMap(({ id: revisionId, letter }): RevisionPoint[] => {
      const all = runs.filter((run) => run.revisionId === revisionId).flatMap(values);
      if (all.length === 0) return [];
      const { mean, ci95, n } = runsSummary({ values: all });
      return [{ letter, mean, n, ...(ci95 ? { error: (ci95[1] - ci95[0]) / 2 } : {}) }];
    });
    if (points.length === 0) return [];
    const best = points.reduce((a, b) =>
      (better === 'higher' ? b.mean > a.mean : b.mean < a.mean) ? b : a,
    ).letter;
    const wished = goal?.(revisions.at(-1)!.document);
    return [{ id, title, quantity, better, points, best, ...(wished === undefined ? {} : { goal: wished }) }];
  });
}
