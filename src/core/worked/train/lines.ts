import { add, subtract, type Vec3 } from '../../base/vec3';
import type { End } from '../../car/document/suspension';
import type { Stage } from '../../car/stages/stage';
import type { GearSize } from './gearSizes';

/** A line on which gears turn, along the car or across it. */
export interface TrainAxis {
  along: 0 | 1;
  /** Any place on it. */
  atMm: Vec3;
  /** Turns for one of the wheels; which way follows from the teeth. */
  turns: number;
}

/** The place on a line that is so far along it. */
export function onLine({ along, atMm: [x, y, z] }: TrainAxis, where?: number): Vec3 {
  return along === 0 ? [where ?? x, y, z] : [x, where ?? y, z];
}

/** Two things on one line turn together. */
export const lineOf = ({ along, atMm: [x, y, z] }: TrainAxis): string =>
  (along === 0 ? [along, y, z] : [along, x, z]).map((one) => one.toFixed(3)).join(' ');

/** How far two lines that lie the same way are apart, mm. */
export function apartMm({ along, atMm }: TrainAxis, other: TrainAxis): number {
  const [x, y, z] = subtract(atMm, other.atMm);
  return Math.hypot(along === 0 ? y : x, z);
}

/** How a spur pinion is turned to take a tooth of its wheel: rolled off along the pitch circles from the line of both middles. */
export function phaseOf(
  { kind, pinionTeeth, wheelTeeth }: Stage,
  along: 0 | 1,
  [x, y, z]: Vec3,
): { phaseRad?: number } {
  if (kind !== 'spur') return {};
  const towards = along === 0 ? Math.atan2(z, y) : Math.atan2(x, z);
  const teeth = (towards * wheelTeeth!) / (2 * Math.PI);
  const past = teeth - Math.floor(teeth);
  return { phaseRad: towards + Math.PI + (2 * Math.PI * (past + 0.5)) / pinionTeeth! };
}

/** Where the cones of a bevel pair stand: the one along the car on the side that is said, or towards the car's middle. */
export function bevelPlaces(
  stage: Stage,
  end: End,
  pinion: GearSize,
  wheel: GearSize,
  driving: TrainAxis,
  driven: TrainAxis,
): Record<'pinion' | 'wheel', readonly [centreMm: Vec3, lies: { taper: -1 | 1 }]> {
  const sides = stage[end] ?? { pinion: end === 'front' ? 'behind' : 'ahead', ring: 'left' };
  const [lengthwise, crosswise] = driving.along === 0 ? [driving, driven] : [driven, driving];
  const apex: Vec3 = [crosswise.atMm[0], lengthwise.atMm[1], driven.atMm[2]];
  // each stands as far from where the lines meet as the other is large, its small end towards it
  const off = ({ along }: TrainAxis, own: GearSize, other: GearSize): readonly [Vec3, { taper: -1 | 1 }] => {
    const way = (along === 0 ? sides.pinion === 'ahead' : sides.ring === 'left') ? 1 : -1;
    const far = way * (other.pitchMm - own.widthMm / 2);
    return [add(apex, along === 0 ? [far, 0, 0] : [0, far, 0]), { taper: way === 1 ? -1 : 1 }];
  };
  return { pinion: off(driving, pinion, wheel), wheel: off(driven, wheel, pinion) };
}
