import { involute } from './mesh';
import type { Point } from './outlineFiles';

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

/**
 * Inner contour of a ring with inner teeth, space 0 on +y: the spaces have the flanks of the teeth of an outer gear.
 *
 * @returns mm, the first point again at the end; flanks are involutes outside the base circle, radial below it
 * @see ISO 21771 (internal gears)
 */
export function internalOutline(input: InternalOutlineInput): Point[] {
  const { teeth, moduleMm, pressureAngleDeg = 20, addendum = 1, backlashMm = 0 } = input;
  const { pointsPerFlank = POINTS } = input;
  const angle = pressureAngleDeg * RAD;
  const pitch = (moduleMm * teeth) / 2;
  const base = pitch * Math.cos(angle);
  const [tip, root] = [pitch - addendum * moduleMm, pitch + ROOT_DEPTH * moduleMm];
  const half = (radius: number) =>
    Math.PI / (2 * teeth) +
    backlashMm / (4 * pitch) +
    involute(angle) -
    involute(Math.acos(Math.min(1, base / Math.max(radius, base))));
  const from = Math.max(tip, base);
  const flank = Array.from({ length: pointsPerFlank }, (_, k) => {
    const radius = from + ((root - from) * k) / (pointsPerFlank - 1);
    return { radius, half: Math.max(0, half(radius)) };
  });
  const outward = tip < from ? [{ radius: tip, half: half(from) }, ...flank] : flank;
  const inward = [...outward].reverse();
  const points: Point[] = [];
  const put = (radius: number, turn: number) =>
    points.push([radius * Math.sin(turn), radius * Math.cos(turn)]);
  for (let space = 0; space < teeth; space++) {
    const middle = (2 * Math.PI * space) / teeth;
    for (const one of outward) put(one.radius, middle - one.half);
    for (const one of inward) put(one.radius, middle + one.half);
  }
  return [...points, points[0]!];
}
