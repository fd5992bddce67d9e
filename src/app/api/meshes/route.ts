import { keepMesh, LARGEST_MESH } from '@/db/queries/meshes';
import { bodyBytes } from '../body';
import { BYTES_BODY, door } from '../door';

export const POST = door(
  async ({ request, db, workshopId }) =>
    Response.json({ hash: await keepMesh(db, workshopId, await bodyBytes(request, LARGEST_MESH)) }),
  BYTES_BODY,
);
