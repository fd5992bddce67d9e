/** Bearings of a wheel and lengths that add up; one of them at least. */
export interface StackInput {
  bearings?: {
    spacingMm: number;
    /** Whole diametral play between axle and carrier there. */
    clearanceMm: readonly [inboard: number, outboard: number];
    /** At which the play is told. */
    radiusMm: number;
  };
  chain?: readonly { name: string; nominalMm: number; plusMinusMm: number }[];
}

export interface StackResult {
  /** Each way. */
  tiltDeg?: number;
  /** From one stop to the other. */
  rimPlayMm?: number;
  chain?: { nominalMm: number; worstCaseMm: number; rootSumSquareMm: number };
}

/**
 * Free play of a wheel on its bearings, and what a chain of lengths adds up to.
 *
 * @returns tilt in degrees each way, play at the radius and lengths in mm
 * @see Shigley, Mechanical Engineering Design, ch. 1 (tolerance stacks); the tilt by geometry
 */
export function fitStack({ bearings, chain }: StackInput): StackResult {
  const tilt =
    bearings && Math.atan((bearings.clearanceMm[0] + bearings.clearanceMm[1]) / (2 * bearings.spacingMm));
  return {
    ...(bearings && tilt !== undefined
      ? { tiltDeg: (tilt * 180) / Math.PI, rimPlayMm: 2 * bearings.radiusMm * Math.tan(tilt) }
      : {}),
    ...(chain
      ? {
          chain: {
            nominalMm: sum(chain.map(({ nominalMm }) => nominalMm)),
            worstCaseMm: sum(chain.map(({ plusMinusMm }) => plusMinusMm)),
            rootSumSquareMm: Math.sqrt(sum(chain.map(({ plusMinusMm }) => plusMinusMm ** 2))),
          },
        }
      : {}),
  };
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0);
