import { failureSheetSchema } from '@/core/field/records.schema';
import { changeFailure, deleteFailure } from '@/db/queries/failures';
import { purgeDeleted } from '@/db/queries/deleted';
import { bodyOf, door, sameId } from '../../door';

export const PUT = door(async ({ request, db, workshopId, id }) => Response.json(await changeFailure(db, workshopId, sameId(id, await bodyOf(request, failureSheetSchema)))));

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteFailure(db, workshopId, id);
  await purgeDeleted(db);
  return Response.json({ id });
});
