import Joi from 'joi';
import { holeSchema, readingFigures } from '../print/holes/solve.schema';
import { finite, identifier, text } from '../schema/fields';
import type { HolePattern, Print } from './print';

const place = () => finite().min(-5000).max(5000);

const pattern = Joi.object<HolePattern>({
  id: identifier().required(),
  name: text(80).required(),
  holes: Joi.array().items(holeSchema()).max(60).unique('id').required(),
  readings: Joi.array().items(Joi.object({ id: identifier().required(), ...readingFigures() })).max(600).unique('id').required(),
  under: Joi.object({ xMm: place().required(), yMm: place().required(), turnDeg: finite().min(-360).max(360).required() }),
});

export const printSchema = Joi.object<Print>({ patterns: Joi.array().items(pattern).max(50).unique('id') });
