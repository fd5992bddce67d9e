import Joi from 'joi';
import { LARGEST_FILE } from '@/core/file/largestFile';
import { parse } from '@/core/schema/parse';
import { importBuild, type ImportMode } from '@/db/queries/buildFiles';
import { bodyText, door } from '../../door';
import { inThread } from '../../threads';

const IMPORT_MS = 30_000;

const modeSchema = Joi.object<{ mode: ImportMode }>({ mode: Joi.valid('refuse', 'replace', 'copy').default('refuse') });

export const POST = door(async ({ request, db, workshopId }) => {
  const given = new URL(request.url).searchParams.get('mode');
  const { mode } = parse(modeSchema, given === null ? {} : { mode: given });
  const file = await inThread('buildFile', { text: await bodyText(request, LARGEST_FILE) }, IMPORT_MS);
  return Response.json({ id: await importBuild(db, workshopId, file, mode) }, { status: 201 });
});
