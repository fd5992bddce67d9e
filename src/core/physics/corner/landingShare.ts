/**
 * Share of a landing's energy that a linear damper takes before the wheel stops, 1 − exp(−2ζ·acos ζ/√(1 − ζ²)), the weight
 * on the way left out.
 *
 * @param dampingRatio 0 or more
 * @see Rao, Mechanical Vibrations, ch. 2: free vibration from rest position with a speed
 */
export function landingShare(dampingRatio: number): number {
  if (dampingRatio === 1) return 1 - Math.exp(-2);
  const root = Math.sqrt(Math.abs(1 - dampingRatio ** 2));
  const angle = dampingRatio < 1 ? Math.acos(dampingRatio) : Math.acosh(dampingRatio);
  return 1 - Math.exp((-2 * dampingRatio * angle) / root);
}
