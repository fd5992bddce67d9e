import { refusal } from '../../base/errors';
import { type Bore, borePoints } from './bore';
import { gearDxf, gearStl, gearSvg, type Point } from './outlineFiles';
import { checkRim, internalOutline, type InternalOutlineInput, involuteFromMm } from './internalOutline';
import { cartesian, type ToothInput, toothOf, toothStretches } from './toothForm';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.gearOutline.pointed': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'outline.noWidth': Record<never, never>;
  }
}

export const OUTLINE_FILES = ['svg', 'dxf', 'stl'] as const;
export type OutlineFile = (typeof OUTLINE_FILES)[number];

export interface OutlineInput extends ToothInput, Bore {
  /** A ring with inner teeth: it has neither bore, shift nor helix. */
  internal?: false;
  faceWidthMm?: number;
  /** Number of points. */
  pointsPerFlank?: number;
  files?: readonly OutlineFile[];
}

/** A ring with inner teeth. */
export interface RingOutlineInput extends InternalOutlineInput {
  internal: true;
  outsideMm: number;
  faceWidthMm?: number;
  files?: readonly OutlineFile[];
}

export interface OutlineResult {
  /** Transverse section, mm, the first point again at the end; tooth 0 on +y. */
  outline: Point[];
  /** Of a gear; a ring has its outside in `rim`. */
  bore?: Point[];
  rim?: Point[];
  /** Radius from which the flank is an involute. */
  flankFromMm: number;
  /** Texts, and the STL as base64. */
  files: Partial<Record<OutlineFile, string>>;
  notes: Finding[];
}

const RAD = Math.PI / 180;

/**
 * Outline of a gear from true involutes, with its bore, and as files at true size.
 *
 * @returns points in mm; flank points lie on the involute to rounding
 * @throws CalcError at `boreMm` or `hexAcrossFlatsMm` for a hole that meets the root, at `flatDepthMm` past
 * the bore, at `faceWidthMm` for a solid without a width, at `shift` for teeth that leave no root, at `outsideMm` for a ring
 * whose rim is under 0.75 modules
 * @see ISO 53, ISO 21771; Shigley, Mechanical Engineering Design, ch. 13
 */
export function gearOutline(input: OutlineInput): OutlineResult & { bore: Point[] };
export function gearOutline(input: OutlineInput | RingOutlineInput): OutlineResult;
export function gearOutline(input: OutlineInput | RingOutlineInput): OutlineResult {
  if (input.internal) return ringOutline(input);
  const tooth = toothOf(input);
  const notes: Finding[] = [];
  const bore = borePoints(input, tooth.root);
  const outline = outlineOf(input, notes);
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

function ringOutline(input: RingOutlineInput): OutlineResult {
  checkRim(input);
  const outline = internalOutline(input);
  const [inner, rim] = [outline.slice(0, -1), borePoints({ boreMm: input.outsideMm }, Infinity)];
  const files: OutlineResult['files'] = {};
  for (const kind of input.files ?? []) {
    if (kind === 'svg') files.svg = gearSvg(rim, inner, input.outsideMm / 2);
    if (kind === 'dxf') files.dxf = gearDxf([rim, inner]);
    if (kind === 'stl') {
      if (input.faceWidthMm === undefined) throw refusal('faceWidthMm', 'outline.noWidth');
      files.stl = gearStl(rim, inner, input.faceWidthMm, 0);
    }
  }
  return { outline, rim: closed(rim), flankFromMm: involuteFromMm(input), files, notes: [] };
}

const closed = (points: readonly Point[]): Point[] => [...points, points[0]!];

/** One tooth after the other, clockwise from the left flank's root of tooth 0 on +y to the right, and on around. */
function outlineOf(input: OutlineInput, notes: Finding[]): Point[] {
  const { stretches, pointed } = toothStretches(toothOf(input), input.pointsPerFlank);
  if (pointed) notes.push(finding('note.gearOutline.pointed', {}));
  const profile = stretches.flatMap(({ points }) => points.slice(0, -1));
  return Array.from({ length: input.teeth }, (_, k) =>
    profile.map((point) => cartesian(point, (2 * Math.PI * k) / input.teeth)),
  ).flat();
}
