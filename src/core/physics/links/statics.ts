import { across, add, cross, dot, scale, subtract, unit, type Vec3 } from '../../base/vec3';
import { solveLinear } from '../../base/numeric/linear';

/** What does not move. */
export const CHASSIS = -1;

/** A rigid body by its number. */
export type Body = number;

/** What holds two bodies: forces are those on the one nearer the wheel. */
export type Hold =
  | {
      kind: 'rod';
      member: string;
      inner: Vec3;
      outer: Vec3;
      from: Body;
      to: Body;
      /** Where its force is told: nearer the wheel, and at the other end. */
      outerName?: string;
      innerName: string;
    }
  | { kind: 'ball'; at: Vec3; from: Body; to: Body; name: string }
  | { kind: 'hinge'; points: readonly [Vec3, Vec3]; from: Body; to: Body; names: readonly [string, string] }
  | { kind: 'pivot'; at: Vec3; axis: Vec3; to: Body; name: string };

/** A force with its moment about the origin. */
export interface Wrench {
  forceN: Vec3;
  momentNmm: Vec3;
}

export const wrenchAt = (forceN: Vec3, at: Vec3): Wrench => ({ forceN, momentNmm: cross(at, forceN) });

/** Forces at the points of a hold for one of its unknowns being 1: on the body nearer the wheel. */
interface Unit {
  wrench: Wrench;
  forces: readonly Vec3[];
}

const NONE: Vec3 = [0, 0, 0];

const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

const total = (forces: readonly Vec3[], points: readonly Vec3[]): Wrench =>
  forces.reduce<Wrench>(
    (sum, force, k) => ({
      forceN: add(sum.forceN, force),
      momentNmm: add(sum.momentNmm, cross(points[k]!, force)),
    }),
    { forceN: NONE, momentNmm: NONE },
  );

function unitsOf(hold: Hold): Unit[] {
  const of = (points: readonly Vec3[], forces: readonly Vec3[]): Unit => ({
    wrench: total(forces, points),
    forces,
  });
  switch (hold.kind) {
    case 'rod':
      // pulled, it draws the outer end towards the inner one
      return [of([hold.outer], [unit(subtract(hold.inner, hold.outer))])];
    case 'ball':
      return AXES.map((axis) => of([hold.at], [axis]));
    case 'hinge': {
      const line = unit(subtract(hold.points[1], hold.points[0]));
      const sides = across(line);
      return [
        ...sides.map((side) => of(hold.points, [side, NONE])),
        ...sides.map((side) => of(hold.points, [NONE, side])),
        of(hold.points, [scale(line, 0.5), scale(line, 0.5)]),
      ];
    }
    case 'pivot':
      return [
        ...AXES.map((axis) => of([hold.at], [axis])),
        ...across(unit(hold.axis)).map((momentNmm) => ({
          wrench: { forceN: NONE, momentNmm },
          forces: [NONE],
        })),
      ];
  }
}

const bodiesOf = (hold: Hold): readonly [from: Body, to: Body] =>
  hold.kind === 'pivot' ? [CHASSIS, hold.to] : [hold.from, hold.to];

/** Forces of each hold at its points, on the body nearer the wheel; of a rod its tension as well. */
export interface Held {
  hold: Hold;
  forces: Vec3[];
  tensionN?: number;
}

/**
 * Statics of massless rigid bodies without friction: six equations a body, for several loads on one of them at once.
 *
 * @returns for each load what every hold carries; undefined where the bodies are not held in one way
 * @see Hibbeler, Engineering Mechanics: Statics, ch. 5 and 6
 */
export function heldBy(
  holds: readonly Hold[],
  bodies: number,
  loaded: Body,
  loads: readonly Wrench[],
): Held[][] | undefined {
  const columns = holds.flatMap((hold, at) => unitsOf(hold).map((one) => ({ at, one })));
  const n = 6 * bodies;
  if (columns.length !== n) return undefined;
  // moments in tens of mm, so that forces and moments weigh alike
  const rows = Array.from({ length: n }, () => new Float64Array(n + loads.length));
  const put = (column: number, body: Body, { forceN, momentNmm }: Wrench, sign: number) => {
    if (body === CHASSIS) return;
    for (let k = 0; k < 3; k++) {
      rows[6 * body + k]![column]! += sign * forceN[k]!;
      rows[6 * body + 3 + k]![column]! += (sign * momentNmm[k]!) / ARM_MM;
    }
  };
  columns.forEach(({ at, one }, column) => {
    const [from, to] = bodiesOf(holds[at]!);
    put(column, to, one.wrench, 1);
    put(column, from, one.wrench, -1);
  });
  loads.forEach((load, k) => put(n + k, loaded, load, -1));
  return solveLinear(rows, loads.length)?.map((solved) => {
    const found = holds.map((hold): Held => ({ hold, forces: [] }));
    columns.forEach(({ at, one }, column) => {
      const held = found[at]!;
      held.forces = one.forces.map((force, k) => add(held.forces[k] ?? NONE, scale(force, solved[column]!)));
      if (held.hold.kind === 'rod') held.tensionN = solved[column]!;
    });
    return found;
  });
}

const ARM_MM = 10;

/** What of a moment is about a line. */
export const about = (momentNmm: Vec3, axis: Vec3): Vec3 => scale(axis, dot(momentNmm, axis));
