import { formatText } from './formatQuantity';
import { marksOf, parseNumber } from './parseNumber';
import { parseQuantity } from './parseQuantity';
import { QUANTITIES, type QuantityName, toShown, toStored } from './quantities';

const english = marksOf('en-GB');
const german = marksOf('de-DE');

const read = (
  text: string,
  name: QuantityName,
  marks = english,
  system: 'metric' | 'imperial' = 'metric',
) => {
  const parsed = parseQuantity(text, name, system, marks);
  return parsed.ok ? parsed.value : parsed.wrong;
};

describe('input with units', () => {
  it.each([
    ['1.5 in', 'lengthMm', 38.1],
    ['1.5"', 'lengthMm', 38.1],
    ['30 mph', 'speedMps', 13.4112],
    ['36', 'speedMps', 10],
    ['2 lb', 'massG', 907.18474],
    ['212 °F', 'temperatureC', 100],
    ['5 Ah', 'capacityMah', 5000],
    ['200', 'areaM2', 0.02],
    ['48 %', 'share', 0.48],
    ['90 s', 'minutes', 1.5],
    ['1e3', 'massG', 1000],
    ['−4', 'temperatureC', -4],
  ] as const)('%s as %s', (text, name, value) => expect(read(text, name)).toBeCloseTo(value, 9));

  it('takes a bare number in the unit on show', () =>
    expect(read('2', 'lengthMm', english, 'imperial')).toBeCloseTo(50.8, 9));

  it('works out sums, as they are written, with a unit behind', () => {
    expect(read('105/2', 'lengthMm')).toBe(52.5);
    expect(read('105 / 2 cm', 'lengthMm')).toBe(525);
    expect(read('3 × (12 + 0,5)', 'lengthMm', german)).toBe(37.5);
    expect(read('1,550 − 265 + 2*90', 'massG', english)).toBe(1465);
    expect(read('1 1/4 in', 'lengthMm')).toBeCloseTo(31.75, 9);
    expect(read('-3 - -5', 'lengthMm')).toBe(2);
    expect(read('2 m/s', 'speedMps')).toBe(2);
    expect(read('72/2 km/h', 'speedMps')).toBeCloseTo(10, 9);
    expect(read('1e-3', 'lengthMm')).toBe(0.001);
  });

  it.each(['105/', '105/0', '(3', '2*/3', '4)(', '1/2/x'])('is no sum: %s', (text) =>
    expect(typeof read(text, 'lengthMm')).toBe('object'),
  );

  it('says what is wrong', () => {
    expect(read('fast', 'speedMps')).toEqual({ kind: 'noNumber', text: 'fast' });
    expect(read('3 furlongs', 'speedMps')).toMatchObject({
      kind: 'unknownUnit',
      unit: 'furlongs',
      known: expect.arrayContaining(['km/h', 'mph', 'm/s']),
    });
    expect(read('1.2.3', 'massG')).toMatchObject({ kind: 'noNumber' });
    expect(read('3 g', 'ratio')).toEqual({ kind: 'takesNoUnit' });
  });
});

describe('numbers as people write them', () => {
  it.each([
    ['1,500', english, 1500],
    ['1,500', german, 1.5],
    ['1.500', german, 1500],
    ['1.500', english, 1.5],
    ['1,5', english, 1.5],
    ['1.234.567,8', german, 1234567.8],
    ['1,234,567.8', english, 1234567.8],
    ['12 500', english, 12500],
    ['0,500', english, 0.5],
    ['1,23,4', english, undefined],
    ['', english, undefined],
  ])('%s', (text, marks, value) => expect(parseNumber(text, marks)).toBe(value));
});

describe('shown', () => {
  it('goes there and back for every unit', () => {
    for (const { metric, imperial, ...more } of Object.values(QUANTITIES)) {
      for (const unit of [metric, imperial, ...('others' in more && more.others ? more.others : [])])
        expect(toShown(toStored(12.5, unit), unit)).toBeCloseTo(12.5, 9);
    }
  });

  it('follows the locale and the units', () => {
    expect(formatText(10, 'speedMps', { locale: 'de-DE', units: 'metric' })).toBe('36\u00a0km/h');
    expect(formatText(13.4112, 'speedMps', { locale: 'en-US', units: 'imperial' })).toBe('30\u00a0mph');
    expect(formatText(1234.5, 'massG', { locale: 'de-DE', units: 'metric' })).toBe('1.235\u00a0g');
    expect(formatText(0.0123456, 'coefficient', { locale: 'en-GB', units: 'metric' })).toBe('0.0123');
  });
});
