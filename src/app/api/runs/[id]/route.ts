import { deleteRun } from '@/db/queries/runs';
import { door } from '../../door';

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteRun(db, workshopId, id);
  return Response.json({ id });
});
