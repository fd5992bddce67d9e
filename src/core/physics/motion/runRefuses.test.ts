import { parse } from '../../base/schema/parse';
import { CalcError } from '../../base/errors';
import { driveRunSchema } from './run.schema';
import { base } from '../../fixtures/straightRun';

describe('drive.run refuses', () => {
  const refusal = (change: (input: Record<string, Record<string, unknown>>) => void) => {
    const input = structuredClone(base) as unknown as Record<string, Record<string, unknown>>;
    change(input);
    try {
      parse(driveRunSchema, input);
    } catch (error) {
      return (error as CalcError).refused;
    }
    throw new Error('was accepted');
  };

  it.each([
    ['motor', 'kvRpmPerV', 0, 'number.greater'],
    ['motor', 'kvRpmPerV', '3000', 'number.base'],
    ['motor', 'kvRpmPerV', Number.NaN, 'number.base'],
    ['motor', 'count', 1.5, 'number.integer'],
    ['battery', 'stateOfCharge', 1.2, 'number.max'],
    ['car', 'frontLoadShare', 1, 'number.less'],
    ['car', 'drivenAxles', 'both', 'any.only'],
    ['car', 'wheelbase', 280, 'object.unknown'],
    ['car', 'massKg', undefined, 'any.required'],
  ])('%s.%s = %p', (section, field, value, rule) => {
    expect(refusal((input) => (input[section]![field] = value))).toMatchObject({
      path: `${section}.${field}`,
      given: { rule },
    });
  });

  it('names the first of several fields, in the order of the schema', () => {
    expect(
      refusal((input) => {
        input.battery!.cells = 0;
        input.car!.massKg = -1;
      }).path,
    ).toBe('car.massKg');
  });
});
