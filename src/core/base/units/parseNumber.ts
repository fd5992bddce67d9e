/** The number's marks in one locale. */
export interface NumberMarks {
  decimal: string;
  group: string;
}

/** Decimal and group marks of a locale, from the platform's own tables. */
export function marksOf(locale: string): NumberMarks {
  const parts = new Intl.NumberFormat(locale, { useGrouping: true }).formatToParts(12345678.9);
  const mark = (type: string, fallback: string) =>
    parts.find((part) => part.type === type)?.value ?? fallback;
  return { decimal: mark('decimal', '.'), group: mark('group', ',') };
}

const SPACES = /[\s\u00a0\u2009\u202f'’]/g;

/**
 * Reads a number as a person writes it. A mark that stands as the locale's group mark, three digits from the right,
 * groups; a single mark anywhere else is the decimal mark.
 *
 * @returns undefined where the text is no number
 */
export function parseNumber(text: string, marks: NumberMarks): number | undefined {
  const plain = text.replace(SPACES, '').replace('−', '-');
  if (!/^[+-]?[\d.,]+(e[+-]?\d+)?$/i.test(plain) || !/\d/.test(plain)) return undefined;
  const [, sign, body, exponent = ''] = /^([+-]?)([\d.,]+)(e[+-]?\d+)?$/i.exec(plain)!;
  const digits = normalise(body!, marks);
  if (digits === undefined) return undefined;
  const value = Number(`${sign}${digits}${exponent}`);
  return Number.isFinite(value) ? value : undefined;
}

function normalise(body: string, marks: NumberMarks): string | undefined {
  const dots = body.split('.').length - 1;
  const commas = body.split(',').length - 1;
  if (dots > 0 && commas > 0) {
    const decimal = body.lastIndexOf('.') > body.lastIndexOf(',') ? '.' : ',';
    if (body.split(decimal).length > 2) return undefined;
    return body.replaceAll(decimal === '.' ? ',' : '.', '').replace(decimal, '.');
  }
  const mark = dots > 0 ? '.' : commas > 0 ? ',' : '';
  if (mark === '') return body;
  if (dots + commas > 1) return isGrouped(body, mark) ? body.replaceAll(mark, '') : undefined;
  if (mark !== marks.decimal && isGrouped(body, mark)) return body.replace(mark, '');
  return body.replace(mark, '.');
}

function isGrouped(body: string, mark: string): boolean {
  const groups = body.split(mark);
  return /^[1-9]\d{0,2}$/.test(groups[0]!) && groups.slice(1).every((group) => /^\d{3}$/.test(group));
}
