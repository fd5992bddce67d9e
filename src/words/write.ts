import type { Finding, FindingCode, FindingFacts, WorkingCode, WorkingFacts } from '@/core/base/finding';
import type { Measure } from '@/core/base/measure';
import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import type { WorkingStep } from './workingStep';

/** Facts whose quantities are written for a reader, and whose findings are sentences. */
export type Written<T> = T extends Measure
  ? string
  : T extends { readonly code: FindingCode }
    ? string
    : T extends readonly (infer U)[]
      ? readonly Written<U>[]
      : T extends object
        ? { readonly [K in keyof T]: Written<T[K]> }
        : T;

/** Sentences of every finding whose code is this or begins with it. */
export type Sentences<P extends string> = {
  readonly [C in Extract<FindingCode, P | `${P}.${string}`>]: (
    facts: Written<FindingFacts[C]>,
    reader: Reader,
  ) => string;
};

/** Lines of every working whose code is this or begins with it. */
export type Workings<P extends string> = {
  readonly [C in Extract<WorkingCode, P | `${P}.${string}`>]: (
    facts: WorkingFacts[C],
    write: Writer,
  ) => readonly WorkingStep[];
};

/** Writes the numbers of a formula for its reader. */
export interface Writer {
  /** With its unit. */
  q(value: number, quantity: QuantityName, digits?: number): string;
  /** A bare number. */
  n(value: number, digits?: number): string;
}

export const writerFor = (reader: Reader): Writer => ({
  q: (value, quantity, digits) => formatText(value, quantity, reader, digits),
  n: (value, digits) => formatNumber(value, reader.locale, digits),
});

const isMeasure = (value: object): value is Measure => 'quantity' in value && 'value' in value;
const isFinding = (value: object): value is Finding => 'code' in value && 'facts' in value;

/** Facts with every quantity written, and every finding inside them said. */
export function written<T>(facts: T, reader: Reader, say: (inside: Finding) => string): Written<T> {
  const write = (value: unknown): unknown => {
    if (typeof value !== 'object' || value === null) return value;
    if (Array.isArray(value)) return value.map(write);
    if (isMeasure(value)) return formatText(value.value, value.quantity, reader, value.digits);
    if (isFinding(value)) return say(value);
    return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, write(one)]));
  };
  return write(facts) as Written<T>;
}
