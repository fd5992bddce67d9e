import type { Part, PartShape } from '../../car/document/parts';
import { missingOf } from '../../base/assembled';
import type { Section } from '../../physics/strength/section';

/** Width of a line where none is given, mm. */
export const USUAL_LINE_MM = 0.42;

/** The part's section with the axis about which an upright load bends it. */
export interface PartSection {
  section: Section;
  upright: 'x' | 'y';
  /** Of the section's area, what lies deeper than the perimeters. */
  coreOf(wallMm: number): number;
}

const positive = (value: number) => Math.max(0, value);

/** The section of a beam or strut from its few dimensions, or what is missing. */
export function sectionOfShape({
  profile,
  widthMm: w,
  heightMm: h,
  wallMm: t,
  flangeMm: f,
}: PartShape): PartSection | readonly string[] {
  const area = (parts: readonly (readonly [number, number])[], wall: number) => {
    const whole = parts.reduce((sum, [a, b]) => sum + a * b, 0);
    return parts.reduce((sum, [a, b]) => sum + positive(a - 2 * wall) * positive(b - 2 * wall), 0) / whole;
  };
  switch (profile) {
    case undefined:
      return ['profile'];
    case 'round':
      if (h === undefined) return ['heightMm'];
      return {
        section: { shape: 'round', diameterMm: h },
        upright: 'x',
        coreOf: (wall) => (positive(h - 2 * wall) / h) ** 2,
      };
    case 'tube': {
      const missing = missingOf({ heightMm: h, wallMm: t });
      if (h === undefined || t === undefined || missing.length > 0) return missing;
      if (2 * t >= h) return ['wallMm:tooThick'];
      return {
        section: { shape: 'tube', diameterMm: h, boreMm: h - 2 * t },
        upright: 'x',
        coreOf: (wall) => positive(t - 2 * wall) / t,
      };
    }
    case 'plate': {
      const missing = missingOf({ widthMm: w, heightMm: h });
      if (w === undefined || h === undefined) return missing;
      return {
        section: { shape: 'rectangle', widthMm: w, heightMm: h },
        upright: 'x',
        coreOf: (wall) => area([[w, h]], wall),
      };
    }
    case 'box': {
      const missing = missingOf({ widthMm: w, heightMm: h, wallMm: t });
      if (w === undefined || h === undefined || t === undefined) return missing;
      if (2 * t >= Math.min(w, h)) return ['wallMm:tooThick'];
      return {
        section: { shape: 'box', widthMm: w, heightMm: h, wallMm: t },
        upright: 'x',
        coreOf: (wall) => positive(t - 2 * wall) / t,
      };
    }
    case 'flanged': {
      const missing = missingOf({ widthMm: w, heightMm: h, wallMm: t, flangeMm: f });
      if (w === undefined || h === undefined || t === undefined || f === undefined) return missing;
      if (2 * t >= w || h >= f) return ['flangeMm:tooLow'];
      // the plate lies: it is the web of a channel turned by a quarter
      return {
        section: { shape: 'channel', widthMm: f, heightMm: w, webMm: h, flangeMm: t },
        upright: 'y',
        coreOf: (wall) =>
          area(
            [
              [w, h],
              [t, f - h],
              [t, f - h],
            ],
            wall,
          ),
      };
    }
  }
}

/** Share of solid: perimeters are solid, what lies deeper is infill. */
export function fillOf(
  { perimeters, lineMm = USUAL_LINE_MM, infill = 1 }: Pick<Part, 'perimeters' | 'lineMm' | 'infill'>,
  coreOf: (wallMm: number) => number,
): number {
  if (perimeters === undefined || infill >= 1) return 1;
  return 1 - coreOf(perimeters * lineMm) * (1 - infill);
}
