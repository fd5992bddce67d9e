import { CalcError } from '../errors';
import { checkedTriangles, type Mesh, welded } from './mesh';

const [HEADER, RECORD] = [84, 50];
const NUMBER = String.raw`[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?|[-+]?(?:nan|inf(?:inity)?)`;

/**
 * A mesh from STL, binary or ASCII.
 *
 * @throws CalcError with the path given: cut off, without triangles, too many, numbers that are none
 */
export function readStl(bytes: Uint8Array, path: string): Mesh {
  return isText(bytes) ? readText(new TextDecoder().decode(bytes), path) : readBinary(bytes, path);
}

/** A text starts with `solid` and names a facet; a binary file may start so too, but has the length that it announces. */
function isText(bytes: Uint8Array): boolean {
  const start = String.fromCharCode(...bytes.subarray(0, 1000)).trimStart();
  if (!start.toLowerCase().startsWith('solid')) return false;
  if (bytes.length >= HEADER && HEADER + RECORD * announced(bytes) === bytes.length) return false;
  return /facet|endsolid/i.test(start) || bytes.length < HEADER;
}

const announced = (bytes: Uint8Array) => new DataView(bytes.buffer, bytes.byteOffset).getUint32(80, true);

function readBinary(bytes: Uint8Array, path: string): Mesh {
  if (bytes.length < HEADER) throw new CalcError(path, 'is cut off before its first triangle, or no STL at all', 'export the part again');
  const count = announced(bytes);
  checkedTriangles(count, path);
  const room = Math.floor((bytes.length - HEADER) / RECORD);
  if (room < count) throw new CalcError(path, `is cut off: it announces ${count} triangles and holds ${room}`, 'export the part again');
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  const corners = new Float32Array(9 * count);
  for (let triangle = 0; triangle < count; triangle++) {
    const at = HEADER + RECORD * triangle + 12;
    for (let number = 0; number < 9; number++) corners[9 * triangle + number] = view.getFloat32(at + 4 * number, true);
  }
  return welded(corners, path);
}

function readText(text: string, path: string): Mesh {
  if (!/endsolid[^\n]*\s*$/i.test(text)) throw new CalcError(path, 'is cut off: its last line is no endsolid', 'export the part again');
  const found = [...text.matchAll(new RegExp(String.raw`vertex\s+(${NUMBER})\s+(${NUMBER})\s+(${NUMBER})`, 'gi'))];
  const [facets, named] = [text.match(/\bendfacet\b/gi)?.length ?? 0, text.match(/\bvertex\b/gi)?.length ?? 0];
  checkedTriangles(facets, path);
  if (found.length !== named || found.length !== 3 * facets) throw new CalcError(path, `does not give three corners for each of its ${facets} facets`, 'export the part again');
  return welded(Float64Array.from(found.flatMap(([, x, y, z]) => [Number(x), Number(y), Number(z)])), path);
}
