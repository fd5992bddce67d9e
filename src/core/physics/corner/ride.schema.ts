import Joi from 'joi';
import { finite, notNegative, positive } from '../../base/schema/fields';
import type { RideInput } from './ride';
import type { SpringDefinition } from './spring';

export const springRateSchema = Joi.object<SpringDefinition>({
  wireMm: positive().required(),
  meanDiameterMm: positive().required(),
  activeCoils: positive().required(),
  shearModulusMpa: positive().default(79_300),
}).required();

export const suspensionRideSchema = Joi.object<RideInput>({
  cornerSprungMassG: positive().required(),
  springRateNPerMm: positive().required(),
  motionRatio: positive().required(),
  wheelTravelMm: positive().required(),
  preloadMm: notNegative().default(0),
  damperNsPerM: notNegative(),
  dropHeightM: notNegative(),
  damperShare: finite().min(0).less(1).default(0.4),
  targetSagPct: positive().max(100).default(30),
}).required();
