import type { Finding } from '../../../base/finding';
export const READING_KINDS = ['inside', 'outside', 'centres'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

export interface Hole {
  id: string;
  diameterMm: number;
}

/** A caliper across two holes: over their far edges, between their near ones, or reckoned to their centres. */
export interface Reading {
  from: string;
  to: string;
  kind: ReadingKind;
  valueMm: number;
  /** One standard deviation. */
  plusMinusMm?: number;
}

export const PLATE_FILES = ['svg', 'dxf', 'stl'] as const;
export type PlateFile = (typeof PLATE_FILES)[number];

export interface HolesInput {
  holes: readonly Hole[];
  readings: readonly Reading[];
  anchors?: { origin: string; axis: string; above?: string };
  files?: readonly PlateFile[];
  /** Of the random numbers; the same seed, the same result. */
  seed?: number;
}

export interface Placed {
  id: string;
  xMm: number;
  yMm: number;
}

export interface Residual {
  from: string;
  to: string;
  readMm: number;
  /** As the caliper would show. */
  fitMm: number;
  /** Residual over its standard error. */
  offBySigma: number;
}

export interface Suspect {
  from: string;
  to: string;
  /** Residual over its standard error. */
  standardised: number;
  /** The same with this reading left out. */
  chiSquareWithout: number;
}

export interface HolesResult {
  centresMm: Placed[];
  standardErrorMm?: Placed[];
  residuals: Residual[];
  suspect: Suspect[];
  /** Sum of the squared residuals over their errors. */
  chiSquare: number;
  rigid: boolean;
  looseHoles?: string[];
  /** Number of shapes that fit about as well. */
  otherShapes: number;
  files?: Partial<Record<PlateFile, string>>;
  notes: Finding[];
}

export const USUAL_PLUS_MINUS_MM = 0.05;

/** A reading between two numbered holes, as a distance of their centres. */
export interface Link {
  i: number;
  j: number;
  mm: number;
  sigma: number;
}
