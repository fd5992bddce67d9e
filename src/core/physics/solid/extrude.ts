import earcut from 'earcut';
import { refusal } from '../../base/errors';
import type { Vec3 } from '../../base/vec3';
import type { Corners } from './shapes';

declare module '../../base/errors' {
  interface RefusalFacts {
    'extrude.crosses': Record<never, never>;
  }
}

export type Loop = readonly (readonly [number, number])[];

/** Corners of a circle, counter-clockwise. */
export const circle = (x: number, y: number, radius: number, sides = 32): Loop =>
  Array.from(
    { length: sides },
    (_, at) =>
      [
        x + radius * Math.cos((2 * Math.PI * at) / sides),
        y + radius * Math.sin((2 * Math.PI * at) / sides),
      ] as const,
  );

/** Twice the area of a loop, positive counter-clockwise. */
const turn = (loop: Loop) =>
  loop.reduce((sum, [x, y], at) => {
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
    const faces = earcut(
      flat.flatMap(([x, y]) => [c * x - s * y, s * x + c * y]),
      starts,
      2,
    );
    // a polygon of n corners with h holes falls into n + 2h − 2 triangles
    if (faces.length / 3 === corners + 2 * starts.length - 2) return faces;
  }
  throw refusal('outline', 'extrude.crosses');
}

/**
 * A flat outline with holes as one face at a height, seen from above or from below. @throws CalcError at
 * `outline` where it cannot be filled
 */
export function lid(outer: Loop, holes: readonly Loop[], z: number, from: 'above' | 'below'): Corners {
  const loops = [turned(outer, 1), ...holes.map((hole) => turned(hole, -1))];
  const flat = loops.flat();
  const starts = loops
    .slice(0, -1)
    .reduce<number[]>((all, loop) => [...all, (all.at(-1) ?? 0) + loop.length], []);
  const faces = lidOf(flat, starts, flat.length);
  const at = (index: number): Vec3 => [flat[index]![0], flat[index]![1], z];
  const corners: Corners = [];
  for (let face = 0; face < faces.length; face += 3) {
    const own = [faces[face]!, faces[face + 1]!, faces[face + 2]!] as const;
    const rising = turn(own.map((index) => flat[index]!)) > 0;
    const [a, b, c] = rising === (from === 'above') ? own : ([own[0], own[2], own[1]] as const);
    corners.push(...at(a), ...at(b), ...at(c));
  }
  return corners;
}

/** The wall between two loops of as many corners at two heights; around plastic, or around a hole in it. */
export function wall(low: Loop, high: Loop, from: number, to: number, around: 'plastic' | 'hole'): Corners {
  const [a, b] = [turned(low, around === 'plastic' ? 1 : -1), turned(high, around === 'plastic' ? 1 : -1)];
  return a.flatMap(([x, y], index): Corners => {
    const next = (index + 1) % a.length;
    const [[nx, ny], [hx, hy], [hnx, hny]] = [a[next]!, b[index]!, b[next]!];
    return [x, y, from, nx, ny, from, hnx, hny, to, x, y, from, hnx, hny, to, hx, hy, to];
  });
}

/** A flat outline with holes, drawn up from one height to another. @throws CalcError at `outline` where it cannot be filled */
export function extruded(outer: Loop, holes: readonly Loop[], from: number, to: number): Corners {
  return [
    ...lid(outer, holes, to, 'above'),
    ...lid(outer, holes, from, 'below'),
    ...wall(outer, outer, from, to, 'plastic'),
    ...holes.flatMap((hole) => wall(hole, hole, from, to, 'hole')),
  ];
}
