import type { BuildDocument } from '../../car/document/document';
import type { QuantityName } from '../../base/units/quantities';
import { type LeftOut, mostAlike } from '../../worked/field/alike';
import { meanOfRuns } from '../../worked/field/measured';
import { hottest } from '../../worked/field/report';
import { isRepeated, type RevisionRecord, type RunRecord } from '../../car/records/records';
import { type RepeatedKind, RUN_KIND_RECORDS } from '../../car/records/runKinds';
import { runsSummary } from '../../physics/statistics/runsSummary';

export interface RevisionPoint {
  letter: string;
  mean: number;
  /** Half of the 95 % interval, where it is known. */
  error?: number;
  /** Runs. */
  n: number;
}

/** What is measured of a revision. */
export type MeasureId = 'speed' | 'launch' | 'slalom' | 'track' | 'pack' | 'motor';

/** One measure through the revisions, with what was wished. */
export interface Measure {
  id: MeasureId;
  quantity: QuantityName;
  better: 'higher' | 'lower';
  goal?: number;
  points: RevisionPoint[];
  best: string;
  /** Runs that are not like the others. */
  leftOut?: LeftOut;
}

interface Kind {
  id: MeasureId;
  quantity: QuantityName;
  better: 'higher' | 'lower';
  goal?(document: BuildDocument): number | undefined;
  /** What the runs of a revision came to. */
  point(runs: readonly RunRecord[]): Omit<RevisionPoint, 'letter'> | undefined;
  /** Kind of run whose conditions have to be alike from revision to revision. */
  alike?: RepeatedKind;
}

/** Of a normal distribution, what holds nineteen of twenty. */
const NINETEEN_OF_TWENTY = 1.96;

const timedPoint =
  (kind: RepeatedKind, of: 'speed' | 'time') =>
  (runs: readonly RunRecord[]): Omit<RevisionPoint, 'letter'> | undefined => {
    const found = meanOfRuns(runs, kind, of);
    return found && { mean: found.mean, error: NINETEEN_OF_TWENTY * found.error, n: found.runs };
  };

const meanPoint =
  (valuesOf: (run: RunRecord) => readonly number[]) =>
  (runs: readonly RunRecord[]): Omit<RevisionPoint, 'letter'> | undefined => {
    const values = runs.flatMap(valuesOf);
    if (values.length === 0) return undefined;
    const { mean, ci95, n } = runsSummary({ values });
    return { mean, n, ...(ci95 ? { error: (ci95[1] - ci95[0]) / 2 } : {}) };
  };

const KINDS: readonly Kind[] = [
  {
    id: 'speed',
    quantity: 'speedMps',
    better: 'higher',
    alike: 'timedDistance',
    point: timedPoint('timedDistance', 'speed'),
    goal: ({ brief }) => brief.targetMps,
  },
  {
    id: 'launch',
    quantity: 'timeS',
    better: 'lower',
    alike: 'launch',
    point: timedPoint('launch', 'time'),
    goal: ({ brief }) => brief.timeToDistanceS,
  },
  {
    id: 'slalom',
    quantity: 'speedMps',
    better: 'higher',
    alike: 'slalom',
    point: timedPoint('slalom', 'speed'),
  },
  {
    id: 'track',
    quantity: 'speedMps',
    better: 'higher',
    point: meanPoint(({ track }) => (track?.topSpeedMps === undefined ? [] : [track.topSpeedMps])),
    goal: ({ brief }) => brief.targetMps,
  },
  {
    id: 'pack',
    quantity: 'minutes',
    better: 'higher',
    point: meanPoint(({ kind, report }) =>
      RUN_KIND_RECORDS[kind].wholePack && report?.endedAtMinutes !== undefined ? [report.endedAtMinutes] : [],
    ),
    goal: ({ brief }) => brief.runTimeMinutes,
  },
  {
    id: 'motor',
    quantity: 'temperatureC',
    better: 'lower',
    point: meanPoint(({ report }) =>
      hottest(report?.temperatures)
        .filter(({ place }) => place === 'motor')
        .map(({ valueC }) => valueC),
    ),
  },
];

/** What was measured of each revision, measure by measure, by runs that are alike; only measures of which there is something. */
export function measuresOver(revisions: readonly RevisionRecord[], runs: readonly RunRecord[]): Measure[] {
  const own = runs.filter(({ revisionId }) => revisions.some(({ id }) => id === revisionId));
  return KINDS.flatMap(({ point, goal, alike, ...kind }): Measure[] => {
    const chosen = alike
      ? mostAlike(own.filter(isRepeated).filter((run) => run.kind === alike))
      : { runs: own };
    const points = revisions.flatMap(({ id, letter }): RevisionPoint[] => {
      const found = point(chosen.runs.filter(({ revisionId }) => revisionId === id));
      return found ? [{ letter, ...found }] : [];
    });
    if (points.length === 0) return [];
    const best = points.reduce((a, b) =>
      (kind.better === 'higher' ? b.mean > a.mean : b.mean < a.mean) ? b : a,
    ).letter;
    const wished = goal?.(revisions.at(-1)!.document);
    return [
      {
        ...kind,
        points,
        best,
        ...(wished === undefined ? {} : { goal: wished }),
        ...('leftOut' in chosen && chosen.leftOut ? { leftOut: chosen.leftOut } : {}),
      },
    ];
  });
}
