import Joi from 'joi';
import { positive } from '../../base/schema/fields';
import { type CouponInput, FEATURES, FITS } from './coupon';

const kind = () => Joi.valid(...FEATURES).required();

export const fitCouponSchema = Joi.object<CouponInput>({
  samples: Joi.array()
    .items(Joi.object({ kind: kind(), nominalMm: positive().required(), measuredMm: positive().required() }))
    .min(1)
    .max(1000)
    .required(),
  gaps: Joi.array()
    .items(Joi.object({ gapMm: positive().required(), freed: Joi.boolean().required() }))
    .max(200),
  want: Joi.array()
    .items(Joi.object({ kind: kind(), actualMm: positive().required(), fit: Joi.valid(...FITS).required() }))
    .max(200),
}).required();
