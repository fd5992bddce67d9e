import Joi from 'joi';
import { finite, identifier, notNegative, positive, temperatureC, text } from '../../base/schema/fields';
import type { Conditions, Gates, RunSetting } from './records';

export const conditionsSchema = Joi.object<Conditions>({
  surfaceId: identifier(),
  surfaceName: text(80),
  distanceM: positive().max(100_000),
  distanceErrorM: notNegative(),
  runUpM: notNegative().max(100_000),
  gates: Joi.object<Gates>({
    spacingM: positive().max(1000).required(),
    offsetM: positive().max(100).required(),
  }),
  ambientC: temperatureC(),
  packVBefore: positive().max(1000),
  packVAfter: positive().max(1000),
  extraMassG: finite().min(-100_000).max(100_000),
  settings: Joi.array()
    .items(Joi.object<RunSetting>({ name: text(60).required(), value: finite().required(), unit: text(20) }))
    .max(60)
    .unique('name'),
});

/** Of a run whose attempts are passages. */
export const timedConditions = conditionsSchema.fork(['surfaceId', 'surfaceName', 'distanceM'], (field) =>
  field.required(),
);

/** Of one through gates. */
export const gatedConditions = timedConditions.fork('gates', (field) => field.required());
