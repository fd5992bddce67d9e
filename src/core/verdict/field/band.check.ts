import { finding } from '../../base/finding';
import { studentBelow } from '../../base/numeric/distributions';
import { type Measure, measure } from '../../base/measure';
import type { Wheel } from '../../car/records/wheels';
import { isRepeated } from '../../car/records/records';
import { type RunKind } from '../../car/records/runKinds';
import { attemptSpread, gapOf, measuredOf } from '../../worked/field/measured';
import { packGap } from '../../car/records/packGap';
import { wrongWheels, type WrongWheel } from '../../worked/field/wrongWheels';
import { defineRecordCheck } from '../engine/check';
import { ownRuns } from '../engine/onRecord';

declare module '../../base/finding' {
  interface FindingFacts {
    'field.band.wheels': { wheels: readonly { wheel: Wheel; turned: WrongWheel['turned'] }[] };
    'field.band': {
      runs: number;
      kind: RunKind;
      at: string;
      off: Measure;
      /** Slower than predicted, or driven for fewer minutes. */
      less: boolean;
      sigmas: Measure;
      outside: boolean;
    };
  }
}

/** Chance of a single run beyond two, and beyond three, joint standard deviations: outside its band, and far outside. */
const [OUTSIDE, FAR_OUTSIDE] = [0.0455, 0.0027];
/** So many degrees make Student's t the normal distribution. */
const NORMAL = 1e6;

/**
 * Standard deviations that the worst of some runs passes with this chance where nothing is wrong: 2 of one run, 2.7 of seven.
 *
 * @see Šidák, Journal of the American Statistical Association 62 (1967)
 */
export const worstOf = (runs: number, chance: number): number =>
  studentBelow(1 - (1 - (1 - chance) ** (1 / runs)) / 2, NORMAL);

/** Runs whose measurement lies outside the band of their prediction. */
export const band = defineRecordCheck({
  id: 'field.band',
  at: { segment: 'field', side: 'runs' },
  quantity: 'coefficient',
  kind: 'ceiling',
  find: (record) => {
    const own = ownRuns(record);
    const wheels = own.flatMap((run) => (run.kind === 'spin' && run.report ? wrongWheels(run.report) : []));
    if (wheels.length > 0) return { state: 'over', finding: finding('field.band.wheels', { wheels }) };
    const spread = attemptSpread(record.runs);
    const gaps = own.flatMap((run) => {
      const gap = isRepeated(run) ? gapOf(run, measuredOf(run, spread)) : packGap(run);
      return gap ? [{ run, differencePct: gap.differencePct, sigmas: gap.sigmas }] : [];
    });
    if (gaps.length === 0) return { missing: ['runs:predicted'] };
    const worst = gaps.reduce((a, b) => (Math.abs(b.sigmas) > Math.abs(a.sigmas) ? b : a));
    const far = Math.abs(worst.sigmas);
    const [outside, farOutside] = [OUTSIDE, FAR_OUTSIDE].map((chance) => worstOf(gaps.length, chance)) as [
      number,
      number,
    ];
    return {
      value: far,
      limit: outside,
      state: far > farOutside ? 'over' : far > outside ? 'tight' : 'clear',
      finding: finding('field.band', {
        runs: gaps.length,
        kind: worst.run.kind,
        at: worst.run.ranAt,
        off: measure(Math.abs(worst.differencePct), 'percent', 2),
        less: worst.differencePct < 0,
        sigmas: measure(far, 'coefficient', 2),
        outside: far > outside,
      }),
    };
  },
});
