import type { Reader } from './formatQuantity';

/** A number for a formula in a working: three significant figures, a true minus, no exponent for everyday sizes. */
export function plain(value: number, digits = 3): string {
  if (value === 0) return '0';
  const size = Math.abs(value);
  const text = size >= 1e-4 && size < 1e6 ? trimmed(value, digits) : value.toExponential(digits - 1);
  return text.replace('-', '−');
}

function trimmed(value: number, digits: number): string {
  const decimals = Math.max(0, digits - 1 - Math.floor(Math.log10(Math.abs(value))));
  return String(Number(value.toFixed(Math.min(12, decimals))));
}

/** For whom calc and the API write: English, metric, with a point. */
export const PLAIN_READER: Reader = { locale: 'en-GB', units: 'metric' };
