import { cross, distance, dot, scale, subtract, unit, type Vec3 } from '../../base/vec3';

/** A point that turns about a line, held at a fixed distance from a point elsewhere. */
export interface HeldHinge {
  origin: Vec3;
  axis: Vec3;
  /** The point at rest. */
  point: Vec3;
  length: number;
  /** Which of the two ways to reach it: that of rest. */
  side: 1 | -1;
  /** Slope of the constraint at rest, mm; near 0 it is stuck or free there. */
  slope: number;
}

/** A hinge at rest whose point is held from `target`. */
export function heldHinge(origin: Vec3, along: Vec3, point: Vec3, target: Vec3): HeldHinge {
  const axis = unit(along);
  const slope = dot(cross(axis, subtract(point, origin)), subtract(target, origin));
  return { origin, axis, point, length: distance(point, target), side: slope >= 0 ? 1 : -1, slope };
}

/**
 * Angle (rad) at which the hinge, itself carried along, keeps its distance from where the target is now; undefined beyond
 * the turning point, where the two ways meet. With v from the hinge to the point and w to the target the constraint is
 * A·cos a + B·sin a = C.
 */
export function angleOf(
  { axis, length, side }: Pick<HeldHinge, 'length' | 'side'> & { axis: Vec3 },
  v: Vec3,
  w: Vec3,
): number | undefined {
  const along = dot(axis, v);
  const across = subtract(v, scale(axis, along));
  const a = dot(across, w);
  const b = dot(cross(axis, v), w);
  const c = (dot(v, v) + dot(w, w) - length * length) / 2 - along * dot(axis, w);
  const r = Math.sqrt(a * a + b * b);
  if (Math.abs(c) >= r) return undefined;
  return Math.atan2(b, a) - side * Math.acos(c / r);
}
