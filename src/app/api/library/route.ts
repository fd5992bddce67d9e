import { parseLibraryItem } from '@/core/car/library/items.schema';
import { listLibrary, saveLibraryItem } from '@/db/queries/library';
import { rawBody } from '../body';
import { door } from '../door';

export const GET = door(async ({ db, workshopId }) =>
  Response.json({ items: await listLibrary(db, workshopId) }),
);

export const PUT = door(async ({ request, db, workshopId }) =>
  Response.json(await saveLibraryItem(db, workshopId, parseLibraryItem(await rawBody(request)))),
);
