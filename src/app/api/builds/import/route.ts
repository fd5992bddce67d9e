import Joi from 'joi';
import { TEXT_NAME } from '@/core/car/file/buildFile';
import { LARGEST_ARCHIVE, LARGEST_FILE } from '@/core/car/file/largestFile';
import { parse } from '@/core/base/schema/parse';
import { importBuild, type ImportMode } from '@/db/queries/importBuild';
import { OF_A_BUILD, withArchive } from '../../archive';
import { bodyText } from '../../body';
import { ARCHIVE_BODY, door, JSON_BODY, kindOf } from '../../door';
import { inThread } from '../../threads';
import { withUpload } from '../../upload';

const [TEXT_MS, ARCHIVE_MS] = [30_000, 120_000];

const modeSchema = Joi.object<{ mode: ImportMode }>({
  mode: Joi.valid('refuse', 'replace', 'copy').default('refuse'),
});

export const POST = door(
  async ({ request, db, workshopId }) => {
    const given = new URL(request.url).searchParams.get('mode');
    const { mode } = parse(modeSchema, given === null ? {} : { mode: given });
    const id =
      kindOf(request) === ARCHIVE_BODY
        ? await withUpload(request, LARGEST_ARCHIVE, (path) =>
            withArchive(path, OF_A_BUILD, async ({ textOf, contentOf }) =>
              importBuild(
                db,
                workshopId,
                await inThread('archivedBuild', { text: await textOf(TEXT_NAME) }, ARCHIVE_MS),
                mode,
                contentOf,
              ),
            ),
          )
        : await importBuild(
            db,
            workshopId,
            await inThread('buildFile', { text: await bodyText(request, LARGEST_FILE) }, TEXT_MS),
            mode,
          );
    return Response.json({ id }, { status: 201 });
  },
  JSON_BODY,
  ARCHIVE_BODY,
);
