import type { Refused } from '../../../base/errors';
import type { BuildDocument } from '../../../car/document/document';
import type { PowerLoad, PowerRail } from '../../../car/document/power';
import { BATTERY, type BudgetResult } from '../../../physics/supply/budgetDefinition';
import type { Worked } from '../../../worked/worked';
import type { Found, Proposal } from '../../engine/check';
import { finding } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.supply.refused': { refused: Refused };
  }
}

/** Share by which a remedy's rating passes what is drawn. */
export const SPARE = 1.3;
/** Of a switching regulator to buy, to start with. */
const NEW_REGULATOR = { kind: 'buck', dropoutV: 0.5, efficiency: 0.9 } as const;
const [LONGEST_ID, LONGEST_NAME] = [60, 80];

export function onSupply(subject: Worked, find: (result: BudgetResult) => Found): Found {
  const supply = subject.supply();
  if (supply.ok) return find(supply.result);
  return {
    missing: supply.missing,
    ...(supply.refused ? { finding: finding('power.supply.refused', { refused: supply.refused }) } : {}),
  };
}

export const servosOn = ({ power: { loads = [] } }: BuildDocument, rail: string): PowerLoad[] =>
  loads.filter((load) => load.kind === 'servo' && load.rail === rail);

/** Whole volts or halves inside the load's window, as high as it goes. */
const voltsFor = ({ minV = 0, maxV = minV }: PowerLoad) =>
  Math.max(minV, Math.floor(2 * Math.min(maxV, 0.98 * maxV)) / 2);

/** A regulator that feeds one load alone. */
export function ownRegulator({ power: { rails = [] } }: BuildDocument, load: PowerLoad): Proposal {
  const id = `own-${load.id}`.slice(0, LONGEST_ID);
  const { typicalA = 0, peakA = typicalA } = load;
  const rail: PowerRail = {
    id,
    name: `${load.name} regulator`.slice(0, LONGEST_NAME),
    from: BATTERY,
    ...NEW_REGULATOR,
    setV: voltsFor(load),
    continuousA: Math.max(1, Math.ceil(SPARE * typicalA)),
    peakA: Math.max(1, Math.ceil(SPARE * peakA)),
  };
  return {
    patch: [
      { path: ['power', 'rails'], value: [...rails.filter((one) => one.id !== id), rail] },
      { path: ['power', 'loads', load.id, 'rail'], value: id },
    ],
    cost: 2,
  };
}
