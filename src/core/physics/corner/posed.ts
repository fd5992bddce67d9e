import { carry, type Vec3 } from '../../base/vec3';
import type { Corner } from './corner';
import { linkageOf } from './linkage';
import { rockerOf, type RockerPose } from './readings';
import { reader, type Station } from './station';
import { atRest, march } from './travel';

/** A corner as it stands at a travel and a rack, or as far as it gets. */
export interface Posed {
  station: Station;
  damper?: readonly [inner: Vec3, outer: Vec3];
  rocker?: RockerPose;
  /** Where it locked on the way. */
  stoppedAt?: { travelMm: number; rackMm: number };
}

/**
 * One corner moved first along the rack, then along the travel; where it locks it stays at the last place it reached.
 *
 * @throws CalcError as `suspension.sweep` does
 */
export function poseCorner(corner: Corner, travelMm: number, rackMm: number): Posed {
  const linkage = linkageOf(corner);
  const read = reader(linkage);
  const rest = atRest(linkage);
  const steered = march(linkage, rest, 0, rackMm);
  const moved = steered.reached ? march(linkage, steered.reached, travelMm, rackMm) : steered;
  const stoppedAt = moved.reached
    ? undefined
    : (moved as { stoppedAt: { travelMm: number; rackMm: number } }).stoppedAt;
  const there =
    moved.reached ??
    (steered.reached ? march(linkage, steered.reached, stoppedAt!.travelMm, rackMm).reached : undefined) ??
    steered.reached ??
    rest;
  const station = read(there) ?? read(rest)!;
  const { damper } = corner;
  const rocker = rockerOf(corner)?.(there.pose);
  return {
    station,
    ...(damper ? { damper: [damper.inner, carry(there.pose[damper.on], damper.outer)] as const } : {}),
    ...(rocker ? { rocker } : {}),
    ...(stoppedAt ? { stoppedAt } : {}),
  };
}

/** Travel of the left and the right wheel when the car also leans to the right by an angle, mm. */
export function travelsInRoll(
  travelMm: number,
  rollDeg: number,
  trackMm: number,
): { left: number; right: number } {
  const aside = (trackMm / 2) * Math.tan((rollDeg * Math.PI) / 180);
  return { left: travelMm - aside, right: travelMm + aside };
}

export type Part = 'arm' | 'link' | 'tie' | 'upright' | 'damper';

/** A straight piece of a corner, for drawing. */
export interface Stick {
  part: Part;
  from: Vec3;
  to: Vec3;
}

/** What a corner is drawn of. */
export function sticksOf(
  kind: Corner['kind'],
  { station: { points }, damper, rocker }: Pick<Posed, 'station' | 'damper' | 'rocker'>,
): Stick[] {
  const p = points as Readonly<Partial<Record<string, Vec3>>>;
  const stick = (part: Part, a: string, b: string): Stick[] =>
    p[a] && p[b] ? [{ part, from: p[a], to: p[b] }] : [];
  const spring: Stick[] = rocker
    ? [
        { part: 'link', from: rocker.pushrod[0], to: rocker.pushrod[1] },
        { part: 'arm', from: rocker.pivot, to: rocker.pushrod[1] },
        { part: 'arm', from: rocker.pivot, to: rocker.damper[0] },
        { part: 'damper', from: rocker.damper[0], to: rocker.damper[1] },
      ]
    : damper
      ? [{ part: 'damper', from: damper[0], to: damper[1] }]
      : [];
  const tie = stick('tie', 'tieInner', 'tieOuter');
  if (kind === 'wishbones') {
    return [
      ...stick('arm', 'lowerFront', 'lowerOuter'),
      ...stick('arm', 'lowerRear', 'lowerOuter'),
      ...stick('arm', 'upperFront', 'upperOuter'),
      ...stick('arm', 'upperRear', 'upperOuter'),
      ...tie,
      ...stick('upright', 'lowerOuter', 'upperOuter'),
      ...stick('upright', 'lowerOuter', 'tieOuter'),
      ...stick('upright', 'upperOuter', 'wheelCentre'),
      ...stick('upright', 'lowerOuter', 'wheelCentre'),
      ...spring,
    ];
  }
  const steered = p.kingpinLower !== undefined;
  return [
    ...stick('arm', 'lowerFront', 'outerFront'),
    ...stick('arm', 'lowerRear', 'outerRear'),
    ...stick('arm', 'lowerFront', 'lowerRear'),
    ...stick('arm', 'outerFront', 'outerRear'),
    ...stick('link', 'upperInner', 'upperOuter'),
    ...tie,
    ...(steered
      ? [
          ...stick('upright', 'outerFront', 'kingpinLower'),
          ...stick('upright', 'upperOuter', 'kingpinUpper'),
          ...stick('upright', 'kingpinLower', 'kingpinUpper'),
          ...stick('upright', 'kingpinLower', 'tieOuter'),
          ...stick('upright', 'kingpinLower', 'wheelCentre'),
          ...stick('upright', 'kingpinUpper', 'wheelCentre'),
        ]
      : [
          ...stick('upright', 'outerFront', 'upperOuter'),
          ...stick('upright', 'outerRear', 'upperOuter'),
          ...stick('upright', 'outerFront', 'wheelCentre'),
          ...stick('upright', 'upperOuter', 'wheelCentre'),
        ]),
    ...spring,
  ];
}

/** The three directions of a wheel: along its axle outboard, forward and up in its plane. */
export function wheelAxes(camberDeg: number, toeDeg: number): { out: Vec3; forward: Vec3; up: Vec3 } {
  const [g, d] = [(camberDeg * Math.PI) / 180, (toeDeg * Math.PI) / 180];
  return {
    out: [Math.sin(d) * Math.cos(g), Math.cos(d) * Math.cos(g), -Math.sin(g)],
    forward: [Math.cos(d), -Math.sin(d), 0],
    up: [Math.sin(g) * Math.sin(d), Math.sin(g) * Math.cos(d), Math.cos(g)],
  };
}

/** Places round the edge of a wheel's tread, its outer edge with `way` 1, its inner one with −1. */
export function wheelRing(
  tyreRadiusMm: number,
  { station: { points, camberDeg, toeDeg } }: Pick<Posed, 'station'>,
  way: number,
): Vec3[] {
  const { out, forward, up } = wheelAxes(camberDeg, toeDeg);
  const centre = points.wheelCentre!;
  return Array.from({ length: RING }, (_, k): Vec3 => {
    const angle = (2 * Math.PI * k) / RING;
    const [c, s] = [tyreRadiusMm * Math.cos(angle), tyreRadiusMm * Math.sin(angle)];
    const aside = (way * TREAD_RADII * tyreRadiusMm) / 2;
    return [0, 1, 2].map(
      (axis) => centre[axis]! + aside * out[axis]! + c * forward[axis]! + s * up[axis]!,
    ) as unknown as Vec3;
  });
}

/** Corners of a ring, and the width of a tread in tyre radii. */
const [RING, TREAD_RADII] = [32, 0.62];

export const mirrored = ([x, y, z]: Vec3): Vec3 => [x, -y, z];
