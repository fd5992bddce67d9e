import Joi, { type ObjectSchema } from 'joi';
import { FEATURES } from '../../physics/printing/coupon';
import { identifier, positive, text } from '../../base/schema/fields';
import { parse } from '../../base/schema/parse';
import { figureSchemas } from '../fields/figureSchemas';
import {
  LIBRARY_KIND_RECORDS,
  LIBRARY_KINDS,
  type LibraryFigures,
  type LibraryItem,
  type LibraryKind,
} from './kinds';
import { RANGED_FIGURES } from './kinds/material';
import { stripSchema } from '../material/strips.schema';

/** Lists and sources inside a thing, by its kind. */
const NESTED: Readonly<Partial<Record<LibraryKind, Record<string, Joi.Schema>>>> = {
  material: {
    ranges: Joi.object(
      Object.fromEntries(RANGED_FIGURES.map((key) => [key, Joi.array().items(positive()).length(2)])),
    ),
    source: Joi.string().max(300),
    strips: Joi.array().items(stripSchema).max(100).unique('id'),
  },
  coupon: {
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
  },
};

/** What a thing of a kind says of itself. */
export const figuresSchema = <K extends LibraryKind>(kind: K): ObjectSchema<LibraryFigures[K]> =>
  Joi.object<LibraryFigures[K]>({
    name: text(80).required(),
    ...figureSchemas(LIBRARY_KIND_RECORDS[kind].figures),
    ...NESTED[kind],
  });

export const libraryItemSchema = Joi.alternatives(
  ...LIBRARY_KINDS.map((kind) =>
    Joi.object({
      id: identifier().required(),
      kind: Joi.valid(kind).required(),
      data: figuresSchema(kind).required(),
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
      data: figuresSchema(kind).required(),
    }),
    raw,
  ) as LibraryItem;
}
