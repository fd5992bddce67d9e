import type { Vec3 } from '../../../base/vec3';
import type { Point } from '../../gears/outlineFiles';
import { type Box, boxAround, disc, type DrawnPart, prism, rectangle, taken } from '../drawn/drawing';
import { holesInside, needRoom } from './onEdge';

/** A hole or, with a length, a slot along the wall's height; `at` are height over the foot's underside and place along the bracket. */
export interface WallHole {
  id: string;
  at: Point;
  diameterMm: number;
  slotMm?: number;
}

/** An angle bracket that stands on its profile: layers lie in the plane that the load bends. */
export interface BracketInput {
  /** Along the chassis, up, and along the bracket. */
  footMm: number;
  heightMm: number;
  widthMm: number;
  thicknessMm: number;
  /** In the inner corner; none at 0. */
  filletMm: number;
  wall: readonly WallHole[];
  /** `at`: from the wall's outer face, and along the bracket. */
  foot: readonly { id: string; at: Point; diameterMm: number }[];
}

/** Plastic round a hole that counts as held or pulled, mm. */
const GRIP_MM = 1;

/**
 * Motor mount, servo mount or any angle between two faces. In the car the drawing's x points forward, its y up.
 *
 * @throws CalcError at `heightMm` or `widthMm` for holes of the wall too near its edge, at `lengthMm` for those of the foot
 */
export function bracketDrawing(input: BracketInput): DrawnPart {
  const { footMm, heightMm, widthMm, thicknessMm: t, filletMm, wall, foot } = input;
  needRoom(heightMm - t, 'heightMm');
  needRoom(footMm - t, 'lengthMm');
  const wallFace = rectangle([t, 0], [heightMm, widthMm]);
  const footFace = rectangle([t + filletMm, 0], [footMm, widthMm]);
  const wallHoles = wall.map(({ at: [y, z], diameterMm, slotMm = 0 }) => {
    const ends = slotMm > 0 ? [y - slotMm / 2, y + slotMm / 2] : [y];
    ends.forEach((end) => holesInside(wallFace, [{ at: [end, z], diameterMm }], 'heightMm'));
    return ends.map((end) => disc(end, z, diameterMm / 2));
  });
  holesInside(footFace, foot, 'lengthMm');
  return {
    drawing: {
      steps: [
        prism('z', rectangle([0, 0], [footMm, t]), 0, widthMm),
        prism('z', rectangle([0, 0], [t, heightMm]), 0, widthMm),
        ...wallHoles.map((hole) => taken(prism('x', hole, -1, t + 1))),
        ...foot.map(({ at: [x, z], diameterMm }) =>
          taken(prism('y', [disc(z, x, diameterMm / 2)], -1, t + 1)),
        ),
      ],
      rounds: filletMm > 0 ? [{ at: [t, t, 0.3], mm: filletMm }] : [],
    },
    places: new Map<string, Box>([
      ...wall.map(({ id, at: [y, z], diameterMm, slotMm = 0 }): [string, Box] => {
        const reach = diameterMm / 2 + GRIP_MM;
        const around: Vec3 = [t / 2, reach + slotMm / 2, reach];
        return [id, boxAround([t / 2, y, z], around)];
      }),
      ...foot.map(({ id, at: [x, z], diameterMm }): [string, Box] => {
        const reach = diameterMm / 2 + GRIP_MM;
        return [id, boxAround([x, t / 2, z], [reach, t / 2, reach])];
      }),
    ]),
    rows: [
      [1, 0, 0],
      [0, 0, 1],
      [0, -1, 0],
    ],
  };
}
