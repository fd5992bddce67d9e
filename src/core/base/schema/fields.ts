import Joi from 'joi';

/** A finite number; Joi refuses NaN and Infinity by itself. */
export const finite = () => Joi.number().unsafe();
/** Masses, lengths, radii, moduli, resistances of a motor, times that divide. */
export const positive = () => finite().greater(0);
/** Friction, inertias, resistances of controllers and cells, loads. */
export const notNegative = () => finite().min(0);
/** Shares and efficiencies, in (0, 1]. */
export const share = () => finite().greater(0).max(1);
/** A share that leaves something to both sides, inside (0, 1). */
export const innerShare = () => finite().greater(0).less(1);
export const count = () => finite().integer().min(1);
export const temperatureC = () => finite().min(-50).max(400);
export const text = (most = 200) => Joi.string().max(most);
export const identifier = () =>
  Joi.string()
    .pattern(/^[A-Za-z0-9][A-Za-z0-9._:-]{0,63}$/)
    .messages({
      'string.pattern.base': 'must be letters, digits, dot, dash, colon or underscore, at most 64',
    });
/** A name within one input, as its writer likes it. */
export const ownId = () =>
  Joi.string()
    .max(80)
    .pattern(/^[^\p{Cc}]+$/u)
    .messages({ 'string.pattern.base': 'must be text without control characters' });
