import { type Mesh, welded } from '../../meshFiles/mesh';
import type { Shape3D } from './kernel';

/** How far a triangle may lie from its face, mm, and how much neighbours may turn, rad. */
const FINE = { tolerance: 0.01, angularTolerance: 0.2 };

/** The surface of a solid in triangles with shared corners, mm. */
export function meshedBody(shape: Shape3D): Mesh {
  const { vertices, triangles } = shape.mesh(FINE);
  const corners = new Float64Array(3 * triangles.length);
  triangles.forEach((vertex, at) => {
    for (let axis = 0; axis < 3; axis++) corners[3 * at + axis] = vertices[3 * vertex + axis]!;
  });
  const mesh = welded(corners, 'mesh');
  const whole: number[] = [];
  for (let at = 0; at < mesh.triangles.length; at += 3) {
    const [a, b, c] = mesh.triangles.subarray(at, at + 3);
    if (a !== b && b !== c && c !== a) whole.push(a!, b!, c!);
  }
  return { vertices: mesh.vertices, triangles: Uint32Array.from(whole) };
}

/** The exact solid as STEP. @see ISO 10303-242 */
export const stepOf = async (shape: Shape3D): Promise<Uint8Array> =>
  new Uint8Array(await shape.blobSTEP().arrayBuffer());
