import { refusal } from '../../base/errors';
import { type Measure, measure } from '../../base/measure';
import type { Point } from './outlineFiles';
import { cartesian, type Stretch } from './toothForm';

declare module '../../base/errors' {
  interface RefusalFacts {
    'outline.hex': { corner: Measure; root: Measure };
    'outline.bore': { boreMm: Measure; root: Measure };
    'outline.flat': { flatDepthMm: Measure; boreMm: Measure };
  }
}

/** The hole of a gear: round, with a flat on +y, or a hexagon in its place. */
export interface Bore {
  boreMm: number;
  flatDepthMm?: number;
  hexAcrossFlatsMm?: number;
}

const POINTS = 96;

/**
 * Contour of a bore, clockwise from +y.
 *
 * @param rootMm radius that it must leave alone
 * @throws CalcError at `boreMm` or `hexAcrossFlatsMm` for a hole that meets the root, at `flatDepthMm` past the bore
 */
export function boreStretches(bore: Bore, rootMm: number): Stretch[] {
  const { boreMm, flatDepthMm, hexAcrossFlatsMm } = bore;
  const radius = boreMm / 2;
  const at = (angle: number) => cartesian({ radius, angle }, 0);
  if (hexAcrossFlatsMm !== undefined) {
    const corner = hexAcrossFlatsMm / Math.sqrt(3);
    if (corner >= rootMm)
      throw refusal('hexAcrossFlatsMm', 'outline.hex', {
        corner: measure(corner, 'fitMm', 4),
        root: measure(rootMm, 'fitMm', 4),
      });
    const point = (k: number) => cartesian({ radius: corner, angle: (Math.PI / 3) * k }, 0);
    return Array.from({ length: 6 }, (_, k) => ({
      curve: 'line' as const,
      points: [point(k), point(k + 1)],
    }));
  }
  if (radius >= rootMm)
    throw refusal('boreMm', 'outline.bore', {
      boreMm: measure(boreMm, 'fitMm', 4),
      root: measure(rootMm, 'fitMm', 4),
    });
  if (flatDepthMm === undefined) return circleStretches(radius);
  if (flatDepthMm >= boreMm)
    throw refusal('flatDepthMm', 'outline.flat', {
      flatDepthMm: measure(flatDepthMm, 'fitMm', 4),
      boreMm: measure(boreMm, 'fitMm', 4),
    });
  const half = Math.acos((radius - flatDepthMm) / radius);
  return [
    { curve: 'arc', points: [at(half), at(Math.PI), at(2 * Math.PI - half)] },
    { curve: 'line', points: [at(2 * Math.PI - half), at(half)] },
  ];
}

/** A circle in two halves, clockwise from +y. */
export function circleStretches(radius: number, [x, y]: Point = [0, 0]): Stretch[] {
  const at = (quarter: number): Point => {
    const [dx, dy] = cartesian({ radius, angle: (Math.PI / 2) * quarter }, 0);
    return [x + dx, y + dy];
  };
  return [
    { curve: 'arc', points: [at(0), at(1), at(2)] },
    { curve: 'arc', points: [at(2), at(3), at(4)] },
  ];
}

/** The same contour as points, as `boreStretches` refuses it. */
export function borePoints(bore: Bore, rootMm: number): Point[] {
  const stretches = boreStretches(bore, rootMm);
  if (bore.hexAcrossFlatsMm !== undefined) return stretches.map(({ points }) => points[0]!);
  const [radius, flatDepthMm] = [bore.boreMm / 2, bore.flatDepthMm];
  const half = flatDepthMm === undefined ? 0 : Math.acos((radius - flatDepthMm) / radius);
  const steps = flatDepthMm === undefined ? POINTS : POINTS - 1;
  return Array.from({ length: POINTS }, (_, i) =>
    cartesian({ radius, angle: half + ((2 * Math.PI - 2 * half) * i) / steps }, 0),
  );
}
