import type { TimedRun } from '../../car/records/records';

/** What makes runs of one kind another thing to average: the ground, what the car carried, how far it ran up, and through which gates. */
export const UNLIKE_BY = ['surface', 'payload', 'runUp', 'gates'] as const;
export type UnlikeBy = (typeof UNLIKE_BY)[number];

/** Runs that were left out of a mean, and by what they were unlike. */
export interface LeftOut {
  runs: number;
  by: readonly UnlikeBy[];
}

/** So much more on the car, or so much run-up, is not felt. By judgement. */
const [SAME_G, SAME_M] = [20, 1];

const carriedG = ({ conditions, document }: TimedRun) =>
  (document.brief.payloadG ?? 0) + (conditions.extraMassG ?? 0);

const gateKey = ({ conditions: { gates } }: TimedRun) => gates && `${gates.spacingM} ${gates.offsetM}`;

const IS_ALIKE: Readonly<Record<UnlikeBy, (a: TimedRun, b: TimedRun) => boolean>> = {
  surface: (a, b) => a.conditions.surfaceId === b.conditions.surfaceId,
  payload: (a, b) => Math.abs(carriedG(a) - carriedG(b)) <= SAME_G,
  runUp: (a, b) => Math.abs((a.conditions.runUpM ?? 0) - (b.conditions.runUpM ?? 0)) <= SAME_M,
  gates: (a, b) => gateKey(a) === gateKey(b),
};

/**
 * The most runs that may be averaged, the last driven among as many, and what was left out.
 *
 * @param but what is compared by them, which may differ
 */
export function mostAlike<R extends TimedRun>(
  runs: readonly R[],
  but?: UnlikeBy,
): { runs: R[]; leftOut?: LeftOut } {
  const by = UNLIKE_BY.filter((one) => one !== but);
  const groups: R[][] = [];
  for (const run of runs) {
    const known = groups.find(([first]) => by.every((one) => IS_ALIKE[one](first!, run)));
    if (known) known.push(run);
    else groups.push([run]);
  }
  const lastOf = (group: readonly R[]) =>
    group.reduce((last, { ranAt }) => (ranAt > last ? ranAt : last), '');
  const kept = groups.reduce<R[]>(
    (a, b) => (b.length > a.length || (b.length === a.length && lastOf(b) > lastOf(a)) ? b : a),
    [],
  );
  const others = groups.filter((group) => group !== kept).flat();
  return {
    runs: kept,
    ...(others.length === 0
      ? {}
      : {
          leftOut: {
            runs: others.length,
            by: by.filter((one) => others.some((run) => !IS_ALIKE[one](kept[0]!, run))),
          },
        }),
  };
}
