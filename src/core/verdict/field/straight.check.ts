import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { refusedOr } from '../../base/errors';
import { USUAL_STRAIGHT_M } from '../../car/records/gripReport';
import type { Side } from '../../physics/handling/straight';
import { straightOf } from '../../worked/grip/handlingOfRuns';
import { defineRecordCheck, type State } from '../engine/check';
import { ownRuns } from '../engine/onRecord';

declare module '../../base/finding' {
  interface FindingFacts {
    'chassis.straight': { side: Side; drift: Measure; over: Measure };
  }
}

/** Off the line over the distance of a usual trial, m. */
const [ALLOWED_M, TIGHT] = [0.5, 1.5];

/** Drift of the last straightness run, as far as it is the car's. */
export const straight = defineRecordCheck({
  id: 'chassis.straight',
  at: { segment: 'field', side: 'grip' },
  quantity: 'distanceM',
  kind: 'ceiling',
  find: (record) => {
    const run = ownRuns(record)
      .filter(({ kind }) => kind === 'straight')
      .sort((a, b) => (a.ranAt < b.ranAt ? 1 : -1))[0];
    const sheet = run?.report?.straight;
    if (!run || !sheet) return { missing: ['runs:straight'] };
    const surface = run.document.brief.surfaces.find(({ id }) => id === run.conditions.surfaceId);
    const found = refusedOr(() => straightOf(run.document, surface, sheet));
    if ('refused' in found) return { missing: ['runs:straight'] };
    if (!found.value.ok) return found.value;
    const { biasM, side } = found.value.value;
    const { distanceM = USUAL_STRAIGHT_M } = sheet;
    // a curve's drift grows with the square of the way
    const drift = Math.abs(biasM) * (USUAL_STRAIGHT_M / distanceM) ** 2;
    return {
      value: drift,
      limit: ALLOWED_M,
      state: stateOf(drift, side),
      finding: finding('chassis.straight', {
        side,
        drift: measure(drift, 'distanceM', 2),
        over: measure(USUAL_STRAIGHT_M, 'distanceM', 2),
      }),
    };
  },
});

function stateOf(driftM: number, side: Side): State {
  if (side === 'none shown' || driftM * TIGHT <= ALLOWED_M) return 'clear';
  return driftM <= ALLOWED_M ? 'tight' : 'over';
}
