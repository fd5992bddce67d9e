import Joi from 'joi';
import { finite, identifier, positive } from '../../../base/schema/fields';
import { type Hole, type HolesInput, PLATE_FILES, READING_KINDS } from './definition';

export const holeSchema = () =>
  Joi.object<Hole>({ id: identifier().required(), diameterMm: positive().required() });
export const readingFigures = () => ({
  from: identifier().required(),
  to: identifier().required(),
  kind: Joi.valid(...READING_KINDS).required(),
  valueMm: positive().required(),
  plusMinusMm: positive(),
});

export const holesSolveSchema = Joi.object<HolesInput>({
  holes: Joi.array().items(holeSchema()).min(2).max(60).required(),
  readings: Joi.array().items(Joi.object(readingFigures())).min(1).max(600).required(),
  anchors: Joi.object({
    origin: identifier().required(),
    axis: identifier().required(),
    above: identifier(),
  }),
  files: Joi.array()
    .items(Joi.valid(...PLATE_FILES))
    .unique(),
  seed: finite().integer().min(0).default(1),
}).required();
