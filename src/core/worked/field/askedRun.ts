import type { BuildDocument } from '../../car/document/document';
import type { TimedConditions, TimedRun } from '../../car/records/records';
import { RUN_KIND_RECORDS, type TimedKind } from '../../car/records/runKinds';
import { covarianceOf } from '../../physics/statistics/covariance';
import type { Knob } from './knobs';

/** A figure that is fitted, and its slopes in each residual. */
export interface FittedColumn {
  readonly knob: Knob;
  readonly surfaceId?: string;
  /** One standard deviation of its logarithm beforehand. */
  readonly prior: number;
  readonly rows: readonly number[];
}

/** Runs that could be driven next with the last one's car. */
export const ASKABLE = ['shortLaunch', 'longLaunch', 'afterRunUp', 'heavier', 'emptierPack'] as const;
export type Askable = (typeof ASKABLE)[number];

/** A run that would say more, and of which figure. */
export interface AskedRun {
  run: Askable;
  of: Pick<FittedColumn, 'knob' | 'surfaceId'>;
  /** One standard deviation of the factor with that run. */
  error: number;
}

export type Drivable = Pick<TimedRun, 'document' | 'kind' | 'conditions'>;

/** A run that does not lower the error by a tenth is not worth the way to the field. */
const WORTH = 0.9;
const [EXTRA_G, EMPTY_CELL_V] = [500, 3.6];

/**
 * The run that would take most off the error of one figure.
 *
 * @param errorOfRun of the time of a run that is asked for, share
 * @param slopeOf of the logarithm of a run's time over that of a figure
 * @see Atkinson and Donev, Optimum Experimental Designs, ch. 9 (one step)
 */
export function askedRun(
  last: Drivable,
  columns: readonly FittedColumn[],
  errorOfRun: number,
  slopeOf: (run: Drivable, column: FittedColumn) => number,
): AskedRun | undefined {
  const errorsWith = (extra: readonly number[]) =>
    covarianceOf(columns.map(({ rows }, at) => [...rows, ...(extra.length > 0 ? [extra[at]!] : [])]))?.errors;
  const now = errorsWith([]);
  if (!now) return undefined;
  const gains = candidates(last).flatMap(([run, drive]) => {
    const then = errorsWith(columns.map((column) => slopeOf(drive, column) / errorOfRun));
    return columns.flatMap(({ knob, surfaceId }, at) => {
      const error = then?.[at];
      return error === undefined || error > WORTH * now[at]!
        ? []
        : [
            {
              run,
              of: { knob, ...(surfaceId === undefined ? {} : { surfaceId }) },
              error,
              left: error / now[at]!,
            },
          ];
    });
  });
  const best = gains.sort((a, b) => a.left - b.left)[0];
  return best && { run: best.run, of: best.of, error: best.error };
}

function candidates({ conditions, document, kind }: Drivable): (readonly [Askable, Drivable])[] {
  const passing: TimedKind = RUN_KIND_RECORDS[kind].fromRest ? 'timedDistance' : kind;
  const run = (as: TimedKind, more: Partial<TimedConditions>): Drivable => ({
    document: document as BuildDocument,
    kind: as,
    conditions: { ...conditions, distanceM: 20, ...more },
  });
  const cells = document.power.battery?.cells;
  return [
    ['shortLaunch', run('launch', { distanceM: 5, runUpM: undefined })],
    ['longLaunch', run('launch', { runUpM: undefined })],
    ['afterRunUp', run(passing, { runUpM: 60 })],
    ['heavier', run(passing, { runUpM: 40, extraMassG: (conditions.extraMassG ?? 0) + EXTRA_G })],
    ...(cells === undefined
      ? []
      : [['emptierPack', run(passing, { runUpM: 40, packVBefore: EMPTY_CELL_V * cells })] as const]),
  ];
}
