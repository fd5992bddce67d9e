import Joi from 'joi';
import { count, finite, notNegative, positive } from '../../base/schema/fields';
import { OUTLINE_FILES, type OutlineInput, type RingOutlineInput } from './outline';

/** A field that only a ring with inner teeth has. */
const ofRing = (field: Joi.NumberSchema, required = false) =>
  Joi.when('internal', { is: true, then: required ? field.required() : field, otherwise: Joi.forbidden() });

const notOfRing = (field: Joi.NumberSchema) =>
  Joi.when('internal', { is: true, then: Joi.forbidden(), otherwise: field });

export const gearOutlineSchema = Joi.object<OutlineInput & Partial<Omit<RingOutlineInput, 'internal'>>>({
  teeth: count().max(1000).required(),
  internal: Joi.boolean().default(false),
  addendum: ofRing(positive().max(1.25)),
  outsideMm: ofRing(positive(), true),
  moduleMm: positive().required(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  shift: notOfRing(finite().min(-3).max(3).default(0)),
  boreMm: notOfRing(positive().required()),
  backlashMm: notNegative().default(0),
  faceWidthMm: positive(),
  helixDeg: notOfRing(finite().greater(-60).less(60).default(0)),
  flatDepthMm: notOfRing(positive()),
  hexAcrossFlatsMm: notOfRing(positive()),
  pointsPerFlank: count().min(3).max(500).default(24),
  files: Joi.array()
    .items(Joi.valid(...OUTLINE_FILES))
    .unique(),
})
  .oxor('flatDepthMm', 'hexAcrossFlatsMm')
  .required();
