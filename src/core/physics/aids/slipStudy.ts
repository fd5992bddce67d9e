import { type BrakeInput, brakeAssist } from './brakeAssist';
import type { TractionInput } from './slipDefinition';
import { tractionRow } from './tractionAssist';

/** One target over several seeds. */
export interface StudyRow {
  targetSlipPct: number;
  /** Seconds to the distance, or metres to stand; undefined where a seed does not get there. */
  mean?: number;
  /** Sample standard deviation. */
  sd: number;
  meanSlipPct?: number;
}

export interface Study {
  rows: StudyRow[];
  best?: StudyRow;
  /** Targets that are no worse than the best by more than the spread or three parts in a thousand. */
  band?: { from: number; to: number };
}

export const STUDY_TARGETS: readonly number[] = [0, 3, 6, 9, 12, 15, 18, 22, 26, 30, 36, 44, 55, 70, 85, 100];
export const STUDY_SEEDS = 5;
const WORTH = 0.003;

/** One run of a study: time to the distance, or way to stand. */
export type StudyRun = (targetSlipPct: number, seed: number) => { value?: number; meanSlipPct?: number };

export const driveStudy =
  (input: TractionInput): StudyRun =>
  (target, seed) => {
    const row = tractionRow(input, target, seed);
    return {
      ...(row.timeToDistanceS === undefined ? {} : { value: row.timeToDistanceS }),
      ...(row.meanSlipPct === undefined ? {} : { meanSlipPct: row.meanSlipPct }),
    };
  };

export const brakeStudy =
  (input: BrakeInput): StudyRun =>
  (targetSlipPct, seed) => {
    const { stopM, meanSlipPct } = brakeAssist({
      ...input,
      seed,
      controller: { ...input.controller, targetSlipPct },
    });
    return { value: stopM, meanSlipPct };
  };

/** Yields the number of runs done; the best target and those as good. */
export function* studySlip(
  run: StudyRun,
  targets: readonly number[] = STUDY_TARGETS,
  seeds = STUDY_SEEDS,
): Generator<number, Study> {
  const rows: StudyRow[] = [];
  let done = 0;
  for (const targetSlipPct of targets) {
    const found: ReturnType<StudyRun>[] = [];
    for (let seed = 1; seed <= seeds; seed++) {
      found.push(run(targetSlipPct, seed));
      yield ++done;
    }
    rows.push(rowOf(targetSlipPct, found));
  }
  const reached = rows.filter(({ mean }) => mean !== undefined);
  const best = [...reached].sort((a, b) => a.mean! - b.mean!)[0];
  if (!best) return { rows };
  const good = reached.filter(
    ({ mean, sd }) => mean! - best.mean! <= Math.max(WORTH * best.mean!, Math.hypot(sd, best.sd)),
  );
  return {
    rows,
    best,
    band: {
      from: Math.min(...good.map(({ targetSlipPct }) => targetSlipPct)),
      to: Math.max(...good.map(({ targetSlipPct }) => targetSlipPct)),
    },
  };
}

function rowOf(targetSlipPct: number, found: readonly ReturnType<StudyRun>[]): StudyRow {
  const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const values = found.flatMap(({ value }) => (value === undefined ? [] : [value]));
  const slips = found.flatMap(({ meanSlipPct }) => (meanSlipPct === undefined ? [] : [meanSlipPct]));
  const slip = slips.length > 0 ? { meanSlipPct: meanOf(slips) } : {};
  if (values.length < found.length) return { targetSlipPct, sd: 0, ...slip };
  const mean = meanOf(values);
  return {
    targetSlipPct,
    mean,
    sd: Math.sqrt(
      values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / Math.max(1, values.length - 1),
    ),
    ...slip,
  };
}
