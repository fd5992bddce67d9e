import { CalcError } from '../errors';
import { isKeepable, keepable, keepableTexts, refuseUnkeepable } from './keepable';

const refusal = (value: unknown) => {
  try {
    refuseUnkeepable(value);
    return undefined;
  } catch (error) {
    return (error as CalcError).path;
  }
};

describe('text that can be kept', () => {
  it('is every letter and sign, with tabs and lines, and pairs that are whole', () => {
    for (const text of ['', 'Zahnrad ü 齿轮', 'one\ttwo\r\nthree', '🏎️', '\u{1F3CE}', 'a\u00a0b'])
      expect(isKeepable(text)).toBe(true);
  });

  it('is none with a control character, nor with half of a pair', () => {
    for (const text of [
      '\u0000',
      'a\u0007b',
      '\u001b[31m',
      '\u007f',
      '\u0085',
      '\ud83c',
      'x\udfce',
      '\udfce\ud83c',
    ]) {
      expect(isKeepable(text)).toBe(false);
      expect(isKeepable(keepable(`left ${text} right`))).toBe(true);
    }
    expect(keepable('pin\u0000ion \ud83c')).toBe('pinion ');
    expect(keepable('\u{1F3CE}')).toBe('\u{1F3CE}');
  });

  it('is what is left of every text of a record', () =>
    expect(keepableTexts({ note: 'wet\u0000 edge', at: [{ name: '\ud83c' }], n: 1 })).toEqual({
      note: 'wet edge',
      at: [{ name: '' }],
      n: 1,
    }));

  it('is looked for in every field and its name', () => {
    expect(refusal({ name: 'hare', list: [{ note: 'fine' }] })).toBeUndefined();
    expect(refusal({ name: 'hare', list: [{ note: 'a\u0000' }] })).toBe('list.0.note');
    expect(refusal({ inner: { 'a\u0000': 1 } })).toBe('inner');
    expect(refusal('\udc00')).toBe('');
    expect(refusal(new Uint8Array(3))).toBeUndefined();
  });

  it('is not looked for without end', () => {
    const deep = (levels: number) => JSON.parse(`${'['.repeat(levels)}${']'.repeat(levels)}`) as unknown;
    expect(refusal(deep(50))).toBeUndefined();
    expect(refusal(deep(5000))).toBe('0.0.0');
  });
});
