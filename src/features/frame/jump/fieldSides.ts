import type { BuildDocument } from '@/core/car/document/document';
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

const holds = ({ suspension }: BuildDocument) => suspension.aids?.yaw?.mode === 'hold';

/** Fields that a page only has where the car has what they belong to. */
const COME_AND_GO: readonly (readonly [branch: string, isThere: (document: BuildDocument) => boolean])[] = [
  ['chassis.air.splitter', ({ chassis }) => chassis.air?.splitter !== undefined],
  ['chassis.air.undertray', ({ chassis }) => chassis.air?.undertray !== undefined],
  ['chassis.air.noseScoop', ({ chassis }) => chassis.air?.noseScoop !== undefined],
  ['suspension.aids.yaw.fullSteerDegPerS', holds],
  ['suspension.aids.yaw.catchUpMs', holds],
  ['suspension.aids.traction.mostAccelMps2', ({ drive }) => drive.drivenAxles === 'all'],
];

/** Whether a page has a field of this car. */
export const isOnAPage = (path: string, document: BuildDocument): boolean =>
  COME_AND_GO.every(
    ([branch, isThere]) => !(path === branch || path.startsWith(`${branch}.`)) || isThere(document),
  );
