import { numberFormat } from './numberFormat';
import { quantityOf, toShown, unitOf, type QuantityName, type UnitSystem } from './quantities';

/** How the reader writes numbers and which units they like. */
export interface Reader {
  readonly locale: string;
  readonly units: UnitSystem;
  /** What the build's money is called, beside a price. */
  readonly currency?: string;
}

export interface Shown {
  readonly number: string;
  readonly unit: string;
}

/** Number in the reader's marks, to a count of significant digits, never in exponents. */
export function formatNumber(value: number, locale: string, digits = 3): string {
  const size = Math.abs(value);
  if (size !== 0 && size < 1e-9) return '0';
  const whole = size >= 10 ** digits;
  return numberFormat(
    locale,
    whole ? { maximumFractionDigits: 0 } : { maximumSignificantDigits: digits },
  ).format(value);
}

const WHOLE_FROM = 1000;

/** A price to the hundredth, large ones to the whole. */
const priceNumber = (value: number, locale: string) =>
  numberFormat(
    locale,
    Math.abs(value) >= WHOLE_FROM
      ? { maximumFractionDigits: 0 }
      : { minimumFractionDigits: 2, maximumFractionDigits: 2 },
  ).format(value);

/** A stored value as the reader sees it, number and unit apart. */
export function formatQuantity(value: number, name: QuantityName, reader: Reader, digits?: number): Shown {
  if (name === 'price') return { number: priceNumber(value, reader.locale), unit: reader.currency ?? '' };
  const unit = unitOf(name, reader.units);
  return {
    number: formatNumber(toShown(value, unit), reader.locale, digits ?? quantityOf(name).digits ?? 3),
    unit: unit.symbol,
  };
}

/** The same in one string that does not break. */
export function formatText(value: number, name: QuantityName, reader: Reader, digits?: number): string {
  const { number, unit } = formatQuantity(value, name, reader, digits);
  return unit === '' ? number : `${number}\u00a0${unit}`;
}

/** A value with its error, both in one unit: the error to two digits, the value to the error's last place. */
export function formatWithError(value: number, error: number, name: QuantityName, reader: Reader): string {
  const unit = unitOf(name, reader.units);
  const shownError = error / Math.abs(unit.scale);
  const decimals =
    shownError > 0 ? Math.max(0, Math.min(6, 1 - Math.floor(Math.log10(shownError) + 0.02))) : 2;
  const places = shownError >= 1 ? Math.min(1, decimals) : decimals;
  const digits = numberFormat(reader.locale, {
    minimumFractionDigits: places,
    maximumFractionDigits: places,
  });
  return `${digits.format(toShown(value, unit))} ± ${digits.format(shownError)}\u00a0${unit.symbol}`;
}

/** The size of an error in the reader's unit, without it; a zero that lies elsewhere moves no difference. */
export function formatError(error: number, name: QuantityName, reader: Reader): string {
  return formatNumber(error / Math.abs(unitOf(name, reader.units).scale), reader.locale, 2);
}
