import { refusal } from '../../base/errors';
import { checkedTriangles, type Mesh, welded } from './mesh';
import { refuseTooMany } from './tooMany';

declare module '../../base/errors' {
  interface RefusalFacts {
    'stl.noTriangle': Record<never, never>;
    'stl.cutOff': { count: number; room: number };
    'stl.noEnd': Record<never, never>;
    'stl.facet': { next: string };
    'stl.facets': { facets: number };
  }
}

const [HEADER, RECORD] = [84, 50];
const NUMBER = /^[-+]?(?:\d|\.\d|nan|inf)/i;

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
  if (bytes.length < HEADER) throw refusal(path, 'stl.noTriangle');
  const count = announced(bytes);
  checkedTriangles(count, path);
  const room = Math.floor((bytes.length - HEADER) / RECORD);
  if (room < count) throw refusal(path, 'stl.cutOff', { count, room });
  const view = new DataView(bytes.buffer, bytes.byteOffset);
  const corners = new Float32Array(9 * count);
  for (let triangle = 0; triangle < count; triangle++) {
    const at = HEADER + RECORD * triangle + 12;
    for (let number = 0; number < 9; number++)
      corners[9 * triangle + number] = view.getFloat32(at + 4 * number, true);
  }
  return welded(corners, path);
}

/** A number is never longer; what is, is none. */
const LONGEST_WORD = 64;
const WORD = /\S+/g;

/** Word by word, in time that grows with the text alone. */
function readText(text: string, path: string): Mesh {
  if (!/endsolid[^\n]*\s*$/i.test(text.slice(-1000))) throw refusal(path, 'stl.noEnd');
  const corners: number[] = [];
  let [facets, vertices] = [0, 0];
  WORD.lastIndex = 0;
  for (let word = WORD.exec(text); word; word = WORD.exec(text)) {
    const said = word[0].length > LONGEST_WORD ? '' : word[0].toLowerCase();
    // what follows on the line is a name
    if (said === 'solid' || said === 'endsolid')
      WORD.lastIndex =
        text.indexOf('\n', WORD.lastIndex) < 0 ? text.length : text.indexOf('\n', WORD.lastIndex);
    if (said === 'endfacet') refuseTooMany((facets += 1), path);
    if (said !== 'vertex') continue;
    vertices += 1;
    for (let axis = 0; axis < 3; axis++) {
      const next = WORD.exec(text)?.[0] ?? '';
      if (next.length > LONGEST_WORD || !NUMBER.test(next))
        throw refusal(path, 'stl.facet', { next: next.slice(0, 20) });
      corners.push(Number(next));
    }
  }
  checkedTriangles(facets, path);
  if (vertices !== 3 * facets) throw refusal(path, 'stl.facets', { facets });
  return welded(Float64Array.from(corners), path);
}
