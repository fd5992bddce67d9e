import Joi from 'joi';
import { finite } from '../base/schema/fields';
import { DEFAULT_THRESHOLDS } from './states';
import type { WorkshopSettings } from './settings';

const thresholds = Object.fromEntries(
  Object.keys(DEFAULT_THRESHOLDS).map((id) => [id, finite().min(1).max(10)]),
);

export const settingsSchema = Joi.object<WorkshopSettings>({
  thresholds: Joi.object(thresholds),
  printAheadMinutes: finite().min(0).max(10_000),
}).required();
