import Joi from 'joi';
import { REFERENCE_C } from '../../physics/strength/softening';
import { finite, identifier, notNegative, text } from '../../base/schema/fields';
import { positive } from '../fields/physical';
import type { ChosenMaterial } from './material';

export const materialFigures = {
  name: text(80).required(),
  densityGPerCm3: positive().max(25).required(),
  modulusMpa: positive().max(1e6).required(),
  inPlaneStrengthMpa: positive().max(10_000).required(),
  softeningC: finite().greater(REFERENCE_C).max(2000).required(),
  modulusRatio: positive().max(10),
  poisson: notNegative().less(0.5),
  interlayerStrengthMpa: positive().max(10_000),
  interlayerShearMpa: positive().max(10_000),
  strainAtBreakPct: positive().max(2000),
  notchedImpactKJPerM2: positive().max(1000),
  pricePerKg: notNegative().max(100_000),
  wearCoefficientMm3PerNm: notNegative().max(1),
};

export const materialSchema = () =>
  Joi.object<ChosenMaterial>({ libraryId: identifier(), ...materialFigures });
