import { refusal } from '../../base/errors';
import { GRAVITY } from '../../base/constants';

declare module '../../base/errors' {
  interface RefusalFacts {
    'blow.oneWay': Record<never, never>;
    'blow.half': { other: string };
  }
}

/** One blow on a clamped part, its energy told in one of three ways. */
export interface Blow {
  energyJ?: number;
  dropMassKg?: number;
  heightMm?: number;
  hammerKg?: number;
  /** From the pivot to the centre of mass. */
  armMm?: number;
  /** From hanging. */
  angleDeg?: number;
  broke: boolean;
  /** The copy that it hit; one of its own where not given. */
  part?: string;
}

const DROP = ['dropMassKg', 'heightMm'] as const;
const SWING = ['hammerKg', 'armMm', 'angleDeg'] as const;

/**
 * Energy of a blow: as given, m·g·h of what fell, m·g·l·(1 − cos θ) of a swing.
 *
 * @param at path of the blow
 * @returns J
 * @throws CalcError at `energyJ` for none or several ways, at what is missing of one
 */
export function blowEnergyJ(blow: Blow, at: string): number {
  const given = (keys: readonly (keyof Blow)[]) => keys.filter((key) => blow[key] !== undefined);
  const ways = [given(['energyJ']), given(DROP), given(SWING)].filter(({ length }) => length > 0);
  if (ways.length !== 1) throw refusal(`${at}.energyJ`, 'blow.oneWay');
  for (const way of [DROP, SWING]) {
    const [known] = given(way);
    const missing = way.find((key) => blow[key] === undefined);
    if (known && missing) throw refusal(`${at}.${missing}`, 'blow.half', { other: known });
  }
  if (blow.energyJ !== undefined) return blow.energyJ;
  if (blow.dropMassKg !== undefined) return blow.dropMassKg * GRAVITY * (blow.heightMm! / 1000);
  return blow.hammerKg! * GRAVITY * (blow.armMm! / 1000) * (1 - Math.cos((blow.angleDeg! * Math.PI) / 180));
}
