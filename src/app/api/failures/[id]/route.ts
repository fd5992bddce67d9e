import { failureSheetSchema } from '@/core/field/records.schema';
import { CalcError } from '@/core/errors';
import { changeFailure, deleteFailure } from '@/db/queries/failures';
import { bodyOf, door } from '../../door';

export const PUT = door(async ({ request, db, workshopId, id }) => {
  const sheet = await bodyOf(request, failureSheetSchema);
  if (sheet.id !== id) throw new CalcError('id', 'is not the id of the address');
  return Response.json(await changeFailure(db, workshopId, sheet));
});

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteFailure(db, workshopId, id);
  return Response.json({ id });
});
