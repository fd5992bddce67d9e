import { type ChosenMaterial } from './material';
import { MATERIAL_FIGURES } from './material.figures';
import { figureSchemas } from '../fields/figureSchemas';
import Joi from 'joi';
import { identifier, text } from '../../base/schema/fields';

export const materialFigures = { name: text(80).required(), ...figureSchemas(MATERIAL_FIGURES) };

export const materialSchema = () =>
  Joi.object<ChosenMaterial>({ libraryId: identifier(), ...materialFigures });
