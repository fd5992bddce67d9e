import Joi from 'joi';
import { text } from '@/core/base/schema/fields';
import { deleteBuild, renameBuild, wholeBuild } from '@/db/queries/builds';
import { purgeDeleted } from '@/db/queries/deleted';
import { bodyOf } from '../../body';
import { door } from '../../door';

export const GET = door(async ({ db, workshopId, id }) =>
  Response.json(await wholeBuild(db, workshopId, id)),
);

export const PATCH = door(async ({ request, db, workshopId, id }) => {
  const { name } = await bodyOf(request, Joi.object({ name: text(80).trim().required() }).required());
  await renameBuild(db, workshopId, id, name);
  return Response.json({ id, name });
});

export const DELETE = door(async ({ db, workshopId, id }) => {
  await deleteBuild(db, workshopId, id);
  await purgeDeleted(db);
  return Response.json({ id });
});
