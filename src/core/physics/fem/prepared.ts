import { type Measure, measure } from '../../base/measure';
import { refusal } from '../../base/errors';
import { derate, type StrengthMaterial } from '../strength/allowable';
import { lengthOf, turnBack, unit, type Vec3 } from '../../base/vec3';
import { edgesOf, solidOf } from '../solid/measure';
import type { Mesh } from '../meshFiles/mesh';
import { brickStiffness, layeredStiffness, patternStiffness } from './brick';
import { type Bricks, bricksOf, piecesOf, type Solid } from '../solid/bricks';
import { clamped, type LoadBox } from './clamp';
import { conjugate, type Progress } from './conjugate';
import {
  type FemResult,
  type FemSettings,
  type FemSolution,
  USUAL_TOLERANCE,
  USUAL_VOXELS,
} from './definition';
import { hollowed } from './depth';
import { levelsOf } from './levels';
import { multigrid, type Preconditioner } from './multigrid';
import { largestOf, type Product, productOf } from './product';
import { FAILS_BY, stressesOf } from './stresses';
import { type Grid, gridOver, voxelised } from '../solid/voxelise';
import { turnedTo, turnedMesh } from './turned';
import { finding } from '../../base/finding';

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

const USUAL_EXPONENT = 1.5;

const MOST_ITERATIONS = 1000;

/** Cells of the grid, with and without material. */
const MOST_CELLS = 60_000_000;

const LEAST_STRENGTH = 1e-9;

/** A part as a grid of bricks that is held, for one load case after the other. */
export interface PreparedSolid {
  solve(loads: readonly LoadBox[]): Generator<Progress, FemSolution>;
}

/**
 * Grid and bricks of a part; with the first load case its coarser grids and their factor, which serve all further ones.
 *
 * @throws CalcError as `meshFem`; what has to do with holds and loads where a case is solved
 */
export function preparedSolid(
  mesh: Mesh,
  {
    material,
    fixed,
    shell,
    tolerance = USUAL_TOLERANCE,
    temperatureC,
    ...settings
  }: Omit<FemSettings, 'loads'>,
): PreparedSolid {
  let began = performance.now();
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
  const k = brickStiffness(stiffness);
  const patterns = patternStiffness(k);
  const product = productOf(bricks, k, patterns, grid.edgeMm);
  const strengths = strengthsOf(material, temperatureC);
  let precondition: Preconditioner | undefined;
  function* solve(loads: readonly LoadBox[]): Generator<Progress, FemSolution> {
    if (precondition) began = performance.now();
    const clamp = clamped(bricks, grid, turned, fixed, loads);
    const free = (x: Float64Array) => {
      for (const node of clamp.heldNodes) x[3 * node] = x[3 * node + 1] = x[3 * node + 2] = 0;
    };
    if (!precondition) {
      const diagonal = product.diagonal();
      free(diagonal);
      precondition = multigrid(
        product,
        diagonal,
        largestOf(patterns, k),
        levelsOf(product.kernel, bricks, k, grid.edgeMm, clamp.held),
      );
    }
    const f = clamp.force.slice();
    free(f);
    const pull = Math.max(...loads.map(({ forceN }) => lengthOf(forceN)));
    const { u, ...end } = yield* conjugate(
      product,
      precondition,
      free,
      f,
      (relative, r) => relative <= tolerance && lengthOf(sumOf(r)) <= tolerance * pull,
      MOST_ITERATIONS,
    );
    const stress = stressesOf(bricks, stiffness, strengths, grid.edgeMm, u);
    const weakest = leastOf(stress.margin);
    const back = (v: Vec3): Vec3 => turnBack(turned, v);
    const reaction = reactionOf(product, clamp.heldNodes, clamp.force);
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
  return { solve };
}

function strengthsOf(material: StrengthMaterial, temperatureC: number | undefined) {
  const left = derate(material, temperatureC);
  return {
    planeMpa: Math.max(LEAST_STRENGTH, left * material.inPlaneStrengthMpa),
    acrossMpa: Math.max(LEAST_STRENGTH, left * material.interlayerStrengthMpa),
    shearMpa: Math.max(LEAST_STRENGTH, left * material.interlayerShearMpa),
  };
}

function checkSolid(mesh: Mesh): void {
  const { unpaired } = edgesOf(mesh);
  if (unpaired > 0) throw refusal('mesh', 'fem.open', { unpaired });
  if (solidOf(mesh).signed <= 0) throw refusal('mesh', 'fem.insideOut');
}

function filled(
  mesh: Mesh,
  { voxelMm, targetVoxels = USUAL_VOXELS }: Pick<FemSettings, 'voxelMm' | 'targetVoxels'>,
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

/** What holds the part, by the stiffness and the movements that were found last. */
function reactionOf(product: Product, held: readonly number[], force: Float64Array): Vec3 {
  const { kernel, work } = product;
  product.apply(work.u, work.q);
  const all = kernel.doubles(work.q, force.length);
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
