import { refusal } from '../../base/errors';
import { cross, lengthOf, type Motion, subtract, turn, turnBack, type Vec3 } from '../../base/vec3';
import type { Bricks } from '../solid/bricks';
import type { Grid } from '../solid/voxelise';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.fem.heldToo': { nodes: number };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'fem.holdsNothing': Record<never, never>;
    'fem.holdsLine': Record<never, never>;
    'fem.loadMisses': { index: number };
    'fem.pullsNothing': Record<never, never>;
  }
}

/** A box in the mesh's axes, mm; every node in it is held. */
export interface ClampBox {
  readonly min: Vec3;
  readonly max: Vec3;
}

/** A box whose nodes share a force. */
export interface LoadBox extends ClampBox {
  readonly forceN: Vec3;
}

export interface Clamp {
  readonly held: Uint8Array;
  /** Number of nodes. */
  readonly heldNodes: readonly number[];
  readonly loadedNodes: readonly number[];
  /** In the grid's axes, three figures a node. */
  readonly force: Float64Array;
  readonly notes: readonly Finding[];
}

const INCLUSIVE_MM = 1e-6;
/** Of the longest distance: nodes nearer to a line than this lie on it. */
const ON_LINE = 1e-6;

/**
 * What holds the bricks and what pulls at them.
 *
 * @throws CalcError at `fixed` where nothing is held or only a line, at `loads` where a box meets no node or nothing pulls
 */
export function clamped(
  bricks: Bricks,
  grid: Grid,
  turned: Motion,
  fixed: readonly ClampBox[],
  loads: readonly LoadBox[],
): Clamp {
  const places = placesOf(bricks, grid, turned);
  const nodes = bricks.corner.length;
  const held = new Uint8Array(nodes);
  for (const box of fixed) for (const node of within(places, box)) held[node] = 1;
  const heldNodes: number[] = [];
  for (let node = 0; node < nodes; node++) if (held[node] === 1) heldNodes.push(node);
  if (heldNodes.length === 0) throw refusal('fixed', 'fem.holdsNothing');
  const at = (node: number): Vec3 => [places[3 * node]!, places[3 * node + 1]!, places[3 * node + 2]!];
  if (onLine(heldNodes.map(at))) throw refusal('fixed', 'fem.holdsLine');
  const force = new Float64Array(3 * nodes);
  const loaded = new Set<number>();
  let [pulls, lost] = [false, 0];
  loads.forEach((load, index) => {
    const own = within(places, load);
    if (own.length === 0) throw refusal('loads', 'fem.loadMisses', { index: index + 1 });
    const share = turn({ ...turned, shift: [0, 0, 0] }, load.forceN).map((one) => one / own.length);
    for (const node of own) {
      loaded.add(node);
      if (held[node] === 1) lost++;
      else if (lengthOf(load.forceN) > 0) pulls = true;
      for (let axis = 0; axis < 3; axis++) force[3 * node + axis]! += share[axis]!;
    }
  });
  if (!pulls) throw refusal('loads', 'fem.pullsNothing');
  return {
    held,
    heldNodes,
    loadedNodes: [...loaded],
    force,
    notes: lost > 0 ? [finding('note.fem.heldToo', { nodes: lost })] : [],
  };
}

/** Nodes in the mesh's axes, mm. */
function placesOf(
  { size: [nx, ny], corner }: Bricks,
  { origin, edgeMm }: Grid,
  turned: Motion,
): Float64Array {
  const out = new Float64Array(3 * corner.length);
  const [cx, cy] = [nx + 1, ny + 1];
  for (let node = 0; node < corner.length; node++) {
    const at = corner[node]!;
    const [x, y, z] = turnBack(turned, [
      origin[0] + (at % cx) * edgeMm,
      origin[1] + (Math.floor(at / cx) % cy) * edgeMm,
      origin[2] + Math.floor(at / (cx * cy)) * edgeMm,
    ]);
    out[3 * node] = x;
    out[3 * node + 1] = y;
    out[3 * node + 2] = z;
  }
  return out;
}

function within(places: Float64Array, { min, max }: ClampBox): number[] {
  const found: number[] = [];
  for (let at = 0; at < places.length; at += 3) {
    const [x, y, z] = [places[at]!, places[at + 1]!, places[at + 2]!];
    if (
      x >= min[0] - INCLUSIVE_MM &&
      x <= max[0] + INCLUSIVE_MM &&
      y >= min[1] - INCLUSIVE_MM &&
      y <= max[1] + INCLUSIVE_MM &&
      z >= min[2] - INCLUSIVE_MM &&
      z <= max[2] + INCLUSIVE_MM
    )
      found.push(at / 3);
  }
  return found;
}

function onLine(points: readonly Vec3[]): boolean {
  const first = points[0]!;
  let far: Vec3 = [0, 0, 0];
  for (const point of points)
    if (lengthOf(subtract(point, first)) > lengthOf(far)) far = subtract(point, first);
  const length = lengthOf(far);
  return (
    length === 0 ||
    points.every((point) => lengthOf(cross(subtract(point, first), far)) <= ON_LINE * length * length)
  );
}
