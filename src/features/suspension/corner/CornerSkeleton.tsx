import { type Corner, POINT_NAMES } from '@/core/physics/corner/corner';
import { type Posed, sticksOf, wheelAxes } from '@/core/physics/corner/posed';
import type { Vec3 } from '@/core/base/vec3';

export const TREAD_RADII = 0.62;

type Look = 'own' | 'mirror' | 'ghost';

const WIDTHS = { arm: 3.2, link: 2.2, tie: 2.2, upright: 2, damper: 5 } as const;

/** Arms, links and wheel of a corner in one view. */
export function Skeleton({
  corner,
  posed,
  x,
  y,
  look,
}: {
  corner: Corner;
  posed: Posed;
  x(p: Vec3): number;
  y(p: Vec3): number;
  look: Look;
}) {
  const ink = look === 'ghost' ? 'var(--ghost)' : look === 'mirror' ? 'var(--quiet)' : 'var(--ink)';
  const colour = (part: keyof typeof WIDTHS) =>
    look !== 'own' ? ink : part === 'damper' ? 'var(--wash)' : part === 'tie' ? 'var(--slate)' : ink;
  return (
    <g pointerEvents="none" opacity={look === 'mirror' ? 0.6 : 1}>
      <path
        d={wheelPath(corner, posed, x, y)}
        fill={look === 'ghost' ? 'none' : 'var(--faint)'}
        fillOpacity={0.75}
        stroke={ink}
        strokeWidth={look === 'own' ? 1.6 : 1}
        vectorEffect="non-scaling-stroke"
      />
      {sticksOf(corner.kind, posed).map(({ part, from, to }, index) => (
        <line
          key={index}
          x1={x(from)}
          y1={y(from)}
          x2={x(to)}
          y2={y(to)}
          stroke={colour(part)}
          strokeWidth={look === 'own' ? WIDTHS[part] : 1.2}
          strokeLinecap="round"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
}

/** Outline of the tyre: the hull of its two rims as the view sees them. */
function wheelPath(
  { tyreRadiusMm: r }: Corner,
  { station: { points, camberDeg, toeDeg } }: Posed,
  x: (p: Vec3) => number,
  y: (p: Vec3) => number,
): string {
  const { out, forward, up } = wheelAxes(camberDeg, toeDeg);
  const centre = points.wheelCentre!;
  const half = (TREAD_RADII * r) / 2;
  const ring = [half, -half].flatMap((aside) =>
    Array.from({ length: 48 }, (_, index): readonly [number, number] => {
      const angle = (index / 24) * Math.PI;
      const p = ([0, 1, 2] as const).map(
        (axis) =>
          centre[axis] +
          aside * out[axis] +
          r * (Math.cos(angle) * forward[axis] + Math.sin(angle) * up[axis]),
      ) as unknown as Vec3;
      return [x(p), y(p)];
    }),
  );
  return `M${hullOf(ring)
    .map(([px, py]) => `${px.toFixed(2)},${py.toFixed(2)}`)
    .join('L')}Z`;
}

/** Convex hull. Source: Andrew, Information Processing Letters 9 (1979). */
function hullOf(points: readonly (readonly [number, number])[]): (readonly [number, number])[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const chain = (list: readonly (readonly [number, number])[]) =>
    list.reduce<(readonly [number, number])[]>((hull, point) => {
      while (hull.length >= 2 && turns(hull.at(-2)!, hull.at(-1)!, point) <= 0) hull.pop();
      hull.push(point);
      return hull;
    }, []);
  return [...chain(sorted).slice(0, -1), ...chain([...sorted].reverse()).slice(0, -1)];
}

const turns = (a: readonly [number, number], b: readonly [number, number], c: readonly [number, number]) =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** The points that may be moved, where they are now. */
export function pointsAt(corner: Corner, { station, damper, rocker }: Posed): [string, Vec3][] {
  const now = station.points as Readonly<Partial<Record<string, Vec3>>>;
  const own = POINT_NAMES.flatMap((name): [string, Vec3][] =>
    now[name] && (corner as unknown as Record<string, unknown>)[name] ? [[name, now[name]]] : [],
  );
  if (rocker)
    return [
      ...own,
      ['rockerPivot', rocker.pivot],
      ['pushrodArm', rocker.pushrod[0]],
      ['pushrodRocker', rocker.pushrod[1]],
      ['damperRocker', rocker.damper[0]],
      ['damperChassis', rocker.damper[1]],
    ];
  return damper ? [...own, ['damperInner', damper[0]], ['damperOuter', damper[1]]] : own;
}
