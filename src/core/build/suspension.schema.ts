import Joi from 'joi';
import { positive } from '../schema/fields';
import type { Suspension } from './suspension';

export const suspensionSchema = Joi.object<Suspension>({ stopMm: positive().max(1000), kerbStopMm: positive().max(1000) });
