import { add, type Motion, subtract, turn, type Vec3 } from '../../base/vec3';
import type { End } from '../../car/document/suspension';

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** Takes a place of the left corner of an end to where it is on the car. */
export function onCar([x, y, z]: Vec3, end: End, side: Side, wheelbaseMm: number): Vec3 {
  return [end === 'front' ? x : x - wheelbaseMm, side === 'left' ? y : -y, z];
}

/** Motion of a body of the left corner of an end, as it is on the car. */
export function motionOnCar({ rows, shift }: Motion, end: End, side: Side, wheelbaseMm: number): Motion {
  const s = side === 'left' ? 1 : -1;
  const flipped: Motion['rows'] = [
    [rows[0][0], s * rows[0][1], rows[0][2]],
    [s * rows[1][0], rows[1][1], s * rows[1][2]],
    [rows[2][0], s * rows[2][1], rows[2][2]],
  ];
  const origin: Vec3 = [end === 'front' ? 0 : -wheelbaseMm, 0, 0];
  // the corner's own origin lies at its axle
  const moved = subtract(origin, turn({ rows: flipped, shift: [0, 0, 0] }, origin));
  return { rows: flipped, shift: add([shift[0], s * shift[1], shift[2]], moved) };
}

export const bodyName = (end: End, side: Side, body: string): string => `${end}.${side}.${body}`;
