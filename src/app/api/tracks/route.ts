import { keepTrack, LARGEST_TRACK } from '@/db/queries/files';
import { bodyBytes } from '../body';
import { BYTES_BODY, door } from '../door';

export const POST = door(
  async ({ request, db, workshopId }) =>
    Response.json({ hash: await keepTrack(db, workshopId, await bodyBytes(request, LARGEST_TRACK)) }),
  BYTES_BODY,
);
