import type { Measure } from '../../../base/measure';
import { measure } from '../../../base/measure';
import type { LaunchFacts } from '../../../physics/motion/launchFacts';
import { launchFacts } from '../../../physics/motion/launchFacts';
import { type CurrentHolder, heldBy } from '../../../worked/motion/runOfBuild';
import { standstillOf } from '../../../worked/motion/standstillOfBuild';
import { defineCheck, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { gearing, oneCellMore } from '../gearing';

declare module '../../../base/finding' {
  interface FindingFacts {
    'drive.moves.moves': { drive: Measure; grip: Measure; needed: Measure; limitedBy: 'drive' | 'grip' };
    'drive.moves.spins': { grip: Measure; needed: Measure; friction: Measure | undefined };
    'drive.moves.stalls': {
      drive: Measure;
      needed: Measure;
      short: 'breakaway' | 'voltage' | CurrentHolder;
      tyresToo: boolean;
    };
  }
  interface WorkingFacts {
    'drive.launch': LaunchFacts;
  }
}

/** Whether it moves off: with full throttle on the steepest slope wished, by what motor and tyres can each give. */
export const pull = defineCheck({
  id: 'drive.moves',
  at: { segment: 'drive', side: 'run' },
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.5,
  find: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return input;
    const found = standstillOf(subject.document, input.value);
    const { driveN, gripN, neededN, outcome } = found;
    const force = (value: number) => measure(value, 'forceN');
    const common = { needed: force(neededN) };
    return {
      value: Math.min(driveN, gripN),
      limit: neededN,
      ...(outcome === 'moves' ? {} : { state: 'over' as const }),
      finding:
        outcome === 'moves'
          ? finding('drive.moves.moves', {
              ...common,
              drive: force(driveN),
              grip: force(gripN),
              limitedBy: driveN < gripN ? 'drive' : 'grip',
            })
          : outcome === 'spins'
            ? finding('drive.moves.spins', {
                ...common,
                grip: force(gripN),
                friction:
                  found.remedies.muNeeded === undefined
                    ? undefined
                    : measure(found.remedies.muNeeded, 'coefficient'),
              })
            : finding('drive.moves.stalls', {
                ...common,
                drive: force(driveN),
                short:
                  found.shortOf === 'current' ? heldBy(subject.document, input.value.motor) : found.shortOf!,
                tyresToo: found.gripAlsoShort === true,
              }),
      working: working('drive.launch', launchFacts(input.value, subject.run()!)),
    };
  },
  remedies: ({ document, runInput }): Proposal[] => {
    const input = runInput();
    if (!input.ok) return [];
    const { outcome, driveN, gripN } = standstillOf(document, input.value);
    // no gear mends what the tyres cannot hold
    if (outcome === 'spins' || (outcome === 'moves' && gripN <= driveN))
      return allWheels(document.drive.drivenAxles);
    return [...gearing(document, 'shorter'), ...oneCellMore(document)];
  },
  provenBy: { run: 'launch', how: 'standingStart' },
  supports: ['ratioTooLong', 'tooHeavy', 'frictionTooHigh'],
});

const allWheels = (driven: string | undefined): Proposal[] =>
  driven === 'all' ? [] : [{ patch: [{ path: ['drive', 'drivenAxles'], value: 'all' }], cost: 3 }];
