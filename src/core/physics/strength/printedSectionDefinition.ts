import type { Finding } from '../../base/finding';
import type { Layers, StrengthMaterial } from './allowable';

export interface SectionSettings {
  /** Of an extruded line, mm. */
  lineWidthMm?: number;
  layerMm?: number;
  perimeters: number;
  topBottomLayers?: number;
  infillPct: number;
}

/** What acts on a section: moments about x bend it along its height. */
export interface SectionLoad {
  momentXNmm?: number;
  momentYNmm?: number;
  shearXN?: number;
  shearYN?: number;
  torqueNmm?: number;
  axialN?: number;
}

/** Some values, or from + k·step below `to`, then `to`. */
export type Values = readonly number[] | { from: number; to: number; step: number };

export interface SectionSearch {
  /** Wanted. */
  margin: number;
  perimeters: Values;
  infillPct: Values;
  heightMm: Values;
}

export interface PrintedSectionInput {
  widthMm: number;
  heightMm: number;
  lengthMm?: number;
  settings: SectionSettings;
  layers: Layers;
  /** Across the layers of a bar whose layers lie along it. */
  buildAxis?: 'x' | 'y';
  /** Powers of the fill that the core's stiffness and strength go with. */
  core?: { modulusExponent?: number; strengthExponent?: number };
  material: StrengthMaterial;
  temperatureC?: number;
  load: SectionLoad;
  search?: SectionSearch;
}

export const PRINTED_MARGINS = ['shellDirect', 'coreDirect', 'shellShear', 'coreShear'] as const;
export type PrintedMargin = (typeof PRINTED_MARGINS)[number];

export interface LightestSection {
  perimeters: number;
  infillPct: number;
  heightMm: number;
  massGPerM: number;
  margin: number;
  limitedBy: PrintedMargin;
}

export interface PrintedSectionResult {
  wallXMm: number;
  wallYMm: number;
  shellMm2: number;
  coreMm2: number;
  /** Core's modulus over the shell's; left out without a core. */
  modularRatio?: number;
  eiXNmm2: number;
  eiYNmm2: number;
  eaN: number;
  gjNmm2: number;
  shellStressMpa: number;
  coreStressMpa?: number;
  shellShearMpa: number;
  coreShearMpa?: number;
  allowable: { directMpa: number; coreDirectMpa?: number };
  margins: Partial<Record<PrintedMargin, number>>;
  margin?: number;
  limitedBy?: PrintedMargin;
  massGPerM: number;
  massG?: number;
  /** A solid bar with everything times a power of the mean fill. */
  smear: { fill: number; eiXNmm2: number; margin?: number; marginRatio?: number };
  /** Of a search. */
  lightest?: LightestSection;
  tried?: number;
  enough?: number;
  notes: Finding[];
}
