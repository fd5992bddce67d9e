import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { LossName } from '@/core/physics/heat/lossNames';
import type { DrivenPass } from '@/core/worked/heat/heatOf';

/** Where the energy of a pack goes. */
export const LOSS_WORDS: Readonly<Record<LossName, string>> = {
  rolling: 'rolling',
  drag: 'air',
  slope: 'slope',
  cornering: 'cornering',
  driveline: 'gears and bearings',
  slip: 'slip of the tyres',
  copper: 'winding',
  noLoad: 'motor’s own friction',
  controller: 'controller',
  pack: 'pack',
  auxiliary: 'receiver and servos',
  brakes: 'brakes',
};

/** Whether the car keeps up with what is asked of it. */
export function passSentence({ behindShare, wish }: DrivenPass, reader: Reader): string {
  const whole = formatText(wish.tS.at(-1)!, 'timeS', reader, 3);
  return behindShare === 0
    ? `It follows all of it; ${whole}, again and again until the pack is empty.`
    : `For ${formatText(behindShare, 'share', reader, 2)} of the time it is slower than is asked, at full throttle; ${whole}, again and again until the pack is empty.`;
}
