import type { End } from './enduranceDefinition';

/** How a cycle is driven. */
export interface Options {
  stepScale: number;
  /** Drives on past every limit, as a measured run did. */
  ignoreEnds: boolean;
  untilS: number;
  mostSteps?: number;
  /** Times at which the case is read, s, rising. */
  readAtS?: readonly number[];
}

/** How much of a stretch is driven, and what ends it. */
export interface Stretch {
  share: number;
  by?: End;
}

export const WHOLE_STRETCH: Stretch = { share: 1 };
