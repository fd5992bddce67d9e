import { bisectBoundary } from '../../base/numeric/boundary';
import type { YawInput } from './yawDefinition';
import { type Bicycle, bicycleOf } from './yawMotion';

/** How far a gyro that holds a yaw rate can hold a slide. */
export interface SlideLimits {
  /** Most yaw rate that the rear, as far as its drive leaves it grip, can turn the car by in a steady slide. */
  gripDegPerS: number;
  /** Most that the steering can hold: beyond it the wheels stand at their stop and the car goes round. */
  heldDegPerS: number;
  /** How far the nose points into the turn there. */
  slideDeg: number;
  /** Of the front wheels there; to the outside negative. */
  steerDeg: number;
}

const RAD = Math.PI / 180;
const [STEPS, ROUNDS] = [200, 30];

/** Angles between which the gyro can put the front wheels, degrees, into the turn positive. */
export function counterSteerRange({ servo, gyro, scenario }: YawInput): [least: number, most: number] {
  const driver = scenario.kind === 'kick' ? 0 : Math.abs(scenario.steerDeg);
  return [
    Math.max(-servo.maxDeg, driver - gyro.maxCorrectionDeg),
    Math.min(servo.maxDeg, driver + gyro.maxCorrectionDeg),
  ];
}

/**
 * A steady slide at a yaw rate, degrees: the moments of both axles balance, so the front holds m·v·r·b/L and the rear
 * m·v·r·a/L; undefined where an axle would have to hold more than it can.
 *
 * @param rate rad/s
 */
export function steadySlide(
  { a, b, massKg, speed: v, front, rear }: Bicycle,
  rate: number,
): { slideDeg: number; steerDeg: number } | undefined {
  const across = (massKg * v * rate) / (a + b);
  const slipOf = (n: number, axle: Bicycle['front']) =>
    Math.abs(n) >= axle.mostN ? undefined : (Math.atanh(n / axle.mostN) * axle.mostN) / axle.stiffness;
  const rearSlip = slipOf(across * a, rear);
  if (rearSlip === undefined) return undefined;
  const sideways = (b * rate) / v - rearSlip;
  let steer = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const frontSlip = slipOf((across * b) / Math.cos(steer), front);
    if (frontSlip === undefined) return undefined;
    steer = frontSlip + sideways + (a * rate) / v;
    if (Math.abs(steer) > Math.PI / 2) return undefined;
  }
  return { slideDeg: -Math.atan(sideways) / RAD, steerDeg: steer / RAD };
}

/**
 * What grip and lock leave of a slide that is held, at one speed and with as much grip behind as the scenario says.
 *
 * @returns rates in °/s, angles in degrees
 * @see Pacejka, Tyre and Vehicle Dynamics, ch. 1 (steady cornering beyond the linear range)
 */
export function slideLimits(input: YawInput): SlideLimits {
  const car = bicycleOf(input);
  const [least, most] = counterSteerRange(input);
  const can = ({ mostN }: Bicycle['front'], lever: number) =>
    (mostN * (car.a + car.b)) / (lever * car.massKg * car.speed);
  const grip = Math.min(can(car.rear, car.a), can(car.front, car.b));
  const holds = (rate: number) => {
    const found = steadySlide(car, rate);
    return found !== undefined && found.steerDeg >= least && found.steerDeg <= most;
  };
  let held = grip;
  for (let step = 1; step <= STEPS; step++) {
    if (holds((grip * step) / STEPS)) continue;
    held = bisectBoundary(holds, (grip * (step - 1)) / STEPS, (grip * step) / STEPS);
    break;
  }
  const there = steadySlide(car, held) ?? { slideDeg: 0, steerDeg: 0 };
  return { gripDegPerS: grip / RAD, heldDegPerS: held / RAD, ...there };
}
