import Joi from 'joi';
import { CalcError } from '@/core/base/errors';
import { finite, identifier, ownId } from '@/core/base/schema/fields';
import { parse } from '@/core/base/schema/parse';
import { plainProblemOf } from './problemOf';

const schema = Joi.object({
  first: finite().required(),
  list: Joi.array()
    .items(Joi.object({ to: finite().max(5).required() }))
    .max(2)
    .unique('to'),
  kind: Joi.valid('a', 'b'),
  id: identifier(),
  both: finite(),
  belongs: finite(),
  text: Joi.string(),
})
  .and('both', 'belongs')
  .required();

const refusal = (input: unknown) => {
  try {
    parse(schema, input);
  } catch (error) {
    return plainProblemOf((error as CalcError).refused);
  }
  throw new Error('was accepted');
};

describe('a refusal', () => {
  it.each<[unknown, string, string]>([
    [{}, 'first', 'is missing'],
    [{ first: '1' }, 'first', 'must be a number'],
    [{ first: null }, 'first', 'must be a number'],
    [{ first: Infinity }, 'first', 'must be finite'],
    [{ first: 1, list: [{ to: 1 }, { to: 9 }] }, 'list.1.to', 'must be less than or equal to 5'],
    [{ first: 1, list: [{ to: 1 }, { to: 1 }] }, 'list.1', 'contains a duplicate value'],
    [{ first: 1, list: {} }, 'list', 'must be a list'],
    [{ first: 1, kind: 'c' }, 'kind', 'must be one of a, b'],
    [{ first: 1, id: '../etc' }, 'id', 'must be letters, digits, dot, dash, colon or underscore, at most 64'],
    [{ first: 1, both: 1 }, 'belongs', 'is missing: it belongs to both'],
    [{ first: 1, text: '' }, 'text', 'must not be empty'],
    [{ first: 1, frist: 2 }, 'frist', 'is not a known field'],
    ['text', '', 'must be an object'],
    [undefined, '', 'is missing'],
  ])('of %j names %s: %s', (input, path, message) => expect(refusal(input)).toMatchObject({ path, message }));

  it('says what to do', () => {
    expect(refusal({ first: 'x' }).remedy).toBe('write a plain number without quotes or unit');
    expect(refusal({ first: 1, list: [{ to: 9 }] }).remedy).toBe('stay at or below 5');
    expect(refusal({ first: 1, other: 1 }).remedy).toBe('check its spelling or take it out');
  });

  it('of a missing field goes before that of an unknown one', () =>
    expect(refusal({ unknown: 1 }).path).toBe('first'));
});

it('fills in defaults and leaves what was given', () => {
  const filled = parse(Joi.object({ a: finite().default(3), b: finite() }), { b: 2 });
  expect(filled).toEqual({ a: 3, b: 2 });
});

it('takes any text of 1 to 80 characters without control characters as an id within an input', () => {
  const refused = (id: unknown) => ownId().required().validate(id).error !== undefined;
  expect(['Vorn links, 3×', '__proto__', '電池', 'x'.repeat(80)].filter(refused)).toEqual([]);
  for (const id of ['', 'x'.repeat(81), 'a\nb', 'a\u0000', 3]) expect(refused(id)).toBe(true);
});
