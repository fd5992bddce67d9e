import Joi from 'joi';
import { finite, notNegative, positive, share } from '../../base/schema/fields';
import type { CalibrateInput } from './calibrate';
import type { EstimateInput } from './estimate';

const layers = () => finite().integer().min(0).max(1000);

export const printEstimateSchema = Joi.object<EstimateInput>({
  volumeMm3: positive().required(),
  areaMm2: positive().required(),
  horizontalAreaMm2: notNegative().max(Joi.ref('areaMm2')),
  heightMm: positive().required(),
  settings: Joi.object({
    layerMm: positive().required(),
    lineWidthMm: positive().required(),
    perimeters: layers().required(),
    topBottomLayers: layers().required(),
    infillPct: notNegative().max(100).required(),
    speedMmps: positive().required(),
    maxFlowMm3ps: positive().required(),
    layerOverheadS: notNegative().default(4),
    flowEfficiency: share().default(0.8),
  }).required(),
  material: Joi.object({
    densityGPerCm3: positive().required(),
    pricePerKg: notNegative().required(),
  }).required(),
  calibration: positive().default(1),
}).required();

export const printCalibrateSchema = Joi.object<CalibrateInput>({
  prints: Joi.array()
    .items(Joi.object({ estimateS: positive().required(), actualS: positive().required() }))
    .min(1)
    .max(10_000)
    .required(),
}).required();
