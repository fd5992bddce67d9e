import Joi from 'joi';
import { documentSchema } from '@/core/car/document/document.schema';
import { identifier, text } from '@/core/base/schema/fields';
import { createBuild, listBuilds } from '@/db/queries/builds';
import { bodyOf } from '../body';
import { door } from '../door';

const newBuildSchema = Joi.object({
  id: identifier().required(),
  revisionId: identifier().required(),
  name: text(80).trim().required(),
  document: documentSchema.optional(),
}).required();

export const GET = door(async ({ db, workshopId }) =>
  Response.json({ builds: await listBuilds(db, workshopId) }),
);

export const POST = door(async ({ request, db, workshopId }) => {
  const given = await bodyOf(request, newBuildSchema);
  return Response.json(await createBuild(db, workshopId, { ...given, createdAt: new Date().toISOString() }), {
    status: 201,
  });
});
