import Joi from 'joi';
import { parseDocument } from '@/core/car/document/document.schema';
import { CalcError } from '@/core/base/errors';
import { count } from '@/core/base/schema/fields';
import { describeRevision, revisionById, saveDocument } from '@/db/queries/revisions';
import { bodyOf } from '../../body';
import { door } from '../../door';

const saveSchema = Joi.object<{ version: number; document: object }>({
  version: count().required(),
  document: Joi.object().unknown().required(),
}).required();

export const GET = door(async ({ db, workshopId, id }) =>
  Response.json(await revisionById(db, workshopId, id)),
);

export const PUT = door(async ({ request, db, workshopId, id }) => {
  const { version, document } = await bodyOf(request, saveSchema);
  const saved = await saveDocument(db, workshopId, id, version, checked(document));
  return Response.json({ version: saved.version });
});

const describeSchema = Joi.object<{ learned?: string; closed?: boolean }>({
  learned: Joi.string().allow('').max(4000),
  closed: Joi.boolean(),
})
  .or('learned', 'closed')
  .required();

export const PATCH = door(async ({ request, db, workshopId, id }) => {
  const { learned, closed } = await bodyOf(request, describeSchema);
  return Response.json(
    await describeRevision(db, workshopId, id, {
      ...(learned === undefined ? {} : { learned: learned.trim() }),
      ...(closed === undefined ? {} : { closedAt: closed ? new Date().toISOString() : null }),
    }),
  );
});

function checked(document: object) {
  try {
    return parseDocument(document);
  } catch (error) {
    if (error instanceof CalcError) throw error.at(`document.${error.path}`);
    throw error;
  }
}
