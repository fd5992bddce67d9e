import { refusal } from '../../base/errors';

declare module '../../base/errors' {
  interface RefusalFacts {
    'meshFile.empty': Record<never, never>;
    'meshFile.triangles': { count: number; mostTriangles: number };
    'meshFile.notFinite': { corner: number; triangle: number };
  }
}

/** A surface of triangles with shared corners, mm. */
export interface Mesh {
  /** x, y, z of each corner. */
  readonly vertices: Float64Array;
  /** Three corners of each triangle, counter-clockwise from outside. */
  readonly triangles: Uint32Array;
}

export const MOST_TRIANGLES = 2_000_000;

/** Refuses what no solid has: no triangle, too many, a number that is none. */
export function checkedTriangles(count: number, path: string): void {
  if (count === 0) throw refusal(path, 'meshFile.empty');
  if (count > MOST_TRIANGLES)
    throw refusal(path, 'meshFile.triangles', { count, mostTriangles: MOST_TRIANGLES });
}

/**
 * Joins corners that lie at the very same place.
 *
 * @param corners x, y, z of the three corners of each triangle
 * @throws CalcError at a number that is not finite
 */
export function welded(corners: Float32Array | Float64Array, path: string): Mesh {
  const count = corners.length / 3;
  const triangles = new Uint32Array(count);
  const vertices = new Float64Array(corners.length);
  let size = 1;
  while (size < 2 * count) size *= 2;
  const table = new Int32Array(size).fill(-1);
  const bits = new Float64Array(3);
  const words = new Uint32Array(bits.buffer);
  let known = 0;
  for (let corner = 0; corner < count; corner++) {
    // adding nothing makes −0 and 0 one place
    const [x, y, z] = [corners[3 * corner]! + 0, corners[3 * corner + 1]! + 0, corners[3 * corner + 2]! + 0];
    if (!Number.isFinite(x + y + z))
      throw refusal(path, 'meshFile.notFinite', {
        corner: (corner % 3) + 1,
        triangle: Math.floor(corner / 3) + 1,
      });
    bits[0] = x;
    bits[1] = y;
    bits[2] = z;
    let hash = 0x811c9dc5;
    for (let word = 0; word < 6; word++) hash = Math.imul(hash ^ words[word]!, 0x01000193) ^ (hash >>> 15);
    let slot = (hash >>> 0) & (size - 1);
    for (;;) {
      const at = table[slot]!;
      if (at < 0) {
        table[slot] = known;
        vertices[3 * known] = x;
        vertices[3 * known + 1] = y;
        vertices[3 * known + 2] = z;
        triangles[corner] = known++;
        break;
      }
      if (vertices[3 * at] === x && vertices[3 * at + 1] === y && vertices[3 * at + 2] === z) {
        triangles[corner] = at;
        break;
      }
      slot = (slot + 1) & (size - 1);
    }
  }
  return { vertices: vertices.slice(0, 3 * known), triangles };
}
