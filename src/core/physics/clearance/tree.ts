import {
  add,
  carry,
  cross,
  distance,
  dot,
  lengthOf,
  type Motion,
  scale,
  subtract,
  type Vec3,
} from '../../base/vec3';
import { type Convex, convexOf, hullOf } from './convex';
import type { Form } from './definition';
import { apartMm, type Placed, signedMm } from './nearest';

/** A body as spheres round spheres, down to convex pieces; a mesh down to its triangles. */
export interface Tree {
  centre: Vec3;
  reachMm: number;
  /** A piece at the end of a branch, and whether it is filled: of a skin it is a triangle. */
  convex?: Convex;
  filled?: boolean;
  branches?: readonly [Tree, Tree];
}

/** A body that can be placed: convex as a whole, or a skin of triangles. */
export interface Body {
  tree: Tree;
  mesh?: Extract<Form, { kind: 'mesh' }>;
}

export function bodyOf(form: Form): Body {
  if (form.kind !== 'mesh') {
    const convex = convexOf(form);
    return { tree: leafOf(convex) };
  }
  const pieces = form.triangles.map((corners) => {
    const convex = hullOf(
      corners.map((k) => form.pointsMm[k]!),
      0,
    );
    return { centre: convex.centre, reachMm: convex.reachMm, convex };
  });
  return { tree: treeOf(pieces), mesh: form };
}

const leafOf = (convex: Convex): Tree => ({
  centre: convex.centre,
  reachMm: convex.reachMm,
  convex,
  filled: true,
});

/** Several convex bodies that move as one. */
export const compoundOf = (forms: readonly Exclude<Form, { kind: 'mesh' }>[]): Body => ({
  tree: treeOf(forms.map((form) => leafOf(convexOf(form)))),
});

/** Halved across its longest side again and again. */
function treeOf(pieces: readonly Tree[]): Tree {
  if (pieces.length === 1) return pieces[0]!;
  const [low, high] = [Infinity, -Infinity].map((start) => [start, start, start]) as [number[], number[]];
  for (const { centre } of pieces)
    for (let k = 0; k < 3; k++) {
      low[k] = Math.min(low[k]!, centre[k]!);
      high[k] = Math.max(high[k]!, centre[k]!);
    }
  const sizes = high.map((most, k) => most - low[k]!);
  const axis = sizes.indexOf(Math.max(...sizes));
  const sorted = [...pieces].sort((one, other) => one.centre[axis]! - other.centre[axis]!);
  const half = sorted.length >> 1;
  const branches = [treeOf(sorted.slice(0, half)), treeOf(sorted.slice(half))] as const;
  const centre: Vec3 = [(low[0]! + high[0]!) / 2, (low[1]! + high[1]!) / 2, (low[2]! + high[2]!) / 2];
  return {
    centre,
    reachMm: pieces.reduce(
      (most, piece) => Math.max(most, distance(piece.centre, centre) + piece.reachMm),
      0,
    ),
    branches,
  };
}

/** The least that two bodies can be apart where they stand, mm. */
const atLeastMm = (a: Tree, inA: Motion, b: Tree, inB: Motion): number =>
  distance(carry(inA, a.centre), carry(inB, b.centre)) - a.reachMm - b.reachMm;

/** Distance with its sign of two bodies where they stand, mm; a mesh in contact is at 0. None where over a distance that is known. */
export function bodiesMm(a: Body, inA: Motion, b: Body, inB: Motion, under = Infinity): number | undefined {
  if (atLeastMm(a.tree, inA, b.tree, inB) > under) return undefined;
  const skin = skinsMm(a.tree, inA, b.tree, inB, under);
  if (skin > CONTACT_MM && (holds(a, inA, b, inB) || holds(b, inB, a, inA))) return 0;
  return skin;
}

export const CONTACT_MM = 0.001;

const placed = (tree: Tree, motion: Motion): Placed => ({ convex: tree.convex!, motion });

function skinsMm(a: Tree, inA: Motion, b: Tree, inB: Motion, best: number): number {
  if (atLeastMm(a, inA, b, inB) >= best) return best;
  if (a.convex && b.convex) {
    const between = a.filled && b.filled ? signedMm : apartMm;
    return Math.min(best, between(placed(a, inA), placed(b, inB)));
  }
  const splitsA = a.branches !== undefined && (b.branches === undefined || a.reachMm >= b.reachMm);
  const pairs = splitsA
    ? a.branches!.map((branch) => [branch, b] as const)
    : b.branches!.map((branch) => [a, branch] as const);
  return pairs
    .map(([one, other]) => ({ one, other, least: atLeastMm(one, inA, other, inB) }))
    .sort((one, other) => one.least - other.least)
    .reduce((least, { one, other }) => skinsMm(one, inA, other, inB, least), best);
}

/** Whether a mesh holds a point of another body: the other lies in it where their skins do not meet. */
function holds(outer: Body, inOuter: Motion, inner: Body, inInner: Motion): boolean {
  if (!outer.mesh) return false;
  const local = inner.mesh ? inner.mesh.pointsMm[inner.mesh.triangles[0]![0]]! : inner.tree.centre;
  const point = carry(inInner, local);
  const corners = outer.mesh.pointsMm.map((corner) => subtract(carry(inOuter, corner), point));
  // how much of the sphere round the point the skin covers: all of it from within, nothing from without
  const angle = outer.mesh.triangles.reduce(
    (sum, [i, j, k]) => sum + solidAngle(corners[i]!, corners[j]!, corners[k]!),
    0,
  );
  return Math.abs(angle) > 2 * Math.PI;
}

/** Solid angle of a triangle from the origin. Source: van Oosterom and Strackee (1983). */
function solidAngle(a: Vec3, b: Vec3, c: Vec3): number {
  const [la, lb, lc] = [lengthOf(a), lengthOf(b), lengthOf(c)];
  const below = la * lb * lc + dot(a, b) * lc + dot(a, c) * lb + dot(b, c) * la;
  return 2 * Math.atan2(dot(a, cross(b, c)), below);
}

/** Every farthest point of a body in a direction, for what looks at its outline. */
export function farthestOf({ tree, mesh }: Body, direction: Vec3): Vec3 {
  if (!mesh) {
    const { convex } = tree;
    const core = convex!.farthest(direction);
    const size = lengthOf(direction);
    return convex!.roundMm === 0 ? core : add(core, scale(direction, convex!.roundMm / size));
  }
  return hullOf(mesh.pointsMm, 0).farthest(direction);
}
