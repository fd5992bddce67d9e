/** Ranges of step over radius for which the polynomial was fitted. */
const [LEAST, BETWEEN, MOST] = [0.1, 2, 20];

type Row = readonly [constant: number, root: number, linear: number];
const SHALLOW: readonly Row[] = [
  [1.007, 1, -0.031],
  [-0.27, -2.404, 0.749],
  [0.677, 1.133, -0.904],
  [-0.414, 0.271, 0.186],
];
const DEEP: readonly Row[] = [
  [1.042, 0.982, -0.036],
  [-3.599, 1.619, -0.431],
  [6.084, -5.607, 1.158],
  [-2.527, 3.006, -0.691],
];

/**
 * How many times the bending stress of a flat bar rises where it grows out of a wider body with a fillet.
 *
 * @param barMm height in the plane of bending
 * @param bodyMm the same of the body; no more than the bar's raises nothing
 * @param radiusMm of the fillet; beyond a step of 20 radii as at 20
 * @see Pilkey and Pilkey, Peterson's Stress Concentration Factors, ch. 3 (stepped flat bar in bending)
 */
export function filletFactor(barMm: number, bodyMm: number, radiusMm: number): number {
  const step = (bodyMm - barMm) / 2;
  if (step <= 0) return 1;
  const ratio = Math.min(MOST, step / radiusMm);
  const share = (2 * step) / bodyMm;
  const at = Math.max(LEAST, ratio);
  const k = (at <= BETWEEN ? SHALLOW : DEEP).reduce(
    (sum, [constant, root, linear], power) =>
      sum + (constant + root * Math.sqrt(at) + linear * at) * share ** power,
    0,
  );
  // a step that is small beside its fillet fades out
  return 1 + (Math.max(1, k) - 1) * Math.min(1, ratio / LEAST);
}
