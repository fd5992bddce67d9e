import Joi from 'joi';
import { notNegative, positive, temperatureC } from '../../base/schema/fields';
import { ADHESIVES, type JointInput } from './joint';
import { REFERENCE_C } from '../strength/softening';
import { softeningC } from '../gears/strength.schema';

const KINDS = ['adhesive', 'press', 'hex', 'flat', 'grubScrew', 'pin'] as const;
type Kind = (typeof KINDS)[number];

/** A field of some kinds, refused with the others; required with `of` where `required` is set. */
const only = (field: Joi.Schema, of: readonly Kind[], required = true) =>
  field.when('kind', {
    is: Joi.valid(...of),
    then: required ? Joi.required() : Joi.optional(),
    otherwise: Joi.forbidden(),
  });

export const jointCapacitySchema = Joi.object<JointInput>({
  kind: Joi.valid(...KINDS).required(),
  shaftMm: positive().required(),
  lengthMm: positive().required(),
  temperatureC: temperatureC().default(REFERENCE_C),
  demandNm: notNegative(),
  preset: only(Joi.valid(...Object.keys(ADHESIVES)), ['adhesive'], false),
  shearMpa: positive().when('kind', {
    is: 'adhesive',
    then: Joi.when('preset', { is: Joi.exist(), then: Joi.forbidden(), otherwise: Joi.required() }),
    otherwise: Joi.forbidden(),
  }),
  interferenceMm: only(positive(), ['press']),
  hubOuterMm: only(positive(), ['press']),
  hubModulusMpa: only(positive(), ['press']),
  hubPoisson: only(positive().max(0.5), ['press'], false),
  hubStrengthMpa: only(positive(), ['press']),
  acrossFlatsMm: only(positive(), ['hex']),
  flatDepthMm: only(positive(), ['flat']),
  bearingMpa: only(positive(), ['hex', 'flat']),
  screwForceN: only(notNegative(), ['grubScrew']),
  friction: only(notNegative(), ['press', 'grubScrew'], false),
  pinMm: only(positive(), ['pin']),
  pinShearMpa: only(positive(), ['pin']),
  softeningC: softeningC().when('kind', {
    switch: [
      { is: Joi.valid('press', 'hex', 'flat'), then: Joi.required() },
      {
        is: 'adhesive',
        then: Joi.when('preset', { is: Joi.exist(), then: Joi.forbidden(), otherwise: Joi.required() }),
      },
    ],
    otherwise: Joi.forbidden(),
  }),
}).required();
