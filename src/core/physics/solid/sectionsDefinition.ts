import type { Finding } from '../../base/finding';
import type { Measure } from '../../base/measure';
import type { Vec3 } from '../../base/vec3';
import type { MeshText } from '../meshFiles/readMesh';
import type { PartState, StrengthMaterial } from '../strength/allowable';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.sections.torsion': { torsion: Measure };
    'note.sections.gaps': { gaps: number; stations: number };
  }
}

export type Axis = 'x' | 'y' | 'z' | Vec3;

export interface SectionsInput extends PartState {
  mesh: MeshText;
  axis: Axis;
  /** Number of cuts. */
  stations?: number;
  load: { forceN: Vec3; atMm: Vec3 };
  heldEnd?: 'min' | 'max';
  material: StrengthMaterial;
  buildDirection?: Vec3;
}

export interface SectionSeries {
  /** Along the axis. */
  atMm: number[];
  areaMm2: number[];
  centroidMm: Vec3[];
  i1Mm4: number[];
  i2Mm4: number[];
  /** At the worst fibre, axial and bending. */
  stressMpa: number[];
  shearMpa: number[];
  allowableMpa: number[];
  /** What it bears over what it has to; a plain number. */
  margin: number[];
}

export interface SectionsResult {
  series: SectionSeries;
  weakest: { index: number; atMm: number; margin: number };
  notes: Finding[];
}

export type SectionsHow = Omit<SectionsInput, 'mesh'> & { holdAtMm?: number };
