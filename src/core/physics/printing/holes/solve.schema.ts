import Joi from 'joi';
import { finite, ownId, positive } from '../../../base/schema/fields';
import { type Hole, type HolesInput, PLATE_FILES, READING_KINDS } from './definition';

/** With the ids of whoever asks: a document's are narrower than those of an input of its own. */
export const holeSchema = (id: () => Joi.StringSchema = ownId) =>
  Joi.object<Hole>({ id: id().required(), diameterMm: positive().required() });
export const readingFigures = (id: () => Joi.StringSchema = ownId) => ({
  from: id().required(),
  to: id().required(),
  kind: Joi.valid(...READING_KINDS).required(),
  valueMm: positive().required(),
  plusMinusMm: positive(),
});

export const holesSolveSchema = Joi.object<HolesInput>({
  holes: Joi.array().items(holeSchema()).min(2).max(60).required(),
  readings: Joi.array().items(Joi.object(readingFigures())).min(1).max(600).required(),
  anchors: Joi.object({
    origin: ownId().required(),
    axis: ownId().required(),
    above: ownId(),
  }),
  files: Joi.array()
    .items(Joi.valid(...PLATE_FILES))
    .unique(),
  seed: finite().integer().min(0).default(1),
}).required();
