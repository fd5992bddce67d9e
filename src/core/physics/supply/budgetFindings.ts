import type { OperationFinding } from '../../base/operationFinding';
import { BATTERY, type BudgetInput, type Load, type Rail } from './budgetDefinition';
import type { SupplyState } from './supplyState';
import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.budget.tooFew': { id: string; volts: Measure; low: boolean; minV: Measure };
    'note.budget.tooMany': { id: string; volts: Measure; low: boolean; maxV: Measure };
    'note.budget.otherRail': { minV: Measure; maxV: Measure };
    'note.budget.doesNotStart': { id: string; volts: Measure; low: boolean; minInV: Measure };
    'note.budget.higherFeed': Record<never, never>;
    'note.budget.overfed': { id: string; volts: Measure; low: boolean; maxInV: Measure };
    'note.budget.madeForPack': Record<never, never>;
    'note.budget.rating': { id: string; amps: Measure; kind: 'continuous' | 'peak'; rating: Measure };
    'note.budget.strongerRegulator': Record<never, never>;
    'note.budget.packRating': { amps: Measure; rating: Measure };
    'note.budget.largerPack': Record<never, never>;
    'note.budget.brownsOut': { servo: string; amps: Measure; rail: string; peak: Measure; victim: string };
    'note.budget.ownRegulator': { servo: string };
  }
}

/** Share of a rating from which it is tight. */
const TIGHT_SHARE = 0.8;

/** One finding for each thing and cause, the worst first. */
export function budgetFindings(
  input: BudgetInput,
  full: SupplyState,
  low: SupplyState,
  batteryPeakA: number,
): OperationFinding[] {
  const findings = [
    ...input.loads.flatMap((load) => ofLoad(load, full, low)),
    ...input.rails.flatMap((rail) => [...ofInput(rail, full, low), ...ofRating(rail, full, low)]),
    ...ofPack(input, batteryPeakA),
    ...ofSharing(input, full, low),
  ];
  const order = { over: 0, tight: 1, note: 2 } as const;
  return findings
    .map((one, index) => ({ one, index }))
    .sort((a, b) => order[a.one.severity] - order[b.one.severity] || a.index - b.index)
    .map(({ one }) => one);
}

const volts = (value: number) => measure(value, 'voltageV');
const amps = (value: number) => measure(value, 'currentA');

function ofLoad({ id, minV, maxV }: Load, full: SupplyState, low: SupplyState): OperationFinding[] {
  const [charged, empty] = [full.loads.get(id)!, low.loads.get(id)!];
  const [least, most] = [Math.min(charged, empty), Math.max(charged, empty)];
  return [
    ...(least < minV
      ? [
          {
            severity: 'over' as const,
            about: id,
            why: finding('note.budget.tooFew', {
              id,
              volts: volts(least),
              low: empty <= charged,
              minV: volts(minV),
            }),
            remedy: finding('note.budget.otherRail', { minV: volts(minV), maxV: volts(maxV) }),
          },
        ]
      : []),
    ...(most > maxV
      ? [
          {
            severity: 'over' as const,
            about: id,
            why: finding('note.budget.tooMany', {
              id,
              volts: volts(most),
              low: empty > charged,
              maxV: volts(maxV),
            }),
            remedy: finding('note.budget.otherRail', { minV: volts(minV), maxV: volts(maxV) }),
          },
        ]
      : []),
  ];
}

function ofInput(
  { id, minInV = 0, maxInV = Infinity }: Rail,
  full: SupplyState,
  low: SupplyState,
): OperationFinding[] {
  const [charged, empty] = [full.rails.get(id)!.inV, low.rails.get(id)!.inV];
  const [least, most] = [Math.min(charged, empty), Math.max(charged, empty)];
  return [
    ...(least < minInV
      ? [
          {
            severity: 'over' as const,
            about: id,
            why: finding('note.budget.doesNotStart', {
              id,
              volts: volts(least),
              low: empty <= charged,
              minInV: volts(minInV),
            }),
            remedy: finding('note.budget.higherFeed', {}),
          },
        ]
      : []),
    ...(most > maxInV
      ? [
          {
            severity: 'over' as const,
            about: id,
            why: finding('note.budget.overfed', {
              id,
              volts: volts(most),
              low: empty > charged,
              maxInV: volts(maxInV),
            }),
            remedy: finding('note.budget.madeForPack', {}),
          },
        ]
      : []),
  ];
}

/** The worse of typical against continuous and peak against peak rating, over both states. */
function ofRating(
  { id, continuousA, peakA = continuousA }: Rail,
  full: SupplyState,
  low: SupplyState,
): OperationFinding[] {
  const shares = [full, low].flatMap((state) => {
    const own = state.rails.get(id)!;
    return [
      {
        share: own.typicalA / continuousA,
        amps: own.typicalA,
        rating: continuousA,
        kind: 'continuous' as const,
      },
      { share: own.peakA / peakA, amps: own.peakA, rating: peakA, kind: 'peak' as const },
    ];
  });
  const worst = shares.reduce((a, b) => (b.share > a.share ? b : a));
  if (worst.share < TIGHT_SHARE) return [];
  return [
    {
      severity: worst.share > 1 ? 'over' : 'tight',
      about: id,
      why: finding('note.budget.rating', {
        id,
        amps: amps(worst.amps),
        kind: worst.kind,
        rating: amps(worst.rating),
      }),
      remedy: finding('note.budget.strongerRegulator', {}),
    },
  ];
}

function ofPack(
  { battery: { capacityMah, maxDischargeC } }: BudgetInput,
  batteryPeakA: number,
): OperationFinding[] {
  if (maxDischargeC === undefined) return [];
  const rating = (capacityMah / 1000) * maxDischargeC;
  const share = batteryPeakA / rating;
  if (share < TIGHT_SHARE) return [];
  return [
    {
      severity: share > 1 ? 'over' : 'tight',
      about: BATTERY,
      why: finding('note.budget.packRating', { amps: amps(batteryPeakA), rating: amps(rating) }),
      remedy: finding('note.budget.largerPack', {}),
    },
  ];
}

/** A controller or receiver beside a servo whose stall leaves too little for the rest. */
function ofSharing({ rails, loads }: BudgetInput, full: SupplyState, low: SupplyState): OperationFinding[] {
  return loads
    .filter(({ kind, rail }) => (kind === 'controller' || kind === 'receiver') && rail !== BATTERY)
    .flatMap((victim): OperationFinding[] => {
      const rail = rails.find(({ id }) => id === victim.rail)!;
      const peak = rail.peakA ?? rail.continuousA;
      const servo = loads.find(
        (one) =>
          one.kind === 'servo' &&
          one.rail === rail.id &&
          [full, low].some((state) => {
            const own = state.rails.get(rail.id)!;
            return own.outV > 0 && one.peakA > peak - (own.typicalA - one.typicalA);
          }),
      );
      if (!servo) return [];
      return [
        {
          severity: 'over',
          about: victim.id,
          why: finding('note.budget.brownsOut', {
            servo: servo.id,
            amps: amps(servo.peakA),
            rail: rail.id,
            peak: amps(peak),
            victim: victim.id,
          }),
          remedy: finding('note.budget.ownRegulator', { servo: servo.id }),
        },
      ];
    });
}
