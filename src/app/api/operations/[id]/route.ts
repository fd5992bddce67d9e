import { CalcError } from '@/core/errors';
import type { FemInput } from '@/core/mesh/fem/fem';
import { solidOf } from '@/core/mesh/measure';
import { readMesh } from '@/core/mesh/readMesh';
import { operations } from '@/core/operations';
import { parse } from '@/core/schema/parse';
import { DoorError } from '@/db/errors';
import { door, rawBody } from '../../door';

/** What one request may ask of the server; `calc` and the page take more. */
const MOST_COMBINATIONS = 8000;
const MOST_VOXELS = 20_000;

export const POST = door(async ({ request, id: name }) => {
  const operation = Object.hasOwn(operations, name) ? operations[name] : undefined;
  if (!operation) throw new DoorError('notFound', `There is no operation ${name}.`, { remedy: 'see the list at /api/operations' });
  const input = parse(operation.schema, await rawBody(request));
  if (name === 'drive.sweep') refuseLongSweeps(input as SweepAsked);
  if (name === 'mesh.fem') refuseFineGrids(input as FemInput);
  return Response.json(operation.run(input as never));
});

/** A grid that keeps the server busy for seconds belongs into the page's worker or `calc`. */
function refuseFineGrids({ mesh, voxelMm, targetVoxels }: FemInput): void {
  const count = targetVoxels ?? Math.round(solidOf(readMesh(mesh)).volume / voxelMm! ** 3);
  if (count > MOST_VOXELS) throw new CalcError(voxelMm === undefined ? 'targetVoxels' : 'voxelMm', `gives about ${count} voxels, over the ${MOST_VOXELS} of one request`, 'choose larger voxels, or run it in calc');
}

interface SweepAsked {
  motors: readonly unknown[];
  batteries: readonly unknown[];
  ratios: readonly number[] | { from: number; to: number; step: number };
}

function refuseLongSweeps({ motors, batteries, ratios }: SweepAsked): void {
  const count = 'from' in ratios ? Math.max(0, Math.ceil((ratios.to - ratios.from) / ratios.step)) + 1 : ratios.length;
  const combinations = motors.length * batteries.length * count;
  if (combinations > MOST_COMBINATIONS) throw new CalcError('motors', `with the packs and ratios make ${combinations} combinations, over the ${MOST_COMBINATIONS} of one request`, 'ask for fewer at once');
}
