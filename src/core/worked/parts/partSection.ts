import type { Part } from '../../car/parts/parts';
import type { PartShape } from '../../car/parts/partShape';
import { missingOf } from '../../base/assembled';
import { type Section, sectionProperties } from '../../physics/strength/section';
import { shearPeak } from '../../physics/strength/shearPeak';

/** Width of a line where none is given, mm. */
export const USUAL_LINE_MM = 0.42;

/** The part's section with the axis about which an upright load bends it. */
export interface PartSection {
  section: Section;
  upright: 'x' | 'y';
  /** What lies deeper than walls of a thickness; undefined where nothing does. */
  coreOf(wallMm: number): Section | undefined;
}

/** The section of a beam or strut from its few dimensions, or what is missing. */
export function sectionOfShape({
  profile,
  widthMm: w,
  heightMm: h,
  wallMm: t,
  flangeMm: f,
}: PartShape): PartSection | readonly string[] {
  switch (profile) {
    case undefined:
      return ['profile'];
    case 'round':
      if (h === undefined) return ['heightMm'];
      return {
        section: { shape: 'round', diameterMm: h },
        upright: 'x',
        coreOf: (wall) => (h > 2 * wall ? { shape: 'round', diameterMm: h - 2 * wall } : undefined),
      };
    case 'tube': {
      const missing = missingOf({ heightMm: h, wallMm: t });
      if (h === undefined || t === undefined || missing.length > 0) return missing;
      if (2 * t >= h) return ['wallMm:tooThick'];
      return {
        section: { shape: 'tube', diameterMm: h, boreMm: h - 2 * t },
        upright: 'x',
        coreOf: (wall) =>
          t > 2 * wall
            ? { shape: 'tube', diameterMm: h - 2 * wall, boreMm: h - 2 * t + 2 * wall }
            : undefined,
      };
    }
    case 'plate': {
      const missing = missingOf({ widthMm: w, heightMm: h });
      if (w === undefined || h === undefined) return missing;
      return {
        section: { shape: 'rectangle', widthMm: w, heightMm: h },
        upright: 'x',
        coreOf: (wall) =>
          Math.min(w, h) > 2 * wall
            ? { shape: 'rectangle', widthMm: w - 2 * wall, heightMm: h - 2 * wall }
            : undefined,
      };
    }
    case 'box': {
      const missing = missingOf({ widthMm: w, heightMm: h, wallMm: t });
      if (w === undefined || h === undefined || t === undefined) return missing;
      if (2 * t >= Math.min(w, h)) return ['wallMm:tooThick'];
      return {
        section: { shape: 'box', widthMm: w, heightMm: h, wallMm: t },
        upright: 'x',
        coreOf: (wall) =>
          t > 2 * wall
            ? { shape: 'box', widthMm: w - 2 * wall, heightMm: h - 2 * wall, wallMm: t - 2 * wall }
            : undefined,
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
        // the web's core runs through, the flanges' lie in line with it
        coreOf: (wall) =>
          Math.min(h, t) > 2 * wall
            ? {
                shape: 'channel',
                widthMm: f - 2 * wall,
                heightMm: w - 2 * wall,
                webMm: h - 2 * wall,
                flangeMm: t - 2 * wall,
              }
            : undefined,
      };
    }
  }
}

/** Shares of a solid section's stiffness, and of its area in shear, that walls and core keep. */
export interface Kept {
  upright: number;
  sideways: number;
  area: number;
}

/** Power of the fill that a core's stiffness and strength go with. Source: Gibson and Ashby, Cellular Solids, ch. 5. */
const CORE_EXPONENT = 1.5;
const SOLID: Kept = { upright: 1, sideways: 1, area: 1 };

/** Whether anything of a part is infill. */
export const isFilled = ({ perimeters, infill = 1 }: Pick<Part, 'perimeters' | 'infill'>): boolean =>
  perimeters !== undefined && infill < 1;

/**
 * What infill leaves of a section: walls of full plastic, and a core that counts with a power of its fill. As stiff at the
 * core as it is strong, the walls always break first.
 */
export function keptOf(
  part: Pick<Part, 'perimeters' | 'lineMm' | 'infill'>,
  { section, upright, coreOf }: PartSection,
): Kept {
  if (!isFilled(part)) return SOLID;
  const core = coreOf(part.perimeters! * (part.lineMm ?? USUAL_LINE_MM));
  if (!core) return SOLID;
  const [whole, inner] = [sectionProperties({ section }), sectionProperties({ section: core })];
  const lost = 1 - part.infill! ** CORE_EXPONENT;
  const about = { x: 1 - (lost * inner.ixMm4) / whole.ixMm4, y: 1 - (lost * inner.iyMm4) / whole.iyMm4 };
  return {
    upright: about[upright],
    sideways: about[upright === 'x' ? 'y' : 'x'],
    area: 1 - (lost * inner.areaMm2) / whole.areaMm2,
  };
}

/** The largest shear stress of a part's section for each newton along an axis of it, 1/mm², and what of the solid one's is left. */
export function shearedBy(
  part: Pick<Part, 'perimeters' | 'lineMm' | 'infill'>,
  { section, coreOf }: PartSection,
  along: 'x' | 'y',
): { peak: number; kept: number } {
  const solid = shearPeak(section, along);
  const core = isFilled(part) ? coreOf(part.perimeters! * (part.lineMm ?? USUAL_LINE_MM)) : undefined;
  if (!core) return { peak: solid, kept: 1 };
  const peak = shearPeak(section, along, { section: core, share: part.infill! ** CORE_EXPONENT });
  return { peak, kept: solid / peak };
}
