import { boundsOf } from './measure';
import type { Mesh } from '../meshFiles/mesh';

/** A mesh that lies, brought to its place on a plate: its low corner at x and y from the bed's, a quarter turn where asked. */
export function placedOnPlate(
  { vertices, triangles }: Mesh,
  { xMm, yMm, turned }: { xMm: number; yMm: number; turned: boolean },
): Mesh {
  const out = new Float64Array(vertices.length);
  for (let at = 0; at < vertices.length; at += 3) {
    const [x, y] = [vertices[at]!, vertices[at + 1]!];
    out[at] = turned ? -y : x;
    out[at + 1] = turned ? x : y;
    out[at + 2] = vertices[at + 2]!;
  }
  const { min } = boundsOf({ vertices: out, triangles });
  for (let at = 0; at < out.length; at += 3) {
    out[at]! += xMm - min[0];
    out[at + 1]! += yMm - min[1];
    out[at + 2]! -= min[2];
  }
  return { vertices: out, triangles };
}
