import { GRAVITY } from '../../base/constants';
import type { DriveRunInput } from '../motion/definition';
import { createPlant, noLoadMps, type TunablePlant, wheelForceN } from '../motion/plant';
import { dragAndRoll, traction } from '../motion/road';
import { lossesOf, type LossesDefinition } from './losses';

/** The car at full throttle, driveline drag included: what it could accelerate by at a speed, m/s². */
export function fullThrottleMps2(p: TunablePlant, v: number, retardN: number, behindN: number): number {
  const q = v * v;
  const passive = dragAndRoll(p.road, q);
  const resistance = passive + p.road.slopeN + retardN;
  const free = (wheelForceN(p, v) - resistance - behindN) / p.effectiveMassKg;
  const held = traction(p.road, q, passive);
  return p.massKg * free + resistance > held ? (held - resistance) / p.massKg : free;
}

const TOP_SCAN = 200;

/** Smallest speed at which full throttle no longer accelerates, driveline drag included, m/s. */
export function topWithDrag(input: DriveRunInput, losses: LossesDefinition | undefined): number {
  const plant = createPlant(input) as TunablePlant;
  const behindN = lossesOf(losses).drivelineDrag * input.car.massKg * GRAVITY;
  const gains = (v: number) => fullThrottleMps2(plant, v, 0, behindN) > 0;
  if (!gains(0)) return 0;
  let high = 0;
  let low = 0;
  for (let k = 1; high === 0; k++) {
    const v = (k / TOP_SCAN) * noLoadMps(plant);
    if (!gains(v)) high = v;
    else low = v;
    if (k > 20 * TOP_SCAN) return v;
  }
  for (let turn = 0; turn < 60; turn++) {
    const middle = (low + high) / 2;
    if (gains(middle)) low = middle;
    else high = middle;
  }
  return high;
}
