import { refusal } from '../../../base/errors';
import { balanceAt } from './balance';
import {
  CHANGE_FIELDS,
  type SteadyBalance,
  type SteadyChange,
  type SteadyEffect,
  type SteadyInput,
} from './definition';
import type { Setup } from './setup';
import { lowestUnstable } from './speeds';

declare module '../../../base/errors' {
  interface RefusalFacts {
    'steady.oneChange': Record<never, never>;
    'steady.twice': { id: string };
    'steady.weightOutside': Record<never, never>;
    'steady.noRearWing': Record<never, never>;
  }
}

/** Each single change of the car against the car as it is. */
export function effectsOf(
  input: SteadyInput,
  setup: Setup,
  base: SteadyBalance,
  searchMps: number,
): SteadyEffect[] {
  const { changes = [], speedMps } = input;
  refuseChanges(input, changes);
  return changes.map((change, k): SteadyEffect => {
    const changed = changedBy(change, setup, input, `changes.${k}`);
    const now = balanceAt(changed, speedMps);
    const unstable = lowestUnstable(changed, searchMps);
    const [before, after] = [base.understeerDegPerMps2, now.understeerDegPerMps2];
    return {
      id: change.id,
      ...(after === undefined ? {} : { understeerDegPerMps2: after }),
      ...(after === undefined || before === undefined ? {} : { understeerChangeDegPerMps2: after - before }),
      ...(now.staticMargin === undefined ? {} : { staticMargin: now.staticMargin }),
      ...(now.dampingRatio === undefined ? {} : { dampingRatio: now.dampingRatio }),
      stable: now.stable,
      maxLateralMps2: now.maxLateralMps2,
      maxLateralChangeMps2: now.maxLateralMps2 - base.maxLateralMps2,
      letsGoFirst: now.letsGoFirst,
      ...(unstable === undefined ? {} : { lowestUnstableMps: unstable }),
    };
  });
}

function refuseChanges({ rearWing }: SteadyInput, changes: readonly SteadyChange[]): void {
  const seen = new Set<string>();
  changes.forEach((change, k) => {
    const given = CHANGE_FIELDS.filter((field) => change[field] !== undefined);
    if (given.length !== 1) throw refusal(`changes.${k}.${given[0] ?? CHANGE_FIELDS[0]}`, 'steady.oneChange');
    if (seen.has(change.id)) throw refusal(`changes.${k}.id`, 'steady.twice', { id: change.id });
    seen.add(change.id);
    if (change.rearWingDeg !== undefined && !rearWing) throw refusal('rearWing', 'steady.noRearWing');
  });
}

function changedBy(change: SteadyChange, setup: Setup, { rearWing }: SteadyInput, path: string): Setup {
  const { frontTyreFactor, rearTyreFactor, weightShiftMm, rearWingDeg } = change;
  const { tyres, wheelbase, claM2 } = setup;
  const scaled = (end: 'front' | 'rear', by: number): Setup => ({
    ...setup,
    tyres: {
      ...tyres,
      [end]: { ...tyres[end], corneringPerRad: tyres[end].corneringPerRad * by, mu: tyres[end].mu * by },
    },
  });
  if (frontTyreFactor !== undefined) return scaled('front', frontTyreFactor);
  if (rearTyreFactor !== undefined) return scaled('rear', rearTyreFactor);
  if (weightShiftMm !== undefined) {
    const frontLoadShare = setup.frontLoadShare + weightShiftMm / 1000 / wheelbase;
    if (!(frontLoadShare > 0 && frontLoadShare < 1))
      throw refusal(`${path}.weightShiftMm`, 'steady.weightOutside');
    return { ...setup, frontLoadShare };
  }
  const deg = rearWingDeg!;
  const { xMm, zMm, claPerDegM2, cdaPerDegM2 = 0 } = rearWing!;
  const [x, z, down, drag] = [xMm / 1000, zMm / 1000, claPerDegM2 * deg, cdaPerDegM2 * deg];
  return {
    ...setup,
    cdaM2: Math.max(0, setup.cdaM2 + drag),
    claM2: {
      front: claM2.front + (down * (x + wheelbase) - drag * z) / wheelbase,
      rear: claM2.rear + (drag * z - down * x) / wheelbase,
    },
  };
}
