import Joi from 'joi';
import { finite, text } from '../../base/schema/fields';
import type { Figure } from './figure';
import type { Limits } from './fieldLabel';
import { positive } from './physical';

function numberOf({ above, from, below, to }: Limits, whole: true | undefined): Joi.NumberSchema {
  let schema = above === undefined ? finite() : above === 0 ? positive() : finite().greater(above);
  if (whole) schema = schema.integer();
  if (from !== undefined) schema = schema.min(from);
  if (below !== undefined) schema = schema.less(below);
  return to === undefined ? schema : schema.max(to);
}

/** What takes a figure as it is declared; whatever has a size is as large as its least. */
function figureSchema(figure: Figure): Joi.Schema {
  const schema =
    'quantity' in figure
      ? numberOf(figure.limits, figure.whole)
      : 'oneOf' in figure
        ? Joi.valid(...figure.oneOf)
        : 'text' in figure
          ? text(figure.text)
          : 'itemOf' in figure
            ? text(80)
            : Joi.boolean();
  return figure.optional ? schema : schema.required();
}

/** Schemas of a thing's figures, each under its key. */
export const figureSchemas = (figures: Readonly<Record<string, Figure>>): Record<string, Joi.Schema> =>
  Object.fromEntries(Object.entries(figures).map(([key, figure]) => [key, figureSchema(figure)]));
