import { DoorError } from '@/db/errors';
import { shownPages } from '../../../../../sharing/shownBuild';
import { shownFile } from '../../../../../sharing/shownFiles';
import { guestDoor } from '../../../../door';

/** A photograph or a track that a link shows. It is not kept by the browser, as the link may be taken back. */
export const GET = guestDoor(async ({ db, share, id }) => {
  const { files } = await shownPages(db, share);
  if (!files.has(id)) throw new DoorError('notFound', 'This link does not show that file.', { path: 'hash' });
  const { type, content } = await shownFile(db, share, id);
  return new Response(new Uint8Array(content), {
    headers: { 'content-type': type, 'cache-control': 'private, no-store' },
  });
});
