import type { Measure } from '../../../base/measure';
import { measure } from '../../../base/measure';
import { topSpeedFacts, type TopSpeedFacts } from '../../../physics/motion/topSpeedFacts';
import { standstillOf } from '../../../worked/motion/standstillOfBuild';
import { defineCheck } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { gearing, oneCellMore } from '../gearing';
import { needsOfWish } from './wish';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.speed.stands': { outcome: 'spins' | 'stalls' };
    'drive.speed.grip': { top: Measure; wish: Measure };
    'drive.speed.drive': { top: Measure; wish: Measure; share: Measure };
  }
  interface WorkingFacts {
    'drive.topSpeed': TopSpeedFacts;
  }
}

/** Speed that stands for a car whose downhill has no end, over the wish. */
const NO_END = 10;

/** Top speed against the wish. */
export const topSpeed = defineCheck({
  id: 'drive.speed',
  at: { segment: 'drive', side: 'run' },
  quantity: 'speedMps',
  kind: 'floor',
  tightUnder: 1.05,
  find: (subject) => {
    const input = subject.runInput();
    const wish = subject.document.brief.targetMps;
    const missing = needsOfWish(subject);
    if (!input.ok || wish === undefined) return { missing };
    const run = subject.run()!;
    const top = run.topSpeedMps ?? wish * NO_END;
    const speeds = { top: measure(top, 'speedMps'), wish: measure(wish, 'speedMps') };
    const { outcome } = run.stalled ? standstillOf(subject.document, input.value) : { outcome: 'moves' };
    return {
      value: top,
      limit: wish,
      finding: run.stalled
        ? finding('drive.speed.stands', { outcome: outcome === 'spins' ? 'spins' : 'stalls' })
        : run.topSpeedLimitedBy === 'grip'
          ? finding('drive.speed.grip', speeds)
          : finding('drive.speed.drive', { ...speeds, share: measure(top / run.noLoadSpeedMps, 'share') }),
      working: working('drive.topSpeed', topSpeedFacts(input.value, run)),
    };
  },
  remedies: (subject) =>
    subject.run()?.topSpeedLimitedBy === 'grip'
      ? []
      : [...gearing(subject.document, 'longer', 'shorter'), ...oneCellMore(subject.document)],
  provenBy: { run: 'timedDistance', how: 'sameDistance', figure: true },
  supports: ['ratioTooShort', 'dragTooHigh'],
});
