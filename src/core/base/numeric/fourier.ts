/**
 * Squares of the size of the Fourier transform of a real signal, for frequencies 0 to half the sampling rate.
 *
 * @param values as many as a power of two
 * @see Cooley and Tukey 1965 (Press et al., Numerical Recipes, 12.2)
 */
export function powerOf(values: ArrayLike<number>): Float64Array {
  const n = values.length;
  const [re, im] = [new Float64Array(n), new Float64Array(n)];
  const bits = Math.log2(n);
  for (let k = 0; k < n; k++) {
    let turned = 0;
    for (let bit = 0; bit < bits; bit++) turned |= ((k >> bit) & 1) << (bits - 1 - bit);
    re[turned] = values[k]!;
  }
  for (let half = 1; half < n; half *= 2)
    for (let k = 0; k < half; k++) {
      const angle = (-Math.PI * k) / half;
      const [c, s] = [Math.cos(angle), Math.sin(angle)];
      for (let at = k; at < n; at += 2 * half) {
        const other = at + half;
        const [x, y] = [re[other]! * c - im[other]! * s, re[other]! * s + im[other]! * c];
        [re[other], im[other]] = [re[at]! - x, im[at]! - y];
        re[at]! += x;
        im[at]! += y;
      }
    }
  return Float64Array.from({ length: n / 2 + 1 }, (_, k) => re[k]! ** 2 + im[k]! ** 2);
}
