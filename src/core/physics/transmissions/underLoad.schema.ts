import Joi from 'joi';
import { finite, positive, share } from '../../base/schema/fields';
import { softeningC } from '../gears/strength.schema';

/** Fields of a gear that carries load. */
export const underLoad = () => ({
  material: Joi.object({
    inPlaneStrengthMpa: positive().required(),
    softeningC: softeningC().required(),
  }).required(),
  fillFactor: share().default(1),
});

export const bearingPlaces = () => Joi.array().items(finite()).length(2);
