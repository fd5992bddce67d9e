import Joi from 'joi';
import { parse } from '../../base/schema/parse';
import { briefSchema } from './brief.schema';
import { chassisSchema } from './chassis.schema';
import { type BuildDocument, migrateDocument, SCHEMA_VERSION } from './document';
import { driveSchema } from './drive.schema';
import { partsSchema } from '../parts/parts.schema';
import { printSchema } from './print.schema';
import { powerSchema } from './power.schema';
import { suspensionSchema } from './suspension.schema';

export const documentSchema = Joi.object<BuildDocument>({
  schemaVersion: Joi.valid(SCHEMA_VERSION).required(),
  unfinished: Joi.array().items(Joi.string().max(200)).max(20_000).unique().required(),
  assumed: Joi.array().items(Joi.string().max(200)).max(1000).unique(),
  brief: briefSchema.required(),
  drive: driveSchema.required(),
  power: powerSchema.required(),
  chassis: chassisSchema.required(),
  suspension: suspensionSchema.required(),
  parts: partsSchema.required(),
  print: printSchema.required(),
}).required();

/**
 * A document of any known version, brought up to date and checked.
 *
 * @throws CalcError at the first offending field
 */
export function parseDocument(raw: unknown): BuildDocument {
  return parse(documentSchema, migrateDocument(raw));
}
