import { add, cross, lengthOf, scale, subtract, type Vec3 } from '../../base/vec3';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type End, ENDS } from '../../car/document/suspension';
import { forcesOfGroup } from '../../physics/fasteners/group';
import type { DrawnPart } from '../../physics/making/drawn/drawing';
import { bodiesOf, REST } from '../chassis/bodiesOfBuild';
import { linkPulls, type LinkPull, wrenchOf } from './linkPulls';
import { bulkheadScrews } from './plateTop';

/** What tries a plate the most, by the names of what a wheel meets. */
const TRIED: ReadonlySet<string> = new Set(['landing', 'kerbAhead', 'kerbSide']);
/** A joint that carries part of everything that the wheel meets. */
const BY_LINK = 'lowerFront';
const USUAL_SCREW_MM = 3;

/** A mass that the plate has to take along, where it sits on it. */
export interface PlateMass {
  id: string;
  massG: number;
  at: Vec3;
}

/**
 * The inertia of masses that a force and a moment set in motion as one rigid body: together they leave nothing over.
 *
 * @param about the point that the moment is about
 * @returns N on each mass's place, in their order; undefined for masses on one line
 * @see Bruhn, Analysis and Design of Flight Vehicle Structures, ch. A4 (inertia forces in balance with what is applied)
 */
export function inertiaOf(
  masses: readonly PlateMass[],
  forceN: Vec3,
  momentNmm: Vec3,
  about: Vec3,
): Vec3[] | undefined {
  const total = masses.reduce((sum, { massG }) => sum + massG, 0);
  const centre = masses.reduce<Vec3>((sum, { massG, at }) => add(sum, scale(at, massG / total)), [0, 0, 0]);
  const arms = masses.map(({ at }) => subtract(at, centre));
  const moment = add(momentNmm, cross(subtract(about, centre), forceN));
  const sum = (of: (arm: Vec3) => number) =>
    masses.reduce((all, { massG }, k) => all + massG * of(arms[k]!), 0);
  // all of them lie in the plane of the plate
  const [xx, yy, xy] = [sum(([, y]) => y * y), sum(([x]) => x * x), sum(([x, y]) => x * y)];
  const size = xx * yy - xy * xy;
  if (!(size > 0)) return undefined;
  const turning: Vec3 = [
    (yy * moment[0] + xy * moment[1]) / size,
    (xy * moment[0] + xx * moment[1]) / size,
    moment[2] / (xx + yy),
  ];
  return masses.map(({ massG }, k) => scale(add(scale(forceN, 1 / total), cross(turning, arms[k]!)), -massG));
}

/**
 * A plate held where the heaviest thing sits, pulled at the screws of the bulkheads by all that the links hand to the
 * chassis, and everywhere by what it has to take along.
 */
export function platePulls(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { places }: DrawnPart,
): { held: string[]; links: LinkPull[] } {
  const masses = massesOn(document, places);
  const heaviest = masses.reduce<PlateMass | undefined>(
    (most, one) => (most && most.massG >= one.massG ? most : one),
    undefined,
  );
  return {
    held: heaviest ? [heaviest.id] : [],
    links: ENDS.flatMap((end) => pullsOfEnd(document, surface, end, masses)),
  };
}

/** Components on the plate, and all that has no place of its own shared out over the screws of the bulkheads. */
function massesOn(document: BuildDocument, places: DrawnPart['places']): PlateMass[] {
  const bodies = bodiesOf(document);
  const screws = ENDS.flatMap((end) => bulkheadScrews(document, end));
  const top = screws[0]?.at[2] ?? 0;
  const rest = bodies
    .filter(({ id, sprung }) => sprung && !places.has(id) && (id === REST || id.startsWith('part-')))
    .reduce((sum, { massG }) => sum + massG, 0);
  return [
    ...bodies
      .filter(({ id }) => places.has(id))
      .map(({ id, massG, xMm, yMm }): PlateMass => ({ id, massG, at: [xMm, yMm, top] })),
    ...screws.map(({ id, at }): PlateMass => ({ id, massG: rest / screws.length, at })),
  ].filter(({ massG }) => massG > 0);
}

function pullsOfEnd(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  end: End,
  masses: readonly PlateMass[],
): LinkPull[] {
  const screws = bulkheadScrews(document, end);
  const corner = document.suspension[end]?.corner;
  if (!corner || screws.length === 0) return [];
  const axle = end === 'front' ? 0 : -(document.chassis.wheelbaseMm ?? 0);
  const middle = scale(
    screws.reduce<Vec3>((sum, { at }) => add(sum, at), [0, 0, 0]),
    1 / screws.length,
  );
  const points: Readonly<Record<string, unknown>> = {
    ...corner,
    damperInner: corner.damper?.inner,
    rockerPivot: corner.rocker?.pivot,
    damperChassis: corner.rocker?.damperChassis,
  };
  const pointOf = (name: string): Vec3 | undefined => {
    const point = points[name] as Vec3 | undefined;
    return point && [point[0] + axle, point[1], point[2]];
  };
  const found = linkPulls(
    document,
    end,
    surface,
    undefined,
    ({ chassis }) => {
      const { forceN, momentNmm } = wrenchOf(chassis, pointOf, middle);
      const shared = forcesOfGroup(
        screws.map(({ at: [xMm, yMm] }) => ({ xMm, yMm, diameterMm: USUAL_SCREW_MM })),
        { forceN, atMm: [middle[0], middle[1], 0], momentNmm },
      );
      const inertia = inertiaOf(masses, forceN, momentNmm, middle);
      const forces = new Map<string, Vec3>();
      const put = (id: string, force: Vec3 | undefined) =>
        force && forces.set(id, add(forces.get(id) ?? [0, 0, 0], force));
      screws.forEach(({ id }, k) => put(id, shared?.forcesN[k]));
      masses.forEach(({ id }, k) => put(id, inertia?.[k]));
      return [...forces].flatMap(([place, force]) =>
        lengthOf(force) > 0 ? [{ place, link: BY_LINK, forceN: force }] : [],
      );
    },
    TRIED,
  );
  return found.ok ? found.value : [];
}
