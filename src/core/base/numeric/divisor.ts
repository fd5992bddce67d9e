/** Greatest common divisor of two whole numbers. Source: Euclid. */
export const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b));
