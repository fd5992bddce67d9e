import { copySheetSchema } from '@/core/car/records/log.schema';
import { changeCopy } from '@/db/queries/prints';
import { changeOf } from '../../body';
import { door } from '../../door';

export const PUT = door(async ({ request, db, workshopId, id }) => {
  const { version, sheet } = await changeOf(request, copySheetSchema, id);
  return Response.json(await changeCopy(db, workshopId, version, sheet));
});
