import { DoorError } from '@/db/errors';
import { meshContent } from '@/db/queries/meshes';
import { shownPages } from '../../../../../sharing/shownBuild';
import { guestDoor } from '../../../../door';

/** The mesh of a part of the build that a link shows. */
export const GET = guestDoor(async ({ db, share, id }) => {
  const { meshes } = await shownPages(db, share);
  if (!meshes.has(id))
    throw new DoorError('notFound', 'This link does not show that mesh.', { path: 'hash' });
  return new Response(new Uint8Array(await meshContent(db, share.workshopId, id)), {
    headers: { 'content-type': 'application/octet-stream', 'cache-control': 'private, no-store' },
  });
});
