import type { Point } from '../../gears/outlineFiles';
import { type Box, boxAround, disc, type DrawnPart, prism, rectangle, taken } from '../drawn/drawing';
import { needRoom } from './onEdge';

/** A block across the chassis that carries the inner ends of the arms of both sides. */
export interface BulkheadInput {
  /** Of the left arm's hinge: to the side of the middle, and over the plate. */
  pin: Point;
  pinHoleMm: number;
  /** Of the upper link or arm, where it hangs on the bulkhead too. */
  upper?: { at: Point; holeMm: number };
  wallMm: number;
  /** Along the chassis. */
  thicknessMm: number;
  /** Screws from below: to the side of the middle, hole as drawn, and how deep. */
  screwAtMm: number;
  screwHoleMm: number;
  screwDepthMm: number;
}

const GRIP_MM = 1;

/**
 * In the drawing x is the car's y, y its z from the plate up, z its x: it lies on its face, the bores upright.
 *
 * @throws CalcError at `wallMm` for a pin lower over the plate than its wall, or screws that meet the pins
 */
export function bulkheadDrawing(input: BulkheadInput): DrawnPart {
  const { pin, pinHoleMm, upper, wallMm, thicknessMm, screwAtMm, screwHoleMm, screwDepthMm } = input;
  const radius = pinHoleMm / 2 + wallMm;
  needRoom(pin[1] - pinHoleMm / 2, 'wallMm');
  needRoom(Math.abs(pin[0] - screwAtMm) - pinHoleMm / 2 - screwHoleMm / 2, 'spacingMm');
  const sides = [1, -1] as const;
  const foot = rectangle([-pin[0] - radius, 0], [pin[0] + radius, 1]);
  const lower = [...foot, ...sides.map((side) => disc(side * pin[0], pin[1], radius))];
  const upperRadius = upper ? upper.holeMm / 2 + wallMm : 0;
  const above = upper
    ? [
        ...sides.map((side) => disc(side * upper.at[0], upper.at[1], upperRadius)),
        ...rectangle([-pin[0], 0], [pin[0], 1]),
      ]
    : undefined;
  const bore = (at: Point, holeMm: number) =>
    sides.map((side) => taken(prism('z', [disc(side * at[0], at[1], holeMm / 2)], -1, thicknessMm + 1)));
  const screws = sides.map((side) =>
    taken(prism('y', [disc(thicknessMm / 2, side * screwAtMm, screwHoleMm / 2)], -1, screwDepthMm)),
  );
  const grip = (holeMm: number) => holeMm / 2 + GRIP_MM;
  const round = ([x, y]: Point, holeMm: number): Box =>
    boxAround([x, y, thicknessMm / 2], [grip(holeMm), grip(holeMm), thicknessMm / 2]);
  const boxes = (name: string, at: Point, holeMm: number): [string, Box][] =>
    sides.map((side) => [`${name}${side > 0 ? 'Left' : 'Right'}`, round([side * at[0], at[1]], holeMm)]);
  return {
    drawing: {
      steps: [
        prism('z', lower, 0, thicknessMm),
        ...(above ? [prism('z', above, 0, thicknessMm)] : []),
        ...bore(pin, pinHoleMm),
        ...(upper ? bore(upper.at, upper.holeMm) : []),
        ...screws,
      ],
    },
    places: new Map<string, Box>([
      ...boxes('pin', pin, pinHoleMm),
      ...(upper ? boxes('upper', upper.at, upper.holeMm) : []),
      ['foot', { min: [-pin[0] - radius, 0, 0], max: [pin[0] + radius, 0.5, thicknessMm] }],
    ]),
    rows: [
      [0, 1, 0],
      [0, 0, 1],
      [1, 0, 0],
    ],
  };
}
