import { parseNumber, type NumberMarks } from './parseNumber';

const NUMBER = /\d+(?:[ \u00a0\u2009\u202f'’]\d{3}(?!\d))*(?:[.,]\d+)*(?:e[+-]?\d+)?/iy;
const MARKS: Readonly<Record<string, string>> = { '−': '-', '×': '*', '·': '*', ':': '/', '÷': '/' };
const OPERATORS = '+-*/()';

/**
 * Works out a sum as people write one: 105/2, 3 × (12 + 0.5), 1 1/4.
 *
 * @returns its value, or undefined where the text is no sum of numbers
 */
export function parseSum(text: string, marks: NumberMarks): number | undefined {
  const tokens = tokensOf(text, marks);
  if (!tokens) return undefined;
  let at = 0;
  const next = (wanted: string) => tokens[at] === wanted && Boolean((at += 1));

  function factor(): number {
    if (next('-')) return -factor();
    if (next('+')) return factor();
    if (next('(')) {
      const inside = sum();
      return next(')') ? inside : NaN;
    }
    const token = tokens![at++];
    return typeof token === 'number' ? token : NaN;
  }
  function product(): number {
    let value = factor();
    // a whole number before a fraction: 1 1/4
    const [over, bar, under] = tokens!.slice(at, at + 3);
    if (typeof over === 'number' && bar === '/' && typeof under === 'number') {
      at += 3;
      return value + over / under;
    }
    for (;;) {
      if (next('*')) value *= factor();
      else if (next('/')) value /= factor();
      else return value;
    }
  }
  function sum(): number {
    let value = product();
    for (;;) {
      if (next('+')) value += product();
      else if (next('-')) value -= product();
      else return value;
    }
  }

  const value = sum();
  return at === tokens.length && Number.isFinite(value) ? value : undefined;
}

function tokensOf(text: string, marks: NumberMarks): (number | string)[] | undefined {
  const tokens: (number | string)[] = [];
  for (let at = 0; at < text.length;) {
    const character = MARKS[text[at]!] ?? text[at]!;
    NUMBER.lastIndex = at;
    const number = NUMBER.exec(text)?.[0];
    if (number !== undefined) {
      const value = parseNumber(number, marks);
      if (value === undefined) return undefined;
      tokens.push(value);
      at += number.length;
    } else if (OPERATORS.includes(character)) {
      tokens.push(character);
      at += 1;
    } else if (/\s/.test(character)) at += 1;
    else return undefined;
  }
  return tokens;
}
