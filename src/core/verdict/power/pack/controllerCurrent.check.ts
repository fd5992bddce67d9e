import { type Measure, measure } from '../../../base/measure';
import type { BuildDocument } from '../../../car/document/document';
import { defineCheck, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { gearing } from '../../drive/gearing';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.controller': { rms: Measure; rated: Measure };
    'power.controller.held': { current: Measure; rated: Measure };
  }
  interface WorkingFacts {
    'power.controller': { rmsA: number; meanA: number; minutes: number };
  }
}

/** Continuous rating of the next larger controller over the present one's, rounded up to ten. */
const LARGER = 1.5;

/** Root mean square of one motor's current over the duty, against the controller's continuous rating. */
export const controllerCurrent = defineCheck({
  id: 'power.controller',
  at: { segment: 'power', side: 'pack' },
  heavy: true,
  quantity: 'currentA',
  kind: 'ceiling',
  tightUnder: 1.3,
  find: (subject) => {
    const pack = subject.endurance();
    if (!pack.ok) return pack;
    const { continuousA } = subject.document.power.controller!;
    const { rmsMotorCurrentA, meanMotorCurrentA = 0, durationS } = pack.value.unlimited;
    const rated = measure(continuousA, 'currentA');
    if (rmsMotorCurrentA === undefined) {
      const current = subject.standstill()!.motorCurrentA;
      return {
        value: current,
        limit: continuousA,
        finding: finding('power.controller.held', { current: measure(current, 'currentA'), rated }),
      };
    }
    return {
      value: rmsMotorCurrentA,
      limit: continuousA,
      finding: finding('power.controller', { rms: measure(rmsMotorCurrentA, 'currentA'), rated }),
      working: working('power.controller', {
        rmsA: rmsMotorCurrentA,
        meanA: meanMotorCurrentA,
        minutes: durationS / 60,
      }),
    };
  },
  remedies: ({ document }) => [...gearing(document, 'shorter'), ...largerController(document)],
  provenBy: { run: 'endurance', how: 'wholePackController' },
  supports: ['controllerProtectsStall', 'noAirflow'],
});

function largerController({ power: { controller } }: BuildDocument): Proposal[] {
  if (!controller) return [];
  const continuousA = Math.ceil((controller.continuousA * LARGER) / 10) * 10;
  return [
    {
      patch: [
        { path: ['power', 'controller', 'continuousA'], value: continuousA },
        ...(controller.currentLimitA < continuousA
          ? [{ path: ['power', 'controller', 'currentLimitA'], value: continuousA }]
          : []),
      ],
      cost: 2,
    },
  ];
}
