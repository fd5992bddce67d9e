import { whereFilledIn } from '@/core/advice/steps/whereFilledIn';
import type { Segment } from '@/core/verdict/engine/segments';

/** Sides that hold the fields of a branch of the document; those of the other branches stand on the first side. */
const BRANCHES: readonly (readonly [branch: string, side: string])[] = [
  ['brief.place', 'place'],
  ['brief.track', 'lap'],
  ['drive.brakes', 'place'],
  ['drive.heat', 'heat'],
  ['drive.motorAxis', 'layout'],
  ['drive.steering', 'layout'],
  ['drive.clutchNm', 'layout'],
  ['drive.gearHours', 'gears'],
  ['drive.shafts', 'joints'],
  ['drive.wheelHex', 'joints'],
  ['drive.tyreHold', 'tyres'],
  ['power.radio', 'radio'],
  ['power.cutoffVPerCell', 'pack'],
  ['power.usableShare', 'pack'],
  ['chassis.air', 'air'],
  ['suspension.steering', 'steering'],
  ['suspension.aids', 'aids'],
];

/** Where a field is looked for first. */
export function sideToLook(path: string): { segment: Segment; side: string | undefined } {
  const branch = BRANCHES.find(([start]) => path === start || path.startsWith(`${start}.`));
  return { segment: whereFilledIn(path), side: branch?.[1] };
}
