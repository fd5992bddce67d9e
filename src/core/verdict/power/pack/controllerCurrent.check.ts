import { enduranceOf } from '../../../worked/heat/enduranceOf';
import { type Measure, measure } from '../../../base/measure';
import type { BuildDocument } from '../../../car/document/document';
import { defineCheck, type Proposal } from '../../engine/check';
import { controllerCurrentFace } from './controllerCurrent.face';
import { finding, working } from '../../../base/finding';
import { goTogether, motorsPerController } from '../../../car/document/motors';
import type { MotorKind } from '../../../car/document/power';
import { gearing } from '../../drive/gearing';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.controller': { rms: Measure; rated: Measure; motors: number };
    'power.controller.peak': { peak: Measure; rated: Measure; motors: number };
    'power.controller.held': { current: Measure; rated: Measure; motors: number };
    'power.controller.spins': { current: Measure; rated: Measure; motors: number };
    'power.controller.kinds': { motor: MotorKind; controller: MotorKind };
  }
  interface WorkingFacts {
    'power.controller': {
      rmsA: number;
      meanA: number;
      minutes: number;
      motors: number;
      continuousA: number;
      peakA: number;
      ratedPeakA: number;
      limits: boolean;
    };
  }
}

/** Continuous rating of the next larger controller over the present one's, rounded up to ten. */
const LARGER = 1.5;

/**
 * What one controller passes on over the duty, against its continuous rating; where it does not limit, the peak against its
 * peak; and whether it can switch the motor at all.
 */
export const controllerCurrent = defineCheck({
  ...controllerCurrentFace,
  find: (subject) => {
    const { drive, power } = subject.document;
    const kinds = { motor: drive.motor?.kind, controller: power.controller?.kind };
    if (!goTogether(kinds.motor, kinds.controller))
      return {
        state: 'over',
        finding: finding('power.controller.kinds', { motor: kinds.motor!, controller: kinds.controller! }),
      };
    const pack = enduranceOf(subject);
    if (!pack.ok) return pack;
    const { continuousA, currentLimitA, limitsCurrent = true } = power.controller!;
    const motors = motorsPerController(subject.document);
    const { rmsMotorCurrentA, meanMotorCurrentA = 0, durationS } = pack.value.unlimited;
    const rated = measure(continuousA, 'currentA');
    if (rmsMotorCurrentA === undefined) {
      const { outcome, motorCurrentA, spinCurrentA = motorCurrentA } = subject.standstill()!;
      const spins = outcome === 'spins';
      const current = motors * (spins ? spinCurrentA : motorCurrentA);
      return {
        value: current,
        limit: continuousA,
        finding: finding(spins ? 'power.controller.spins' : 'power.controller.held', {
          current: measure(current, 'currentA'),
          rated,
          motors,
        }),
      };
    }
    const rmsA = motors * rmsMotorCurrentA;
    const peakA = motors * subject.run()!.peakMotorCurrentA;
    const facts = working('power.controller', {
      rmsA: rmsMotorCurrentA,
      meanA: meanMotorCurrentA,
      minutes: durationS / 60,
      motors,
      continuousA,
      peakA,
      ratedPeakA: currentLimitA,
      limits: limitsCurrent,
    });
    return !limitsCurrent && peakA / currentLimitA > rmsA / continuousA
      ? {
          value: peakA,
          limit: currentLimitA,
          finding: finding('power.controller.peak', {
            peak: measure(peakA, 'currentA'),
            rated: measure(currentLimitA, 'currentA'),
            motors,
          }),
          working: facts,
        }
      : {
          value: rmsA,
          limit: continuousA,
          finding: finding('power.controller', { rms: measure(rmsA, 'currentA'), rated, motors }),
          working: facts,
        };
  },
  remedies: ({ document }) => {
    const { drive, power } = document;
    const { kind } = drive.motor ?? {};
    if (kind && !goTogether(kind, power.controller?.kind))
      return [{ patch: [{ path: ['power', 'controller', 'kind'], value: kind }], cost: 2 }];
    return [
      ...(motorsPerController(document) > 1
        ? [{ patch: [{ path: ['power', 'motorsPerController'], value: 1 }], cost: 2 as const }]
        : []),
      ...gearing(document, 'shorter'),
      ...largerController(document),
    ];
  },
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
