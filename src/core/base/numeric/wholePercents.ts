/**
 * Shares that make a whole as whole per cent that add up to 100: each rounded down, and what is left given to the largest
 * remainders.
 */
export function wholePercents(shares: readonly number[]): number[] {
  const exact = shares.map((share) => 100 * share);
  const whole = exact.map(Math.floor);
  const left =
    Math.round(exact.reduce((sum, one) => sum + one, 0)) - whole.reduce((sum, one) => sum + one, 0);
  const largest = exact
    .map((one, at) => ({ at, remainder: one - whole[at]! }))
    .sort((a, b) => b.remainder - a.remainder || a.at - b.at)
    .slice(0, Math.max(0, left));
  for (const { at } of largest) whole[at]! += 1;
  return whole;
}
