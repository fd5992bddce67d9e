import { XMLParser } from 'fast-xml-parser';
import { Unzip, UnzipInflate } from 'fflate';
import { declaredSizes } from './archiveSizes';
import { refusal } from '../../base/errors';
import { checkedTriangles, type Mesh, welded } from './mesh';
import { refuseTooMany } from './tooMany';

declare module '../../base/errors' {
  interface RefusalFacts {
    'threeMf.unit': { unit: string };
    'threeMf.noArchive': Record<never, never>;
    'threeMf.packed': Record<never, never>;
    'threeMf.large': { mostMb: number };
    'threeMf.noModel': Record<never, never>;
    'threeMf.xml': Record<never, never>;
    'threeMf.transform': Record<never, never>;
    'threeMf.objects': { mostPlaced: number };
    'threeMf.endless': Record<never, never>;
    'threeMf.noObject': { id: string };
    'threeMf.corner': Record<never, never>;
  }
}

/** What an archive may unpack to. */
const MOST_BYTES = 200_000_000;
/** Objects and components that a build may place in all. */
const MOST_PLACED = 10_000;
const MOST_DEPTH = 16;
const MM: Readonly<Record<string, number>> = {
  micron: 0.001,
  millimeter: 1,
  centimeter: 10,
  inch: 25.4,
  foot: 304.8,
  meter: 1000,
};
const LISTS: ReadonlySet<string> = new Set(['object', 'vertex', 'triangle', 'item', 'component']);

/** Twelve numbers by rows, the last row the shift, as 3MF has them. */
type Transform = readonly number[];
const STILL: Transform = [1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0];

interface Node {
  [key: string]: unknown;
}

/**
 * A mesh from 3MF: every object that the build names, placed by its transforms, in mm.
 *
 * @throws CalcError with the path given: no archive, one that unpacks to over 200 MB, no model, objects that are not there
 * @see 3MF Core Specification 1.3
 */
export function read3mf(bytes: Uint8Array, path: string): Mesh {
  const model = modelOf(unpacked(bytes, path), path);
  const scale = MM[String(model['@_unit'] ?? 'millimeter')];
  if (scale === undefined)
    throw refusal(path, 'threeMf.unit', { unit: String(model['@_unit']).slice(0, 20) });
  const objects = new Map(
    listOf(model.resources, 'object').map((object) => [String(object['@_id']), object]),
  );
  const laid: Laid = { corners: [], placed: 0, vertices: 0 };
  for (const item of listOf(model.build, 'item'))
    place(objects, String(item['@_objectid']), transformOf(item, path), laid, path, 0);
  checkedTriangles(laid.corners.length / 9, path);
  return welded(
    Float64Array.from(laid.corners, (value) => value * scale),
    path,
  );
}

const MODEL_FILE = /^\/?3D\/[^/]*\.model$/i;

/**
 * The model's XML, refused where the archive itself says that it is too large, and unpacked piece by piece so
 * that a bomb stops at the limit.
 */
function unpacked(bytes: Uint8Array, path: string): string {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) throw refusal(path, 'threeMf.noArchive');
  let total = 0;
  let tooLarge = declaredSizes(bytes).some(
    ({ name, bytes: size }) => MODEL_FILE.test(name) && size > MOST_BYTES,
  );
  let whole = false;
  const parts: Uint8Array[] = [];
  try {
    const unzip = new Unzip((file) => {
      if (!MODEL_FILE.test(file.name) || whole || tooLarge) return;
      if ((file.originalSize ?? 0) > MOST_BYTES) {
        tooLarge = true;
        return;
      }
      file.ondata = (error, data, final) => {
        if (error) throw error;
        total += data.length;
        if (total > MOST_BYTES) {
          tooLarge = true;
          file.terminate();
          return;
        }
        parts.push(data);
        whole ||= final;
      };
      file.start();
    });
    unzip.register(UnzipInflate);
    const step = 65_536;
    for (let at = 0; at < bytes.length && !tooLarge; at += step)
      unzip.push(bytes.subarray(at, at + step), at + step >= bytes.length);
  } catch {
    throw refusal(path, 'threeMf.packed');
  }
  if (tooLarge) throw refusal(path, 'threeMf.large', { mostMb: MOST_BYTES / 1e6 });
  if (!whole) throw refusal(path, 'threeMf.noModel');
  const text = new Uint8Array(total);
  let at = 0;
  for (const part of parts) {
    text.set(part, at);
    at += part.length;
  }
  return new TextDecoder().decode(text);
}

function modelOf(xml: string, path: string): Node {
  try {
    const read = new XMLParser({
      ignoreAttributes: false,
      removeNSPrefix: true,
      processEntities: false,
      isArray: (name) => LISTS.has(name),
    }).parse(xml) as Node;
    if (typeof read.model === 'object' && read.model !== null) return read.model as Node;
  } catch {
    // told below
  }
  throw refusal(path, 'threeMf.xml');
}

function listOf(parent: unknown, name: string): Node[] {
  const list = typeof parent === 'object' && parent !== null ? (parent as Node)[name] : undefined;
  return Array.isArray(list) ? (list as Node[]) : [];
}

function transformOf(node: Node, path: string): Transform {
  if (node['@_transform'] === undefined) return STILL;
  const numbers = String(node['@_transform']).trim().split(/\s+/).map(Number);
  if (numbers.length !== 12 || numbers.some((value) => !Number.isFinite(value)))
    throw refusal(path, 'threeMf.transform');
  return numbers;
}

const moved = ([x, y, z]: readonly number[], t: Transform) =>
  [0, 1, 2].map((axis) => x! * t[axis]! + y! * t[3 + axis]! + z! * t[6 + axis]! + t[9 + axis]!);

/** First the inner transform, then the outer. */
function joined(inner: Transform, outer: Transform): Transform {
  const turned = (row: number) =>
    [0, 1, 2].map(
      (axis) =>
        inner[row]! * outer[axis]! + inner[row + 1]! * outer[3 + axis]! + inner[row + 2]! * outer[6 + axis]!,
    );
  return [...turned(0), ...turned(3), ...turned(6), ...moved(inner.slice(9), outer)];
}

/** What was laid out so far. */
interface Laid {
  corners: number[];
  placed: number;
  vertices: number;
}

function place(
  objects: ReadonlyMap<string, Node>,
  id: string,
  transform: Transform,
  laid: Laid,
  path: string,
  depth: number,
): void {
  if (++laid.placed > MOST_PLACED) throw refusal(path, 'threeMf.objects', { mostPlaced: MOST_PLACED });
  const object = objects.get(id);
  if (!object || depth > MOST_DEPTH)
    throw object
      ? refusal(path, 'threeMf.endless')
      : refusal(path, 'threeMf.noObject', { id: id.slice(0, 20) });
  const mesh = object.mesh as Node | undefined;
  if (mesh) {
    const given = listOf(mesh.vertices, 'vertex');
    refuseTooMany((laid.vertices += given.length) / 3, path);
    const vertices = given.map((vertex) =>
      moved([Number(vertex['@_x']), Number(vertex['@_y']), Number(vertex['@_z'])], transform),
    );
    for (const triangle of listOf(mesh.triangles, 'triangle')) {
      for (const key of ['@_v1', '@_v2', '@_v3']) {
        const vertex = vertices[Number(triangle[key])];
        if (!vertex) throw refusal(path, 'threeMf.corner');
        laid.corners.push(vertex[0]!, vertex[1]!, vertex[2]!);
      }
      refuseTooMany(laid.corners.length / 9, path);
    }
  }
  for (const component of listOf(object.components, 'component'))
    place(
      objects,
      String(component['@_objectid']),
      joined(transformOf(component, path), transform),
      laid,
      path,
      depth + 1,
    );
}
