import Joi from 'joi';
import { identifier, text } from '../../base/schema/fields';
import { figureSchemas } from '../fields/figureSchemas';
import { COMPOUND_FIGURES, HOLD_FIGURES, TYRE_FIGURES } from './tyre.figures';
import { type ChosenTyre, TYRE_HOLDS, type TyreHold } from './tyres';

export const tyreFigures = { name: text(80).required(), ...figureSchemas(TYRE_FIGURES) };

export const compoundFigures = figureSchemas(COMPOUND_FIGURES);

export const tyreSchema = () =>
  Joi.object<ChosenTyre>({ libraryId: identifier(), ...tyreFigures, ...compoundFigures });

export const holdSchema = () =>
  Joi.object<TyreHold>({ by: Joi.valid(...TYRE_HOLDS), ...figureSchemas(HOLD_FIGURES) });
