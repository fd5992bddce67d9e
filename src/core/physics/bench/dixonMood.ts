/** What the up-and-down method says beside the likelihood. */
export interface DixonMood {
  meanJ: number;
  stepJ: number;
  valid: boolean;
  sdJ?: number;
}

/** How far levels may be from equal steps, of a step. */
const OFF_STEP = 0.01;
/** Least spread for which the standard deviation holds. */
const LEAST_SPREAD = 0.3;

/**
 * Mean and standard deviation of an up-and-down series on equal steps.
 *
 * @param blows one on each part
 * @returns undefined where one outcome does not occur or levels are no equal steps
 * @see Dixon and Mood, JASA 43 (1948)
 */
export function dixonMood(blows: readonly { energyJ: number; broke: boolean }[]): DixonMood | undefined {
  const levels = [...new Set(blows.map(({ energyJ }) => energyJ))].sort((a, b) => a - b);
  if (levels.length < 2) return undefined;
  const steps = levels.slice(1).map((level, k) => level - levels[k]!);
  const stepJ = Math.min(...steps);
  const onStep = (energyJ: number) => {
    const count = (energyJ - levels[0]!) / stepJ;
    return Math.abs(count - Math.round(count)) <= OFF_STEP;
  };
  if (!levels.every(onStep)) return undefined;
  const [broken, held] = [blows.filter(({ broke }) => broke), blows.filter(({ broke }) => !broke)];
  if (broken.length === 0 || held.length === 0) return undefined;
  const isBroken = broken.length <= held.length;
  const rarer = isBroken ? broken : held;
  const lowest = Math.min(...rarer.map(({ energyJ }) => energyJ));
  const at = rarer.map(({ energyJ }) => Math.round((energyJ - lowest) / stepJ));
  const N = at.length;
  const A = at.reduce((sum, i) => sum + i, 0);
  const B = at.reduce((sum, i) => sum + i ** 2, 0);
  const spread = (N * B - A ** 2) / N ** 2;
  const valid = spread > LEAST_SPREAD;
  return {
    meanJ: lowest + stepJ * (A / N + (isBroken ? -0.5 : 0.5)),
    stepJ,
    valid,
    ...(valid ? { sdJ: 1.62 * stepJ * (spread + 0.029) } : {}),
  };
}
