import { parseNumber, type NumberMarks } from './parseNumber';
import { parseSum } from './parseSum';
import { quantityOf, toStored, type QuantityName, type Unit, type UnitSystem } from './quantities';

/** What cannot be read, and which units could. */
export type WrongText =
  | { kind: 'noNumber'; text: string }
  | { kind: 'takesNoUnit' }
  | { kind: 'unknownUnit'; unit: string; known: readonly string[] };

export type Parsed =
  /** `sum` where it was worked out from more than one number. */
  { ok: true; value: number; unit: Unit; number: number; sum: boolean } | { ok: false; wrong: WrongText };

const ONE_NUMBER = /^\s*([+\-−]?[\d.,\s\u00a0\u2009\u202f'’]*\d[.,]?(?:e[+-]?\d+)?)\s*(.*?)\s*$/i;
/** A sum that ends in a number or a bracket, and what stands behind it. */
const SUM = /^\s*([\d.,\s\u00a0\u2009\u202f'’()+\-−*×·/:÷]*[\d)])\s*(.*?)\s*$/;

/**
 * Reads "1.5 in", "30 mph", "105/2" or a bare number in the unit that the field shows.
 *
 * @returns the value as stored (the name of the quantity says in what unit), or what is wrong
 */
export function parseQuantity(
  text: string,
  name: QuantityName,
  system: UnitSystem,
  marks: NumberMarks,
): Parsed {
  const quantity = quantityOf(name);
  const units: Unit[] = [quantity[system], quantity.metric, quantity.imperial, ...(quantity.others ?? [])];
  const summed = SUM.exec(text);
  const sum = summed !== null && /[\d)]\s*[+\-−*×·/:÷(]/.test(summed[1]!);
  const match = sum ? summed : ONE_NUMBER.exec(text);
  if (!match) return { ok: false, wrong: { kind: 'noNumber', text: text.trim() } };
  const [, digits, suffix = ''] = match;
  const number = sum ? parseSum(digits!, marks) : parseNumber(digits!.trim(), marks);
  if (number === undefined) return { ok: false, wrong: { kind: 'noNumber', text: text.trim() } };
  const unit = suffix === '' ? units[0]! : units.find((candidate) => matches(candidate, suffix));
  if (!unit) {
    const known = [...new Set(units.map(({ symbol }) => symbol).filter(Boolean))];
    return {
      ok: false,
      wrong: known.length === 0 ? { kind: 'takesNoUnit' } : { kind: 'unknownUnit', unit: suffix, known },
    };
  }
  return { ok: true, value: toStored(number, unit), unit, number, sum };
}

function matches(unit: Unit, suffix: string): boolean {
  const wanted = suffix.toLowerCase().replace(/\s+/g, ' ');
  return [unit.symbol, ...(unit.also ?? [])].some((name) => name.toLowerCase() === wanted);
}
