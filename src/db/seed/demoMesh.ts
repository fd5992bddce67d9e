import { createHash } from 'node:crypto';
import type { PartMesh } from '@/core/car/parts/parts';
import { liesMark, measureLying } from '@/core/worked/print/lies';
import { measureMesh } from '@/core/physics/solid/measure';
import { meshOf } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';

const VOXELS = 20_000;

export function demoMesh(name: string, corners: number[], more: Partial<PartMesh>): DemoMesh {
  const mesh = meshOf(corners);
  const content = Buffer.from(writeStl(mesh));
  const voxelMm = Number(Math.cbrt(measureMesh(mesh, {}).volumeMm3 / VOXELS).toPrecision(2));
  const given: PartMesh = {
    hash: createHash('sha256').update(content).digest('hex'),
    name: `${name}.stl`,
    unitMm: 1,
    up: [0, 0, 1],
    voxelMm,
    ...more,
  };
  return { content, mesh: { ...given, lies: { of: liesMark(given), ...measureLying(mesh, given.up) } } };
}

export interface DemoMesh {
  content: Buffer;
  mesh: PartMesh;
}
