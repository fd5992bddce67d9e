import Joi from 'joi';
import { DEFAULT_THRESHOLDS } from '@/core/verdict/evaluate';
import { finite } from '@/core/base/schema/fields';
import { saveSettings, settingsOf } from '@/db/queries/workshops';
import type { WorkshopSettings } from '@/db/schema';
import { bodyOf } from '../body';
import { door } from '../door';

const thresholds = Object.fromEntries(
  Object.keys(DEFAULT_THRESHOLDS).map((id) => [id, finite().min(1).max(10)]),
);
const settingsSchema = Joi.object<WorkshopSettings>({
  thresholds: Joi.object(thresholds),
  printAheadMinutes: finite().min(0).max(10_000),
}).required();

export const GET = door(async ({ db, workshopId }) => Response.json(await settingsOf(db, workshopId)));

export const PUT = door(async ({ request, db, workshopId }) => {
  return Response.json(await saveSettings(db, workshopId, await bodyOf(request, settingsSchema)));
});
