import Joi from 'joi';
import { count, finite, notNegative, positive, temperatureC } from '../../base/schema/fields';
import { HANDS, type HelicalGear, type HelicalInput } from './helical';
import { bearingPlaces, underLoad } from './underLoad.schema';

const shift = () => finite().min(-3).max(3).default(0);
const gear = () => Joi.object<HelicalGear>({ ...underLoad(), bearingsAtMm: bearingPlaces() }).required();

export const gearHelicalSchema = Joi.object<HelicalInput>({
  pinionTeeth: count().required(),
  wheelTeeth: count().required(),
  moduleMm: positive(),
  diametralPitch: positive(),
  helixDeg: finite().min(0).max(45),
  centreDistanceMm: positive(),
  faceWidthMm: positive().required(),
  double: Joi.boolean().default(false),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  pinionShift: shift(),
  wheelShift: shift(),
  torqueNm: notNegative().required(),
  speedRpm: notNegative().required(),
  pinion: gear(),
  wheel: gear(),
  temperatureC: temperatureC().default(23),
  overloadFactor: positive().default(1.5),
  pinionHand: Joi.valid(...HANDS).default('right'),
  pinionDrives: Joi.boolean().default(true),
  pinionSpin: Joi.valid(1, -1).default(1),
  wishedThrust: Joi.valid(1, -1),
})
  .xor('moduleMm', 'diametralPitch')
  .required();
