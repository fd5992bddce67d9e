import type { Hole, Reading } from '../print/holes/definition';

/** Holes of a thing that is there already, measured with a caliper. */
export interface HolePattern {
  id: string;
  name: string;
  holes: Hole[];
  readings: (Reading & { id: string })[];
  /** Where the first hole lies in the car, and how far the line to the second is turned from straight ahead, to the left. */
  under?: { xMm: number; yMm: number; turnDeg: number };
}

export interface Print {
  patterns?: HolePattern[];
}

export const emptyPrint = (): Print => ({});
