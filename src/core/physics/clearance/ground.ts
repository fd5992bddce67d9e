import { highest } from '../../base/numeric/maximum';
import type { GroundInput, GroundResult } from './definition';
import { type Side, type SideEdge, sideEdges } from './sideView';
import { highestStepMm } from './step';
import type { Body } from './tree';

const DEG = 180 / Math.PI;
const [FLAT_MM, SHORT_MM, MOST_DEG] = [1e-6, 0.2, 90];

/** How the car stands over the ground: front axle over x = 0, wheels on z = 0. */
export function groundOf(bodies: readonly Body[], input: GroundInput): GroundResult {
  const { wheelbaseMm, frontRadiusMm, rearRadiusMm } = input;
  const edges = bodies.flatMap(sideEdges);
  const corners = edges.flat();
  const low = corners.reduce((least, [, z]) => Math.min(least, z), Infinity);
  const lowest = corners.filter(([, z]) => z < low + FLAT_MM).map(([x]) => x);
  const breakoverDeg = breakover(edges, input);
  const mirrored = corners.map(([x, z]): Side => [-wheelbaseMm - x, z]);
  return {
    clearanceMm: low,
    clearanceAtMm: (lowest.reduce((a, b) => Math.min(a, b)) + lowest.reduce((a, b) => Math.max(a, b))) / 2,
    approachDeg: overhangDeg(corners, frontRadiusMm),
    departureDeg: overhangDeg(mirrored, rearRadiusMm),
    ...(breakoverDeg === undefined ? {} : { breakoverDeg }),
    highestStepMm: low <= 0 ? 0 : highestStepMm(edges, input),
  };
}

/**
 * The steepest plane that touches a tyre at x = 0 from below and rises forwards with no point under it, degrees.
 * A point lies under the plane from its own tangent on; one inside the tyre never does.
 */
function overhangDeg(points: readonly Side[], radiusMm: number): number {
  return points.reduce((least, [x, z]) => {
    const up = z - radiusMm;
    const far = Math.hypot(x, up);
    if (far <= radiusMm) return least;
    const [at, half] = [Math.atan2(up, x) * DEG, Math.asin(radiusMm / far) * DEG];
    const [from, to] = [at + half, at + 180 - half];
    return to < 0 ? least : Math.min(least, Math.max(0, from));
  }, MOST_DEG);
}

/** The least angle over a point between the axles of its tangents to both tyres; none where no point lies between. */
function breakover(
  edges: readonly SideEdge[],
  { wheelbaseMm, frontRadiusMm, rearRadiusMm }: GroundInput,
): number | undefined {
  /** How much the tangent to a tyre falls towards it; undefined inside the tyre. */
  const falls = (aheadMm: number, z: number, radiusMm: number) => {
    const up = radiusMm - z;
    const far = Math.hypot(aheadMm, up);
    return far <= radiusMm ? undefined : (Math.asin(radiusMm / far) - Math.atan2(up, aheadMm)) * DEG;
  };
  const angleAt = (x: number, z: number): number => {
    const [front, rear] = [falls(-x, z, frontRadiusMm), falls(wheelbaseMm + x, z, rearRadiusMm)];
    return front === undefined || rear === undefined ? Infinity : front + rear;
  };
  let least = Infinity;
  for (const [a, b] of edges) {
    const clipped = between(a, b, -wheelbaseMm, 0);
    if (!clipped) continue;
    const [p, q] = clipped;
    least = Math.min(least, angleAt(...p), angleAt(...q));
    if (Math.hypot(q[0] - p[0], q[1] - p[1]) < SHORT_MM) continue;
    // a tyre that covers part of the edge leaves more than one piece: each is looked at
    for (let k = 0; k < PIECES; k++) {
      const at = (share: number) => angleAt(p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1]));
      least = Math.min(least, -highest((share) => -at(share), k / PIECES, (k + 1) / PIECES, 1e-7).value);
    }
  }
  return Number.isFinite(least) ? least : undefined;
}

const PIECES = 6;

/** The part of an edge between two stations; undefined where none of it lies there. */
function between([ax, az]: Side, [bx, bz]: Side, from: number, to: number): SideEdge | undefined {
  const [low, high] = ax <= bx ? [ax, bx] : [bx, ax];
  if (high < from || low > to) return undefined;
  if (ax === bx)
    return [
      [ax, az],
      [bx, bz],
    ];
  const at = (x: number): Side => [x, az + ((bz - az) * (x - ax)) / (bx - ax)];
  return [at(Math.max(low, from)), at(Math.min(high, to))];
}
