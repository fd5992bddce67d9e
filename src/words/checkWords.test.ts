import type { Exchange } from '@/core/car/document/exchange';
import type { Standing } from '@/core/verdict/engine/check';
import { effectText, readingOf, remedyText } from './checkWords';
import { PLAIN_READER } from '@/core/base/units/plain';

const plain = (text: string) => text.replaceAll('\u00a0', ' ');
const imperial = { locale: 'en-GB', units: 'imperial' } as const;

describe('a remedy by what it exchanges', () => {
  const text = (exchanges: Exchange[], reader = PLAIN_READER) => plain(remedyText({ exchanges }, reader));
  const mass = (from: unknown, to: unknown): Exchange => ({ path: ['chassis', 'massG'], from, to });

  it('says a unit once, with both values before and after', () =>
    expect(text([mass(1600, 1500)])).toMatch(/ 1,600 → 1,500 g$/));

  it('does not say what was not there', () =>
    expect(text([mass(undefined, 1500)])).toMatch(/[a-z] → 1,500 g$/));

  it('follows the reader’s units', () =>
    // 453.6 g = 1 lb = 16 oz
    expect(text([mass(undefined, 453.592)], imperial)).toMatch(/ (1 lb|16 oz)$/));

  it('names a stage once and counts what is more than three', () => {
    const of = (key: string, to: number): Exchange => ({
      path: ['drive', 'stages', 's', key],
      from: to - 1,
      to,
      stage: 1,
    });
    const all = text([of('pinionTeeth', 12), of('wheelTeeth', 40), of('faceWidthMm', 6), of('moduleMm', 2)]);
    expect(all.match(/stage 1/gi)).toHaveLength(1);
    expect(all).toMatch(/ and 1 more$/);
  });
});

describe('a reading', () => {
  const reading = (kind: 'floor' | 'ceiling' | 'band', limit?: number) =>
    readingOf(
      { value: 11.5, quantity: 'forceN', kind, ...(limit === undefined ? {} : { limit }) },
      PLAIN_READER,
    )!;

  it('needs a minimum, has a limit for a maximum, and neither for a band', () => {
    expect(plain(reading('floor', 3.25).against)).toBe('needs 3.25 N');
    expect(plain(reading('ceiling', 3.25).against)).toBe('limit 3.25 N');
    expect([reading('band', 3.25).against, reading('floor').against]).toEqual(['', '']);
    expect(plain(reading('floor').text)).toBe('11.5 N');
  });

  it('beyond what anybody counts says so, unless more is wanted', () => {
    const hours = (value: number, limit: number) =>
      plain(
        readingOf({ value, limit, quantity: 'hours', kind: 'floor', countedTo: 200 }, PLAIN_READER)!.text,
      );
    expect([hours(5000, 10), hours(150, 10), hours(450, 500), hours(600, 500)]).toEqual([
      'over 200 h',
      '150 h',
      '450 h',
      'over 500 h',
    ]);
  });

  it('of what has no unit is the number alone', () =>
    expect(readingOf({ value: 6, quantity: 'count', kind: 'floor', limit: 6 }, PLAIN_READER)!.text).toBe(
      '6',
    ));
});

it('tells of an effect the margin, or else the state, or else the figure', () => {
  const effect = (from: Standing, to: Standing) =>
    plain(effectText({ quantity: 'share', ...from }, to, PLAIN_READER));
  expect(effect({ state: 'over', margin: 0.5 }, { state: 'clear', margin: 2 })).toMatch(/^margin 0\.50? → 2/);
  expect(effect({ state: 'over', value: 0.6 }, { state: 'clear', value: 0.61 })).toBe('fails → clear');
  expect(effect({ state: 'over', value: 0.6 }, { state: 'over', value: 0.5 })).toBe('60 % → 50 %');
});
