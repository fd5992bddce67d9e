import { deleteLibraryItem } from '@/db/queries/library';
import { purgeDeleted } from '@/db/queries/deleted';
import { door } from '../../door';

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteLibraryItem(db, workshopId, id);
  await purgeDeleted(db);
  return Response.json({ id });
});
