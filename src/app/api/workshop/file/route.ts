import { Readable } from 'node:stream';
import { ARCHIVE_BODY, ownerDoor } from '../../door';
import { fileNameOf } from '../../fileNameOf';
import { workshopArchive } from '../../workshopArchive';

/** Everything in the workshop as one archive. Its `etag` says which state it holds. */
export const GET = ownerDoor(async ({ db, workshopId }) => {
  const { exported, body } = await workshopArchive(db, workshopId);
  return new Response(Readable.toWeb(body) as ReadableStream, {
    headers: {
      'content-type': ARCHIVE_BODY,
      'content-disposition': `attachment; filename="${fileNameOf(exported.name, 'workshop')}.badger-workshop.zip"`,
      'cache-control': 'no-store',
      etag: `"${exported.stamp}"`,
    },
  });
});
