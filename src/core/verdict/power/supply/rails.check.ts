import { type Measure, measure } from '../../../base/measure';
import { type PowerRail, USUAL_SHEDS_W } from '../../../car/document/power';
import { BATTERY, type RailState } from '../../../physics/supply/budgetDefinition';
import type { Worked } from '../../../worked/worked';
import { defineFamily, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { onSupply, ownRegulator, servosOn, SPARE } from './onSupply';

type Charge = 'full' | 'low';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.rail.starved': { fed: Measure; needs: Measure; charge: Charge };
    'power.rail.overfed': { fed: Measure; limit: Measure; charge: Charge };
    'power.rail.dead': Record<never, never>;
    'power.rail.heat': { heat: Measure; sheds: Measure; charge: Charge };
    'power.rail.carries': {
      full: Measure;
      low: Measure;
      current: Measure;
      rated: Measure;
      of: 'continuous' | 'peak';
      charge: Charge;
    };
  }
  interface WorkingFacts {
    'power.rail': {
      charge: Charge;
      inV: number;
      outV: number;
      typicalA: number;
      peakA: number;
      heatW: number;
    }[];
  }
}

const CHARGES = ['full', 'low'] as const;

/** A regulator against what it feeds, in the state that asks most of it. */
export const railChecks = defineFamily(
  {
    family: 'power.rail',
    at: { segment: 'power', side: 'supply' },
    anySurface: true,
    quantity: 'currentA',
    kind: 'ceiling',
    tightUnder: 1.25,
    provenBy: { run: 'spin', how: 'steerHardOnBench' },
    supports: ['sharedRailBrownOut', 'regulatorDropout'],
  },
  ({ power: { rails = [] } }) =>
    rails.map((of) => ({
      id: `power.rail:${of.id}`,
      named: of.name,
      find: (subject) => findRail(subject, of),
      remedies: (subject) => remediesOf(subject, of),
    })),
);

const nowIn = ({ document }: Worked, of: PowerRail) =>
  document.power.rails?.find(({ id }) => id === of.id) ?? of;

const findRail = (subject: Worked, of: PowerRail) =>
  onSupply(subject, (result) => {
    const rail = nowIn(subject, of);
    const own = result.rails.find(({ id }) => id === rail.id)!;
    const { continuousA = 0, peakA = continuousA, minInV = 0, maxInV = Infinity } = rail;
    const worst = CHARGES.flatMap((charge) => [
      { charge, of: 'continuous' as const, value: own[charge].typicalA, limit: continuousA },
      { charge, of: 'peak' as const, value: own[charge].peakA, limit: peakA },
    ]).reduce((a, b) => (b.value / b.limit > a.value / a.limit ? b : a));
    const volts = (value: number) => measure(value, 'voltageV');
    const [least, most] =
      own.low.inV <= own.full.inV ? (['low', 'full'] as const) : (['full', 'low'] as const);
    const starved = own[least].inV < minInV;
    const overfed = own[most].inV > maxInV;
    const dead = own.full.outV === 0 || own.low.outV === 0;
    const heat = heatOf(rail, own);
    const hotter = heat.watts / heat.shedsW > worst.value / worst.limit && heat.watts > heat.shedsW;
    return {
      value: worst.value,
      limit: worst.limit,
      ...(starved || overfed || dead ? { state: 'over' as const } : {}),
      ...(hotter ? { margin: heat.shedsW / heat.watts } : {}),
      finding: starved
        ? finding('power.rail.starved', { fed: volts(own[least].inV), needs: volts(minInV), charge: least })
        : overfed
          ? finding('power.rail.overfed', { fed: volts(own[most].inV), limit: volts(maxInV), charge: most })
          : dead
            ? finding('power.rail.dead', {})
            : hotter
              ? finding('power.rail.heat', {
                  heat: measure(heat.watts, 'powerW'),
                  sheds: measure(heat.shedsW, 'powerW'),
                  charge: heat.charge,
                })
              : finding('power.rail.carries', {
                  full: volts(own.full.outV),
                  low: volts(own.low.outV),
                  current: measure(worst.value, 'currentA'),
                  rated: measure(worst.limit, 'currentA'),
                  of: worst.of,
                  charge: worst.charge,
                }),
      working: working(
        'power.rail',
        CHARGES.map((charge) => ({ charge, ...own[charge], heatW: wattsIn(rail, own[charge]) })),
      ),
    };
  });

/** What a linear regulator turns to heat for long: the volts that it drops at its typical current, W. */
const wattsIn = ({ kind }: PowerRail, { inV, outV, typicalA }: RailState) =>
  kind === 'linear' ? Math.max(0, inV - outV) * typicalA : 0;

function heatOf(rail: PowerRail, own: Record<Charge, RailState>) {
  const charge = wattsIn(rail, own.low) > wattsIn(rail, own.full) ? 'low' : 'full';
  return { charge, watts: wattsIn(rail, own[charge]), shedsW: rail.shedsW ?? USUAL_SHEDS_W } as const;
}

function remediesOf(subject: Worked, of: PowerRail): Proposal[] {
  const supply = subject.supply();
  if (!supply.ok) return [];
  const rail = nowIn(subject, of);
  const own = supply.result.rails.find(({ id }) => id === rail.id)!;
  const stronger = {
    continuousA: Math.max(
      rail.continuousA ?? 0,
      Math.ceil(SPARE * Math.max(own.full.typicalA, own.low.typicalA)),
    ),
    peakA: Math.max(rail.peakA ?? 0, Math.ceil(SPARE * Math.max(own.full.peakA, own.low.peakA))),
  };
  return [
    ...(rail.kind === 'linear'
      ? [{ patch: [{ path: ['power', 'rails', rail.id, 'kind'], value: 'buck' }], cost: 2 as const }]
      : []),
    ...(own.full.typicalA > 0 || own.low.typicalA > 0
      ? [
          {
            patch: Object.entries(stronger).map(([key, value]) => ({
              path: ['power', 'rails', rail.id, key],
              value,
            })),
            cost: 2 as const,
          },
        ]
      : []),
    ...(rail.from === BATTERY
      ? []
      : [{ patch: [{ path: ['power', 'rails', rail.id, 'from'], value: BATTERY }], cost: 2 as const }]),
    ...servosOn(subject.document, rail.id).map((servo) => ownRegulator(subject.document, servo)),
  ];
}
