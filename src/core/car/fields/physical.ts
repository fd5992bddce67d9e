import { positive as anyPositive, share as anyShare } from '../../base/schema/fields';
import { LEAST_POSITIVE } from './fieldLabel';

const none = <T extends ReturnType<typeof anyPositive>>(schema: T): T =>
  schema.custom((value: number, helpers) =>
    value < LEAST_POSITIVE ? helpers.error('number.min', { limit: LEAST_POSITIVE }) : value,
  ) as T;

/** A figure of a thing that is there: what is smaller than this, in the unit of its field, is none. */
export const positive = () => none(anyPositive());
export const share = () => none(anyShare());
