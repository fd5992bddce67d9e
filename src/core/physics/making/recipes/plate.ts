import type { Point } from '../../gears/outlineFiles';
import {
  AS_IT_STANDS,
  type Box,
  disc,
  type Drawing,
  type DrawnPart,
  prism,
  rectangle,
  type Step,
  taken,
} from '../drawn/drawing';
import { type Disc, hullStretches, insideBy } from '../drawn/hull';
import { type DrawnHole, holesInside } from './onEdge';

/** A place on the plate, mm: x forward, y to the left. */
export interface Footprint {
  id: string;
  min: Point;
  max: Point;
}

export interface PlateInput {
  /** What stands on it. */
  footprints: readonly Footprint[];
  /** Points that it has to reach. */
  reach: readonly Point[];
  /** Beyond what it carries and reaches. */
  marginMm: number;
  thicknessMm: number;
  holes: readonly (DrawnHole & { id: string })[];
  /** Along both sides; its height over all. */
  flange?: { heightMm: number; thicknessMm: number };
  /** Where something that moves needs room: cut out of plate and flanges. */
  notches?: readonly { min: Point; max: Point }[];
  /** Square holes where nothing stands, with plastic between them. */
  pockets?: { sizeMm: number; wallMm: number };
}

const POCKET_ROUND = 0.25;
/** A side as steep as this against straight ahead still gets a flange. */
const SIDE_SLOPE = 0.35;
const LEAST_SIDE = 8;
/** Beside a notch a flange is looked for so many thicknesses towards the middle. */
const LEANS_IN = 3;
const APART_MM = 0.1;

const outlineOf = ({ footprints, reach, marginMm }: PlateInput): Disc[] => [
  ...footprints.flatMap(({ min, max }) =>
    rectangle(min, max).map(({ at }): Disc => ({ at, radiusMm: marginMm })),
  ),
  ...reach.map((at): Disc => ({ at, radiusMm: marginMm })),
];

/** Where the plate has plastic to spare: nothing stands there, no hole, and no edge is near. */
function pocketsIn(input: PlateInput, outline: readonly Disc[]): Disc[][] {
  const { pockets, holes, flange, notches = [] } = input;
  const footprints = [...input.footprints, ...notches];
  if (!pockets) return [];
  const { sizeMm, wallMm } = pockets;
  const pitch = sizeMm + wallMm;
  const { min, max } = boundsOf(outline);
  const edge = wallMm + (flange?.thicknessMm ?? 0);
  const across = (axis: 0 | 1) => {
    const count = Math.floor((max[axis] - min[axis]) / pitch);
    const first = (min[axis] + max[axis]) / 2 - ((count - 1) / 2) * pitch;
    return Array.from({ length: Math.max(0, count) }, (_, k) => first + k * pitch);
  };
  return across(0).flatMap((x) =>
    across(1).flatMap((y): Disc[][] => {
      const [low, high]: [Point, Point] = [
        [x - sizeMm / 2, y - sizeMm / 2],
        [x + sizeMm / 2, y + sizeMm / 2],
      ];
      const inside = rectangle(low, high).every(({ at }) => insideBy(outline, at) >= edge);
      const clear =
        footprints.every(
          ({ min: from, max: to }) =>
            low[0] >= to[0] + wallMm ||
            high[0] <= from[0] - wallMm ||
            low[1] >= to[1] + wallMm ||
            high[1] <= from[1] - wallMm,
        ) &&
        holes.every(({ at, diameterMm }) => {
          const [dx, dy] = [
            Math.max(0, Math.abs(at[0] - x) - sizeMm / 2),
            Math.max(0, Math.abs(at[1] - y) - sizeMm / 2),
          ];
          return Math.hypot(dx, dy) >= wallMm + diameterMm / 2;
        });
      return inside && clear ? [rectangle(low, high, POCKET_ROUND * sizeMm)] : [];
    }),
  );
}

function boundsOf(outline: readonly Disc[]): { min: Point; max: Point } {
  const of = (axis: 0 | 1, sign: 1 | -1) =>
    sign * Math.max(...outline.map(({ at, radiusMm }) => sign * at[axis] + radiusMm));
  return { min: [of(0, -1), of(1, -1)], max: [of(0, 1), of(1, 1)] };
}

/** Along each side of the outline that runs fore and aft, a wall upwards from the bed. */
function flangesOf({ flange, marginMm }: PlateInput, outline: readonly Disc[]): Step[] {
  if (!flange) return [];
  // two that meet in one line at the middle of a corner make no solid: they stay a little apart
  const thickMm =
    Math.abs(flange.thicknessMm - marginMm) < APART_MM ? marginMm - APART_MM : flange.thicknessMm;
  return hullStretches(outline).flatMap(({ curve, points: [a, b] }): Step[] => {
    if (curve !== 'line' || !a || !b) return [];
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const length = Math.hypot(dx, dy);
    if (length < LEAST_SIDE || Math.abs(dy) > SIDE_SLOPE * Math.abs(dx)) return [];
    // counter-clockwise: the inside lies to the left
    const [ix, iy] = [(-dy / length) * thickMm, (dx / length) * thickMm];
    const corners = [a, b, [b[0] + ix, b[1] + iy], [a[0] + ix, a[1] + iy]] as const;
    return [
      prism(
        'z',
        corners.map(([x, y]) => disc(x, y)),
        0,
        flange.heightMm,
      ),
    ];
  });
}

/**
 * Chassis plate: as wide as what it carries and reaches, holed, pocketed where it can spare it, with flanges along its
 * sides. Its axes are the car's; it lies on z = 0.
 *
 * @throws CalcError at `marginMm` for a hole too near the edge
 */
export function plateDrawing(input: PlateInput): DrawnPart {
  const outline = outlineOf(input);
  const { thicknessMm, holes, footprints, flange, notches = [] } = input;
  const lean = LEANS_IN * (flange?.thicknessMm ?? 0);
  const inwards = (side: number) => Math.sign(side) * Math.max(APART_MM, Math.abs(side) - lean);
  const through = [...holesInside(outline, holes, 'marginMm'), ...pocketsIn(input, outline)];
  const places = new Map<string, Box>([
    ...footprints.map(({ id, min, max }): [string, Box] => [
      id,
      { min: [min[0], min[1], 0], max: [max[0], max[1], thicknessMm] },
    ]),
    ...holes.map(({ id, at: [x, y], diameterMm }): [string, Box] => {
      const reach = diameterMm / 2 + 1;
      return [id, { min: [x - reach, y - reach, 0], max: [x + reach, y + reach, thicknessMm] }];
    }),
  ]);
  return {
    drawing: {
      steps: [
        prism('z', outline, 0, thicknessMm, through),
        ...flangesOf(input, outline),
        ...notches.flatMap(({ min, max }) => [
          // a flange ends where the notch begins, whole: no sliver of it stays beside it
          ...(flange
            ? [
                taken(
                  prism(
                    'z',
                    rectangle([min[0], inwards(min[1])], [max[0], inwards(max[1])]),
                    thicknessMm,
                    flange.heightMm + 1,
                  ),
                ),
              ]
            : []),
          taken(prism('z', rectangle(min, max), -1, thicknessMm + 1)),
        ]),
      ],
    },
    places,
    rows: AS_IT_STANDS,
  };
}

/** Length of a lap over the hole of its screws, and plastic from a screw to the sides. */
const [LAP_HOLES, LEAST_LAP_MM, SIDE_HOLES] = [4, 12, 1.5];

/**
 * A plate in sections for a bed that is shorter, front first: each laps half of the thickness of the next, with a row of
 * screws through both.
 *
 * @param holeMm of the laps' screws, as drawn
 */
export function plateSections(input: PlateInput, sections: number, holeMm: number): Drawing[] {
  const whole = plateDrawing(input).drawing;
  if (sections < 2) return [whole];
  const outline = outlineOf(input);
  const { min, max } = boundsOf(outline);
  const [lap, half] = [Math.max(LEAST_LAP_MM, LAP_HOLES * holeMm), input.thicknessMm / 2];
  const high = Math.max(input.thicknessMm, input.flange?.heightMm ?? 0) + 1;
  const cuts = Array.from(
    { length: sections - 1 },
    (_, k) => max[0] - ((k + 1) / sections) * (max[0] - min[0]),
  );
  const block = (from: number, to: number, low: number, top: number) =>
    taken(prism('z', rectangle([from, min[1] - 1], [to, max[1] + 1]), low, top));
  const screws = cuts.flatMap((x) => {
    const reach = SIDE_HOLES * holeMm + (input.flange?.thicknessMm ?? 0);
    const inside = [-1, -1 / 3, 1 / 3, 1].map((share) => {
      const side = share * Math.max(0, widthAt(outline, x) - reach);
      return taken(prism('z', [disc(x, side, holeMm / 2)], -1, high));
    });
    return inside;
  });
  return Array.from({ length: sections }, (_, k): Drawing => {
    const [ahead, behind] = [cuts[k - 1], cuts[k]];
    return {
      steps: [
        ...whole.steps,
        // its own lap at the back lies below the next one's, at the front above the one before
        ...(behind === undefined
          ? []
          : [
              block(min[0] - 1, behind - lap / 2, -1, high),
              block(behind - lap / 2, behind + lap / 2, half, high),
            ]),
        ...(ahead === undefined
          ? []
          : [
              block(ahead + lap / 2, max[0] + 1, -1, high),
              block(ahead - lap / 2, ahead + lap / 2, -1, half),
            ]),
        ...screws,
      ],
    };
  });
}

/** Half of the outline's width on the narrower side of the middle, at a station. */
function widthAt(outline: readonly Disc[], x: number): number {
  const { min, max } = boundsOf(outline);
  const side = (sign: 1 | -1, most: number) => {
    let [low, high] = [0, most];
    for (let k = 0; k < 40; k++) {
      const middle = (low + high) / 2;
      if (insideBy(outline, [x, sign * middle]) > 0) low = middle;
      else high = middle;
    }
    return low;
  };
  return Math.min(side(1, Math.max(0, max[1])), side(-1, Math.max(0, -min[1])));
}
