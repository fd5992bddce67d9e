import { Readable } from 'node:stream';
import { exportBuild } from '@/db/queries/exportBuild';
import { ARCHIVE_BODY, door, JSON_BODY } from '../../../door';
import { exportedBody } from '../../../exportedBody';
import { fileNameOf } from '../../../fileNameOf';

export const GET = door(async ({ db, workshopId, id }) => {
  const exported = await exportBuild(db, workshopId, id);
  const [kind, ending] = exported.fits ? [`${JSON_BODY}; charset=utf-8`, 'json'] : [ARCHIVE_BODY, 'zip'];
  const file = `${fileNameOf(exported.build.name, 'build')}.badger.${ending}`;
  return new Response(Readable.toWeb(exportedBody(db, workshopId, exported)) as ReadableStream, {
    headers: { 'content-type': kind, 'content-disposition': `attachment; filename="${file}"` },
  });
});
