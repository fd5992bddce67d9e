import {
  cross,
  dot,
  lengthOf,
  type Motion,
  rotationAbout,
  STILL,
  turn,
  unit,
  type Vec3,
} from '../../base/vec3';
import type { Mesh } from '../meshFiles/mesh';

const SAME_WAY = 1e-12;

/** The shortest turn that brings a direction upwards. */
export function turnUp(direction: Vec3): Motion {
  const b = unit(direction);
  const across = cross(b, [0, 0, 1]);
  if (lengthOf(across) > SAME_WAY)
    return rotationAbout([0, 0, 0], unit(across), Math.acos(Math.max(-1, Math.min(1, b[2]))));
  return dot(b, [0, 0, 1]) > 0
    ? STILL
    : {
        rows: [
          [1, 0, 0],
          [0, -1, 0],
          [0, 0, -1],
        ],
        shift: [0, 0, 0],
      };
}

/** A mesh as it lies on the bed: turned up, its lowest corner at 0, its middle over the origin. */
export function laidOnBed({ vertices, triangles }: Mesh, up: Vec3): Mesh {
  const motion = turnUp(up);
  const out = new Float64Array(vertices.length);
  const [low, high] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (let at = 0; at < vertices.length; at += 3) {
    const p = turn(motion, [vertices[at]!, vertices[at + 1]!, vertices[at + 2]!]);
    for (let axis = 0; axis < 3; axis++) {
      out[at + axis] = p[axis]!;
      low[axis] = Math.min(low[axis]!, p[axis]!);
      high[axis] = Math.max(high[axis]!, p[axis]!);
    }
  }
  const shift = [(low[0]! + high[0]!) / 2, (low[1]! + high[1]!) / 2, low[2]!];
  for (let at = 0; at < out.length; at++) out[at]! -= shift[at % 3]!;
  return { vertices: out, triangles };
}
