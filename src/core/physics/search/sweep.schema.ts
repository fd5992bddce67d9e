import Joi from 'joi';
import { finite, ownId, positive } from '../../base/schema/fields';
import { cycleSchema, thermalSchema } from '../heat/endurance.schema';
import { batterySchema, driveRunSchema, motorSchema } from '../motion/run.schema';
import type { SweepInput } from './sweep';

const range = Joi.object({
  from: positive().required(),
  to: positive().required(),
  step: positive().required(),
});

export const driveSweepSchema = Joi.object<SweepInput>({
  base: driveRunSchema,
  motors: Joi.array()
    .items(
      (motorSchema as Joi.ObjectSchema).keys({
        id: ownId().required(),
        thermal: thermalSchema,
        addedKg: finite(),
      }),
    )
    .min(1)
    .max(1000)
    .unique('id')
    .required(),
  batteries: Joi.array()
    .items((batterySchema as Joi.ObjectSchema).keys({ id: ownId().required(), addedKg: finite() }))
    .min(1)
    .max(1000)
    .unique('id')
    .required(),
  ratios: Joi.alternatives()
    .conditional('.', {
      is: Joi.array(),
      then: Joi.array().items(positive()).min(1).max(100_000),
      otherwise: range,
    })
    .required(),
  thermal: thermalSchema,
  cycle: cycleSchema,
  goal: Joi.object({
    topSpeedMps: positive(),
    distanceM: positive(),
    timeToDistanceS: positive(),
    maxCaseC: finite().min(-50).max(400),
    minDurationS: positive(),
  }).default({}),
}).required();
