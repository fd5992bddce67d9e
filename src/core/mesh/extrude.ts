import earcut from 'earcut';
import { CalcError } from '../errors';
import type { Vec3 } from '../vec3';
import type { Corners } from './shapes';

export type Loop = readonly (readonly [number, number])[];

/** Corners of a circle, counter-clockwise. */
export const circle = (x: number, y: number, radius: number, sides = 32): Loop => Array.from({ length: sides }, (_, at) => [x + radius * Math.cos((2 * Math.PI * at) / sides), y + radius * Math.sin((2 * Math.PI * at) / sides)] as const);

/** Twice the area of a loop, positive counter-clockwise. */
const turn = (loop: Loop) => loop.reduce((sum, [x, y], at) => {
  const [nx, ny] = loop[(at + 1) % loop.length]!;
  return sum + x * ny - nx * y;
}, 0);

const turned = (loop: Loop, way: 1 | -1): Loop => (Math.sign(turn(loop)) === way ? loop : loop.toReversed());

/** Turns by which the outline is tried, rad: corners in line with a bridge to a hole would be left out. */
const TURNS = [0, 0.377, 1.113, 2.391];

/** Triangles of a flat outline that use every corner. */
function lidOf(flat: Loop, starts: number[], corners: number): number[] {
  for (const by of TURNS) {
    const [c, s] = [Math.cos(by), Math.sin(by)];
    const faces = earcut(flat.flatMap(([x, y]) => [c * x - s * y, s * x + c * y]), starts, 2);
    // a polygon of n corners with h holes falls into n + 2h − 2 triangles
    if (faces.length / 3 === corners + 2 * starts.length - 2) return faces;
  }
  throw new CalcError('outline', 'crosses itself or its holes', 'draw it without');
}

/** A flat outline with holes, drawn up from one height to another. @throws CalcError at `outline` where it cannot be filled */
export function extruded(outer: Loop, holes: readonly Loop[], from: number, to: number): Corners {
  const loops = [turned(outer, 1), ...holes.map((hole) => turned(hole, -1))];
  const flat = loops.flat();
  const starts = loops.slice(0, -1).reduce<number[]>((all, loop) => [...all, (all.at(-1) ?? 0) + loop.length], []);
  const faces = lidOf(flat, starts, flat.length);
  const at = (index: number, z: number): Vec3 => [flat[index]![0], flat[index]![1], z];
  const lids: Corners = [];
  for (let face = 0; face < faces.length; face += 3) {
    const own = [faces[face]!, faces[face + 1]!, faces[face + 2]!] as const;
    const [a, b, c] = turn(own.map((index) => flat[index]!)) > 0 ? own : ([own[0], own[2], own[1]] as const);
    lids.push(...at(a, to), ...at(b, to), ...at(c, to), ...at(a, from), ...at(c, from), ...at(b, from));
  }
  const sides = loops.flatMap((loop) => loop.flatMap(([x, y], index): Corners => {
    const [nx, ny] = loop[(index + 1) % loop.length]!;
    return [x, y, from, nx, ny, from, nx, ny, to, x, y, from, nx, ny, to, x, y, to];
  }));
  return [...lids, ...sides];
}
