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

const MOST_SECANTS = 60;

/**
 * Root of a smooth function inside a bracket to a width, by the secant that halves the value of an end that stays (Illinois):
 * a few evaluations where bisection takes many.
 *
 * @param f changes sign between `low` and `high`
 * @returns the abscissa, in the unit of the bracket
 * @throws RangeError if the bracket holds no change of sign
 * @see Dahlquist and Björck, Numerical Methods in Scientific Computing, ch. 6
 */
export function secantRoot(f: (x: number) => number, low: number, high: number, within: number): number {
  let [a, b] = [low, high];
  let [atA, atB] = [f(a), f(b)];
  if (atA === 0) return a;
  if (atB === 0) return b;
  if (atA > 0 === atB > 0) throw new RangeError('no change of sign in the bracket');
  let stays: 'a' | 'b' | undefined;
  for (let i = 0; i < MOST_SECANTS && Math.abs(b - a) > within; i++) {
    const x = (a * atB - b * atA) / (atB - atA);
    const at = f(x);
    if (at === 0) return x;
    if (at > 0 === atB > 0) {
      if (Math.abs(b - x) < within) return x;
      [b, atB] = [x, at];
      if (stays === 'a') atA /= 2;
      stays = 'a';
    } else {
      if (Math.abs(x - a) < within) return x;
      [a, atA] = [x, at];
      if (stays === 'b') atB /= 2;
      stays = 'b';
    }
  }
  return 0.5 * (a + b);
}
