import type { BuildDocument } from '../../car/document/document';
import { isRepeated, type RunRecord, type TimedConditions } from '../../car/records/records';
import { RUN_KIND_RECORDS } from '../../car/records/runKinds';
import { wholePack } from '../heat/wholePack';
import type { Drivable } from './askedRun';
import { type Factors, type Knob, KNOBS, scaled } from './knobs';
import { measuredOf, USUAL_BETWEEN_RUNS } from './measured';
import { ownErrorOfMinutes } from './packBands';
import { packOfRun } from './predictPack';
import { EMPTY_TOLD } from '../../car/records/packGap';
import { nominalRun } from './predictRun';
import { uncalibrated } from './uncalibrated';

/** A run that says something of the model, seen with the build as it was driven, without an earlier calibration. */
export interface Evidence {
  readonly id: string;
  readonly document: BuildDocument;
  readonly conditions: Pick<TimedConditions, 'surfaceId'>;
  /** A run like it that could be timed. */
  readonly timed: Drivable;
  readonly measuredS: number;
  /** One standard deviation over it, with how far days lie apart. */
  readonly error: number;
  /** Part of it that all runs of its kind have in common, one standard deviation over the time. */
  readonly common?: number;
  /** Seconds with figures multiplied; none where the car does not arrive. */
  timeWith(factors: Factors): number | undefined;
}

/** A pack that was driven until it was empty: its minutes are evidence, with or without a probe. */
export const isDrivenEmpty = ({ kind, report, conditions }: RunRecord): boolean =>
  RUN_KIND_RECORDS[kind].wholePack === true &&
  report?.endedBy === 'battery' &&
  (report.endedAtMinutes ?? 0) > 0 &&
  conditions.surfaceId !== undefined;

/** Whether a run can be held against its prediction. */
export const isEvidence = (run: RunRecord): boolean =>
  (isOneDrive(run) && run.attempts.length > 0) || isDrivenEmpty(run);

/** A passage that the car alone decides: through gates it is the driver too. */
const isOneDrive = (run: RunRecord) => isRepeated(run) && !RUN_KIND_RECORDS[run.kind].weaves;

/**
 * All that runs say. What runs have in common is not averaged away by driving more of them: each carries it as if it were alone.
 *
 * @param spread of attempts over their mean, for a run that has but one
 */
export function evidenceFrom(records: readonly RunRecord[], spread: number): Evidence[] {
  const all = onOneGround(records).flatMap((run) => evidenceOf(run, spread) ?? []);
  const sharing = all.filter(({ common }) => common !== undefined).length;
  return all.map((one) => ({ ...one, error: Math.hypot(one.error, (one.common ?? 0) * Math.sqrt(sharing)) }));
}

/** Of a surface what the ground is; how sure its builder was of it stays that of the day. */
const OF_GROUND = ['mu', 'rollingResistance'] as const;

/**
 * The runs without earlier calibrations, each surface as the last of them has it: ground is the same ground whatever was
 * believed of it when it was driven on, so that one factor holds for all its runs.
 */
function onOneGround(records: readonly RunRecord[]): RunRecord[] {
  const runs = records.map((run) => ({ ...run, document: uncalibrated(run.document) }));
  const known = new Map(
    [...runs]
      .sort((a, b) => (a.ranAt < b.ranAt ? -1 : 1))
      .flatMap(({ document }) => document.brief.surfaces)
      .map((surface) => [surface.id, surface]),
  );
  return runs.map((run) => {
    const surfaces = run.document.brief.surfaces.map((surface) => {
      const last = known.get(surface.id)!;
      return OF_GROUND.every((key) => surface[key] === last[key])
        ? surface
        : { ...surface, ...Object.fromEntries(OF_GROUND.map((key) => [key, last[key]])) };
    });
    return { ...run, document: { ...run.document, brief: { ...run.document.brief, surfaces } } };
  });
}

function evidenceOf(run: RunRecord, spread: number): Evidence | undefined {
  if (isDrivenEmpty(run)) return ofPack(run);
  if (!isOneDrive(run) || !isRepeated(run) || run.attempts.length === 0) return undefined;
  const { id, kind, document, conditions } = run;
  const timeWith = (factors: Factors) =>
    nominalRun(scaled(document, conditions.surfaceId, factors), kind, conditions)?.timeS;
  if (timeWith({}) === undefined) return undefined;
  const { time, timeErrorS } = measuredOf(run, spread);
  const error = Math.hypot(timeErrorS / time.mean, USUAL_BETWEEN_RUNS);
  return { id, document, conditions, timed: run, measuredS: time.mean, error, timeWith };
}

/** The minutes of a pack go with a power of each figure, near enough; found from 5 % up and down. */
const STEP = 0.05;

function ofPack({ id, document, conditions, report }: RunRecord): Evidence | undefined {
  const surfaceId = conditions.surfaceId!;
  const secondsOf = (car: BuildDocument) => {
    const pack = packOfRun(car, conditions);
    return pack.ok ? wholePack(pack.value).unlimited.durationS : 0;
  };
  const own = packOfRun(document, conditions);
  const nominalS = secondsOf(document);
  if (!own.ok || nominalS === 0) return undefined;
  const powers = Object.fromEntries(
    KNOBS.map((knob) => {
      const [up, down] = [1 + STEP, 1 - STEP].map((factor) =>
        secondsOf(scaled(document, surfaceId, { [knob]: factor })),
      ) as [number, number];
      const both = up > 0 && down > 0;
      return [knob, both ? Math.log(up / down) / Math.log((1 + STEP) / (1 - STEP)) : 0];
    }),
  ) as Record<Knob, number>;
  const timed: TimedConditions = {
    ...conditions,
    surfaceId,
    surfaceName: conditions.surfaceName ?? '',
    distanceM: 20,
  };
  return {
    id,
    document,
    conditions: { surfaceId },
    timed: { document, kind: 'timedDistance', conditions: timed },
    measuredS: 60 * report!.endedAtMinutes!,
    error: Math.hypot(EMPTY_TOLD, USUAL_BETWEEN_RUNS),
    common: ownErrorOfMinutes(document, own.value),
    timeWith: (factors) =>
      nominalS * KNOBS.reduce((all, knob) => all * (factors[knob] ?? 1) ** powers[knob], 1),
  };
}
