import { add, cross, subtract, type Vec3 } from '../../base/vec3';
import type { Point2 } from '../strength/section';
import type { FastenerShareInput, GroupLoad, GroupScrew } from './definition';

/** A screw as its share needs it. */
export type PlacedScrew = Pick<GroupScrew, 'xMm' | 'yMm' | 'diameterMm'>;

const [NOTHING_NMM, ONE_LINE] = [1e-6, 1e-9];

const areaOf = ({ diameterMm }: PlacedScrew): number => (Math.PI / 4) * diameterMm ** 2;

/** What each screw of a group carries, and about which point. */
export interface GroupForces {
  centroidMm: Point2;
  polarMm4: number;
  /** In the order of the screws: along x, y, and off the plate. */
  forcesN: Vec3[];
}

/**
 * The share of every screw in a force and a moment; undefined where the group cannot carry them.
 *
 * @returns N, mm
 */
export function forcesOfGroup(
  screws: readonly PlacedScrew[],
  load: GroupLoad,
  plate?: FastenerShareInput['plate'],
): GroupForces | undefined {
  const area = screws.reduce((sum, screw) => sum + areaOf(screw), 0);
  const mean = (of: (screw: PlacedScrew) => number) =>
    screws.reduce((sum, screw) => sum + areaOf(screw) * of(screw), 0) / area;
  const centroidMm: Point2 = [mean(({ xMm }) => xMm), mean(({ yMm }) => yMm)];
  const arms = screws.map(({ xMm, yMm }): Point2 => [xMm - centroidMm[0], yMm - centroidMm[1]]);
  const polarMm4 = screws.reduce(
    (sum, screw, k) => sum + areaOf(screw) * (arms[k]![0] ** 2 + arms[k]![1] ** 2),
    0,
  );
  const [fx, fy, fz] = load.forceN;
  const moment = add(
    cross(subtract(load.atMm, [...centroidMm, 0]), load.forceN),
    load.momentNmm ?? [0, 0, 0],
  );
  const tilts = tiltOf(screws, arms, moment, plate);
  if (!tilts || (screws.length === 1 && Math.abs(moment[2]) > NOTHING_NMM)) return undefined;
  const turn = polarMm4 === 0 ? 0 : moment[2] / polarMm4;
  return {
    centroidMm,
    polarMm4,
    forcesN: screws.map((screw, k): Vec3 => {
      const a = areaOf(screw);
      const [x, y] = arms[k]!;
      return [(a / area) * fx - turn * a * y, (a / area) * fy + turn * a * x, a * (fz / area + tilts[k]!)];
    }),
  };
}

/** Pull of each screw over its area by the tilting moment; undefined where nothing holds it. */
function tiltOf(
  screws: readonly PlacedScrew[],
  arms: readonly Point2[],
  [mx, my]: Vec3,
  plate: FastenerShareInput['plate'],
): number[] | undefined {
  const sum = (of: (k: number) => number) => screws.reduce((all, screw, k) => all + areaOf(screw) * of(k), 0);
  if (plate) {
    const { minMm, maxMm } = plate;
    const d = screws.map(({ yMm }) => (mx > 0 ? yMm - minMm[1] : maxMm[1] - yMm));
    const e = screws.map(({ xMm }) => (my > 0 ? maxMm[0] - xMm : xMm - minMm[0]));
    const [dd, ee] = [sum((k) => d[k]! ** 2), sum((k) => e[k]! ** 2)];
    if ((dd === 0 && Math.abs(mx) > NOTHING_NMM) || (ee === 0 && Math.abs(my) > NOTHING_NMM))
      return undefined;
    return screws.map(
      (_, k) => (dd === 0 ? 0 : (Math.abs(mx) * d[k]!) / dd) + (ee === 0 ? 0 : (Math.abs(my) * e[k]!) / ee),
    );
  }
  const [xx, yy, xy] = [
    sum((k) => arms[k]![0] ** 2),
    sum((k) => arms[k]![1] ** 2),
    sum((k) => arms[k]![0] * arms[k]![1]),
  ];
  const [mean, root] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  if (mean - root >= ONE_LINE * (mean + root) && mean > 0) {
    const size = xx * yy - xy * xy;
    // Σ N·y = M_x and Σ N·x = −M_y
    const along = (-my * yy - mx * xy) / size;
    const up = (mx * xx + my * xy) / size;
    return arms.map(([x, y]) => along * x + up * y);
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const bare = screws.length === 1;
  const aboutLine = bare ? Math.hypot(mx, my) : Math.abs(mx * ux + my * uy);
  if (aboutLine > NOTHING_NMM) return undefined;
  const acrossLine = mx * uy - my * ux;
  return arms.map(([x, y]) => (bare ? 0 : (acrossLine * (x * ux + y * uy)) / (mean + root)));
}
