import { printSheetSchema } from '@/core/print/log.schema';
import { changePrint, deletePrint } from '@/db/queries/prints';
import { purgeDeleted } from '@/db/queries/deleted';
import { bodyOf, door, sameId } from '../../door';

export const PUT = door(async ({ request, db, workshopId, id }) => Response.json(await changePrint(db, workshopId, sameId(id, await bodyOf(request, printSheetSchema)))));

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deletePrint(db, workshopId, id);
  await purgeDeleted(db);
  return Response.json({ id });
});
