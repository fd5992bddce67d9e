import Joi from 'joi';
import { count, finite, notNegative, positive } from '../../base/schema/fields';
import type { MeshInput } from './mesh';

const shift = () => finite().min(-3).max(3).default(0);

export const gearMeshSchema = Joi.object<MeshInput>({
  pinionTeeth: count().required(),
  wheelTeeth: count().required(),
  moduleMm: positive(),
  diametralPitch: positive(),
  wheelModuleMm: positive(),
  wheelDiametralPitch: positive(),
  pressureAngleDeg: finite().greater(0).less(45).default(20),
  helixDeg: finite().greater(-60).less(60).default(0),
  pinionShift: shift(),
  wheelShift: shift(),
  backlashMm: notNegative().default(0),
  slotMinMm: positive(),
  slotMaxMm: positive(),
})
  .xor('moduleMm', 'diametralPitch')
  .oxor('wheelModuleMm', 'wheelDiametralPitch')
  .and('slotMinMm', 'slotMaxMm')
  .required();
