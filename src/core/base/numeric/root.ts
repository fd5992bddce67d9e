/**
 * Root of a function inside a bracket, by bisection down to the last digits that a double can tell apart.
 *
 * @param f changes sign between `low` and `high`, or is 0 at one of them
 * @returns the abscissa, in the unit of the bracket
 * @throws RangeError if the bracket holds no change of sign
 */
export function bisect(f: (x: number) => number, low: number, high: number): number {
  const atLow = f(low);
  if (atLow === 0) return low;
  const atHigh = f(high);
  if (atHigh === 0) return high;
  if (atLow > 0 === atHigh > 0) throw new RangeError('no change of sign in the bracket');
  let a = low;
  let b = high;
  for (let i = 0; i < 200; i++) {
    const middle = 0.5 * (a + b);
    if (middle === a || middle === b) return middle;
    if (f(middle) > 0 === atLow > 0) a = middle;
    else b = middle;
  }
  return 0.5 * (a + b);
}
