import Ajv2020 from 'ajv/dist/2020';
import Joi from 'joi';
import { readFileSync } from 'node:fs';
import { emptyDocument } from '../../car/document/document';
import { documentSchema } from '../../car/document/document.schema';
import { buildFileSchema } from '../../car/file/buildFile.schema';
import { operations } from '../../operations';
import { jsonSchema } from './jsonSchema';

const validator = (schema: Joi.Schema) =>
  new Ajv2020({ strict: false, validateFormats: false }).compile(jsonSchema(schema));

describe('JSON Schema of a Joi schema', () => {
  it('accepts and refuses what Joi does', () => {
    const schema = Joi.object({
      count: Joi.number().integer().min(1).max(5).required(),
      share: Joi.number().greater(0).less(1),
      kind: Joi.valid('a', 'b'),
      list: Joi.array()
        .items(Joi.object({ x: Joi.number().required() }))
        .min(1),
      name: Joi.string()
        .max(3)
        .pattern(/^[a-z]+$/),
      one: Joi.number(),
      other: Joi.number(),
      with: Joi.number(),
    })
      .xor('one', 'other')
      .with('with', 'one');
    const check = validator(schema);
    const samples: object[] = [
      { count: 1, one: 1 },
      { count: 1.5, one: 1 },
      { count: 6, one: 1 },
      { one: 1 },
      { count: 1 },
      { count: 1, one: 1, other: 1 },
      { count: 1, one: 1, share: 0 },
      { count: 1, one: 1, share: 0.5 },
      { count: 1, one: 1, share: 1 },
      { count: 1, one: 1, kind: 'c' },
      { count: 1, one: 1, list: [] },
      { count: 1, one: 1, list: [{ x: 1 }] },
      { count: 1, one: 1, list: [{}] },
      { count: 1, one: 1, name: 'abcd' },
      { count: 1, one: 1, name: 'A' },
      { count: 1, one: 1, name: '' },
      { count: 1, one: 1, extra: 1 },
      { count: 1, other: 1, with: 1 },
      { count: 1, one: 1, with: 1 },
      { count: '1', one: 1 },
    ];
    for (const sample of samples)
      expect({ sample, valid: check(sample) }).toEqual({
        sample,
        valid: schema.validate(sample, { convert: false }).error === undefined,
      });
  });

  it('is made for every operation and for the document', () => {
    for (const { schema } of Object.values(operations)) expect(() => validator(schema)).not.toThrow();
    const check = validator(documentSchema);
    expect(check(emptyDocument())).toBe(true);
    expect(check({ ...emptyDocument(), chassis: { massG: 0 } })).toBe(false);
    expect(check({ ...emptyDocument(), suspension: { camber: 1 } })).toBe(false);
  });

  it('stands in docs as the file that the program writes', () => {
    expect(JSON.parse(readFileSync('docs/badger.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(jsonSchema(buildFileSchema, 'Lean Badger build file'))),
    );
  });
});
