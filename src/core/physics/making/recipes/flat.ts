import type { Point } from '../../gears/outlineFiles';
import {
  AS_IT_STANDS,
  type Box,
  boxAround,
  disc,
  type DrawnPart,
  prism,
  rectangle,
  taken,
} from '../drawn/drawing';
import { type DrawnHole, holesInside, needRoom } from './onEdge';

const GRIP_MM = 1;

const around = ([x, y]: Point, diameterMm: number, heightMm: number): Box =>
  boxAround([x, y, heightMm / 2], [diameterMm / 2 + GRIP_MM, diameterMm / 2 + GRIP_MM, heightMm / 2]);

export interface LeverInput {
  /** Between its two holes. */
  lengthMm: number;
  /** On the shaft or knuckle, and of the ball. */
  boreMm: number;
  ballHoleMm: number;
  widthMm: number;
  wallMm: number;
  thicknessMm: number;
}

/** A lever with two holes, lying flat, the bore at the origin and the ball at +x: steering arm or horn. */
export function leverDrawing(input: LeverInput): DrawnPart {
  const { lengthMm, boreMm, ballHoleMm, widthMm, wallMm, thicknessMm } = input;
  needRoom(lengthMm - boreMm / 2 - ballHoleMm / 2, 'lengthMm');
  const [root, tip] = [Math.max(widthMm / 2, boreMm / 2 + wallMm), ballHoleMm / 2 + wallMm];
  const outline = [disc(0, 0, root), disc(lengthMm, 0, Math.min(root, Math.max(tip, widthMm / 2)))];
  const holes: DrawnHole[] = [
    { at: [0, 0], diameterMm: boreMm },
    { at: [lengthMm, 0], diameterMm: ballHoleMm },
  ];
  return {
    drawing: { steps: [prism('z', outline, 0, thicknessMm, holesInside(outline, holes, 'wallMm'))] },
    places: new Map([
      ['bore', around([0, 0], boreMm, thicknessMm)],
      ['ball', around([lengthMm, 0], ballHoleMm, thicknessMm)],
    ]),
    rows: AS_IT_STANDS,
  };
}

export interface BumperInput {
  widthMm: number;
  /** Ahead of the plate's front edge. */
  lengthMm: number;
  thicknessMm: number;
  /** Screws into the plate: across from each other, hole as drawn. */
  spacingMm: number;
  holeMm: number;
  wallMm: number;
}

/** A bumper lying flat: screws about the origin, rounded front edge at +x. */
export function bumperDrawing({
  widthMm,
  lengthMm,
  thicknessMm,
  spacingMm,
  holeMm,
  wallMm,
}: BumperInput): DrawnPart {
  const corner = Math.min(widthMm / 4, lengthMm / 2);
  const root = holeMm / 2 + wallMm;
  const sides = [1, -1] as const;
  const outline = [
    ...sides.map((side) => disc(0, (side * spacingMm) / 2, root)),
    ...sides.map((side) => disc(lengthMm - corner, side * (widthMm / 2 - corner), corner)),
  ];
  const holes = sides.map((side): DrawnHole => ({ at: [0, (side * spacingMm) / 2], diameterMm: holeMm }));
  return {
    drawing: { steps: [prism('z', outline, 0, thicknessMm, holesInside(outline, holes, 'wallMm'))] },
    places: new Map<string, Box>([
      ['left', around(holes[0]!.at, holeMm, thicknessMm)],
      ['right', around(holes[1]!.at, holeMm, thicknessMm)],
      ['front', { min: [lengthMm - 1, -widthMm / 4, 0], max: [lengthMm, widthMm / 4, thicknessMm] }],
    ]),
    rows: AS_IT_STANDS,
  };
}

export interface TrayInput {
  /** Inside, with the play round the pack in. */
  lengthMm: number;
  widthMm: number;
  heightMm: number;
  floorMm: number;
  wallMm: number;
  /** Slots through the floor beside the pack for a strap. */
  strapMm: number;
  /** Screws through the floor on its middle line: from the middle, hole as drawn. */
  screwAtMm: number;
  holeMm: number;
}

const STRAP_THICK_MM = 2.5;
const TRAY_ROUND_MM = 3;

/** A tray about the origin, its floor on z = 0, lengthways along x, open above. */
export function trayDrawing(input: TrayInput): DrawnPart {
  const { lengthMm, widthMm, heightMm, floorMm, wallMm, strapMm, screwAtMm, holeMm } = input;
  const [l, w] = [lengthMm / 2, widthMm / 2];
  // ears beside the walls carry the strap
  const ear = strapMm > 0 ? STRAP_THICK_MM + 2 * wallMm : 0;
  const outer: [Point, Point] = [
    [-l - wallMm, -w - wallMm],
    [l + wallMm, w + wallMm],
  ];
  const ends = [1, -1] as const;
  const screws = ends.map((end): DrawnHole => ({ at: [end * screwAtMm, 0], diameterMm: holeMm }));
  holesInside(rectangle([-l, -w], [l, w]), screws, 'lengthMm');
  needRoom(l - strapMm / 2, 'lengthMm');
  const slots = ends.map((side) => {
    const near = side * (w + 2 * wallMm);
    return rectangle([-strapMm / 2, near], [strapMm / 2, near + side * STRAP_THICK_MM], 1);
  });
  const top = floorMm + heightMm;
  return {
    drawing: {
      steps: [
        prism('z', rectangle(...outer, TRAY_ROUND_MM), 0, top),
        taken(prism('z', rectangle([-l, -w], [l, w]), floorMm, top + 1)),
        ...(ear > 0
          ? ends.map((side) =>
              prism(
                'z',
                rectangle(
                  [-strapMm / 2 - 2 * wallMm, side * w],
                  [strapMm / 2 + 2 * wallMm, side * (w + wallMm + ear)],
                ),
                0,
                floorMm,
              ),
            )
          : []),
        ...(ear > 0 ? slots.map((slot) => taken(prism('z', slot, -1, floorMm + 1))) : []),
        ...screws.map(({ at: [x, y] }) => taken(prism('z', [disc(x, y, holeMm / 2)], -1, floorMm + 1))),
      ],
    },
    places: new Map<string, Box>([
      ['screwFront', around(screws[0]!.at, holeMm, floorMm)],
      ['screwRear', around(screws[1]!.at, holeMm, floorMm)],
      ['wall', { min: [l, -w, floorMm], max: [l + 0.5, w, top] }],
    ]),
    rows: AS_IT_STANDS,
  };
}

export interface GuideInput {
  holes: readonly DrawnHole[];
  /** Of the bush round each hole, and over all. */
  wallMm: number;
  heightMm: number;
  thicknessMm: number;
}

/** Of the plate beyond the bushes: walls that touch along a line make no solid. */
const RIM_MM = 1;

/** A drill guide: a plate that lies on the part, with a bush at every hole that leads the drill upright. */
export function guideDrawing({ holes, wallMm, heightMm, thicknessMm }: GuideInput): DrawnPart {
  needRoom(heightMm - thicknessMm, 'heightMm');
  const bushes = holes.map(({ at, diameterMm }) => disc(at[0], at[1], diameterMm / 2 + wallMm));
  return {
    drawing: {
      steps: [
        prism(
          'z',
          bushes.map(({ at, radiusMm }) => ({ at, radiusMm: radiusMm + RIM_MM })),
          0,
          thicknessMm,
        ),
        ...bushes.map((bush) => prism('z', [bush], 0, heightMm)),
        ...holes.map(({ at: [x, y], diameterMm }) =>
          taken(prism('z', [disc(x, y, diameterMm / 2)], -1, heightMm + 1)),
        ),
      ],
    },
    places: new Map(),
    rows: AS_IT_STANDS,
  };
}
