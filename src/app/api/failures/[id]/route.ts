import { failureSheetSchema } from '@/core/car/records/records.schema';
import { changeFailure, deleteFailure } from '@/db/queries/failures';
import { purgeDeleted } from '@/db/queries/deleted';
import { changeOf } from '../../body';
import { door } from '../../door';

export const PUT = door(async ({ request, db, workshopId, id }) => {
  const { version, sheet } = await changeOf(request, failureSheetSchema, id);
  return Response.json(await changeFailure(db, workshopId, version, sheet));
});

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteFailure(db, workshopId, id);
  await purgeDeleted(db);
  return Response.json({ id });
});
