import type { PartLies, PartMesh } from '../../car/parts/parts';
import type { Vec3 } from '../../base/vec3';
import { laidOnBed } from '../../physics/solid/bed';
import { boundsOf, measureMesh } from '../../physics/solid/measure';
import type { Mesh } from '../../physics/meshFiles/mesh';

/** Of a face's normal, upwards or downwards: nearer to level than to upright. */
const LEVEL = Math.SQRT1_2;

/** Marks what a measurement of a lying mesh was made from. */
export const liesMark = ({ hash, unitMm, up }: Pick<PartMesh, 'hash' | 'unitMm' | 'up'>): string =>
  `${hash.slice(0, 16)} ${unitMm} ${up.map((one) => Number(one.toPrecision(6))).join(' ')}`;

/** What is known of a part's mesh as it lies, while nothing it was measured from has changed. */
export const liesOf = (mesh: PartMesh | undefined): PartLies | undefined =>
  mesh?.lies && mesh.lies.of === liesMark(mesh) ? mesh.lies : undefined;

/** What a printer has to do with a mesh that lies a way up: volume and faces in mm³ and mm², its box in mm. */
export function measureLying(mesh: Mesh, up: Vec3): Omit<PartLies, 'of'> {
  const laid = laidOnBed(mesh, up);
  const { volumeMm3, areaMm2 } = measureMesh(laid, {});
  const { min, max } = boundsOf(laid);
  return {
    volumeMm3,
    areaMm2,
    horizontalAreaMm2: Math.min(levelArea(laid), areaMm2),
    sizeMm: [max[0] - min[0], max[1] - min[1], max[2] - min[2]],
  };
}

function levelArea({ vertices, triangles }: Mesh): number {
  let sum = 0;
  for (let at = 0; at < triangles.length; at += 3) {
    const [a, b, c] = [3 * triangles[at]!, 3 * triangles[at + 1]!, 3 * triangles[at + 2]!];
    const [ux, uy, uz] = [
      vertices[b]! - vertices[a]!,
      vertices[b + 1]! - vertices[a + 1]!,
      vertices[b + 2]! - vertices[a + 2]!,
    ];
    const [vx, vy, vz] = [
      vertices[c]! - vertices[a]!,
      vertices[c + 1]! - vertices[a + 1]!,
      vertices[c + 2]! - vertices[a + 2]!,
    ];
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const twice = Math.hypot(nx, ny, nz);
    if (Math.abs(nz) >= LEVEL * twice) sum += twice / 2;
  }
  return sum;
}
