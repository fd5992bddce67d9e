import Joi, { type ObjectSchema } from 'joi';
import { compoundFigures, motorFigures, tyreFigures } from '../document/drive.schema';
import { STAGE_KINDS } from '../document/drive';
import { materialFigures } from '../material/material.schema';
import { printerFigures } from '../document/print.schema';
import { FEATURES } from '../../physics/printing/coupon';
import { stripSchema } from './strips.schema';
import {
  batteryFigures,
  channels,
  controllerFigures,
  loadFigures,
  protocol,
  regulatorFigures,
  servoFigures,
  transmitterFigures,
} from '../document/power.schema';
import { count, identifier, notNegative, positive, share, text } from '../../base/schema/fields';
import { parse } from '../../base/schema/parse';
import {
  LIBRARY_KINDS,
  RANGED_FIGURES,
  type LibraryFigures,
  type LibraryItem,
  type LibraryKind,
} from './items';

const name = text(80).required();

const required = <T extends Record<string, Joi.Schema>>(figures: T) =>
  Object.fromEntries(Object.entries(figures).map(([key, schema]) => [key, schema.required()]));

const figuresSchemas: { readonly [K in LibraryKind]: ObjectSchema<LibraryFigures[K]> } = {
  motor: Joi.object(motorFigures),
  battery: Joi.object(batteryFigures),
  controller: Joi.object(controllerFigures),
  tyre: Joi.object(tyreFigures),
  surface: Joi.object({
    name,
    ground: Joi.valid('hard', 'loose').required(),
    mu: notNegative().max(5).required(),
    muError: notNegative().max(5).required(),
    rollingResistance: notNegative().max(5).required(),
    rollingResistanceError: notNegative().max(5).required(),
  }),
  compound: Joi.object({ name, ...compoundFigures }),
  stage: Joi.object({ name, kind: Joi.valid(...STAGE_KINDS).required(), efficiency: share().required() }),
  gear: Joi.object({
    name,
    role: Joi.valid('pinion', 'wheel').required(),
    teeth: count().max(1000).required(),
    moduleMm: positive().max(20).required(),
  }),
  material: Joi.object({
    ...materialFigures,
    ranges: Joi.object(
      Object.fromEntries(RANGED_FIGURES.map((key) => [key, Joi.array().items(positive()).length(2)])),
    ),
    source: Joi.string().max(300),
    strips: Joi.array().items(stripSchema).max(100).unique('id'),
  }),
  servo: Joi.object({
    name,
    ...required(loadFigures),
    ...servoFigures,
    lowV: servoFigures.lowV.required(),
    lowTorqueKgcm: servoFigures.lowTorqueKgcm.required(),
  }),
  regulator: Joi.object({ name, ...regulatorFigures, continuousA: regulatorFigures.continuousA.required() }),
  receiver: Joi.object({
    name,
    ...required(loadFigures),
    protocol: protocol().required(),
    channels: channels().required(),
  }),
  transmitter: Joi.object({ name, ...transmitterFigures }),
  sizeClass: Joi.object({ name, massBudgetG: positive().required() }),
  printer: Joi.object(printerFigures),
  coupon: Joi.object({
    name,
    printer: text(80).required(),
    material: text(80).required(),
    samples: Joi.array()
      .items(
        Joi.object({
          id: identifier().required(),
          kind: Joi.valid(...FEATURES).required(),
          nominalMm: positive().max(500).required(),
          measuredMm: positive().max(500),
        }),
      )
      .max(200)
      .unique('id')
      .required(),
    gaps: Joi.array()
      .items(
        Joi.object({
          id: identifier().required(),
          gapMm: positive().max(50).required(),
          freed: Joi.boolean(),
        }),
      )
      .max(50)
      .unique('id')
      .required(),
  }),
};

export const libraryItemSchema = Joi.alternatives(
  ...LIBRARY_KINDS.map((kind) =>
    Joi.object({
      id: identifier().required(),
      kind: Joi.valid(kind).required(),
      data: figuresSchemas[kind].required(),
    }),
  ),
);

const kindSchema = Joi.object({
  id: identifier().required(),
  kind: Joi.valid(...LIBRARY_KINDS).required(),
  data: Joi.object().unknown().required(),
}).required();

/**
 * A library item, its figures checked by the schema of its kind.
 *
 * @throws CalcError at the first offending field
 */
export function parseLibraryItem(raw: unknown): LibraryItem {
  const { kind } = parse(kindSchema, raw) as { kind: LibraryKind };
  return parse(
    Joi.object({
      id: identifier().required(),
      kind: Joi.valid(kind).required(),
      data: figuresSchemas[kind].required(),
    }),
    raw,
  ) as LibraryItem;
}
