import { deleteLibraryItem } from '@/db/queries/library';
import { door } from '../../door';

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteLibraryItem(db, workshopId, id);
  return Response.json({ id });
});
