import { circle, lid, type Loop, wall } from '../solid/extrude';
import type { Corners } from '../solid/shapes';

/** Sizes on the test piece, mm: holes and pegs across, and the gap around a captive disc. */
export interface CouponSizes {
  holesMm: readonly number[];
  pegsMm: readonly number[];
  gapsMm: readonly number[];
}

export const USUAL_COUPON: CouponSizes = {
  holesMm: [2, 3, 4, 5, 6, 8, 10],
  pegsMm: [2, 3, 4, 5, 6, 8, 10],
  gapsMm: [0.15, 0.2, 0.25, 0.3, 0.4, 0.5],
};

interface Place {
  x: number;
  y: number;
}

export interface CouponPiece {
  corners: Corners;
  svg: string;
  sizeMm: readonly [number, number, number];
  holes: (Place & { nominalMm: number })[];
  pegs: (Place & { nominalMm: number })[];
  gaps: (Place & { gapMm: number })[];
}

const [RIM_MM, THICK_MM, PEG_HIGH_MM, CUT_MM] = [4, 4, 8, 5];
/** A captive disc, at its faces and at its waist, and the hole by which it is turned. */
const [DISC_MM, BULGE_MM, KEY_MM] = [4, 1, 1.5];
const SIDES = 64;
/** The gap is measured square to the slanted wall. */
const SLANT = Math.hypot(1, BULGE_MM / (THICK_MM / 2));

/** Things in a row, each with a rim around it. */
function inRow(radii: readonly number[], y: number): Place[] {
  let x = 0;
  return radii.map((radius) => {
    const place = { x: x + RIM_MM + radius, y };
    x = place.x + radius;
    return place;
  });
}

/**
 * A test piece: holes, pegs and captive discs in steps, rising from the corner that is cut off.
 *
 * @returns the solid's triangles in mm, lying on the bed, each disc a solid of its own; the same as a drawing with its sizes
 */
export function couponPiece({ holesMm, pegsMm, gapsMm }: CouponSizes = USUAL_COUPON): CouponPiece {
  const discs = gapsMm.map((gap) => DISC_MM + BULGE_MM + gap * SLANT);
  const rows = [holesMm.map((size) => size / 2), pegsMm.map((size) => size / 2), discs];
  const tops: number[] = [];
  const placed = rows.map((radii) => {
    const half = Math.max(...radii, 0);
    const y = (tops.at(-1) ?? 0) + RIM_MM + half;
    tops.push(y + half);
    return inRow(radii, y);
  });
  const width = Math.max(...placed.map((row, at) => (row.at(-1)?.x ?? 0) + (rows[at]!.at(-1) ?? 0))) + RIM_MM;
  const depth = tops.at(-1)! + RIM_MM;
  const outline: Loop = [
    [CUT_MM, 0],
    [width, 0],
    [width, depth],
    [0, depth],
    [0, CUT_MM],
  ];
  const round = (sizes: readonly number[], row: readonly Place[]) =>
    sizes.map((size, at) => circle(row[at]!.x, row[at]!.y, size / 2, SIDES));
  const [holes, pegs] = [round(holesMm, placed[0]!), round(pegsMm, placed[1]!)];
  const ring = (more: number) =>
    gapsMm.map((gap, at) =>
      circle(placed[2]![at]!.x, placed[2]![at]!.y, DISC_MM + gap * SLANT + more, SIDES),
    );
  const [mouths, waists] = [ring(0), ring(BULGE_MM)];
  const half = THICK_MM / 2;
  const corners: Corners = [
    ...lid(outline, [...holes, ...mouths], 0, 'below'),
    ...lid(outline, [...holes, ...mouths, ...pegs], THICK_MM, 'above'),
    ...wall(outline, outline, 0, THICK_MM, 'plastic'),
    ...holes.flatMap((loop) => wall(loop, loop, 0, THICK_MM, 'hole')),
    ...mouths.flatMap((loop, at) => [
      ...wall(loop, waists[at]!, 0, half, 'hole'),
      ...wall(waists[at]!, loop, half, THICK_MM, 'hole'),
    ]),
    ...pegs.flatMap((loop) => [
      ...wall(loop, loop, THICK_MM, THICK_MM + PEG_HIGH_MM, 'plastic'),
      ...lid(loop, [], THICK_MM + PEG_HIGH_MM, 'above'),
    ]),
    ...placed[2]!.flatMap(discAt),
  ];
  return {
    corners,
    svg: drawing([width, depth], outline, placed, { holesMm, pegsMm, gapsMm }),
    sizeMm: [width, depth, THICK_MM + PEG_HIGH_MM],
    holes: placed[0]!.map((place, at) => ({ ...place, nominalMm: holesMm[at]! })),
    pegs: placed[1]!.map((place, at) => ({ ...place, nominalMm: pegsMm[at]! })),
    gaps: placed[2]!.map((place, at) => ({ ...place, gapMm: gapsMm[at]! })),
  };
}

/** A disc with a waist that its hole keeps, and a hexagonal hole to turn it by. */
function discAt({ x, y }: Place): Corners {
  const [face, waist, key] = [
    circle(x, y, DISC_MM, SIDES),
    circle(x, y, DISC_MM + BULGE_MM, SIDES),
    circle(x, y, KEY_MM, 6),
  ];
  const half = THICK_MM / 2;
  return [
    ...lid(face, [key], 0, 'below'),
    ...lid(face, [key], THICK_MM, 'above'),
    ...wall(face, waist, 0, half, 'plastic'),
    ...wall(waist, face, half, THICK_MM, 'plastic'),
    ...wall(key, key, 0, THICK_MM, 'hole'),
  ];
}

const number = (value: number) => String(Number(value.toFixed(3)));

function drawing(
  [width, depth]: readonly [number, number],
  outline: Loop,
  [holes, pegs, gaps]: readonly Place[][],
  sizes: CouponSizes,
): string {
  const low = (y: number) => depth - y;
  const ring = ({ x, y }: Place, radius: number, more = '') =>
    `<circle cx="${number(x)}" cy="${number(low(y))}" r="${number(radius)}"${more}/>`;
  const label = ({ x, y }: Place, text: string, below: number) =>
    `<text x="${number(x)}" y="${number(low(y) + below)}" font-size="2.2" text-anchor="middle">${text}</text>`;
  const plate = `<path d="M${outline.map(([x, y]) => `${number(x)},${number(low(y))}`).join('L')}Z"/>`;
  const shapes = [
    ...holes!.map((place, at) => ring(place, sizes.holesMm[at]! / 2)),
    ...pegs!.map((place, at) => ring(place, sizes.pegsMm[at]! / 2, ' fill="#ddd"')),
    ...gaps!.flatMap((place, at) => [
      ring(place, DISC_MM + sizes.gapsMm[at]! * SLANT),
      ring(place, DISC_MM, ' fill="#eee"'),
    ]),
  ].join('');
  const words = [
    ...holes!.map((place, at) => label(place, number(sizes.holesMm[at]!), sizes.holesMm[at]! / 2 + 2.6)),
    ...pegs!.map((place, at) => label(place, number(sizes.pegsMm[at]!), sizes.pegsMm[at]! / 2 + 2.6)),
    ...gaps!.map((place, at) => label(place, number(sizes.gapsMm[at]!), 0.8)),
  ].join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(depth)}mm" viewBox="0 0 ${number(width)} ${number(depth)}"><g fill="none" stroke="black" stroke-width="0.15">${plate}${shapes}</g>${words}</svg>\n`;
}
