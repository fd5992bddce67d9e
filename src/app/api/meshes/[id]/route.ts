import { meshContent } from '@/db/queries/meshes';
import { door } from '../../door';

export const GET = door(
  async ({ db, workshopId, id }) =>
    new Response(new Uint8Array(await meshContent(db, workshopId, id)), {
      headers: {
        'content-type': 'application/octet-stream',
        'cache-control': 'private, max-age=31536000, immutable',
      },
    }),
);
