import type { Patch, Path } from '@/core/base/patch';
import type { End } from '@/core/car/document/suspension';
import { POINT_LABELS } from '@/words/labels/suspension';
import type { PointName } from '@/core/physics/corner/corner';
import { pointPath } from '@/core/worked/suspension/namedPoints';
import type { Vec3 } from '@/core/base/vec3';

const INNER_LABELS: Readonly<Record<string, string>> = {
  damperInner: 'damper, inner end',
  damperOuter: 'damper, outer end',
  rockerPivot: 'rocker, pivot',
  rockerAxis: 'rocker, axis (direction)',
  pushrodArm: 'pushrod, on the arm',
  pushrodRocker: 'pushrod, on the rocker',
  damperRocker: 'damper, on the rocker',
  damperChassis: 'damper, on the chassis',
};

export const pointLabel = (name: string): string =>
  POINT_LABELS[name as PointName] ?? INNER_LABELS[name] ?? name;

/** Way to one of a point's three numbers. */
export const coordinate = (end: End, name: string, index: number): Path => [
  'suspension',
  end,
  'corner',
  ...pointPath(name),
  String(index),
];

/** A patch that puts a point somewhere. */
export const setPoint = (end: End, name: string, place: Vec3): Patch => [
  { path: ['suspension', end, 'corner', ...pointPath(name)], value: place },
];
