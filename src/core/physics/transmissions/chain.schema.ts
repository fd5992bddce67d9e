import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import type { ChainInput } from './chain';

const teeth = () => finite().integer().min(6).required();

export const chainLengthSchema = Joi.object<ChainInput>({
  pitchMm: positive().required(),
  smallTeeth: teeth(),
  largeTeeth: teeth(),
  links: finite().integer().min(1),
  centreDistanceMm: positive(),
  speedRpm: notNegative().default(0),
  driver: Joi.valid('small', 'large').default('small'),
}).required();
