const GAMMA = 1 - Math.SQRT1_2;
/** Difference from which a slope is told, m/s. */
const TELLING_MPS = 1e-6;

/** Step of wheel and car at rest and at speed, s: the slip answers the slower the faster the car goes. */
const [FINE_S, COARSE_S, COARSE_FROM_MPS] = [2.5e-4, 1e-3, 4];
export const stepAt = (speedMps: number) =>
  Math.min(COARSE_S, FINE_S + ((COARSE_S - FINE_S) * speedMps) / COARSE_FROM_MPS);

/** Accelerations of the wheel's tread and of the car, written into the pair. */
export type SlipDerivative = (wheelMps: number, speedMps: number, into: Float64Array) => void;

/**
 * One step of wheel and car together; a light wheel on a grippy tyre is stiff, so each stage solves for its slope.
 *
 * @see Verwer, Spee, Blom and Hundsdorfer, SIAM Journal on Scientific Computing 20 (1999): ROS2, L-stable, second order
 */
export function slipStepper(
  derive: SlipDerivative,
): (wheelMps: number, speedMps: number, h: number, into: Float64Array) => void {
  const [here, byWheel, bySpeed, there] = [
    new Float64Array(2),
    new Float64Array(2),
    new Float64Array(2),
    new Float64Array(2),
  ];
  return (u, v, h, into) => {
    derive(u, v, here);
    derive(u + TELLING_MPS, v, byWheel);
    derive(u, v + TELLING_MPS, bySpeed);
    const g = (GAMMA * h) / TELLING_MPS;
    const a = 1 - g * (byWheel[0]! - here[0]!);
    const b = -g * (bySpeed[0]! - here[0]!);
    const c = -g * (byWheel[1]! - here[1]!);
    const d = 1 - g * (bySpeed[1]! - here[1]!);
    const det = a * d - b * c;
    const firstU = (d * here[0]! - b * here[1]!) / det;
    const firstV = (a * here[1]! - c * here[0]!) / det;
    derive(u + h * firstU, v + h * firstV, there);
    const [p, q] = [there[0]! - 2 * firstU, there[1]! - 2 * firstV];
    into[0] = Math.max(0, u + h * (1.5 * firstU + (0.5 * (d * p - b * q)) / det));
    into[1] = Math.max(0, v + h * (1.5 * firstV + (0.5 * (a * q - c * p)) / det));
  };
}
