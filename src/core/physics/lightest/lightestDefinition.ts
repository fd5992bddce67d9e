import type { Finding } from '../../base/finding';
import type { Values } from '../../base/numeric/values';
import type { Layers, StrengthMaterial } from '../strength/allowable';
import type { BeamSupport } from '../strength/beam';
import type { Point2, Section } from '../strength/section';

/** A load of the part, in the plane of its section and along it. */
export interface BeamCase {
  name: string;
  forceN: number;
  /** In the section's plane, any length. */
  direction: Point2;
  /** From the held end; the tip or the middle where not given. */
  atMm?: number;
  /** Pulled positive. */
  axialN?: number;
  temperatureC?: number;
}

export type LightestShape = Exclude<Section['shape'], 'polygon'>;

/** A shape with each of its sizes as a value or several. */
export type SizedSection = { shape: LightestShape } & Readonly<Record<string, string | number | Values>>;

export interface PartLightestInput {
  support: BeamSupport;
  lengthMm: number;
  cases: readonly BeamCase[];
  materials: readonly { id: string; material: StrengthMaterial & { densityGPerCm3: number } }[];
  layers: readonly Layers[];
  sections: readonly SizedSection[];
  marginWanted?: number;
  deflectionMaxMm?: number;
}

export const LIMITED_BY = ['bending', 'shear', 'buckling', 'deflection'] as const;
export type LimitedBy = (typeof LIMITED_BY)[number];

export interface LightPart {
  material: string;
  layers: Layers;
  section: Section;
  massG: number;
  /** The least of its strength margins; left out where only the deflection counts. */
  margin?: number;
  limitedBy: { case: string; by: LimitedBy; ratio: number };
}

export interface PartLightestResult {
  tried: number;
  skipped: number;
  enough: number;
  best?: LightPart;
  alternatives?: LightPart[];
  /** The nearest to enough where none is. */
  closest?: LightPart;
  loadCases?: { name: string; margin?: number; by?: Exclude<LimitedBy, 'deflection'> }[];
  notes: Finding[];
}
