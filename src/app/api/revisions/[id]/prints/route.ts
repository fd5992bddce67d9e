import { printSheetSchema } from '@/core/car/records/log.schema';
import { logPrint, printsOfRevisions } from '@/db/queries/prints';
import { bodyOf } from '../../../body';
import { door } from '../../../door';

export const GET = door(async ({ db, workshopId, id }) =>
  Response.json(await printsOfRevisions(db, workshopId, [id])),
);

export const POST = door(async ({ request, db, workshopId, id }) => {
  const { created, ...logged } = await logPrint(db, workshopId, id, await bodyOf(request, printSheetSchema));
  return Response.json(logged, { status: created ? 201 : 200 });
});
