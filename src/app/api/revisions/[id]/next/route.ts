import Joi from 'joi';
import { identifier, text } from '@/core/base/schema/fields';
import { openNextRevision } from '@/db/queries/revisions';
import { bodyOf } from '../../../body';
import { door } from '../../../door';

const nextSchema = Joi.object<{ id: string; why: string; expected?: string }>({
  id: identifier().required(),
  why: text(2000).trim().required(),
  expected: text(2000).trim(),
}).required();

export const POST = door(async ({ request, db, workshopId, id }) => {
  const given = await bodyOf(request, nextSchema);
  return Response.json(
    await openNextRevision(db, workshopId, id, { ...given, createdAt: new Date().toISOString() }),
    { status: 201 },
  );
});
