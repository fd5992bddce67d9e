import Joi from 'joi';
import { identifier, positive } from '../../base/schema/fields';
import type { StripTest } from './strips';

export const stripSchema = Joi.object<StripTest>({
  id: identifier().required(),
  how: Joi.valid('pulled', 'bent').required(),
  layers: Joi.valid('along', 'across').required(),
  widthMm: positive().max(500).required(),
  thicknessMm: positive().max(500).required(),
  spanMm: positive().max(2000).when('how', { is: 'bent', then: Joi.required(), otherwise: Joi.forbidden() }),
  breakN: positive().max(1e6).required(),
});
