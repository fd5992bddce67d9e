import type { DrawnCorner } from '../../car/document/suspension';
import type { Vec3 } from '../../base/vec3';
import { POINT_NAMES } from '../../physics/corner/corner';

/** Points that hang in the corner's damper or rocker, by the names they have in tables and files. */
export const INNER_POINTS = {
  damperInner: ['damper', 'inner'],
  damperOuter: ['damper', 'outer'],
  rockerPivot: ['rocker', 'pivot'],
  rockerAxis: ['rocker', 'axis'],
  pushrodArm: ['rocker', 'pushrodArm'],
  pushrodRocker: ['rocker', 'pushrodRocker'],
  damperRocker: ['rocker', 'damperRocker'],
  damperChassis: ['rocker', 'damperChassis'],
} as const satisfies Readonly<Record<string, readonly [part: 'damper' | 'rocker', key: string]>>;

type Points = Readonly<Partial<Record<string, Vec3>>>;
const asPoints = (thing: object | undefined) => thing as unknown as Points | undefined;

/** Way to a point inside its corner. */
export const pointPath = (name: string): readonly string[] =>
  name in INNER_POINTS ? INNER_POINTS[name as keyof typeof INNER_POINTS] : [name];

/** The points of a corner, those of its damper or rocker among them, in the order of a table. */
export function namedPoints(corner: DrawnCorner): [name: string, place: Vec3][] {
  const found = (name: string, place: Vec3 | undefined): [string, Vec3][] => (place ? [[name, place]] : []);
  return [
    ...POINT_NAMES.flatMap((name) => found(name, asPoints(corner)![name])),
    ...Object.entries(INNER_POINTS).flatMap(([name, [part, key]]) =>
      found(name, asPoints(corner[part])?.[key]),
    ),
  ];
}

/** The corner with one of its points elsewhere. */
export function withPoint(corner: DrawnCorner, name: string, place: Vec3): DrawnCorner {
  const [part, key] = pointPath(name);
  return (
    key === undefined
      ? { ...corner, [part!]: place }
      : { ...corner, [part!]: { ...corner[part as 'damper'], [key]: place } }
  ) as DrawnCorner;
}
