import { type Motion, STILL, turn, type Vec3 } from '../../base/vec3';
import { turnUp } from '../solid/bed';
import type { Mesh } from '../meshFiles/mesh';

const ALONG = 1 - 1e-12;

/** Turns the build direction upwards; along an axis of the mesh the axes only change places. */
export function turnedTo(b: Vec3): Motion {
  const axis = b.findIndex((one) => Math.abs(one) > ALONG);
  if (axis === 2) return STILL;
  if (axis === 0)
    return {
      rows: [
        [0, 1, 0],
        [0, 0, 1],
        [1, 0, 0],
      ],
      shift: [0, 0, 0],
    };
  if (axis === 1)
    return {
      rows: [
        [0, 0, 1],
        [1, 0, 0],
        [0, 1, 0],
      ],
      shift: [0, 0, 0],
    };
  return turnUp(b);
}

export function turnedMesh({ vertices, triangles }: Mesh, motion: Motion): Mesh {
  if (motion === STILL) return { vertices, triangles };
  const out = new Float64Array(vertices.length);
  for (let at = 0; at < vertices.length; at += 3)
    out.set(turn(motion, [vertices[at]!, vertices[at + 1]!, vertices[at + 2]!]), at);
  return { vertices: out, triangles };
}
