import type { Term } from './terms';

/** What a field of the document is explained by: by its key, or by that and the one above it; none where the key means something else. */
const TERM_OF_FIELD: Readonly<Record<string, Term | 'none'>> = {
  kvRpmPerV: 'kv',
  resistanceMilliOhm: 'winding-resistance',
  'controller.resistanceMilliOhm': 'none',
  noLoadCurrentA: 'idling-current',
  moduleMm: 'module',
  wheelModuleMm: 'module',
  backlashMm: 'backlash',
  cellResistanceMilliOhm: 'cell-resistance',
  maxDischargeC: 'c-rating',
  mu: 'friction',
  rollingResistance: 'rolling-resistance',
  cdaM2: 'drag-area',
  wheelbaseMm: 'wheelbase',
  trackFrontMm: 'track',
  trackRearMm: 'track',
  cgHeightMm: 'centre-of-gravity',
  staticCamberDeg: 'camber',
  staticToeDeg: 'toe',
  droopMm: 'droop',
  rateNPerMm: 'spring-rate',
  'tyre.rateNPerMm': 'none',
  'frontTyre.rateNPerMm': 'none',
  perimeters: 'perimeters',
  infill: 'infill',
  fullSteerDegPerS: 'yaw-rate',
};

/** The term by which the help explains a field of the document. */
export function termOf(path: readonly string[]): Term | undefined {
  const key = path.at(-1) ?? '';
  const term = TERM_OF_FIELD[`${path.at(-2)}.${key}`] ?? TERM_OF_FIELD[key];
  return term === 'none' ? undefined : term;
}
