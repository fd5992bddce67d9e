import { listDeleted } from '@/db/queries/deleted';
import { door } from '../door';

export const GET = door(async ({ db, workshopId }) =>
  Response.json({ deleted: await listDeleted(db, workshopId) }),
);
