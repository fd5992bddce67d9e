import {
  across,
  add,
  cross,
  dot,
  lengthOf,
  type Motion,
  scale,
  subtract,
  turn,
  turnBack,
  unit,
  type Vec3,
} from '../../base/vec3';
import type { Convex } from './convex';

/** A convex body where a pose has taken it. */
export interface Placed {
  convex: Convex;
  motion: Motion;
}

const farthestOf = ({ convex, motion }: Placed, direction: Vec3): Vec3 => {
  const local = convex.farthest(turnBack(motion, direction));
  return add(turn(motion, local), motion.shift);
};

const [CLOSE_MM, TOUCH_MM, MOST_TRIES] = [1e-7, 1e-9, 200];

/**
 * Signed distance of two convex bodies, mm: apart how far, else less than nothing by the shortest way that parts them.
 *
 * @see Ericson, Real-Time Collision Detection, ch. 9 (GJK); van den Bergen, Collision Detection in Interactive 3D Environments (EPA)
 */
export function signedMm(a: Placed, b: Placed): number {
  const round = a.convex.roundMm + b.convex.roundMm;
  const between = (direction: Vec3): Vec3 =>
    subtract(farthestOf(a, direction), farthestOf(b, scale(direction, -1)));
  const found = nearOrigin(between);
  return (found.distanceMm > TOUCH_MM ? found.distanceMm : -depthMm(between, found.simplex)) - round;
}

/** Distance of two convex bodies, 0 where they touch or overlap, mm. */
export function apartMm(a: Placed, b: Placed): number {
  const between = (direction: Vec3): Vec3 =>
    subtract(farthestOf(a, direction), farthestOf(b, scale(direction, -1)));
  return Math.max(0, nearOrigin(between).distanceMm - a.convex.roundMm - b.convex.roundMm);
}

type Farthest = (direction: Vec3) => Vec3;

/** The point of a convex set that is nearest to the origin, by simplices in it. */
function nearOrigin(farthest: Farthest): { distanceMm: number; simplex: Vec3[] } {
  let simplex: Vec3[] = [farthest([1, 0, 0])];
  let near = simplex[0]!;
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const distanceMm = lengthOf(near);
    if (distanceMm < TOUCH_MM) return { distanceMm: 0, simplex };
    const next = farthest(scale(near, -1));
    if (distanceMm - dot(next, near) / distanceMm < CLOSE_MM) return { distanceMm, simplex };
    if (simplex.some((point) => lengthOf(subtract(point, next)) < TOUCH_MM)) return { distanceMm, simplex };
    const found = nearestOf([...simplex, next]);
    simplex = found.kept;
    near = found.near;
    if (simplex.length === 4) return { distanceMm: 0, simplex };
  }
  return { distanceMm: lengthOf(near), simplex };
}

/** The point of a simplex nearest to the origin, and the corners that hold it. */
function nearestOf(points: readonly Vec3[]): { near: Vec3; kept: Vec3[] } {
  let best: { near: Vec3; kept: Vec3[]; mm: number } | undefined;
  for (let which = 1; which < 1 << points.length; which++) {
    const kept = points.filter((_, k) => which & (1 << k));
    const near = within(kept);
    if (!near) continue;
    const mm = lengthOf(near);
    if (!best || mm < best.mm) best = { near, kept, mm };
  }
  return best!;
}

/** Foot of the origin on what the points span, where it lies between them all. */
function within(points: readonly Vec3[]): Vec3 | undefined {
  const [a, b, c, d] = points as [Vec3, Vec3?, Vec3?, Vec3?];
  if (!b) return a;
  const ab = subtract(b, a);
  if (!c) {
    const t = -dot(a, ab) / dot(ab, ab);
    return t > 0 && t < 1 ? add(a, scale(ab, t)) : undefined;
  }
  const ac = subtract(c, a);
  if (!d) {
    const normal = cross(ab, ac);
    const size = dot(normal, normal);
    if (size === 0) return undefined;
    const u = dot(cross(scale(a, -1), ac), normal) / size;
    const v = dot(cross(ab, scale(a, -1)), normal) / size;
    return u > 0 && v > 0 && u + v < 1 ? add(a, add(scale(ab, u), scale(ac, v))) : undefined;
  }
  const ad = subtract(d, a);
  const size = dot(ab, cross(ac, ad));
  if (size === 0) return undefined;
  const to = scale(a, -1);
  const u = dot(to, cross(ac, ad)) / size;
  const v = dot(ab, cross(to, ad)) / size;
  const w = dot(ab, cross(ac, to)) / size;
  return u > 0 && v > 0 && w > 0 && u + v + w < 1 ? [0, 0, 0] : undefined;
}

interface Face {
  corners: readonly [Vec3, Vec3, Vec3];
  normal: Vec3;
  mm: number;
}

const [DEEP_CLOSE_MM, MOST_FACES, THIN] = [5e-4, 4000, 1e-10];
const TRIED: readonly Vec3[] = [1, -1].flatMap((sign): Vec3[] => [
  [sign, 0, 0],
  [0, sign, 0],
  [0, 0, sign],
]);

/** How deep the origin lies in a convex set, mm: by a polytope in it that grows where it is nearest to its skin. */
function depthMm(farthest: Farthest, start: readonly Vec3[]): number {
  const corners = solidOf(farthest, start);
  // a set without thickness is parted at once
  if (!corners) return 0;
  const inside = scale(
    corners.reduce((sum, corner) => add(sum, corner), [0, 0, 0] as Vec3),
    1 / 4,
  );
  const faceOf = (a: Vec3, b: Vec3, c: Vec3): Face | undefined => {
    const across = cross(subtract(b, a), subtract(c, a));
    const size = lengthOf(across);
    if (size < THIN) return undefined;
    const normal = scale(across, 1 / size);
    return dot(normal, subtract(a, inside)) >= 0
      ? { corners: [a, b, c], normal, mm: dot(normal, a) }
      : { corners: [a, c, b], normal: scale(normal, -1), mm: -dot(normal, a) };
  };
  const [p, q, r, s] = corners as [Vec3, Vec3, Vec3, Vec3];
  let faces = [faceOf(p, q, r), faceOf(p, q, s), faceOf(p, r, s), faceOf(q, r, s)].filter(
    (face) => face !== undefined,
  );
  let deep = Infinity;
  while (faces.length > 0 && faces.length < MOST_FACES) {
    const nearest = faces.reduce((least, face) => (face.mm < least.mm ? face : least));
    const next = farthest(nearest.normal);
    const reach = dot(next, nearest.normal);
    deep = Math.min(deep, reach);
    if (deep - nearest.mm < DEEP_CLOSE_MM) break;
    const seen = faces.filter(({ normal, corners: [a] }) => dot(normal, subtract(next, a)) > THIN);
    if (seen.length === 0) break;
    const rim = new Map<string, [Vec3, Vec3]>();
    const numberOf = new Map<Vec3, number>();
    const number = (corner: Vec3) => {
      if (!numberOf.has(corner)) numberOf.set(corner, numberOf.size);
      return numberOf.get(corner)!;
    };
    for (const { corners: each } of seen)
      each.forEach((from, k) => {
        const to = each[(k + 1) % 3]!;
        const back = `${number(to)},${number(from)}`;
        if (!rim.delete(back)) rim.set(`${number(from)},${number(to)}`, [from, to]);
      });
    const hidden = new Set(seen);
    faces = [
      ...faces.filter((face) => !hidden.has(face)),
      ...[...rim.values()].flatMap(([from, to]) => faceOf(from, to, next) ?? []),
    ];
  }
  return Math.max(0, deep === Infinity ? 0 : deep);
}

/** Four corners of a convex set that enclose room, with what is known of it; none of a flat one. */
function solidOf(farthest: Farthest, start: readonly Vec3[]): Vec3[] | undefined {
  const corners: Vec3[] = [];
  const offOf = (point: Vec3): number => {
    const [a, b, c] = corners as [Vec3?, Vec3?, Vec3?];
    if (!a) return 1;
    const way = subtract(point, a);
    if (!b) return lengthOf(way);
    const line = subtract(b, a);
    if (!c) return lengthOf(cross(line, way)) / lengthOf(line);
    const normal = cross(line, subtract(c, a));
    return Math.abs(dot(normal, way)) / lengthOf(normal);
  };
  const take = (candidates: readonly Vec3[]) => {
    const best = candidates.reduce<Vec3 | undefined>(
      (most, point) => (!most || offOf(point) > offOf(most) ? point : most),
      undefined,
    );
    if (!best || offOf(best) < TOUCH_MM * 10) return false;
    corners.push(best);
    return true;
  };
  for (const point of start) take([point]);
  while (corners.length < 4) {
    const [a, b, c] = corners as [Vec3?, Vec3?, Vec3?];
    const normal = a && b && c ? cross(subtract(b, a), subtract(c, a)) : undefined;
    const sides = a && b && !c ? across(unit(subtract(b, a))) : [];
    const tried = normal
      ? [normal, scale(normal, -1)]
      : [...TRIED, ...sides, ...sides.map((side) => scale(side, -1))];
    if (!take(tried.map(farthest))) return undefined;
  }
  return corners;
}
