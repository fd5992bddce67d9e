import { settingsSchema } from '@/core/verdict/settings.schema';
import { saveSettings, settingsOf } from '@/db/queries/workshops';
import { bodyOf } from '../body';
import { door } from '../door';

export const GET = door(async ({ db, workshopId }) => Response.json(await settingsOf(db, workshopId)));

export const PUT = door(async ({ request, db, workshopId }) => {
  return Response.json(await saveSettings(db, workshopId, await bodyOf(request, settingsSchema)));
});
