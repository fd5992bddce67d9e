import { deleteRun } from '@/db/queries/runs';
import { purgeDeleted } from '@/db/queries/deleted';
import { door } from '../../door';

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteRun(db, workshopId, id);
  await purgeDeleted(db);
  return Response.json({ id });
});
