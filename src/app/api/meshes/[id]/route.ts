import { keepMesh, LARGEST_MESH, meshContent } from '@/db/queries/meshes';
import { bodyBytes, door } from '../../door';

export const GET = door(async ({ db, workshopId, id }) => new Response(new Uint8Array(await meshContent(db, workshopId, id)), { headers: { 'content-type': 'application/octet-stream', 'cache-control': 'private, max-age=31536000, immutable' } }));

export const PUT = door(async ({ request, db, workshopId, id }) => {
  await keepMesh(db, workshopId, id, await bodyBytes(request, LARGEST_MESH));
  return Response.json({ hash: id });
});
