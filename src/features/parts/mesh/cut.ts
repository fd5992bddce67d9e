import type { Part } from '@/core/car/parts/parts';
import type { SectionsHow } from '@/core/physics/solid/sectionsDefinition';
import type { Assembled } from '@/core/base/assembled';
import type { FemSettings } from '@/core/physics/fem/definition';
import { add, type Vec3 } from '@/core/base/vec3';

/** The mesh as a beam along its longest side: all pulls together at the middle of theirs, held where it is held. */
export function cutOf(
  part: Part,
  settings: Assembled<FemSettings>,
  bounds: { min: Vec3; max: Vec3 },
): SectionsHow | undefined {
  if (!settings.ok || !part.mesh) return undefined;
  const { loads, fixed, material, buildDirection, temperatureC } = settings.value;
  const middle = ({ min, max }: { min: Vec3; max: Vec3 }): Vec3 => [
    (min[0] + max[0]) / 2,
    (min[1] + max[1]) / 2,
    (min[2] + max[2]) / 2,
  ];
  const sizes = ([0, 1, 2] as const).map((axis) => bounds.max[axis] - bounds.min[axis]);
  const long = sizes.indexOf(Math.max(...sizes)) as 0 | 1 | 2;
  const forceN = loads.reduce<Vec3>((sum, load) => add(sum, load.forceN), [0, 0, 0]);
  const clampInside = (point: Vec3): Vec3 =>
    point.map((one, axis) =>
      Math.min(bounds.max[axis]!, Math.max(bounds.min[axis]!, one)),
    ) as unknown as Vec3;
  const atMm = clampInside(middle(loads[0]!));
  const fromMin = middle(fixed[0]!)[long] < atMm[long];
  const holdAtMm = fromMin ? fixed[0]!.max[long] : fixed[0]!.min[long];
  return {
    axis: (['x', 'y', 'z'] as const)[long],
    load: { forceN, atMm },
    heldEnd: fromMin ? 'min' : 'max',
    holdAtMm,
    material,
    buildDirection,
    ...(temperatureC === undefined ? {} : { temperatureC }),
  };
}
