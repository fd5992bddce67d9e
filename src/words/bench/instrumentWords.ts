import type { QuantityName } from '@/core/base/units/quantities';
import type { InstrumentKind } from '@/core/physics/instruments/line';

export const INSTRUMENT_NAMES: Readonly<Record<InstrumentKind, string>> = {
  gate: 'light gate',
  tachometer: 'tachometer',
  gauge: 'diameter gauge',
  scale: 'scale',
  thermometer: 'thermometer',
  meter: 'volts and amperes',
  gyro: 'gyro',
  satellite: 'satellite receiver',
};

/** What each field of an instrument is, and how a page writes it. */
export const INSTRUMENT_QUANTITIES: Readonly<Record<string, QuantityName>> = {
  rpm: 'rpm',
  mm: 'lengthMm',
  g: 'massG',
  c: 'temperatureC',
  v: 'voltageV',
  a: 'currentA',
  dps: 'rateDegPerS',
  mps: 'speedMps',
};

export const GATE_PROBLEM_WORDS = {
  backward: 'Something broke the second beam first: did the car come the other way?',
  lost: 'A car broke the first beam and never the second.',
} as const;
