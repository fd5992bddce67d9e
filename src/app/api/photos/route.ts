import { keepPhoto, LARGEST_PHOTO } from '@/db/queries/files';
import { bodyBytes } from '../body';
import { BYTES_BODY, door } from '../door';

export const POST = door(
  async ({ request, db, workshopId }) =>
    Response.json({ hash: await keepPhoto(db, workshopId, await bodyBytes(request, LARGEST_PHOTO)) }),
  BYTES_BODY,
);
