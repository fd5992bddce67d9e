import Joi from 'joi';
import { count, finite, notNegative, positive } from '../../base/schema/fields';
import { OUTLINE_FILES, type OutlineInput } from './outline';

export const gearOutlineSchema = Joi.object<OutlineInput>({
  teeth: count().max(1000).required(),
  moduleMm: positive().required(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  shift: finite().min(-3).max(3).default(0),
  boreMm: positive().required(),
  backlashMm: notNegative().default(0),
  faceWidthMm: positive(),
  helixDeg: finite().greater(-60).less(60).default(0),
  flatDepthMm: positive(),
  hexAcrossFlatsMm: positive(),
  pointsPerFlank: count().min(3).max(500).default(24),
  files: Joi.array()
    .items(Joi.valid(...OUTLINE_FILES))
    .unique(),
})
  .oxor('flatDepthMm', 'hexAcrossFlatsMm')
  .required();
