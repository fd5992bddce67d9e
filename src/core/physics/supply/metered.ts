import { BATTERY, type Load, type Rail } from './budgetDefinition';
import { dropoutOf, outward, supplyAt } from './supplyState';

export const LOST_IN = ['lead', 'regulator', 'either'] as const;

/** A plug that was metered, and what is lost on the way to it. */
export interface MeteredPlug {
  /** Of the rail or the load. */
  id: string;
  meteredV: number;
  /** There by the tree, with what was found before it. */
  expectedV: number;
  /** Typical current through it. */
  atA: number;
  /** Of all that loses it; 0 where nothing does, left out without a current. */
  lossOhm?: number;
  lostIn: (typeof LOST_IN)[number];
}

/**
 * What volts metered under typical currents say of leads, plugs and regulators: each loss as a resistance, from the pack outward,
 * so that what is lost before a plug is not counted again behind it.
 *
 * @param packV at the pack's plug meanwhile
 * @see Ohm's and Kirchhoff's laws
 */
export function meteredPlugs(
  packV: number,
  rails: readonly Rail[],
  loads: readonly Load[],
  metered: ReadonlyMap<string, number>,
): MeteredPlug[] {
  const found = new Map<string, MeteredPlug>();
  const lossy = <T extends { id: string }>(one: T): T & { lossOhm?: number } => ({
    ...one,
    lossOhm: found.get(one.id)?.lossOhm,
  });
  const now = () => supplyAt(packV, rails.map(lossy), loads.map(lossy));
  const keep = (id: string, expectedV: number, atA: number, lostIn: MeteredPlug['lostIn']) => {
    const meteredV = metered.get(id)!;
    found.set(id, {
      id,
      meteredV,
      expectedV,
      atA,
      ...(atA > 0 ? { lossOhm: Math.max(0, expectedV - meteredV) / atA } : {}),
      lostIn,
    });
  };
  for (const rail of outward(rails).filter(({ id }) => metered.has(id))) {
    const { inV, outV, typicalA } = now().rails.get(rail.id)!;
    const regulates = rail.kind !== 'direct' && inV - dropoutOf(rail) > rail.setV!;
    const fedKnown = rail.from === BATTERY || metered.has(rail.from);
    keep(
      rail.id,
      outV,
      typicalA,
      rail.kind === 'direct' ? 'lead' : regulates || fedKnown ? 'regulator' : 'either',
    );
  }
  for (const load of loads.filter(({ id }) => metered.has(id)))
    keep(
      load.id,
      now().loads.get(load.id)!,
      load.typicalA,
      load.rail === BATTERY || metered.has(load.rail) ? 'lead' : 'either',
    );
  return [...found.values()];
}
