import { type Measure, measure } from '../../base/measure';
import { refusal } from '../../base/errors';
import { involute } from './mesh';
import { gearDxf, gearStl, gearSvg, type Point } from './outlineFiles';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.gearOutline.pointed': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'outline.noWidth': Record<never, never>;
    'outline.teeth': Record<never, never>;
    'outline.noFlank': Record<never, never>;
    'outline.thick': Record<never, never>;
    'outline.hex': { corner: Measure; root: Measure };
    'outline.bore': { boreMm: Measure; root: Measure };
    'outline.flat': { flatDepthMm: Measure; boreMm: Measure };
  }
}

export const OUTLINE_FILES = ['svg', 'dxf', 'stl'] as const;
export type OutlineFile = (typeof OUTLINE_FILES)[number];

export interface OutlineInput {
  /** Number of teeth. */
  teeth: number;
  moduleMm: number;
  pressureAngleDeg?: number;
  /** Profile shift, shares of the module. */
  shift?: number;
  boreMm: number;
  /** Arc at the pitch circle, of the pair: half of it is taken from this gear. */
  backlashMm?: number;
  faceWidthMm?: number;
  /** Positive is right-handed. */
  helixDeg?: number;
  flatDepthMm?: number;
  hexAcrossFlatsMm?: number;
  /** Number of points. */
  pointsPerFlank?: number;
  files?: readonly OutlineFile[];
}

export interface OutlineResult {
  /** Transverse section, mm, the first point again at the end; tooth 0 on +y. */
  outline: Point[];
  bore: Point[];
  /** Radius from which the flank is an involute. */
  flankFromMm: number;
  /** Texts, and the STL as base64. */
  files: Partial<Record<OutlineFile, string>>;
  notes: Finding[];
}

const CLEARANCE = 1.25;
const POINTS = 24;
const FILLET_POINTS = 8;
const TIP_POINTS = 6;
const ROOT_POINTS = 4;
const BORE_POINTS = 96;
/** Radius of the usual root fillet, in modules (ISO 53). */
const FILLET = 0.38;
/** Share of the free root that a fillet may take. */
const MOST_OF_ROOT = 0.8;
const RAD = Math.PI / 180;

/** Radii and the half angle of a tooth over the radius. */
interface Tooth {
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
 * Outline of a gear from true involutes, with its bore, and as files at true size.
 *
 * @returns points in mm; flank points lie on the involute to rounding
 * @throws CalcError at `boreMm` or `hexAcrossFlatsMm` for a hole that meets the root, at `flatDepthMm` past
 * the bore, at `faceWidthMm` for a solid without a width, at `shift` for teeth that leave no root
 * @see ISO 53, ISO 21771; Shigley, Mechanical Engineering Design, ch. 13
 */
export function gearOutline(input: OutlineInput): OutlineResult {
  const tooth = toothOf(input);
  const notes: Finding[] = [];
  const bore = boreOf(input, tooth.root);
  const outline = outlineOf(tooth, input.pointsPerFlank ?? POINTS, notes);
  const files: OutlineResult['files'] = {};
  for (const kind of input.files ?? []) {
    if (kind === 'svg') files.svg = gearSvg(outline, bore, tooth.tip);
    if (kind === 'dxf') files.dxf = gearDxf([outline, bore]);
    if (kind === 'stl') {
      if (input.faceWidthMm === undefined) throw refusal('faceWidthMm', 'outline.noWidth');
      const twist = (input.faceWidthMm * Math.tan((input.helixDeg ?? 0) * RAD)) / tooth.pitch;
      files.stl = gearStl(outline, bore, input.faceWidthMm, twist);
    }
  }
  return { outline: closed(outline), bore: closed(bore), flankFromMm: tooth.form, files, notes };
}

const closed = (points: readonly Point[]): Point[] => [...points, points[0]!];

function toothOf({
  teeth,
  moduleMm: m,
  pressureAngleDeg = 20,
  shift = 0,
  helixDeg = 0,
  backlashMm = 0,
}: OutlineInput): Tooth {
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

/** One tooth after the other, clockwise from the left flank's root of tooth 0 on +y to the right, and on around. */
function outlineOf(tooth: Tooth, pointsPerFlank: number, notes: Finding[]): Point[] {
  const top = topOf(tooth);
  if (top < tooth.tip) notes.push(finding('note.gearOutline.pointed', {}));
  const flank = Array.from(
    { length: pointsPerFlank },
    (_, i) => tooth.form + ((top - tooth.form) * i) / (pointsPerFlank - 1),
  );
  const right = [...fillet(tooth), ...flank.map((radius): Polar => ({ radius, angle: tooth.half(radius) }))];
  const gap = Math.PI / tooth.teeth;
  const tipHalf = Math.max(0, tooth.half(top));
  const pointed = tipHalf < 1e-9;
  const arc = pointed
    ? []
    : Array.from({ length: TIP_POINTS - 1 }, (_, i): Polar => ({
        radius: top,
        angle: -tipHalf + (2 * tipHalf * (i + 1)) / TIP_POINTS,
      }));
  const rootHalf = gap - right[0]!.angle;
  const valley =
    rootHalf < 1e-9
      ? []
      : Array.from({ length: ROOT_POINTS - 1 }, (_, i): Polar => ({
          radius: tooth.root,
          angle: right[0]!.angle + (2 * rootHalf * (i + 1)) / ROOT_POINTS,
        }));
  const profile = [
    ...right.map(({ radius, angle }): Polar => ({ radius, angle: -angle })),
    ...arc,
    ...[...right].reverse().slice(pointed ? 1 : 0),
    ...valley,
  ];
  return Array.from({ length: tooth.teeth }, (_, k) =>
    profile.map((point) => cartesian(point, 2 * gap * k)),
  ).flat();
}

interface Polar {
  radius: number;
  /** From the tooth's middle, clockwise seen from +z. */
  angle: number;
}

const cartesian = ({ radius, angle }: Polar, turn: number): Point => [
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

function boreOf({ boreMm, flatDepthMm, hexAcrossFlatsMm }: OutlineInput, root: number): Point[] {
  const radius = boreMm / 2;
  if (hexAcrossFlatsMm !== undefined) {
    const corner = hexAcrossFlatsMm / Math.sqrt(3);
    if (corner >= root)
      throw refusal('hexAcrossFlatsMm', 'outline.hex', {
        corner: measure(corner, 'fitMm', 4),
        root: measure(root, 'fitMm', 4),
      });
    return Array.from({ length: 6 }, (_, i) => cartesian({ radius: corner, angle: (Math.PI / 3) * i }, 0));
  }
  if (radius >= root)
    throw refusal('boreMm', 'outline.bore', {
      boreMm: measure(boreMm, 'fitMm', 4),
      root: measure(root, 'fitMm', 4),
    });
  if (flatDepthMm === undefined)
    return Array.from({ length: BORE_POINTS }, (_, i) =>
      cartesian({ radius, angle: (2 * Math.PI * i) / BORE_POINTS }, 0),
    );
  if (flatDepthMm >= boreMm)
    throw refusal('flatDepthMm', 'outline.flat', {
      flatDepthMm: measure(flatDepthMm, 'fitMm', 4),
      boreMm: measure(boreMm, 'fitMm', 4),
    });
  const half = Math.acos((radius - flatDepthMm) / radius);
  return Array.from({ length: BORE_POINTS }, (_, i) =>
    cartesian({ radius, angle: half + ((2 * Math.PI - 2 * half) * i) / (BORE_POINTS - 1) }, 0),
  );
}
