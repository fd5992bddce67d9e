import type { Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { tyreAt } from '../../car/tyres/tyres';
import type { ThingForm } from './thingForm';

/** Of a shell, mm, and strips that a round opening is cut in on each side of the axle. */
const [SKIN_MM, STRIPS] = [1, 6];

/** The walls of a body shell, open below, with an opening over every wheel; none while its size is not known. */
export function shellOfCar({ chassis, drive }: BuildDocument): ThingForm[] {
  const { wheelbaseMm, shell } = chassis;
  const { lengthMm, widthMm, heightMm } = shell ?? {};
  if (wheelbaseMm === undefined || lengthMm === undefined || widthMm === undefined || heightMm === undefined)
    return [];
  const { xMm = -wheelbaseMm / 2, zMm = 0, archMm = 0 } = shell!;
  const [rear, front, top] = [xMm - lengthMm / 2, xMm + lengthMm / 2, zMm + heightMm];
  const box = (low: Vec3, high: Vec3): ThingForm => ({
    kind: 'box',
    centreMm: [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2],
    sizeMm: [high[0] - low[0], high[1] - low[1], high[2] - low[2]],
  });
  const half = widthMm / 2;
  const openings = [
    { axle: 0, centreMm: tyreAt(drive, 'front')?.radiusMm ?? 0 },
    { axle: -wheelbaseMm, centreMm: tyreAt(drive, 'rear')?.radiusMm ?? 0 },
  ];
  const cuts = openings.flatMap(({ axle }) =>
    Array.from({ length: 2 * STRIPS + 1 }, (_, k) => axle + archMm * (k / STRIPS - 1)),
  );
  const edges = [...new Set([rear, ...cuts.filter((x) => x > rear && x < front), front])].sort(
    (a, b) => a - b,
  );
  /** The lowest of the side between two places along the car: what is left over the opening there. */
  const lowest = (from: number, to: number) =>
    openings.reduce((low, { axle, centreMm }) => {
      const away = Math.max(Math.abs(from - axle), Math.abs(to - axle));
      return away > archMm * (1 + 1e-9)
        ? low
        : Math.max(low, centreMm + Math.sqrt(Math.max(0, archMm ** 2 - away ** 2)));
    }, zMm);
  const sides = edges.slice(1).flatMap((to, k) => {
    const from = edges[k]!;
    const low = lowest(from, to);
    return low >= top ? [] : [half - SKIN_MM, -half].map((y) => box([from, y, low], [to, y + SKIN_MM, top]));
  });
  return [
    box([rear, -half, top - SKIN_MM], [front, half, top]),
    box([front - SKIN_MM, -half, zMm], [front, half, top]),
    box([rear, -half, zMm], [rear + SKIN_MM, half, top]),
    ...sides,
  ];
}
