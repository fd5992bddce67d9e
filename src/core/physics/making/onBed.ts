import type { Mesh } from '../meshFiles/mesh';
import { boundsOf } from '../solid/measure';

/** Between two bodies on the bed, and how wide a row may become, mm. */
const [GAP_MM, ROW_MM] = [5, 180];

/** Bodies side by side in rows, each where it stands on z = 0, mm; the first at the origin's corner. */
export function sideBySideOnBed(meshes: readonly Mesh[]): Mesh[] {
  let [x, y, depth] = [0, 0, 0];
  return meshes.map((mesh) => {
    const { min, max } = boundsOf(mesh);
    const [width, length] = [max[0] - min[0], max[1] - min[1]];
    if (x > 0 && x + width > ROW_MM) [x, y, depth] = [0, y + depth + GAP_MM, 0];
    const shift = [x - min[0], y - min[1], -min[2]];
    x += width + GAP_MM;
    depth = Math.max(depth, length);
    return {
      triangles: mesh.triangles,
      vertices: mesh.vertices.map((value, at) => value + shift[at % 3]!),
    };
  });
}
