import Joi from 'joi';
import { LARGEST_FILE } from '@/core/file/largestFile';
import { parseBuildFile } from '@/core/file/buildFile.schema';
import { parse } from '@/core/schema/parse';
import { importBuild, type ImportMode } from '@/db/queries/buildFiles';
import { bodyText, door } from '../../door';

const modeSchema = Joi.object<{ mode: ImportMode }>({ mode: Joi.valid('refuse', 'replace', 'copy').default('refuse') });

export const POST = door(async ({ request, db, workshopId }) => {
  const given = new URL(request.url).searchParams.get('mode');
  const { mode } = parse(modeSchema, given === null ? {} : { mode: given });
  const file = parseBuildFile(await bodyText(request, LARGEST_FILE));
  return Response.json({ id: await importBuild(db, workshopId, file, mode) }, { status: 201 });
});
