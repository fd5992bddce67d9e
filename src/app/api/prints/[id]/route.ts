import { printSheetSchema } from '@/core/car/records/log.schema';
import { changePrint, deletePrint } from '@/db/queries/prints';
import { purgeDeleted } from '@/db/queries/deleted';
import { changeOf } from '../../body';
import { door } from '../../door';

export const PUT = door(async ({ request, db, workshopId, id }) => {
  const { version, sheet } = await changeOf(request, printSheetSchema, id);
  return Response.json(await changePrint(db, workshopId, version, sheet));
});

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deletePrint(db, workshopId, id);
  await purgeDeleted(db);
  return Response.json({ id });
});
