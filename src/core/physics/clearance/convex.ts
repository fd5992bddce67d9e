import {
  add,
  after,
  dot,
  lengthOf,
  rotationAbout,
  scale,
  STILL,
  subtract,
  turn,
  unit,
  type Vec3,
} from '../../base/vec3';
import type { Form } from './definition';

/** A convex body by its farthest point in a direction, thickened by a radius all round. */
export interface Convex {
  /** Farthest point of the core, in a direction of any length. */
  farthest(direction: Vec3): Vec3;
  /** Added all round the core, mm. */
  roundMm: number;
  /** A sphere round it. */
  centre: Vec3;
  reachMm: number;
}

const RAD = Math.PI / 180;
const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** A round or straight body; of points their hull. */
export function convexOf(form: Exclude<Form, { kind: 'mesh' }>): Convex {
  switch (form.kind) {
    case 'sphere':
      return {
        farthest: () => form.centreMm,
        roundMm: form.radiusMm,
        centre: form.centreMm,
        reachMm: form.radiusMm,
      };
    case 'capsule':
      return { ...hullOf([form.fromMm, form.toMm], form.radiusMm) };
    case 'cylinder':
      return cylinderOf(form.fromMm, form.toMm, form.radiusMm);
    case 'box':
      return boxOf(form.centreMm, form.sizeMm, form.turnDeg ?? [0, 0, 0]);
    case 'hull':
      return hullOf(form.pointsMm, 0);
  }
}

export function hullOf(points: readonly Vec3[], roundMm: number): Convex {
  const centre = scale(
    points.reduce((sum, point) => add(sum, point), [0, 0, 0] as Vec3),
    1 / points.length,
  );
  return {
    farthest: (direction) => {
      let best = points[0]!;
      let most = dot(best, direction);
      for (let k = 1; k < points.length; k++) {
        const along = dot(points[k]!, direction);
        if (along > most) [best, most] = [points[k]!, along];
      }
      return best;
    },
    roundMm,
    centre,
    reachMm: roundMm + points.reduce((most, point) => Math.max(most, lengthOf(subtract(point, centre))), 0),
  };
}

function cylinderOf(from: Vec3, to: Vec3, radiusMm: number): Convex {
  const centre = scale(add(from, to), 0.5);
  const half = scale(subtract(to, from), 0.5);
  const halfMm = lengthOf(half);
  const axis = halfMm > 0 ? scale(half, 1 / halfMm) : AXES[2]!;
  return {
    farthest: (direction) => {
      const along = dot(direction, axis);
      const side = subtract(direction, scale(axis, along));
      const sideMm = lengthOf(side);
      const end = add(centre, along >= 0 ? half : scale(half, -1));
      return sideMm > 1e-14 * (Math.abs(along) + sideMm) ? add(end, scale(side, radiusMm / sideMm)) : end;
    },
    roundMm: 0,
    centre,
    reachMm: Math.hypot(halfMm, radiusMm),
  };
}

function boxOf(centre: Vec3, [a, b, c]: Vec3, [rx, ry, rz]: Vec3): Convex {
  const turned = [rx, ry, rz].reduce(
    (before, deg, k) => after(rotationAbout([0, 0, 0], AXES[k]!, deg * RAD), before),
    STILL,
  );
  const sides = [a, b, c].map((size, k) => scale(turn(turned, AXES[k]!), size / 2)) as [Vec3, Vec3, Vec3];
  return {
    farthest: (direction) =>
      sides.reduce((at, side) => add(at, dot(side, direction) >= 0 ? side : scale(side, -1)), centre),
    roundMm: 0,
    centre,
    reachMm: Math.hypot(a, b, c) / 2,
  };
}

const FLAT = 1e-9;

/** Whether points lie in one plane, as far as their size tells. */
export function isFlat(points: readonly Vec3[]): boolean {
  const [first] = points as [Vec3];
  const far = (of: (point: Vec3) => number) =>
    points.reduce((best, point) => (of(point) > of(best) ? point : best), first);
  const one = far((point) => lengthOf(subtract(point, first)));
  const size = lengthOf(subtract(one, first));
  if (size === 0) return true;
  const along = unit(subtract(one, first));
  const offLine = (point: Vec3) => {
    const way = subtract(point, first);
    return subtract(way, scale(along, dot(way, along)));
  };
  const two = far((point) => lengthOf(offLine(point)));
  if (lengthOf(offLine(two)) < FLAT * size) return true;
  const side = unit(offLine(two));
  return points.every((point) => {
    const off = offLine(point);
    return lengthOf(subtract(off, scale(side, dot(off, side)))) < FLAT * size;
  });
}
