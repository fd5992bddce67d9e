import { type Measure, measure } from '../../../base/measure';
import type { BuildDocument } from '../../../car/document/document';
import type { PowerLoad } from '../../../car/document/power';
import type { BudgetResult } from '../../../physics/supply/budgetDefinition';
import type { Worked } from '../../../worked/worked';
import { defineFamily, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { onSupply, ownRegulator, servosOn } from './onSupply';

type Charge = 'full' | 'low';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.load.low': { volts: Measure; needs: Measure; charge: Charge };
    'power.load.high': { volts: Measure; limit: Measure; charge: Charge };
    'power.load.brownOut': { servo: string; takes: Measure; rail: string; gives: Measure };
    'power.load.fed': { full: Measure; low: Measure; from: Measure; to: Measure };
  }
  interface WorkingFacts {
    'power.load': { minV: number; maxV: number; fullV: number; lowV: number };
  }
}

/** A load against its window of volts, and beside a servo that could starve it. */
export const loadChecks = defineFamily(
  {
    family: 'power.load',
    at: { segment: 'power', side: 'supply' },
    anySurface: true,
    quantity: 'voltageV',
    kind: 'floor',
    tightUnder: 1,
    provenBy: { run: 'spin', how: 'steerHardOnBench' },
    supports: ['servoVoltsLow'],
  },
  ({ power: { loads = [] } }) =>
    loads.map((of) => ({
      id: `power.load:${of.id}`,
      named: of.name,
      find: (subject) => findLoad(subject, of),
      remedies: (subject) => remediesOf(subject, of),
    })),
);

const nowIn = ({ document }: Worked, of: PowerLoad) =>
  document.power.loads?.find(({ id }) => id === of.id) ?? of;

const findLoad = (subject: Worked, of: PowerLoad) =>
  onSupply(subject, (result) => {
    const load = nowIn(subject, of);
    const [minV, maxV] = [load.minV!, load.maxV!];
    const own = result.loads.find(({ id }) => id === load.id)!;
    const [fullV, lowV] = [own.full.volts, own.low.volts];
    const [least, most] = [Math.min(fullV, lowV), Math.max(fullV, lowV)];
    const volts = (value: number) => measure(value, 'voltageV');
    const starver = starvedBy(subject.document, result, load);
    const overfed = most > maxV;
    return {
      value: overfed ? most : least,
      limit: overfed ? maxV : minV,
      ...(overfed
        ? { margin: maxV / most, state: 'over' as const }
        : least < minV
          ? { state: 'over' as const }
          : starver
            ? { margin: starver.margin, state: 'over' as const }
            : {}),
      finding:
        least < minV
          ? finding('power.load.low', {
              volts: volts(least),
              needs: volts(minV),
              charge: lowV <= fullV ? 'low' : 'full',
            })
          : overfed
            ? finding('power.load.high', {
                volts: volts(most),
                limit: volts(maxV),
                charge: lowV > fullV ? 'low' : 'full',
              })
            : starver
              ? finding('power.load.brownOut', {
                  servo: starver.servo.name,
                  takes: measure(starver.servo.peakA!, 'currentA'),
                  rail: starver.rail,
                  gives: measure(starver.givesA, 'currentA'),
                })
              : finding('power.load.fed', {
                  full: volts(fullV),
                  low: volts(lowV),
                  from: volts(minV),
                  to: volts(maxV),
                }),
      working: working('power.load', { minV, maxV, fullV, lowV }),
    };
  });

interface Starver {
  servo: PowerLoad;
  /** Name of the rail that they share. */
  rail: string;
  givesA: number;
  /** What the rail gives at its peak over what is asked of it. */
  margin: number;
}

/** A servo on the same rail whose stall leaves too little for a controller or a receiver. */
function starvedBy(document: BuildDocument, result: BudgetResult, load: PowerLoad): Starver | undefined {
  if (load.kind !== 'controller' && load.kind !== 'receiver') return undefined;
  const rail = document.power.rails?.find(({ id }) => id === load.rail);
  const own = result.rails.find(({ id }) => id === load.rail);
  if (!rail || !own) return undefined;
  const givesA = rail.peakA ?? rail.continuousA!;
  const servo = servosOn(document, rail.id).find((one) =>
    [own.full, own.low].some(
      ({ outV, typicalA }) => outV > 0 && one.peakA! > givesA - (typicalA - one.typicalA!),
    ),
  );
  return (
    servo && {
      servo,
      rail: rail.name,
      givesA,
      margin: Math.min(0.99, givesA / Math.max(own.full.peakA, own.low.peakA)),
    }
  );
}

function remediesOf(subject: Worked, of: PowerLoad): Proposal[] {
  const supply = subject.supply();
  if (!supply.ok) return [];
  const { document } = subject;
  const load = nowIn(subject, of);
  const fits = supply.result.rails.filter(
    ({ id, full, low }) =>
      id !== load.rail && [full, low].every(({ outV }) => outV >= load.minV! && outV <= load.maxV!),
  );
  return [
    ...servosOn(document, load.rail)
      .filter(({ id }) => id !== load.id)
      .map((servo) => ownRegulator(document, servo)),
    ...fits.map(({ id }) => ({
      patch: [{ path: ['power', 'loads', load.id, 'rail'], value: id }],
      cost: 1 as const,
    })),
    ...(document.power.battery ? [ownRegulator(document, load)] : []),
  ];
}
