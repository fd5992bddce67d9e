import { brickStiffness, layeredStiffness, patternStiffness } from '@/core/physics/fem/brick';
import { type Clamp, clamped } from '@/core/physics/fem/clamp';
import { conjugate } from '@/core/physics/fem/conjugate';
import { bricksOf } from '@/core/physics/solid/bricks';
import type { FemSettings } from '@/core/physics/fem/definition';
import type { Preconditioner } from '@/core/physics/fem/multigrid';
import { preparedSolid } from '@/core/physics/fem/prepared';
import { productOf } from '@/core/physics/fem/product';
import { gridOver, voxelised } from '@/core/physics/solid/voxelise';
import type { Mesh } from '@/core/physics/meshFiles/mesh';
import { boxCorners, meshOf, ringCorners } from '@/core/physics/solid/shapes';
import { STILL } from '@/core/base/vec3';

const MATERIAL = {
  modulusMpa: 2000,
  modulusRatio: 0.8,
  poisson: 0.35,
  inPlaneStrengthMpa: 50,
  interlayerStrengthMpa: 25,
  interlayerShearMpa: 20,
};

interface Case {
  name: string;
  mesh: Mesh;
  length: number;
  /** Steps of the plain solver are counted too. */
  plainly?: boolean;
}

const CASES: readonly Case[] = [
  { name: 'block of 64,000', mesh: meshOf(boxCorners([0, 0, 0], [40, 40, 40])), length: 40, plainly: true },
  { name: 'block of 195,000', mesh: meshOf(boxCorners([0, 0, 0], [58, 58, 58])), length: 58, plainly: true },
  { name: 'bar of 200,000', mesh: meshOf(boxCorners([0, 0, 0], [125, 40, 40])), length: 125, plainly: true },
  { name: 'thin tube of 180,000', mesh: meshOf(ringCorners(49.5, 47.5, 296, 256)), length: 296 },
];

const WIDE = 1000;

/** Solid analysis: voxels a second, iterations, and the same bricks by plain Jacobi-preconditioned conjugate gradients. */
export function benchSolid(): void {
  for (const { name, mesh, length, plainly } of CASES) {
    const settings: FemSettings = {
      voxelMm: 1,
      material: MATERIAL,
      buildDirection: [0, 0, 1],
      fixed: [{ min: [-WIDE, -WIDE, -WIDE], max: [0, WIDE, WIDE] }],
      loads: [{ min: [length, -WIDE, -WIDE], max: [length, WIDE, WIDE], forceN: [0, 0, -10] }],
    };
    const part = preparedSolid(mesh, settings);
    const { result } = drained(part.solve(settings.loads));
    // a second case pulls elsewhere, with the grids of the first
    const { result: second } = drained(
      part.solve(settings.loads.map((load) => ({ ...load, forceN: [3, 7, 0] as const }))),
    );
    const plain = plainly ? plainSolver(mesh, settings) : undefined;
    console.log(
      `mesh.fem, ${name} voxels: ${result.seconds.toFixed(2)} s, ${Math.round(result.voxels / result.seconds).toLocaleString('en')} voxels a second, ${result.iterations} iterations; a second load case ${second.seconds.toFixed(2)} s${plain ? `; plain Jacobi ${plain.seconds.toFixed(1)} s, ${plain.iterations} iterations: ${(plain.seconds / result.seconds).toFixed(1)} times as long` : ''}`,
    );
  }
}

function drained<T>(work: Generator<unknown, T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

function plainSolver(mesh: Mesh, { fixed, loads }: FemSettings): { seconds: number; iterations: number } {
  const began = performance.now();
  const grid = gridOver(mesh, 1);
  const bricks = bricksOf(voxelised(mesh, grid), grid.size, [1]);
  const clamp: Clamp = clamped(bricks, grid, STILL, fixed, loads);
  const k = brickStiffness(layeredStiffness(MATERIAL));
  const product = productOf(bricks, k, patternStiffness(k), 1);
  const free = (x: Float64Array) => {
    for (const node of clamp.heldNodes) x[3 * node] = x[3 * node + 1] = x[3 * node + 2] = 0;
  };
  const inverse = product.diagonal().map((value) => 1 / value);
  free(inverse);
  const f = clamp.force.slice();
  free(f);
  const jacobi: Preconditioner = (rAt, zAt) => {
    const [r, z] = [product.kernel.doubles(rAt, f.length), product.kernel.doubles(zAt, f.length)];
    for (let at = 0; at < r.length; at++) z[at] = inverse[at]! * r[at]!;
  };
  const { iterations } = drained(conjugate(product, jacobi, free, f, (residual) => residual <= 1e-6, 20_000));
  return { seconds: (performance.now() - began) / 1000, iterations };
}
