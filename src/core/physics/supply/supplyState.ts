import { BATTERY, type Load, type Rail, type RailState } from './budgetDefinition';

const DROPOUT_V = { linear: 1, other: 0.3 };
const EFFICIENCY = 0.9;

export interface SupplyState {
  packV: number;
  rails: Map<string, RailState>;
  /** Volts at each load's plug. */
  loads: Map<string, number>;
  batteryTypicalA: number;
  batteryPeakA: number;
}

export const dropoutOf = ({ kind, dropoutV }: Rail) =>
  dropoutV ?? (kind === 'linear' ? DROPOUT_V.linear : DROPOUT_V.other);
export const inWindow = ({ minInV = 0, maxInV = Infinity }: Rail, volts: number) =>
  volts >= minInV && volts <= maxInV;

/** Volts at a rail's output, or of the pack itself. */
const voltsOn = (id: string, state: Pick<SupplyState, 'packV' | 'rails'>) =>
  id === BATTERY ? state.packV : state.rails.get(id)!.outV;

/** Rails with what feeds them before what they feed. */
export function outward(rails: readonly Rail[]): Rail[] {
  const ordered: Rail[] = [];
  const visit = (from: string) =>
    rails
      .filter((rail) => rail.from === from)
      .forEach((rail) => {
        ordered.push(rail);
        visit(rail.id);
      });
  visit(BATTERY);
  return ordered;
}

const [MOST_PASSES, SETTLED_V] = [50, 1e-9];

/** Volts outward and amperes inward, at one voltage of the pack; what metered plugs lose goes with the typical or the peak currents. */
export function supplyAt(
  packV: number,
  rails: readonly Rail[],
  loads: readonly Load[],
  lostAt: 'typicalA' | 'peakA' = 'typicalA',
): SupplyState {
  const ordered = outward(rails);
  let state = passAt(packV, ordered, loads, lostAt, () => 0);
  if (!rails.some(({ lossOhm }) => lossOhm)) return state;
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    const before = state;
    state = passAt(packV, ordered, loads, lostAt, ({ id }) => before.rails.get(id)![lostAt]);
    if (
      ordered.every(({ id }) => Math.abs(state.rails.get(id)!.outV - before.rails.get(id)!.outV) < SETTLED_V)
    )
      break;
  }
  return state;
}

/** One pass with the currents of the one before it. */
function passAt(
  packV: number,
  ordered: readonly Rail[],
  loads: readonly Load[],
  lostAt: 'typicalA' | 'peakA',
  ampsOf: (rail: Rail) => number,
): SupplyState {
  const volts = new Map<string, { inV: number; outV: number }>();
  for (const rail of ordered) {
    const inV = rail.from === BATTERY ? packV : volts.get(rail.from)!.outV;
    volts.set(rail.id, { inV, outV: Math.max(0, outOf(rail, inV) - (rail.lossOhm ?? 0) * ampsOf(rail)) });
  }
  const states = new Map<string, RailState>();
  const drawn = new Map<string, { typicalA: number; peakA: number }>();
  for (const rail of [...ordered].reverse()) {
    const { inV, outV } = volts.get(rail.id)!;
    const out = outV === 0 ? { typicalA: 0, peakA: 0 } : currentsOn(rail.id, ordered, loads, drawn);
    states.set(rail.id, { inV, outV, ...out, loadPct: (100 * out.typicalA) / rail.continuousA });
    drawn.set(rail.id, {
      typicalA: inwardOf(rail, inV, outV, out.typicalA),
      peakA: inwardOf(rail, inV, outV, out.peakA),
    });
  }
  const battery = currentsOn(BATTERY, ordered, loads, drawn);
  const atLoads = new Map(
    loads.map((load) => {
      const feed = voltsOn(load.rail, { packV, rails: states });
      return [load.id, Math.max(0, feed - (load.lossOhm ?? 0) * load[lostAt])];
    }),
  );
  return {
    packV,
    rails: states,
    loads: atLoads,
    batteryTypicalA: battery.typicalA,
    batteryPeakA: battery.peakA,
  };
}

function outOf(rail: Rail, inV: number): number {
  if (!inWindow(rail, inV)) return 0;
  if (rail.kind === 'direct') return inV;
  if (rail.kind === 'boost') return Math.max(rail.setV!, inV);
  return Math.max(0, Math.min(rail.setV!, inV - dropoutOf(rail)));
}

/** Typical currents add up; of the peaks those that come together, the others typical but for the largest rise. */
function currentsOn(
  id: string,
  rails: readonly Rail[],
  loads: readonly Load[],
  drawn: ReadonlyMap<string, { typicalA: number; peakA: number }>,
) {
  const own = loads.filter(({ rail }) => rail === id);
  const children = rails.filter(({ from }) => from === id).map((rail) => drawn.get(rail.id)!);
  const together = own.filter(({ peaksTogether = true }) => peaksTogether);
  const apart = own.filter(({ peaksTogether = true }) => !peaksTogether);
  const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);
  return {
    typicalA: sum(own.map(({ typicalA }) => typicalA)) + sum(children.map(({ typicalA }) => typicalA)),
    peakA:
      sum(together.map(({ peakA }) => peakA)) +
      sum(apart.map(({ typicalA }) => typicalA)) +
      Math.max(0, ...apart.map(({ peakA, typicalA }) => peakA - typicalA)) +
      sum(children.map(({ peakA }) => peakA)),
  };
}

/** What a rail takes in for what it gives, A. */
export function inwardOf(
  { kind, efficiency = EFFICIENCY }: Rail,
  inV: number,
  outV: number,
  amps: number,
): number {
  if (amps === 0 || outV === 0) return 0;
  const passes = kind === 'direct' || kind === 'linear' || (kind === 'boost' && outV === inV);
  return passes ? amps : (outV * amps) / (efficiency * inV);
}
