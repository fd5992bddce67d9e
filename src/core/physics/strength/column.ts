import { byLayers, type Layers, type PartState, type StrengthMaterial } from './allowable';
import { type Section, type SectionProperties, sectionProperties } from './section';

export const COLUMN_ENDS = ['pinned', 'fixed-free', 'fixed-pinned', 'fixed'] as const;
export type ColumnEnds = (typeof COLUMN_ENDS)[number];

export interface ColumnInput extends PartState {
  lengthMm: number;
  section: Section;
  material: StrengthMaterial;
  ends: ColumnEnds;
  layers: Layers;
  forceN: number;
}

export interface ColumnResult {
  bucklingN: number;
  /** What it bears over what it has to; a plain number. */
  margin: number;
  mode: 'Euler' | 'Johnson';
}

/** Length that buckles over the length between the ends. */
const EFFECTIVE: Readonly<Record<ColumnEnds, number>> = {
  pinned: 1,
  'fixed-free': 2,
  'fixed-pinned': 0.699,
  fixed: 0.5,
};
const NOT_LOADED = 1e6;

/**
 * A printed strut under compression, about its weak axis.
 *
 * @returns the force at which it buckles or crushes, N
 * @see Shigley, Mechanical Engineering Design, ch. 4: Euler over the transition slenderness, Johnson under it
 */
export function columnCheck({
  lengthMm,
  section,
  material,
  ends,
  layers,
  forceN,
  fill,
  temperatureC,
}: ColumnInput): ColumnResult {
  const { areaMm2, i2Mm4 } = sectionProperties({ section });
  const { allowable, modulus } = byLayers(material, layers, {
    ...(fill === undefined ? {} : { fill }),
    ...(temperatureC === undefined ? {} : { temperatureC }),
  });
  const { bucklingN, mode } = bucklingOf({ areaMm2, i2Mm4 }, { allowable, modulus }, lengthMm, ends);
  return { bucklingN, margin: forceN === 0 ? NOT_LOADED : bucklingN / forceN, mode };
}

/** Force at which a strut of a section, strength and stiffness buckles or crushes, N. */
export function bucklingOf(
  { areaMm2, i2Mm4 }: Pick<SectionProperties, 'areaMm2' | 'i2Mm4'>,
  { allowable, modulus }: { allowable: number; modulus: number },
  lengthMm: number,
  ends: ColumnEnds,
): Pick<ColumnResult, 'bucklingN' | 'mode'> {
  const slenderness = (EFFECTIVE[ends] * lengthMm) / Math.sqrt(i2Mm4 / areaMm2);
  const euler = slenderness > Math.sqrt((2 * Math.PI ** 2 * modulus) / allowable);
  const bucklingN =
    areaMm2 *
    (euler
      ? (Math.PI ** 2 * modulus) / slenderness ** 2
      : allowable - (allowable * slenderness) ** 2 / (4 * Math.PI ** 2 * modulus));
  return { bucklingN, mode: euler ? 'Euler' : 'Johnson' };
}
