import { toBase64 } from '../../../base/base64';
import { dxfCircle, dxfFile, dxfLoop, dxfText } from '../../../base/dxf';
import { circle, extruded, type Loop } from '../../solid/extrude';
import { meshOf } from '../../solid/shapes';
import { writeStl } from '../../meshFiles/writeStl';
import type { Hole, Placed, PlateFile } from './definition';

const [RIM_MM, THICK_MM, BAR_MM, BAR_HIGH_MM, SIDES, DOT_MM] = [8, 2, 50, 1.6, 64, 1.2];
const CORNERS = ['A', 'B', 'C', 'D'] as const;
const DIGITS = 5;
const number = (value: number) => Number(value.toFixed(DIGITS)).toString();

interface Plate {
  /** Low and high corner. */
  low: readonly [number, number];
  high: readonly [number, number];
  holes: readonly { x: number; y: number; diameterMm: number; id: string }[];
  /** A bar of 50 mm, as a slot. */
  bar: Loop;
}

/** A plate that holds the pattern with a rim, and room for the bar under it. */
function plateOf(holes: readonly Hole[], centres: readonly Placed[]): Plate {
  const placed = holes.map(({ id, diameterMm }, at) => ({
    id,
    diameterMm,
    x: centres[at]!.xMm,
    y: centres[at]!.yMm,
  }));
  const edge = (pick: (one: (typeof placed)[number]) => number, which: (...values: number[]) => number) =>
    which(...placed.map(pick));
  const left = edge(({ x, diameterMm }) => x - diameterMm / 2, Math.min) - RIM_MM;
  const low = edge(({ y, diameterMm }) => y - diameterMm / 2, Math.min) - 2 * RIM_MM;
  const right = Math.max(
    edge(({ x, diameterMm }) => x + diameterMm / 2, Math.max) + RIM_MM,
    left + BAR_MM + 2 * RIM_MM,
  );
  const [x, y] = [(left + right - BAR_MM) / 2, low + RIM_MM / 2];
  return {
    low: [left, low],
    high: [right, edge(({ y: at, diameterMm }) => at + diameterMm / 2, Math.max) + RIM_MM],
    holes: placed,
    bar: [
      [x, y],
      [x + BAR_MM, y],
      [x + BAR_MM, y + BAR_HIGH_MM],
      [x, y + BAR_HIGH_MM],
    ],
  };
}

/** Corners of the plate from the lower left, counter-clockwise. */
const cornersOf = ({ low, high }: Plate): Loop => [
  [low[0], low[1]],
  [high[0], low[1]],
  [high[0], high[1]],
  [low[0], high[1]],
];
/** A place inside each corner for its label. */
const labelsOf = ({ low, high }: Plate): Loop => [
  [low[0] + 3, low[1] + 3],
  [high[0] - 3, low[1] + 3],
  [high[0] - 3, high[1] - 3],
  [low[0] + 3, high[1] - 3],
];

/** A test plate to lay on the part: holes to size, labelled corners, a bar of 50 mm. */
export function plateFiles(
  holes: readonly Hole[],
  centres: readonly Placed[],
  files: readonly PlateFile[],
): Partial<Record<PlateFile, string>> {
  const plate = plateOf(holes, centres);
  const write = { svg: () => svgOf(plate), dxf: () => dxfOf(plate), stl: () => stlOf(plate) };
  return Object.fromEntries(files.map((file) => [file, write[file]()]));
}

function svgOf(plate: Plate): string {
  const { low, high, holes, bar } = plate;
  const [w, h] = [high[0] - low[0], high[1] - low[1]];
  const loop = (points: Loop) => `M${points.map(([x, y]) => `${number(x)},${number(-y)}`).join('L')}Z`;
  const labels = labelsOf(plate)
    .map(
      ([x, y], at) =>
        `<text x="${number(x)}" y="${number(-y)}" font-size="4" text-anchor="middle" dominant-baseline="middle">${CORNERS[at]}</text>`,
    )
    .join('');
  const circles = holes
    .map(
      ({ x, y, diameterMm }) =>
        `<circle cx="${number(x)}" cy="${number(-y)}" r="${number(diameterMm / 2)}"/>`,
    )
    .join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${number(w)}mm" height="${number(h)}mm" viewBox="${number(low[0])} ${number(-high[1])} ${number(w)} ${number(h)}"><g fill="none" stroke="black" stroke-width="0.1"><path d="${loop(cornersOf(plate))}${loop(bar)}"/>${circles}</g>${labels}</svg>\n`;
}

function dxfOf(plate: Plate): string {
  const round = plate.holes.map(({ x, y, diameterMm }) => dxfCircle([x, y], diameterMm / 2));
  const labels = labelsOf(plate).map((place, at) => dxfText(place, CORNERS[at]!));
  return dxfFile([dxfLoop(cornersOf(plate)), dxfLoop(plate.bar), ...round, ...labels]);
}

/** In plastic a corner's label is one to four small holes. */
function stlOf(plate: Plate): string {
  const dots = labelsOf(plate).flatMap(([x, y], corner) =>
    Array.from({ length: corner + 1 }, (_, at) =>
      circle(x + (corner === 0 || corner === 3 ? 1 : -1) * 2 * at, y, DOT_MM / 2, 12),
    ),
  );
  const round = plate.holes.map(({ x, y, diameterMm }) => circle(x, y, diameterMm / 2, SIDES));
  return toBase64(writeStl(meshOf(extruded(cornersOf(plate), [...round, ...dots, plate.bar], 0, THICK_MM))));
}
