import { turnBack } from '../../base/vec3';
import type { Mesh } from '../meshFiles/mesh';
import { readMesh } from '../meshFiles/readMesh';
import type { Progress } from './conjugate';
import type { FemInput, FemResult, FemSettings, FemSolution } from './definition';
import { centreOf, preparedSolid } from './prepared';
import { FAILS_BY } from './stresses';

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
export const solvedSolid = (mesh: Mesh, settings: FemSettings): Generator<Progress, FemSolution> =>
  preparedSolid(mesh, settings).solve(settings.loads);

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
