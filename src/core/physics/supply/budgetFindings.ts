import type { OperationFinding } from '../../base/operationFinding';
import { plain } from '../../base/units/plain';
import { BATTERY, type BudgetInput, type Load, type Rail } from './budgetDefinition';
import type { SupplyState } from './supplyState';

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
    .map((finding, index) => ({ finding, index }))
    .sort((a, b) => order[a.finding.severity] - order[b.finding.severity] || a.index - b.index)
    .map(({ finding }) => finding);
}

const WHEN = (isLow: boolean) => (isLow ? 'with the pack low' : 'with the pack charged');

function ofLoad({ id, minV, maxV }: Load, full: SupplyState, low: SupplyState): OperationFinding[] {
  const [charged, empty] = [full.loads.get(id)!, low.loads.get(id)!];
  const [least, most] = [Math.min(charged, empty), Math.max(charged, empty)];
  return [
    ...(least < minV
      ? [
          {
            severity: 'over' as const,
            about: id,
            why: `${id} gets ${plain(least)} V ${WHEN(empty <= charged)} and needs ${plain(minV)} V.`,
            remedy: `Feed it from a rail of ${plain(minV)} to ${plain(maxV)} V.`,
          },
        ]
      : []),
    ...(most > maxV
      ? [
          {
            severity: 'over' as const,
            about: id,
            why: `${id} gets ${plain(most)} V ${WHEN(empty > charged)}, limit ${plain(maxV)} V.`,
            remedy: `Feed it from a rail of ${plain(minV)} to ${plain(maxV)} V.`,
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
            why: `${id} is fed ${plain(least)} V ${WHEN(empty <= charged)} and starts at ${plain(minInV)} V, so it gives nothing.`,
            remedy: 'Feed it from a higher voltage, or take one that works lower.',
          },
        ]
      : []),
    ...(most > maxInV
      ? [
          {
            severity: 'over' as const,
            about: id,
            why: `${id} is fed ${plain(most)} V ${WHEN(empty > charged)}, limit ${plain(maxInV)} V.`,
            remedy: 'Take one made for the charged pack.',
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
      { share: own.typicalA / continuousA, amps: own.typicalA, rating: continuousA, kind: 'continuous' },
      { share: own.peakA / peakA, amps: own.peakA, rating: peakA, kind: 'peak' },
    ];
  });
  const worst = shares.reduce((a, b) => (b.share > a.share ? b : a));
  if (worst.share < TIGHT_SHARE) return [];
  return [
    {
      severity: worst.share > 1 ? 'over' : 'tight',
      about: id,
      why: `${id} carries ${plain(worst.amps)} A of its ${worst.kind} ${plain(worst.rating)} A.`,
      remedy: 'Take a stronger regulator, or move a load to another.',
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
      why: `The pack gives ${plain(batteryPeakA)} A at the peak and is rated ${plain(rating)} A.`,
      remedy: 'Take a pack of more capacity or a higher rating, or limit the motor current.',
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
          why: `When ${servo.id} stalls it takes ${plain(servo.peakA)} A of the ${plain(peak)} A that ${rail.id} gives: ${victim.id} browns out, and a controller starts again with the motor live.`,
          remedy: `Give ${servo.id} a regulator of its own, and let the motor output fail to off.`,
        },
      ];
    });
}
