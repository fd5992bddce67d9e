import { refusal } from '../../base/errors';
import { BATTERY, type BudgetInput, type BudgetResult, type Load, type LoadState } from './budgetDefinition';
import { budgetFindings } from './budgetFindings';
import { supplyAt, type SupplyState } from './supplyState';

declare module '../../base/errors' {
  interface RefusalFacts {
    'budget.packsName': { battery: string };
    'budget.twice': { id: string };
    'budget.noSuchFeed': { from: string };
    'budget.ring': { id: string };
    'budget.noSuchRail': { rail: string };
  }
}

const CHARGED_V = 4.2;
const CUTOFF_V = 3.3;

/**
 * Volts and amperes of everything that hangs on the pack, charged and at its cut-off while the motor draws its peak.
 *
 * @returns volts, amperes, shares in per cent, findings with the worst first
 * @throws CalcError at an id that stands twice or is reserved, at a `from` or `rail` that is not there or feeds itself
 * @see Kirchhoff's current law; a switching regulator passes on power over its efficiency
 */
export function powerBudget(input: BudgetInput): BudgetResult {
  refuseBrokenTrees(input);
  const { battery, motorPeakA = 0, rails, loads } = input;
  const {
    cells,
    parallel = 1,
    cellResistanceMilliOhm = 0,
    chargedVPerCell = CHARGED_V,
    cutoffVPerCell = CUTOFF_V,
    capacityMah,
  } = battery;
  const unsagged = supplyAt(cells * chargedVPerCell, rails, loads);
  const sagV = (unsagged.batteryTypicalA * (cells / parallel) * cellResistanceMilliOhm) / 1000;
  const full = supplyAt(cells * chargedVPerCell - sagV, rails, loads);
  const low = supplyAt(cells * cutoffVPerCell, rails, loads, 'peakA');
  const batteryPeakA = low.batteryPeakA + motorPeakA;
  return {
    rails: rails.map(({ id }) => ({ id, full: full.rails.get(id)!, low: low.rails.get(id)! })),
    loads: loads.map((load) => ({ id: load.id, full: stateOf(load, full), low: stateOf(load, low) })),
    batteryTypicalA: Math.max(full.batteryTypicalA, low.batteryTypicalA),
    batteryPeakA,
    dischargeC: batteryPeakA / (capacityMah / 1000),
    findings: budgetFindings(input, full, low, batteryPeakA),
  };
}

function stateOf(load: Load, state: SupplyState): LoadState {
  const volts = state.loads.get(load.id)!;
  return { volts, ok: volts >= load.minV && volts <= load.maxV };
}

function refuseBrokenTrees({ rails, loads }: BudgetInput): void {
  const seen = new Set<string>();
  const take = (path: string, id: string) => {
    if (id === BATTERY) throw refusal(path, 'budget.packsName', { battery: BATTERY });
    if (seen.has(id)) throw refusal(path, 'budget.twice', { id });
    seen.add(id);
  };
  rails.forEach(({ id }, index) => take(`rails.${index}.id`, id));
  const known = new Set([BATTERY, ...rails.map(({ id }) => id)]);
  loads.forEach(({ id }, index) => take(`loads.${index}.id`, id));
  rails.forEach(({ from }, index) => {
    if (!known.has(from)) throw refusal(`rails.${index}.from`, 'budget.noSuchFeed', { from });
  });
  rails.forEach((rail, index) => {
    let at = rail;
    for (let steps = 0; at.from !== BATTERY; steps++) {
      if (steps > rails.length) throw refusal(`rails.${index}.from`, 'budget.ring', { id: rail.id });
      at = rails.find(({ id }) => id === at.from)!;
    }
  });
  loads.forEach(({ rail }, index) => {
    if (!known.has(rail)) throw refusal(`loads.${index}.rail`, 'budget.noSuchRail', { rail });
  });
}
