import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { meanOfRuns } from '../../worked/field/measured';
import type { LeftOut } from '../../worked/field/alike';
import { defineRecordCheck, type State } from '../engine/check';
import { ownRuns } from '../engine/onRecord';

declare module '../../base/finding' {
  interface FindingFacts {
    'field.goal': {
      speed: Measure;
      error: Measure;
      wish: Measure;
      runs: number;
      is: 'proven' | 'open' | 'missed';
      leftOut?: LeftOut;
    };
  }
}

/** Two standard deviations: nineteen of twenty. */
const PROVEN = 2;

/** The wished speed against what was measured of this revision. */
export const goal = defineRecordCheck({
  id: 'field.goal',
  at: { segment: 'field', side: 'runs' },
  quantity: 'speedMps',
  kind: 'floor',
  find: (record) => {
    const { targetMps } = record.document.brief;
    const measured = meanOfRuns(ownRuns(record), 'timedDistance');
    if (targetMps === undefined || !measured)
      return {
        missing: [
          ...(targetMps === undefined ? ['brief.targetMps'] : []),
          ...(measured ? [] : ['runs:timed']),
        ],
      };
    const { mean: speedMps, error: errorMps, runs, leftOut } = measured;
    const [is, state]: [is: 'proven' | 'open' | 'missed', state: State] =
      speedMps - PROVEN * errorMps >= targetMps
        ? ['proven', 'clear']
        : speedMps + PROVEN * errorMps < targetMps
          ? ['missed', 'over']
          : ['open', 'tight'];
    return {
      value: speedMps,
      limit: targetMps,
      margin: speedMps / targetMps,
      state,
      finding: finding('field.goal', {
        speed: measure(speedMps, 'speedMps'),
        error: measure(errorMps, 'speedMps', 2),
        wish: measure(targetMps, 'speedMps'),
        runs,
        is,
        ...(leftOut ? { leftOut } : {}),
      }),
    };
  },
});
