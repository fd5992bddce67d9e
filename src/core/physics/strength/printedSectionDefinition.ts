import type { Values } from '../../base/numeric/values';
import type { Finding } from '../../base/finding';
import type { Layers, StrengthMaterial } from './allowable';

export interface SectionSettings {
  /** Of an extruded line, mm. */
  lineWidthMm?: number;
  layerMm?: number;
  /** Number of walls. */
  perimeters: number;
  /** Number of solid layers, below and above alike. */
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
  /** Number of walls. */
  perimeters: number;
  infillPct: number;
  heightMm: number;
  massGPerM: number;
  /** What it bears over what it has to; a plain number. */
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
  /** N mm². */
  eiXNmm2: number;
  /** N mm². */
  eiYNmm2: number;
  eaN: number;
  /** N mm². */
  gjNmm2: number;
  shellStressMpa: number;
  coreStressMpa?: number;
  shellShearMpa: number;
  coreShearMpa?: number;
  /** MPa. */
  allowable: { directMpa: number; coreDirectMpa?: number };
  /** What it bears over what it has to, each a plain number. */
  margins: Partial<Record<PrintedMargin, number>>;
  /** What it bears over what it has to; a plain number. */
  margin?: number;
  limitedBy?: PrintedMargin;
  massGPerM: number;
  massG?: number;
  /** A solid bar with everything times a power of the mean fill. */
  smear: { fill: number; eiXNmm2: number; margin?: number; marginRatio?: number };
  /** Of a search. */
  lightest?: LightestSection;
  /** Number of combinations looked at. */
  tried?: number;
  /** Number of combinations that hold. */
  enough?: number;
  notes: Finding[];
}
