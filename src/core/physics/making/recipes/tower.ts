import type { Point } from '../../gears/outlineFiles';
import { type Box, boxAround, disc, type DrawnPart, prism, taken } from '../drawn/drawing';
import { holesInside } from './onEdge';

/** The plate across the chassis that the upper ends of both dampers are screwed to. */
export interface TowerInput {
  /** Of the left damper's upper eye: to the side of the middle, and over the tower's foot. */
  eye: Point;
  /** Holes to choose from, and how far apart, inwards from the eye. */
  holes: number;
  pitchMm: number;
  holeMm: number;
  /** Screws of the foot: to the side of the middle, and over its lower edge. */
  footAtMm: number;
  footHoleMm: number;
  wallMm: number;
  thicknessMm: number;
}

const GRIP_MM = 1;
/** Least width of the bridge over the window, and of the window, diameters of the wall. */
const [BRIDGE, LEAST_WINDOW] = [2, 2];

/**
 * In the drawing x is the car's y, y its z from the foot up, z its x; it lies flat, layers along it.
 *
 * @throws CalcError at `wallMm` for holes too near the edge
 */
export function towerDrawing(input: TowerInput): DrawnPart {
  const { eye, holes, pitchMm, holeMm, footAtMm, footHoleMm, wallMm, thicknessMm } = input;
  const [top, foot] = [holeMm / 2 + wallMm, footHoleMm / 2 + wallMm];
  const sides = [1, -1] as const;
  const outline = sides.flatMap((side) => [
    disc(side * eye[0], eye[1], top),
    disc(side * footAtMm, foot, foot),
  ]);
  const row = Array.from({ length: holes }, (_, k) => eye[0] - k * pitchMm).filter(
    (x) => x > holeMm / 2 + wallMm / 2,
  );
  const all = sides.flatMap((side) => [
    ...row.map((x) => ({ at: [side * x, eye[1]] as Point, diameterMm: holeMm })),
    { at: [side * footAtMm, foot] as Point, diameterMm: footHoleMm },
  ]);
  const through = holesInside(outline, all, 'wallMm');
  // between the legs, under the bridge
  const legs = Math.min(eye[0], footAtMm);
  const [half, low, high] = [legs - foot - wallMm, 2 * foot + wallMm, eye[1] - top - BRIDGE * wallMm];
  const window =
    half > LEAST_WINDOW * wallMm && high - low > LEAST_WINDOW * wallMm
      ? [
          taken(
            prism(
              'z',
              [
                disc(-half + wallMm, low + wallMm, wallMm),
                disc(half - wallMm, low + wallMm, wallMm),
                disc(half - wallMm, high - wallMm, wallMm),
                disc(-half + wallMm, high - wallMm, wallMm),
              ],
              -1,
              thicknessMm + 1,
            ),
          ),
        ]
      : [];
  const round = ([x, y]: Point, hole: number): Box =>
    boxAround([x, y, thicknessMm / 2], [hole / 2 + GRIP_MM, hole / 2 + GRIP_MM, thicknessMm / 2]);
  return {
    drawing: { steps: [prism('z', outline, 0, thicknessMm, through), ...window] },
    places: new Map<string, Box>(
      sides.flatMap((side): [string, Box][] => {
        const name = side > 0 ? 'Left' : 'Right';
        return [
          [`eye${name}`, round([side * eye[0], eye[1]], holeMm)],
          [`foot${name}`, round([side * footAtMm, foot], footHoleMm)],
        ];
      }),
    ),
    rows: [
      [0, 1, 0],
      [0, 0, 1],
      [1, 0, 0],
    ],
  };
}
