import Joi from 'joi';
import { positive } from '../../base/schema/fields';
import { PARALLEL_KINDS, type RotationInput } from './rotation';

const axis = Joi.valid('x', 'y');
const ratio = positive().default(1);

const element = Joi.object({
  kind: Joi.valid(...PARALLEL_KINDS, 'bevel').required(),
  ratio,
  to: axis.when('kind', { is: 'bevel', then: Joi.required(), otherwise: Joi.forbidden() }),
  pinion: Joi.valid('ahead', 'behind').when('kind', {
    is: 'bevel',
    then: Joi.required(),
    otherwise: Joi.forbidden(),
  }),
  ring: Joi.valid('left', 'right').when('kind', {
    is: 'bevel',
    then: Joi.required(),
    otherwise: Joi.forbidden(),
  }),
});

export const drivetrainRotationSchema = Joi.object<RotationInput>({
  motorAxis: axis.required(),
  motorSpin: Joi.valid(1, -1).required(),
  paths: Joi.array()
    .items(
      Joi.object({
        axle: Joi.valid('front', 'rear').required(),
        tyreRadiusMm: positive(),
        elements: Joi.array().items(element).max(50).required(),
      }),
    )
    .min(1)
    .max(16)
    .required(),
}).required();
