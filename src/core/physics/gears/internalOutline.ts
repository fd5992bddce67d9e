import { refusal } from '../../base/errors';
import { type Measure, measure } from '../../base/measure';
import { involute } from './mesh';
import type { Point } from './outlineFiles';
import { cartesian, type Polar, type Stretch } from './toothForm';

declare module '../../base/errors' {
  interface RefusalFacts {
    'making.rim': { least: Measure };
  }
}

export interface InternalOutlineInput {
  teeth: number;
  moduleMm: number;
  pressureAngleDeg?: number;
  /** Of its teeth, in modules. */
  addendum?: number;
  /** Arc at the pitch circle, of the pair: half of it is added to this gear's spaces. */
  backlashMm?: number;
  pointsPerFlank?: number;
}

const [ROOT_DEPTH, RAD, POINTS] = [1.25, Math.PI / 180, 12];

/** A ring's radii, mm. */
export const ringRadii = ({ teeth, moduleMm, addendum = 1 }: InternalOutlineInput) => ({
  tip: (moduleMm * teeth) / 2 - addendum * moduleMm,
  root: (moduleMm * teeth) / 2 + ROOT_DEPTH * moduleMm,
});

/** Rim behind the roots of the inner teeth that a ring is never made thinner than, modules. */
const LEAST_RIM = 0.75;

/** Refuses, at `outsideMm`, a ring whose rim is thinner than that. */
export function checkRim(ring: InternalOutlineInput & { outsideMm: number }): void {
  const least = 2 * (ringRadii(ring).root + LEAST_RIM * ring.moduleMm);
  if (ring.outsideMm < least) throw refusal('outsideMm', 'making.rim', { least: measure(least, 'fitMm', 4) });
}

/** Radius from which the flanks are involutes, mm. */
export const involuteFromMm = (input: InternalOutlineInput): number =>
  Math.max(
    ringRadii(input).tip,
    ((input.moduleMm * input.teeth) / 2) * Math.cos((input.pressureAngleDeg ?? 20) * RAD),
  );

/**
 * Inner contour of one space of a ring and of the tooth behind it, clockwise, the space's middle on +y: its flanks are
 * those of the teeth of an outer gear, involutes outside the base circle, radial below it.
 *
 * @see ISO 21771 (internal gears)
 */
export function internalStretches(input: InternalOutlineInput): Stretch[] {
  const { teeth, moduleMm, pressureAngleDeg = 20, backlashMm = 0, pointsPerFlank = POINTS } = input;
  const angle = pressureAngleDeg * RAD;
  const pitch = (moduleMm * teeth) / 2;
  const base = pitch * Math.cos(angle);
  const { tip, root } = ringRadii(input);
  const half = (radius: number) =>
    Math.max(
      0,
      Math.PI / (2 * teeth) +
        backlashMm / (4 * pitch) +
        involute(angle) -
        involute(Math.acos(Math.min(1, base / Math.max(radius, base)))),
    );
  const from = involuteFromMm(input);
  const flank = Array.from({ length: pointsPerFlank }, (_, k): Polar => {
    const radius = from + ((root - from) * k) / (pointsPerFlank - 1);
    return { radius, angle: half(radius) };
  });
  const left = (points: readonly Polar[]) => points.map((one) => ({ ...one, angle: -one.angle }));
  const back = (points: readonly Polar[]) => [...points].reverse();
  const foot = tip < from ? [{ radius: tip, angle: half(from) }, flank[0]!] : [];
  const [rootHalf, tipHalf] = [half(root), half(from)];
  const arc = (radius: number, first: number, last: number): Polar[] =>
    [first, (first + last) / 2, last].map((at) => ({ radius, angle: at }));
  const stretch = (curve: Stretch['curve'], points: readonly Polar[]): Stretch => ({
    curve,
    points: points.map((point) => cartesian(point, 0)),
  });
  return [
    ...(foot.length > 0 ? [stretch('line', left(foot))] : []),
    stretch('spline', left(flank)),
    ...(rootHalf > SAME_RAD ? [stretch('arc', arc(root, -rootHalf, rootHalf))] : []),
    stretch('spline', back(flank)),
    ...(foot.length > 0 ? [stretch('line', back(foot))] : []),
    stretch('arc', arc(tip, tipHalf, (2 * Math.PI) / teeth - tipHalf)),
  ];
}

const SAME_RAD = 1e-9;

/**
 * The whole inner contour, space 0 on +y.
 *
 * @returns mm, the first point again at the end
 */
export function internalOutline(input: InternalOutlineInput): Point[] {
  const profile = internalStretches(input).flatMap(({ points }) => points.slice(0, -1));
  const points = Array.from({ length: input.teeth }, (_, k) => {
    const turn = (2 * Math.PI * k) / input.teeth;
    const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
    return profile.map(([x, y]): Point => [x * cos + y * sin, y * cos - x * sin]);
  }).flat();
  return [...points, points[0]!];
}
