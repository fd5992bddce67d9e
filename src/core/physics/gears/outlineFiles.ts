import { toBase64 } from '../../base/base64';
import { dxfFile, dxfLoop } from '../../base/dxf';
import earcut from 'earcut';

export type Point = readonly [x: number, y: number];

const DIGITS = 5;
const number = (value: number) => Number(value.toFixed(DIGITS)).toString();

/** A drawing at true size, y upward. */
export function gearSvg(outline: readonly Point[], bore: readonly Point[], tipMm: number): string {
  const edge = Math.ceil(tipMm + 1);
  const path = (points: readonly Point[]) =>
    `M${points.map(([x, y]) => `${number(x)},${number(-y)}`).join('L')}Z`;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${2 * edge}mm" height="${2 * edge}mm" viewBox="${-edge} ${-edge} ${2 * edge} ${2 * edge}"><path d="${path(outline)}${path(bore)}" fill="none" stroke="black" stroke-width="0.1"/></svg>\n`;
}

/** Closed polylines in mm (DXF R12). */
export const gearDxf = (loops: readonly (readonly Point[])[]): string => dxfFile(loops.map(dxfLoop));

type Vertex = readonly [number, number, number];

/** Turn of one layer of a helical gear, at most, rad. */
const LAYER_RAD = 0.03;
const HEADER_BYTES = 80;
const TRIANGLE_BYTES = 50;

/** A solid between two turned sections, as binary STL in base64; every edge belongs to two triangles. */
export function gearStl(
  outline: readonly Point[],
  bore: readonly Point[],
  widthMm: number,
  twist: number,
): string {
  const layers = Math.max(1, Math.ceil(Math.abs(twist) / LAYER_RAD));
  const turned = ([x, y]: Point, layer: number): Vertex => {
    const angle = (twist * layer) / layers;
    const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
    return [x * cos - y * sin, x * sin + y * cos, (widthMm * layer) / layers];
  };
  const all = [...outline, ...bore];
  const caps = earcut(all.flat(), [outline.length]);
  const triangles: [Vertex, Vertex, Vertex][] = [];
  for (let i = 0; i < caps.length; i += 3) {
    const [a, b, c] = upward(all, caps[i]!, caps[i + 1]!, caps[i + 2]!);
    triangles.push(
      [turned(all[a]!, layers), turned(all[b]!, layers), turned(all[c]!, layers)],
      [turned(all[a]!, 0), turned(all[c]!, 0), turned(all[b]!, 0)],
    );
  }
  for (let layer = 0; layer < layers; layer++) {
    for (const [loop, outside] of [
      [outline, true],
      [bore, false],
    ] as const) {
      const forward = isCounterclockwise(loop) === outside;
      loop.forEach((point, i) => {
        const next = loop[(i + 1) % loop.length]!;
        const [a, b] = forward ? [point, next] : [next, point];
        const [al, bl, au, bu] = [
          turned(a, layer),
          turned(b, layer),
          turned(a, layer + 1),
          turned(b, layer + 1),
        ];
        triangles.push([al, bl, bu], [al, bu, au]);
      });
    }
  }
  return toBase64(binary(triangles));
}

const area2 = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

function upward(points: readonly Point[], a: number, b: number, c: number): [number, number, number] {
  return area2(points[a]!, points[b]!, points[c]!) >= 0 ? [a, b, c] : [a, c, b];
}

function isCounterclockwise(loop: readonly Point[]): boolean {
  return (
    loop.reduce((sum, [x, y], i) => {
      const [nx, ny] = loop[(i + 1) % loop.length]!;
      return sum + x * ny - nx * y;
    }, 0) > 0
  );
}

function binary(triangles: readonly (readonly [Vertex, Vertex, Vertex])[]): Uint8Array {
  const bytes = new Uint8Array(HEADER_BYTES + 4 + TRIANGLE_BYTES * triangles.length);
  const view = new DataView(bytes.buffer);
  view.setUint32(HEADER_BYTES, triangles.length, true);
  triangles.forEach((corners, index) => {
    const at = HEADER_BYTES + 4 + TRIANGLE_BYTES * index;
    [normalOf(corners), ...corners].flat().forEach((value, k) => view.setFloat32(at + 4 * k, value, true));
  });
  return bytes;
}

function normalOf([a, b, c]: readonly [Vertex, Vertex, Vertex]): Vertex {
  const [u, v] = [
    [b[0] - a[0], b[1] - a[1], b[2] - a[2]],
    [c[0] - a[0], c[1] - a[1], c[2] - a[2]],
  ] as const;
  const n: Vertex = [
    u[1]! * v[2]! - u[2]! * v[1]!,
    u[2]! * v[0]! - u[0]! * v[2]!,
    u[0]! * v[1]! - u[1]! * v[0]!,
  ];
  const length = Math.hypot(...n) || 1;
  return [n[0] / length, n[1] / length, n[2] / length];
}
