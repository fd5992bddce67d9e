import { refusal } from '../../base/errors';
import { involute } from './mesh';
import type { Point } from './outlineFiles';

declare module '../../base/errors' {
  interface RefusalFacts {
    'outline.teeth': Record<never, never>;
    'outline.noFlank': Record<never, never>;
    'outline.thick': Record<never, never>;
  }
}

/** What says the form of an outer tooth. */
export interface ToothInput {
  /** Number of teeth; a fraction for the virtual gear of a bevel. */
  teeth: number;
  moduleMm: number;
  pressureAngleDeg?: number;
  /** Profile shift, shares of the module. */
  shift?: number;
  /** Arc at the pitch circle, of the pair: half of it is taken from this gear. */
  backlashMm?: number;
  /** Positive is right-handed. */
  helixDeg?: number;
}

const CLEARANCE = 1.25;
const POINTS = 24;
const FILLET_POINTS = 8;
const TIP_POINTS = 6;
const ROOT_POINTS = 4;
/** Radius of the usual root fillet, in modules (ISO 53). */
const FILLET = 0.38;
/** Share of the free root that a fillet may take. */
const MOST_OF_ROOT = 0.8;
const RAD = Math.PI / 180;

/** Radii and the half angle of a tooth over the radius. */
export interface Tooth {
  teeth: number;
  base: number;
  root: number;
  tip: number;
  form: number;
  pitch: number;
  fillet: number;
  half(radius: number): number;
}

/**
 * Radii and thickness of a tooth, mm and rad in the transverse section.
 *
 * @throws CalcError at `teeth` for a root inside the axis, at `shift` for teeth without a flank or a root
 * @see ISO 21771
 */
export function toothOf({
  teeth,
  moduleMm: m,
  pressureAngleDeg = 20,
  shift = 0,
  helixDeg = 0,
  backlashMm = 0,
}: ToothInput): Tooth {
  const helix = helixDeg * RAD;
  const normalAngle = pressureAngleDeg * RAD;
  const angle = Math.atan(Math.tan(normalAngle) / Math.cos(helix));
  const pitch = (m * teeth) / Math.cos(helix) / 2;
  const base = pitch * Math.cos(angle);
  const root = pitch - m * (CLEARANCE - shift);
  const tip = pitch + m * (1 + shift);
  const thickness =
    ((Math.PI * m) / 2 + 2 * shift * m * Math.tan(normalAngle)) / Math.cos(helix) - backlashMm / 2;
  const form = Math.max(
    base,
    root,
    Math.hypot(base, Math.max(0, base * Math.tan(angle) - ((1 - shift) * m) / Math.sin(angle))),
  );
  const half = (radius: number) =>
    thickness / (2 * pitch) + involute(angle) - involute(Math.acos(Math.min(1, base / radius)));
  if (root <= 0) throw refusal('teeth', 'outline.teeth');
  if (tip <= form) throw refusal('shift', 'outline.noFlank');
  if (half(form) >= Math.PI / teeth) throw refusal('shift', 'outline.thick');
  return { teeth, base, root, tip, form, pitch, fillet: FILLET * m, half };
}

/** A stretch of a contour between two corners; an arc is told by three points at least. */
export interface Stretch<T = Point> {
  curve: 'spline' | 'arc' | 'line';
  points: readonly T[];
}

/**
 * Contour of one tooth, clockwise from the left flank's root to the next tooth's, each stretch beginning where the one
 * before it ends.
 *
 * @returns polar points, mm and rad from the tooth's middle
 */
export function toothStretches(
  tooth: Tooth,
  pointsPerFlank = POINTS,
): { stretches: Stretch<Polar>[]; pointed: boolean } {
  const top = topOf(tooth);
  const flank = Array.from({ length: pointsPerFlank }, (_, i): Polar => {
    const radius = tooth.form + ((top - tooth.form) * i) / (pointsPerFlank - 1);
    return { radius, angle: tooth.half(radius) };
  });
  const foot = fillet(tooth);
  const root = foot.length > 0 ? [...foot, flank[0]!] : [];
  const first = root[0] ?? flank[0]!;
  const gap = Math.PI / tooth.teeth;
  const left = (points: readonly Polar[]) => points.map(({ radius, angle }) => ({ radius, angle: -angle }));
  const arc = (radius: number, from: number, to: number, steps: number): Stretch<Polar> => ({
    curve: 'arc',
    points: Array.from({ length: steps + 1 }, (_, i) => ({
      radius,
      angle: from + ((to - from) * i) / steps,
    })),
  });
  const tipHalf = Math.max(0, tooth.half(top));
  return {
    pointed: top < tooth.tip,
    stretches: [
      ...(root.length > 0 ? [{ curve: 'spline' as const, points: left(root) }] : []),
      { curve: 'spline', points: left(flank) },
      ...(tipHalf < SAME_RAD ? [] : [arc(top, -tipHalf, tipHalf, TIP_POINTS)]),
      { curve: 'spline', points: [...flank].reverse() },
      ...(root.length > 0 ? [{ curve: 'spline' as const, points: [...root].reverse() }] : []),
      ...(gap - first.angle < SAME_RAD
        ? []
        : [arc(first.radius, first.angle, 2 * gap - first.angle, ROOT_POINTS)]),
    ],
  };
}

const SAME_RAD = 1e-9;

export interface Polar {
  radius: number;
  /** From the tooth's middle, clockwise seen from +z. */
  angle: number;
}

export const cartesian = ({ radius, angle }: Polar, turn: number): Point => [
  radius * Math.sin(angle + turn),
  radius * Math.cos(angle + turn),
];

/** Where the flanks meet, or the tip circle where they do not. */
function topOf({ tip, form, half }: Tooth): number {
  if (half(tip) >= 0) return tip;
  let low = form;
  let high = tip;
  for (let i = 0; i < 60; i++) {
    const middle = 0.5 * (low + high);
    if (half(middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}

/** From the root circle up to the involute, tangent to both: a cubic curve. Nothing where the involute reaches the root. */
function fillet({ root, form, base, half, teeth, fillet: radius }: Tooth): Polar[] {
  if (form - root < 1e-9) return [];
  const start = half(form);
  const spread = Math.min(MOST_OF_ROOT * (Math.PI / teeth - start), radius / root);
  const [p0, p3] = [
    cartesian({ radius: root, angle: start + spread }, 0),
    cartesian({ radius: form, angle: start }, 0),
  ];
  const along = (form - root) * 0.6;
  // the involute leans from the radius by its own pressure angle; at the base circle it stands on it
  const lean = start - Math.acos(Math.min(1, base / form));
  const p2: Point = [p3[0] - along * Math.sin(lean), p3[1] - along * Math.cos(lean)];
  const across = 0.5 * spread * root;
  const p1: Point = [p0[0] - across * Math.cos(start + spread), p0[1] + across * Math.sin(start + spread)];
  return Array.from({ length: FILLET_POINTS }, (_, i) => {
    const t = i / FILLET_POINTS;
    const mix = (k: 0 | 1) =>
      (1 - t) ** 3 * p0[k] + 3 * (1 - t) ** 2 * t * p1[k] + 3 * (1 - t) * t ** 2 * p2[k] + t ** 3 * p3[k];
    const [x, y] = [mix(0), mix(1)];
    return { radius: Math.max(root, Math.hypot(x, y)), angle: Math.atan2(x, y) };
  });
}
