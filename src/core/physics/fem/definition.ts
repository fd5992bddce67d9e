import type { Finding } from '../../base/finding';
import type { Motion, Vec3 } from '../../base/vec3';
import type { MeshText } from '../meshFiles/readMesh';
import type { Bricks } from '../solid/bricks';
import type { Grid } from '../solid/voxelise';
import type { StrengthMaterial } from '../strength/allowable';
import type { ClampBox, LoadBox } from './clamp';
import type { FailsBy, StressField } from './stresses';

export interface FemSettings {
  voxelMm?: number;
  /** Number of bricks that are aimed at. */
  targetVoxels?: number;
  material: StrengthMaterial;
  buildDirection: Vec3;
  fixed: readonly ClampBox[];
  loads: readonly LoadBox[];
  shell?: { wallMm: number; infill: number; exponent?: number };
  /** ‖r‖ over ‖f‖. */
  tolerance?: number;
  temperatureC?: number;
}

export interface FemInput extends FemSettings {
  mesh: MeshText;
  /** Margins and displacements of every voxel too. */
  field?: boolean;
}

export interface FemResult {
  /** Number of bricks. */
  voxels: number;
  /** Number of unknowns. */
  dofs: number;
  voxelMm: number;
  /** Steps of the solver. */
  iterations: number;
  /** s. */
  seconds: number;
  maxDisplacementMm: number;
  meanDisplacementAtLoadMm: number;
  maxVonMisesMpa: number;
  /** What it bears over what it has to; a plain number. */
  margin: number;
  failsBy: FailsBy;
  atMm: Vec3;
  reactionN: Vec3;
  notes: Finding[];
}

/** The result with what a picture needs. */
export interface FemSolution {
  result: FemResult;
  grid: Grid;
  /** From the mesh's axes to the grid's. */
  turned: Motion;
  bricks: Bricks;
  /** Three figures a node, in the grid's axes, mm. */
  displacement: Float64Array;
  stress: StressField;
}

export const USUAL_TOLERANCE = 1e-6;

export const USUAL_VOXELS = 30_000;
