import { GRAVITY } from '../../../base/constants';
import { bisectBoundary } from '../../../base/numeric/boundary';
import { loadTerms } from './axles';
import { isStableAt } from './balance';
import type { End } from './definition';
import type { Setup } from './setup';

const STEP_MPS = 0.5;

/** The lowest speed at which an axle carries less than a share of its weight at rest; 0 if so at rest. */
export function lightSpeed(
  setup: Setup,
  end: End,
  lightShare: number,
  searchMps: number,
): number | undefined {
  const { still, square } = loadTerms(setup);
  const { massKg, frontLoadShare } = setup;
  const weight = massKg * GRAVITY * (end === 'front' ? frontLoadShare : 1 - frontLoadShare);
  const spare = still[end] - lightShare * weight;
  if (spare < 0) return 0;
  if (square[end] >= 0) return undefined;
  const speed = Math.sqrt(spare / -square[end]);
  return speed <= searchMps ? speed : undefined;
}

/** The lowest speed from which a disturbance grows; 0.5 m/s if it does there already. */
export function lowestUnstable(setup: Setup, searchMps: number): number | undefined {
  const stable = (speed: number) => isStableAt(setup, speed);
  for (let k = 1; k * STEP_MPS <= searchMps; k++)
    if (!stable(k * STEP_MPS))
      return k === 1 ? STEP_MPS : bisectBoundary(stable, (k - 1) * STEP_MPS, k * STEP_MPS);
  return undefined;
}
