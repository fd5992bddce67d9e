import type { Part } from '../../car/parts/parts';
import { lengthOf, scale, unit, type Vec3 } from '../../base/vec3';

/** A part whose solid analysis tells how stiff it is between where it is held and where it is pulled. */
export interface SolvedMount {
  part: Part;
  stiffnessNPerMm: number;
}

/**
 * Force in over movement out of every part that was solved with forces of its own: what a mount gives between two shafts when
 * it is held at the one and pulled at the other.
 *
 * @returns parts without such a result are left out
 */
export function solvedMounts(parts: readonly Part[]): SolvedMount[] {
  return parts.flatMap((part): SolvedMount[] => {
    const { mesh } = part;
    const result = mesh?.solid?.cases?.find(({ from }) => from === 'own') ?? mesh?.solid;
    const pulls = (mesh?.pulls ?? []).filter(({ from }) => from === 'own');
    if (!result || !(result.moveMm > 0) || pulls.length === 0) return [];
    // all pull at once: what does not cancel is what the mount carries
    const force = pulls.reduce<Vec3>(
      (sum, { forceN = 0, direction }) => {
        const [x, y, z] = scale(unit(direction), forceN);
        return [sum[0] + x, sum[1] + y, sum[2] + z];
      },
      [0, 0, 0],
    );
    const stiffnessNPerMm = lengthOf(force) / result.moveMm;
    return stiffnessNPerMm > 0 ? [{ part, stiffnessNPerMm }] : [];
  });
}
