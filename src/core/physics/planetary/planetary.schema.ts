import Joi from 'joi';
import { count, finite, notNegative, positive, share, temperatureC } from '../../base/schema/fields';
import { underLoad } from '../transmissions/underLoad.schema';
import { MEMBERS, type PlanetaryInput } from './definition';

const MOST_ADDENDUM = 1.25;
const atLeastTen = () => count().min(10);

const set = () => ({
  sunTeeth: atLeastTen().required(),
  planetTeeth: atLeastTen().required(),
  ringTeeth: count().required(),
  planets: count().max(12).required(),
  moduleMm: positive(),
  diametralPitch: positive(),
  ringPlanetTeeth: atLeastTen(),
  ringModuleMm: positive(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  ringAddendum: positive().max(MOST_ADDENDUM).default(1),
  held: Joi.valid(...MEMBERS).required(),
  driving: Joi.valid(...MEMBERS).required(),
  sunMeshEfficiency: share().default(0.95),
  ringMeshEfficiency: share().default(0.96),
});

const strength = () => ({
  faceWidthMm: positive().required(),
  ringFaceWidthMm: positive(),
  sun: Joi.object(underLoad()).required(),
  planet: Joi.object(underLoad()).required(),
  ring: Joi.object(underLoad()).required(),
  temperatureC: temperatureC().default(23),
  overloadFactor: positive().default(1.5),
  sharingFactor: finite().min(1),
  reversalFactor: share().default(0.7),
});

export const gearPlanetarySchema = Joi.object<PlanetaryInput>({
  ...set(),
  speedRpm: notNegative().default(0),
  strength: Joi.object({ torqueNm: notNegative().required(), ...strength() }),
  next: Joi.object({ ...set(), strength: Joi.object(strength()) }).xor('moduleMm', 'diametralPitch'),
})
  .xor('moduleMm', 'diametralPitch')
  .required();
