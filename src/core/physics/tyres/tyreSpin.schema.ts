import Joi from 'joi';
import { notNegative, positive } from '../../base/schema/fields';
import { TYRE_KINDS, type TyreSpinInput } from './tyreSpin';

const own = () => positive().when('kind', { is: 'own', then: Joi.required() });

export const tyreSpinSchema = Joi.object<TyreSpinInput>({
  kind: Joi.valid(...TYRE_KINDS).required(),
  radiusMm: positive().required(),
  densityKgM3: own(),
  hoopModulusMpa: own(),
  hoopStrengthMpa: own(),
  rpm: notNegative(),
  speedMps: notNegative(),
})
  .xor('rpm', 'speedMps')
  .required();
