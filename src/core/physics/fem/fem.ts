import { type Measure, measure } from '../../base/measure';
import { refusal } from '../../base/errors';
import { derate, type StrengthMaterial } from '../strength/allowable';
import { lengthOf, type Motion, turnBack, unit, type Vec3 } from '../../base/vec3';
import { edgesOf, solidOf } from '../solid/measure';
import type { Mesh } from '../meshFiles/mesh';
import { type MeshText, readMesh } from '../meshFiles/readMesh';
import { brickStiffness, layeredStiffness, patternStiffness } from './brick';
import { type Bricks, bricksOf, piecesOf, type Solid } from '../solid/bricks';
import { type ClampBox, clamped, type LoadBox } from './clamp';
import { conjugate, type Progress } from './conjugate';
import { hollowed } from './depth';
import { levelsOf } from './levels';
import { largestOf, multigrid } from './multigrid';
import { productOf } from './product';
import { FAILS_BY, type FailsBy, type StressField, stressesOf } from './stresses';
import { type Grid, gridOver, voxelised } from '../solid/voxelise';
import { turnedTo, turnedMesh } from './turned';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.fem.corners': Record<never, never>;
    'note.fem.residual': { iterations: number; residual: Measure };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'fem.open': { unpaired: number };
    'fem.insideOut': Record<never, never>;
    'fem.cells': { cells: Measure; most: Measure };
    'fem.coarse': Record<never, never>;
    'fem.pieces': { pieces: number };
  }
}

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

const USUAL_EXPONENT = 1.5;

const MOST_ITERATIONS = 1000;

/** Cells of the grid, with and without material. */
const MOST_CELLS = 60_000_000;

const LEAST_STRENGTH = 1e-9;

/**
 * A part as a solid of layers on a grid of bricks.
 *
 * @returns mm, N, MPa, seconds; the margin is strength over stress by the nearest of three criteria
 * @throws CalcError at `mesh` where it is open or in pieces, at `fixed` where it would come loose, at `loads`
 * where nothing pulls, at `voxelMm` where the grid is too fine or too coarse
 * @see Zienkiewicz and Taylor, The Finite Element Method, ch. 9 and 10; Trottenberg et al., Multigrid
 */
export function meshFem({ mesh, field = false, ...settings }: FemInput): FemResult & { field?: object } {
  const work = solvedSolid(readMesh(mesh), settings);
  for (;;) {
    const step = work.next();
    if (step.done) return { ...step.value.result, ...(field ? { field: fieldOf(step.value) } : {}) };
  }
}

/** The same in steps, each an iteration. */
export function* solvedSolid(mesh: Mesh, settings: FemSettings): Generator<Progress, FemSolution> {
  const began = performance.now();
  const { material, fixed, loads, shell, tolerance = USUAL_TOLERANCE, temperatureC } = settings;
  const turned = turnedTo(unit(settings.buildDirection));
  const laid = turnedMesh(mesh, turned);
  checkSolid(laid);
  const stiffness = layeredStiffness(material);
  const { grid, solid } = filled(laid, settings);
  const bricks = bricksOf(
    shell ? hollowed(solid, laid, grid, shell.wallMm) : solid,
    grid.size,
    shell ? [1, shell.infill ** (shell.exponent ?? USUAL_EXPONENT)] : [1],
  );
  const clamp = clamped(bricks, grid, turned, fixed, loads);
  const k = brickStiffness(stiffness);
  const product = productOf(bricks, k, patternStiffness(k), grid.edgeMm);
  const free = (x: Float64Array) => {
    for (const node of clamp.heldNodes) x[3 * node] = x[3 * node + 1] = x[3 * node + 2] = 0;
  };
  const diagonal = product.diagonal();
  free(diagonal);
  const precondition = multigrid(
    product,
    diagonal,
    largestOf(product, diagonal),
    levelsOf(bricks, k, grid.edgeMm, clamp.held),
  );
  const u = new Float64Array(diagonal.length);
  const f = clamp.force.slice();
  free(f);
  const pull = Math.max(...loads.map(({ forceN }) => lengthOf(forceN)));
  const end = yield* conjugate(
    product,
    precondition,
    free,
    f,
    u,
    (relative, r) => relative <= tolerance && lengthOf(sumOf(r)) <= tolerance * pull,
    MOST_ITERATIONS,
  );
  const left = derate(material, temperatureC);
  const strengths = {
    planeMpa: Math.max(LEAST_STRENGTH, left * material.inPlaneStrengthMpa),
    acrossMpa: Math.max(LEAST_STRENGTH, left * material.interlayerStrengthMpa),
    shearMpa: Math.max(LEAST_STRENGTH, left * material.interlayerShearMpa),
  };
  const stress = stressesOf(bricks, stiffness, strengths, grid.edgeMm, u);
  const weakest = leastOf(stress.margin);
  const back = (v: Vec3): Vec3 => turnBack(turned, v);
  const reaction = reactionOf(product, clamp.heldNodes, clamp.force, u);
  const result: FemResult = {
    voxels: bricks.voxel.length,
    dofs: u.length,
    voxelMm: grid.edgeMm,
    iterations: end.iterations,
    seconds: (performance.now() - began) / 1000,
    maxDisplacementMm: mostMoved(u),
    meanDisplacementAtLoadMm:
      clamp.loadedNodes.reduce(
        (sum, node) => sum + Math.hypot(u[3 * node]!, u[3 * node + 1]!, u[3 * node + 2]!),
        0,
      ) / clamp.loadedNodes.length,
    maxVonMisesMpa: mostOf(stress.vonMises),
    margin: stress.margin[weakest]!,
    failsBy: FAILS_BY[stress.criterion[weakest]!]!,
    atMm: back(centreOf(bricks, grid, weakest)),
    reactionN: back(reaction),
    notes: [
      finding('note.fem.corners', {}),
      ...clamp.notes,
      ...(end.residual > tolerance
        ? [
            finding('note.fem.residual', {
              iterations: end.iterations,
              residual: measure(end.residual, 'coefficient'),
            }),
          ]
        : []),
    ],
  };
  return { result, grid, turned, bricks, displacement: u, stress };
}

function checkSolid(mesh: Mesh): void {
  const { unpaired } = edgesOf(mesh);
  if (unpaired > 0) throw refusal('mesh', 'fem.open', { unpaired });
  if (solidOf(mesh).signed <= 0) throw refusal('mesh', 'fem.insideOut');
}

function filled(
  mesh: Mesh,
  { voxelMm, targetVoxels = USUAL_VOXELS }: FemSettings,
): { grid: Grid; solid: Solid } {
  const path = voxelMm === undefined ? 'targetVoxels' : 'voxelMm';
  const grid = gridOver(mesh, voxelMm ?? Math.cbrt(solidOf(mesh).volume / targetVoxels));
  const cells = grid.size[0] * grid.size[1] * grid.size[2];
  if (cells > MOST_CELLS)
    throw refusal(path, 'fem.cells', {
      cells: measure(cells, 'count', 9),
      most: measure(MOST_CELLS, 'count', 9),
    });
  const solid = voxelised(mesh, grid);
  const pieces = piecesOf(solid, grid.size);
  if (pieces === 0) throw refusal(path, 'fem.coarse');
  if (pieces > 1) throw refusal('mesh', 'fem.pieces', { pieces });
  return { grid, solid };
}

function sumOf(r: Float64Array): Vec3 {
  let [x, y, z] = [0, 0, 0];
  for (let at = 0; at < r.length; at += 3) {
    x += r[at]!;
    y += r[at + 1]!;
    z += r[at + 2]!;
  }
  return [x, y, z];
}

function reactionOf(
  product: { apply(x: Float64Array, y: Float64Array): void },
  held: readonly number[],
  force: Float64Array,
  u: Float64Array,
): Vec3 {
  const all = new Float64Array(u.length);
  product.apply(u, all);
  let [x, y, z] = [0, 0, 0];
  for (const node of held) {
    x += all[3 * node]! - force[3 * node]!;
    y += all[3 * node + 1]! - force[3 * node + 1]!;
    z += all[3 * node + 2]! - force[3 * node + 2]!;
  }
  return [x, y, z];
}

function leastOf(margin: Float32Array): number {
  let least = 0;
  for (let at = 1; at < margin.length; at++) if (margin[at]! < margin[least]!) least = at;
  return least;
}

function mostOf(values: Float32Array): number {
  let most = 0;
  for (let at = 0; at < values.length; at++) if (values[at]! > most) most = values[at]!;
  return most;
}

function mostMoved(u: Float64Array): number {
  let most = 0;
  for (let at = 0; at < u.length; at += 3)
    most = Math.max(most, u[at]! ** 2 + u[at + 1]! ** 2 + u[at + 2]! ** 2);
  return Math.sqrt(most);
}

/** Centre of a brick, in the grid's axes. */
export function centreOf({ size: [nx, ny], voxel }: Bricks, { origin, edgeMm }: Grid, brick: number): Vec3 {
  const at = voxel[brick]!;
  return [
    origin[0] + ((at % nx) + 0.5) * edgeMm,
    origin[1] + ((Math.floor(at / nx) % ny) + 0.5) * edgeMm,
    origin[2] + (Math.floor(at / (nx * ny)) + 0.5) * edgeMm,
  ];
}

function fieldOf({ bricks, grid, turned, displacement, stress }: FemSolution): object {
  const centres = Array.from(bricks.voxel, (_, brick) => turnBack(turned, centreOf(bricks, grid, brick)));
  const moved = Array.from(bricks.corner, (_, node) =>
    turnBack(turned, [displacement[3 * node]!, displacement[3 * node + 1]!, displacement[3 * node + 2]!]),
  );
  return {
    centreMm: centres,
    margin: Array.from(stress.margin),
    failsBy: Array.from(stress.criterion, (index) => FAILS_BY[index]!),
    vonMisesMpa: Array.from(stress.vonMises),
    nodeDisplacementMm: moved,
  };
}
