import { runSheetSchema } from '@/core/car/records/records.schema';
import { runsOfRevisions, logRun } from '@/db/queries/runs';
import { bodyOf } from '../../../body';
import { door } from '../../../door';

export const GET = door(async ({ db, workshopId, id }) =>
  Response.json({ runs: await runsOfRevisions(db, workshopId, [id]) }),
);

export const POST = door(async ({ request, db, workshopId, id }) => {
  const { run, created } = await logRun(db, workshopId, id, await bodyOf(request, runSheetSchema));
  return Response.json(run, { status: created ? 201 : 200 });
});
