import Joi from 'joi';
import { innerShare, notNegative, ownId, positive } from '../../base/schema/fields';
import type { SparesInput } from './spares';

const part = Joi.object({
  id: ownId().required(),
  failuresPerHour: notNegative(),
  failures: notNegative().integer(),
  seenHours: positive(),
  printMinutes: notNegative().required(),
  massG: notNegative(),
})
  .xor('failuresPerHour', 'failures')
  .with('failures', 'seenHours')
  .with('seenHours', 'failures');

export const sparesStockSchema = Joi.object<SparesInput>({
  parts: Joi.array().items(part).min(1).max(500).unique('id').required(),
  hours: positive().required(),
  confidence: innerShare().default(0.95),
  printAheadOverMinutes: notNegative().default(45),
}).required();
