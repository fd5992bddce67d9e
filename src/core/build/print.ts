import type { Hole, Reading } from '../print/holes/definition';

/** Holes of a thing that is there already, measured with a caliper. */
export interface HolePattern {
  id: string;
  name: string;
  holes: Hole[];
  readings: (Reading & { id: string })[];
}

export interface Print {
  patterns?: HolePattern[];
}

export const emptyPrint = (): Print => ({});
