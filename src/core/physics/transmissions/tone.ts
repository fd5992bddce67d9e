/** Lowest and highest tone that a span of a model's belt makes, Hz. */
export const [LOWEST_HZ, HIGHEST_HZ] = [20, 1500];
/** Share of the sound's own power that must come again a period later. */
const SURE = 0.8;
/** Quieter than this share of full scale it is the room. */
const QUIET = 0.005;
/** A peak nearly as high as the highest, at a shorter period, is the tone and the other its octave below. */
const AS_GOOD = 0.93;

/**
 * The fundamental of a plucked span by how the sound resembles itself a period later.
 *
 * @param samples sound, full scale ±1
 * @param rate samples a second
 * @returns Hz; nothing where it is too quiet or has no tone between 20 and 1500 Hz
 * @see McLeod and Wyvill, A Smarter Way to Find Pitch (2005): the normalised square difference
 */
export function toneOf(samples: Float32Array, rate: number): number | undefined {
  const window = samples.length >> 1;
  const [shortest, longest] = [
    Math.floor(rate / HIGHEST_HZ),
    Math.min(window - 1, Math.ceil(rate / LOWEST_HZ)),
  ];
  let power = 0;
  for (let at = 0; at < samples.length; at++) power += samples[at]! ** 2;
  if (Math.sqrt(power / samples.length) < QUIET) return undefined;
  const alike = (lag: number) => {
    let [product, both] = [0, 0];
    for (let at = 0; at < window; at++) {
      const [one, other] = [samples[at]!, samples[at + lag]!];
      product += one * other;
      both += one * one + other * other;
    }
    return both === 0 ? 0 : (2 * product) / both;
  };
  const found = new Float64Array(longest + 2);
  for (let lag = shortest - 1; lag <= longest + 1; lag++) if (lag > 0) found[lag] = alike(lag);
  const peaks: number[] = [];
  for (let lag = shortest; lag <= longest; lag++)
    if (found[lag]! > found[lag - 1]! && found[lag]! >= found[lag + 1]!) peaks.push(lag);
  const best = Math.max(0, ...peaks.map((lag) => found[lag]!));
  if (best < SURE) return undefined;
  const lag = peaks.find((one) => found[one]! >= AS_GOOD * best)!;
  const [before, here, after] = [found[lag - 1]!, found[lag]!, found[lag + 1]!];
  const bend = before - 2 * here + after;
  return rate / (lag + (bend === 0 ? 0 : (before - after) / (2 * bend)));
}
