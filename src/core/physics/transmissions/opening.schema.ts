import Joi from 'joi';
import { count, finite, notNegative, positive } from '../../base/schema/fields';
import { BEAM_SUPPORTS, type Mount, type MountBeam, type OpeningInput } from './opening';

const shift = () => finite().min(-3).max(3).default(0);
const mount = () =>
  Joi.object<Mount>({
    stiffnessNPerMm: positive(),
    beam: Joi.object<MountBeam>({
      support: Joi.valid(...BEAM_SUPPORTS).required(),
      lengthMm: positive().required(),
      widthMm: positive().required(),
      thicknessMm: positive().required(),
      modulusMpa: positive().required(),
    }),
  });

export const gearOpeningSchema = Joi.object<OpeningInput>({
  pinionTeeth: count().required(),
  wheelTeeth: count().required(),
  moduleMm: positive(),
  diametralPitch: positive(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  helixDeg: finite().greater(-60).less(60).default(0),
  pinionShift: shift(),
  wheelShift: shift(),
  backlashMm: notNegative().default(0),
  torqueNm: notNegative().required(),
  overloadFactor: positive().default(1),
  playMm: notNegative().default(0),
  mount: mount().required(),
  wheelMount: mount(),
})
  .xor('moduleMm', 'diametralPitch')
  .required();
