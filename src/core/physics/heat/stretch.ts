import type { End } from './enduranceDefinition';

/** How a cycle is driven. */
export interface Options {
  /** Times the usual step. */
  stepScale: number;
  /** Drives on past every limit, as a measured run did. */
  ignoreEnds: boolean;
  untilS: number;
  /** Steps after which it is refused. */
  mostSteps?: number;
  /** Times at which the case is read, s, rising. */
  readAtS?: readonly number[];
}

/** How much of a stretch is driven, and what ends it. */
export interface Stretch {
  /** 0 to 1. */
  share: number;
  by?: End;
}

export const WHOLE_STRETCH: Stretch = { share: 1 };
