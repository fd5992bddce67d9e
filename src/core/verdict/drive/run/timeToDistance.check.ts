import { launchFacts } from '../../../physics/motion/launchFacts';
import { launchHeldBy, type LaunchHeldBy } from '../../../worked/motion/runOfBuild';
import { defineCheck } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { gearing, oneCellMore } from '../gearing';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.time.never': Record<never, never>;
    'drive.time.limited': { by: LaunchHeldBy };
  }
}

/** Time to the wished distance from a standing start. */
export const timeToDistance = defineCheck({
  id: 'drive.time',
  at: { segment: 'drive', side: 'run' },
  quantity: 'timeS',
  kind: 'ceiling',
  tightUnder: 1.05,
  find: (subject) => {
    const { distanceM, timeToDistanceS } = subject.document.brief;
    const input = subject.runInput();
    const missing = [
      ...(input.ok ? [] : input.missing),
      ...(distanceM === undefined ? ['brief.distanceM'] : []),
      ...(timeToDistanceS === undefined ? ['brief.timeToDistanceS'] : []),
    ];
    if (missing.length > 0 || !input.ok) return { missing };
    const run = subject.run()!;
    return {
      ...(run.timeToDistanceS === undefined
        ? { state: 'over' as const, margin: 0 }
        : { value: run.timeToDistanceS, limit: timeToDistanceS! }),
      finding:
        run.timeToDistanceS === undefined
          ? finding('drive.time.never', {})
          : finding('drive.time.limited', { by: launchHeldBy(subject.document, run) }),
      working: working('drive.launch', launchFacts(input.value, run)),
    };
  },
  remedies: ({ document }) => [...gearing(document, 'longer', 'shorter'), ...oneCellMore(document)],
  provenBy: { run: 'launch', how: 'standingStartOverDistance', figure: true },
  supports: [],
});
