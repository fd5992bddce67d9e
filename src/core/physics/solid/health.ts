import { boundsOf, edgesOf, solidOf } from './measure';
import { type Mesh, welded } from '../meshFiles/mesh';
import { gridOver, overlaps } from './voxelise';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.mesh.open': { edges: number };
    'note.mesh.flat': Record<never, never>;
    'note.mesh.insideOut': Record<never, never>;
    'note.mesh.crossing': Record<never, never>;
    'note.mesh.large': { longest: Measure };
    'note.mesh.small': { longest: Measure };
    'note.mesh.turned': { faces: number; all: boolean };
    'note.mesh.joined': { corners: number };
    'note.mesh.droppedFlat': { triangles: number };
    'note.mesh.droppedTwins': { triangles: number };
    'note.mesh.closed': { holes: number };
  }
}

/** What is wrong with a mesh, and whether a repair may mend it. */
export interface Ailment {
  what: 'open' | 'insideOut' | 'flat' | 'crossing' | 'small' | 'large';
  text: Finding;
  mendable: boolean;
}

/** Sizes of parts of a small car, mm: outside these the file's unit is doubted. */
const [SMALLEST_MM, LARGEST_MM] = [2, 800];
/** Volume over area times the longest side under which nothing is solid. */
const FLAT = 1e-6;
const COLUMNS = 120;

/** What keeps a mesh from being a solid, the worst first. */
export function ailmentsOf(mesh: Mesh): Ailment[] {
  const { unpaired } = edgesOf(mesh);
  const { signed, area, volume } = solidOf(mesh);
  const { min, max } = boundsOf(mesh);
  const sides = [max[0] - min[0], max[1] - min[1], max[2] - min[2]];
  const longest = Math.max(...sides);
  const found: Ailment[] = [];
  const flat = Math.min(...sides) <= FLAT * longest;
  if (unpaired > 0 && !flat)
    found.push({
      what: 'open',
      text: finding('note.mesh.open', { edges: unpaired }),
      mendable: true,
    });
  else if (flat || volume <= FLAT * area * longest)
    found.push({ what: 'flat', text: finding('note.mesh.flat', {}), mendable: false });
  else if (signed < 0)
    found.push({ what: 'insideOut', text: finding('note.mesh.insideOut', {}), mendable: true });
  else if (overlaps(mesh, gridOver(mesh, longest / COLUMNS)))
    found.push({
      what: 'crossing',
      text: finding('note.mesh.crossing', {}),
      mendable: false,
    });
  if (longest > LARGEST_MM)
    found.push({
      what: 'large',
      text: finding('note.mesh.large', { longest: measure(longest, 'lengthMm') }),
      mendable: false,
    });
  if (longest < SMALLEST_MM)
    found.push({
      what: 'small',
      text: finding('note.mesh.small', { longest: measure(longest, 'lengthMm') }),
      mendable: false,
    });
  return found;
}

/** Units that a file may have been written in, with the size that it would have, mm. */
export function unitsFor(mesh: Mesh): { unitMm: number; name: string; longestMm: number }[] {
  const { min, max } = boundsOf(mesh);
  const longest = Math.max(max[0] - min[0], max[1] - min[1], max[2] - min[2]);
  return [
    { unitMm: 1, name: 'millimetres' },
    { unitMm: 10, name: 'centimetres' },
    { unitMm: 25.4, name: 'inches' },
    { unitMm: 1000, name: 'metres' },
    { unitMm: 0.001, name: 'micrometres' },
  ].map((unit) => ({ ...unit, longestMm: longest * unit.unitMm }));
}

export interface Repaired {
  mesh: Mesh;
  /** What was done, one finding each. */
  done: Finding[];
  /** What it could not mend. */
  left: Ailment[];
}

/** Corners nearer to each other than this share of the longest side are one. */
const NEAR = 1e-5;
const MOST_RIM = 400;

/** Joins corners, drops what has no area or is there twice, turns faces alike and outwards, and closes flat holes. */
export function repaired(mesh: Mesh): Repaired {
  const done: Finding[] = [];
  let next = joined(mesh, done);
  next = withoutTwins(next, done);
  const before = next.triangles;
  next = closed(turnedAlike(next), done);
  if (edgesOf(next).unpaired === 0 && solidOf(next).signed < 0)
    next = { vertices: next.vertices, triangles: flipped(next.triangles) };
  const turned = turnedFrom(before, next.triangles);
  if (turned > 0)
    done.push(finding('note.mesh.turned', { faces: turned, all: turned === before.length / 3 }));
  return { mesh: next, done, left: ailmentsOf(next) };
}

function joined({ vertices, triangles }: Mesh, done: Finding[]): Mesh {
  const { min, max } = boundsOf({ vertices, triangles });
  const grid = Math.max(max[0] - min[0], max[1] - min[1], max[2] - min[2]) * NEAR || 1;
  const firsts = new Map<string, number>();
  const to = new Int32Array(vertices.length / 3);
  for (let at = 0; at < to.length; at++) {
    const key = [0, 1, 2].map((axis) => Math.round(vertices[3 * at + axis]! / grid)).join();
    const first = firsts.get(key) ?? at;
    firsts.set(key, first);
    to[at] = first;
  }
  const corners = Float64Array.from(
    { length: 3 * triangles.length },
    (_, at) => vertices[3 * to[triangles[Math.floor(at / 3)]!]! + (at % 3)]!,
  );
  const next = welded(corners, 'mesh');
  const merged = vertices.length / 3 - next.vertices.length / 3;
  if (merged > 0) done.push(finding('note.mesh.joined', { corners: merged }));
  return next;
}

function withoutTwins({ vertices, triangles }: Mesh, done: Finding[]): Mesh {
  const kept: number[] = [];
  const seen = new Set<string>();
  let [flat, twins] = [0, 0];
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [triangles[at]!, triangles[at + 1]!, triangles[at + 2]!];
    if (a === b || b === c || c === a) {
      flat++;
      continue;
    }
    const key = a < b && a < c ? `${a},${b},${c}` : b < c ? `${b},${c},${a}` : `${c},${a},${b}`;
    if (seen.has(key)) {
      twins++;
      continue;
    }
    seen.add(key);
    kept.push(a, b, c);
  }
  if (flat > 0) done.push(finding('note.mesh.droppedFlat', { triangles: flat }));
  if (twins > 0) done.push(finding('note.mesh.droppedTwins', { triangles: twins }));
  return { vertices, triangles: Uint32Array.from(kept) };
}

const edgeKey = (a: number, b: number) => (a < b ? `${a},${b}` : `${b},${a}`);

/** Walks over shared edges and turns each face the way of the one it came from. */
function turnedAlike({ vertices, triangles }: Mesh): Mesh {
  const next = triangles.slice();
  const faces = new Map<string, number[]>();
  for (let at = 0; at < next.length; at += 3)
    for (let k = 0; k < 3; k++) {
      const key = edgeKey(next[at + k]!, next[at + ((k + 1) % 3)]!);
      faces.set(key, [...(faces.get(key) ?? []), at]);
    }
  const seen = new Uint8Array(next.length / 3);
  for (let start = 0; start < next.length; start += 3) {
    if (seen[start / 3]) continue;
    seen[start / 3] = 1;
    const waiting = [start];
    while (waiting.length > 0) {
      const at = waiting.pop()!;
      for (let k = 0; k < 3; k++) {
        const [a, b] = [next[at + k]!, next[at + ((k + 1) % 3)]!];
        const both = faces.get(edgeKey(a, b))!;
        if (both.length !== 2) continue;
        const other = both[0] === at ? both[1]! : both[0]!;
        if (seen[other / 3]) continue;
        seen[other / 3] = 1;
        const runsAlike = [0, 1, 2].some((m) => next[other + m] === a && next[other + ((m + 1) % 3)] === b);
        if (runsAlike) [next[other + 1], next[other + 2]] = [next[other + 2]!, next[other + 1]!];
        waiting.push(other);
      }
    }
  }
  return { vertices, triangles: next };
}

/** How many of the faces that were there run the other way round now. */
function turnedFrom(before: Uint32Array, after: Uint32Array): number {
  let turned = 0;
  for (let at = 0; at < before.length; at += 3) if (before[at + 1] !== after[at + 1]) turned++;
  return turned;
}

/** Closes rims with a fan from their middle. */
function closed({ vertices, triangles }: Mesh, done: Finding[]): Mesh {
  const onwards = new Map<number, number>();
  const open = new Map<string, [number, number]>();
  for (let at = 0; at < triangles.length; at += 3)
    for (let k = 0; k < 3; k++) {
      const [a, b] = [triangles[at + k]!, triangles[at + ((k + 1) % 3)]!];
      if (open.delete(`${b},${a}`)) continue;
      open.set(`${a},${b}`, [a, b]);
    }
  for (const [a, b] of open.values()) onwards.set(b, a);
  const [points, faces] = [Array.from(vertices), Array.from(triangles)];
  let holes = 0;
  while (onwards.size > 0) {
    const first = onwards.keys().next().value!;
    const rim = [first];
    for (
      let at = onwards.get(first);
      at !== undefined && at !== first && rim.length <= MOST_RIM;
      at = onwards.get(at)
    )
      rim.push(at);
    const whole = onwards.get(rim.at(-1)!) === first;
    for (const at of rim) onwards.delete(at);
    if (!whole || rim.length < 3) continue;
    const middle = points.length / 3;
    for (let axis = 0; axis < 3; axis++)
      points.push(rim.reduce((sum, at) => sum + points[3 * at + axis]!, 0) / rim.length);
    rim.forEach((at, index) => faces.push(at, rim[(index + 1) % rim.length]!, middle));
    holes++;
  }
  if (holes > 0) done.push(finding('note.mesh.closed', { holes }));
  return { vertices: Float64Array.from(points), triangles: Uint32Array.from(faces) };
}

function flipped(triangles: Uint32Array): Uint32Array {
  const next = triangles.slice();
  for (let at = 0; at < next.length; at += 3) [next[at + 1], next[at + 2]] = [next[at + 2]!, next[at + 1]!];
  return next;
}

/** The mesh in millimetres. */
export const inMm = (mesh: Mesh, unitMm: number): Mesh =>
  unitMm === 1 ? mesh : { vertices: mesh.vertices.map((one) => one * unitMm), triangles: mesh.triangles };
