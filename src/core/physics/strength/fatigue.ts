/** Share of its strength that a plastic loses with every tenfold of the times that a load comes, and the range of what was found. */
const LOST_PER_TENFOLD = { usual: 0.1, low: 0.07, high: 0.14 } as const;
/** What is left counts no further down than this. */
const LEAST_LEFT = 0.05;
/** Times from which a notch counts as a whole, as powers of ten. */
const WHOLE_NOTCH = 6;
/** Stretch at break from which a plastic gives way at a notch, %, and how much of the notch then counts. */
const [TOUGH_PCT, TOUGH_SHARE] = [5, 0.5];
/** Notch of the grooves between layers that a load pulls across, by judgement: 1 + 2·√(depth/radius) of 2.1, a fifth of which counts at their size. */
const GROOVES = 1.2;

export interface FatigueInput {
  /** How often the load comes. */
  times: number;
  /** Of a hole across the load, over the width that it is in. */
  holeShare?: number;
  /** The load pulls the layers apart. */
  across?: boolean;
  strainAtBreakPct?: number;
}

export interface FatigueResult {
  /** What is left of the strength, and of the range. */
  left: number;
  low: number;
  high: number;
  /** How much of it hole and grooves take beside. */
  notch: number;
}

/**
 * What is left of a plastic's strength when a load comes again and again.
 *
 * @returns shares of the strength under one load, the notch in them
 * @see Mandell, McGarry, Huang and Li, Some effects of matrix and interface properties on the fatigue of short fiber-reinforced
 *   thermoplastics, Polymer Composites 4 (1983): a tenth of the strength for every tenfold; Heywood in Peterson's Stress
 *   Concentration Factors, ch. 4 (hole, on the net section); Shigley ch. 6 (notches count more the more often a load comes)
 */
export function fatigueLeft({
  times,
  holeShare = 0,
  across = false,
  strainAtBreakPct = 0,
}: FatigueInput): FatigueResult {
  const tenfolds = Math.max(0, Math.log10(times));
  const hole = holeShare > 0 ? 2 + (1 - holeShare) ** 3 : 1;
  const counted = 1 + (strainAtBreakPct >= TOUGH_PCT ? TOUGH_SHARE : 1) * (hole - 1);
  const notch = (counted * (across ? GROOVES : 1)) ** Math.min(1, tenfolds / WHOLE_NOTCH);
  const at = (lost: number) => Math.max(LEAST_LEFT, 1 - lost * tenfolds) / notch;
  return {
    left: at(LOST_PER_TENFOLD.usual),
    low: at(LOST_PER_TENFOLD.high),
    high: at(LOST_PER_TENFOLD.low),
    notch,
  };
}
