import { newFailureSchema } from '@/core/car/records/records.schema';
import { failuresOfRevisions, noteFailure } from '@/db/queries/failures';
import { bodyOf } from '../../../body';
import { door } from '../../../door';

export const GET = door(async ({ db, workshopId, id }) =>
  Response.json({ failures: await failuresOfRevisions(db, workshopId, [id]) }),
);

export const POST = door(async ({ request, db, workshopId, id }) => {
  const { failure, created } = await noteFailure(db, workshopId, id, await bodyOf(request, newFailureSchema));
  return Response.json(failure, { status: created ? 201 : 200 });
});
