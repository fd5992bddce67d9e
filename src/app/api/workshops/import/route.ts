import { LARGEST_WORKSHOP, MOST_IN_WORKSHOP } from '@/core/car/file/largestFile';
import { buildTextName, WORKSHOP_NAME } from '@/core/verdict/workshopFile';
import { parseWorkshopFile } from '@/core/verdict/workshopFile.schema';
import { importWorkshop } from '@/db/queries/importWorkshop';
import { choosing } from '../../../accounts/choosing';
import { type ArchiveLimits, withArchive } from '../../archive';
import { ARCHIVE_BODY, personDoor } from '../../door';
import { inThread } from '../../threads';
import { withUpload } from '../../upload';

const A_BUILD_MS = 120_000;
const OF_A_WORKSHOP: ArchiveLimits = {
  bytes: LARGEST_WORKSHOP,
  files: MOST_IN_WORKSHOP,
  holds: 'an archive holds one workshop only',
};

/** A workshop that was exported, as a new one, which is worked in from then on. */
export const POST = personDoor(async ({ request, db, person }) => {
  const id = await withUpload(request, LARGEST_WORKSHOP, (path) =>
    withArchive(path, OF_A_WORKSHOP, async ({ textOf, contentOf }) => {
      const workshop = parseWorkshopFile(await textOf(WORKSHOP_NAME));
      async function* builds() {
        for (let at = 0; at < workshop.builds; at++)
          yield inThread('archivedBuild', { text: await textOf(buildTextName(at)) }, A_BUILD_MS);
      }
      return importWorkshop(db, person.id, workshop, builds(), contentOf);
    }),
  );
  return choosing(Response.json({ id }, { status: 201 }), id);
}, ARCHIVE_BODY);
