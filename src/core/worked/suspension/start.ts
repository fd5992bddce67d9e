import { type Measure, measure } from '../../base/measure';
import type { DrawnCorner, End } from '../../car/document/suspension';
import { refusal } from '../../base/errors';
import type { Vec3 } from '../../base/vec3';
import type { Corner } from '../../physics/corner/corner';
import { flatTieHeight } from '../../physics/corner/flatten';

declare module '../../base/errors' {
  interface RefusalFacts {
    'corner.noRoom': { trackMm: Measure; tyresMm: Measure };
  }
}

export const TEMPLATES = ['flatArms', 'parallel', 'unequal', 'hingePins'] as const;
export type Template = (typeof TEMPLATES)[number];

/** Proportions of usual cars, by judgement: shares of half the track, of the tyre's radius and of the wheelbase. */
const INNER = 0.3;
const KNUCKLE_RADII = 0.34;
const [LOWER_RADII, UPPER_RADII] = [0.55, 1.5];
const HINGE_OF_WHEELBASE = 0.08;
const FALL = Math.tan((7 * Math.PI) / 180);
const CASTER = Math.tan((8 * Math.PI) / 180);
const KINGPIN = Math.tan((7 * Math.PI) / 180);
const ARM_RADII = 0.55;
const TIE_INSIDE = 0.1;
const UPPER_SHORTER = 0.22;
const UPPER_FALL = 0.08;
const [LINK_INSIDE, LINK_FALL] = [0.16, 0.07];
const PIN_RADII = 0.22;

export interface CarSize {
  wheelbaseMm: number;
  trackMm: number;
  tyreRadiusMm: number;
}

const tenth = (value: number) => Math.round(10 * value) / 10;
const point = (x: number, y: number, z: number): Vec3 => [tenth(x), tenth(y), tenth(z)];

/**
 * A corner to start from, scaled to wheelbase, track and tyre, its tie rod at the height of no bump steer.
 *
 * @throws CalcError at `trackMm` where the tyres leave no room for arms
 */
export function startCorner(template: Template, end: End, size: CarSize): DrawnCorner {
  const { wheelbaseMm, trackMm, tyreRadiusMm: r } = size;
  const wheelY = trackMm / 2;
  const outer = wheelY - KNUCKLE_RADII * r;
  const inner = INNER * wheelY;
  if (outer - inner < 0.3 * r)
    throw refusal('trackMm', 'corner.noRoom', {
      trackMm: measure(trackMm, 'lengthMm', 4),
      tyresMm: measure(2 * r, 'lengthMm', 4),
    });
  const [low, high] = [LOWER_RADII * r, UPPER_RADII * r];
  const front = end === 'front';
  const half = HINGE_OF_WHEELBASE * wheelbaseMm;
  const lean = front ? CASTER * (high - low) : 0;
  const kingpin = KINGPIN * (high - low);
  const back = ARM_RADII * r;
  // towards the middle of the rear axle, so that the inner wheel turns further
  const armY = front ? outer - 0.5 * kingpin - (outer * back) / wheelbaseMm : outer - 0.5 * kingpin;
  const fall = template === 'parallel' ? FALL * (outer - inner) : 0;
  const statics = { wheelCentre: [0, tenth(wheelY), tenth(r)] as Vec3, staticCamberDeg: 0, staticToeDeg: 0 };
  const damper = damperOver(inner, outer, low, r);
  const tieOuter = point(-back, armY, 0.5 * (low + high));
  const tie = { tieInner: point(-back, inner + TIE_INSIDE * (outer - inner), tieOuter[2]), tieOuter };
  if (template === 'hingePins') {
    const pinY = outer - PIN_RADII * r;
    const link = {
      upperInner: point(-0.2 * half, inner + LINK_INSIDE * (pinY - inner), high - LINK_FALL * (pinY - inner)),
      upperOuter: point(-0.2 * half, pinY, high),
    };
    const arm = {
      lowerFront: point(half, inner, low + 1),
      lowerRear: point(-half, inner, low + 1),
      outerFront: point(0.5 * half, pinY, low),
      outerRear: point(-0.5 * half, pinY, low),
      ...link,
    };
    const steering = front
      ? {
          kingpinLower: point(0.5 * lean, outer, low),
          kingpinUpper: point(-0.5 * lean, outer - kingpin, high),
          ...tie,
        }
      : {};
    return flat({ kind: 'hingePins', ...arm, ...steering, ...statics, damper }, end, r);
  }
  const lowerOuter = point(0.5 * lean, outer, low);
  const upperOuter = point(-0.5 * lean, outer - kingpin, high);
  const lower = {
    lowerFront: point(half, inner, low + fall),
    lowerRear: point(-half, inner, low + fall),
    lowerOuter,
  };
  const upper = (y: number, z: number) => ({
    upperFront: point(0.7 * half - 0.5 * lean, y, z),
    upperRear: point(-0.7 * half - 0.5 * lean, y, z),
    upperOuter,
  });
  if (template === 'unequal') {
    const span = (1 - UPPER_SHORTER) * (outer - inner);
    return flat(
      {
        kind: 'wishbones',
        ...lower,
        ...upper(upperOuter[1] - span, high - UPPER_FALL * span),
        ...tie,
        ...statics,
        damper,
      },
      end,
      r,
    );
  }
  // arms and rod alike in length and direction, after rounding too
  const [across, up] = [lowerOuter[1] - lower.lowerFront[1], lowerOuter[2] - lower.lowerFront[2]];
  return {
    kind: 'wishbones',
    ...lower,
    ...upper(upperOuter[1] - across, upperOuter[2] - up),
    tieInner: point(-back, tieOuter[1] - across, tieOuter[2] - up),
    tieOuter,
    ...statics,
    damper,
  };
}

function flat(corner: DrawnCorner, end: End, tyreRadiusMm: number): DrawnCorner {
  const whole = { ...corner, end, tyreRadiusMm } as Corner;
  const height = flatTieHeight(whole);
  return height === undefined || !corner.tieInner
    ? corner
    : { ...corner, tieInner: [corner.tieInner[0], corner.tieInner[1], Math.round(100 * height) / 100] };
}

const damperOver = (inner: number, outer: number, low: number, r: number) => ({
  inner: point(0, inner + 0.12 * (outer - inner), 2.3 * r),
  outer: point(0, inner + 0.68 * (outer - inner), low + 3),
  on: 'lower' as const,
});

/** A damper from the arm straight to a tower over its hinge. */
export const startDamper = (corner: DrawnCorner, tyreRadiusMm: number): NonNullable<Corner['damper']> =>
  damperOver(
    corner.lowerFront[1],
    corner.kind === 'wishbones' ? corner.lowerOuter[1] : corner.outerFront[1],
    corner.lowerFront[2],
    tyreRadiusMm,
  );

/** A rocker over the inner hinge that a pushrod from the arm turns, its damper lying towards the middle of the car. */
export function startRocker(
  { lowerFront, damper }: Pick<Corner, 'lowerFront' | 'damper'>,
  tyreRadiusMm: number,
): NonNullable<Corner['rocker']> {
  const r = tyreRadiusMm;
  const [x, y, z] = [damper?.outer[0] ?? 0, lowerFront[1] + 0.15 * r, 1.9 * r];
  const armY = damper?.outer[1] ?? lowerFront[1] + 1.2 * r;
  return {
    pivot: point(x, y, z),
    axis: [1, 0, 0],
    pushrodArm: point(x, armY, damper?.outer[2] ?? LOWER_RADII * r + 3),
    pushrodArmOn: 'lower',
    pushrodRocker: point(x, y + 0.4 * r, z + 0.06 * r),
    damperRocker: point(x, y, z + 0.4 * r),
    damperChassis: point(x, y - 1.1 * r, z + 0.4 * r),
  };
}

/** Travel to ask for to start with, mm, by the tyre's radius. */
export const startingTravel = (tyreRadiusMm: number) => ({
  bumpMm: Math.round(0.4 * tyreRadiusMm),
  droopMm: Math.round(0.25 * tyreRadiusMm),
});
