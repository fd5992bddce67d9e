import { type Measure, measure } from '../../base/measure';
import { massWithPayloadKg } from '../../worked/motion/runOfBuild';
import { defineCheck, type Proposal } from '../engine/check';
import { finding, working } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'brief.mass': { car: Measure; payload?: Measure; sizeClass: string; budget: Measure };
  }
  interface WorkingFacts {
    'brief.mass': { carG: number; payloadG: number };
  }
}

/** Room that a remedy leaves under the budget. */
const ROOM = 1.06;

/** Mass ready to run with payload against the budget of the size class. */
export const mass = defineCheck({
  id: 'brief.mass',
  at: { segment: 'brief', side: 'wish' },
  anySurface: true,
  quantity: 'massG',
  kind: 'ceiling',
  tightUnder: 1.05,
  find: ({ document }) => {
    const carG = document.chassis.massG;
    const { sizeClass, payloadG = 0 } = document.brief;
    const kg = massWithPayloadKg(document);
    if (kg === undefined || carG === undefined || !sizeClass)
      return {
        missing: [...(kg === undefined ? ['chassis.massG'] : []), ...(sizeClass ? [] : ['brief.sizeClass'])],
      };
    return {
      value: kg * 1000,
      limit: sizeClass.massBudgetG,
      finding: finding('brief.mass', {
        car: measure(carG, 'massG', 4),
        ...(payloadG > 0 ? { payload: measure(payloadG, 'massG', 4) } : {}),
        sizeClass: sizeClass.name,
        budget: measure(sizeClass.massBudgetG, 'massG', 5),
      }),
      working: working('brief.mass', { carG, payloadG }),
    };
  },
  remedies: ({ document }): Proposal[] => {
    const { sizeClass, payloadG = 0 } = document.brief;
    const carG = document.chassis.massG;
    if (!sizeClass || carG === undefined) return [];
    const over = Math.ceil(carG + payloadG - sizeClass.massBudgetG / ROOM);
    const half = Math.round(payloadG / 2);
    return [
      ...(over > 0 && over < carG
        ? [{ patch: [{ path: ['chassis', 'massG'], value: carG - over }], cost: 3 as const }]
        : []),
      ...(half > 0 ? [{ patch: [{ path: ['brief', 'payloadG'], value: half }], cost: 2 as const }] : []),
    ];
  },
  provenBy: { run: 'look', how: 'onTheScale', figure: true },
  supports: ['tooHeavy'],
});
