import { RAD_PER_S_PER_RPM } from '../../base/constants';
import type { MotorDefinition } from '../motion/definition';

export type Wound = Pick<MotorDefinition, 'kvRpmPerV' | 'resistanceMilliOhm' | 'noLoadCurrentA'>;

/** A motor with the controller that feeds it. */
export interface Fed extends Wound {
  controllerMilliOhm: number;
  /** At which the controller limits, A. */
  limitA: number;
}

const LEAST_OHM = 1e-6;
const radPerSV = ({ kvRpmPerV }: Wound) => kvRpmPerV * RAD_PER_S_PER_RPM;
const loopOhm = ({ resistanceMilliOhm, controllerMilliOhm }: Omit<Fed, 'limitA'>) =>
  Math.max(LEAST_OHM, (resistanceMilliOhm + controllerMilliOhm) / 1000);

/**
 * Unlike motors on one shaft and one throttle as so many alike ones: at every duty and speed they give the same torque.
 *
 * Σ((d·V − ω/K_j)/R_j − I_0j)/K_j = d·V·Σ1/(R_j·K_j) − ω·Σ1/(R_j·K_j²) − ΣI_0j/K_j, so that 1/K is the second sum over the first.
 *
 * The limit of the alike ones gives the torque that all give at their own limits.
 *
 * @param controllerMilliOhm of the alike ones' controllers
 * @see the linear DC-motor equations of any drives text
 */
export function asAlike(motors: readonly Fed[], controllerMilliOhm: number): Fed {
  const n = motors.length;
  const sum = (of: (motor: Fed) => number) => motors.reduce((all, motor) => all + of(motor), 0);
  const byVolts = sum((motor) => 1 / (loopOhm(motor) * radPerSV(motor)));
  const bySpeed = sum((motor) => 1 / (loopOhm(motor) * radPerSV(motor) ** 2));
  const constant = byVolts / bySpeed;
  const idle = sum((motor) => motor.noLoadCurrentA / radPerSV(motor));
  const limited = sum((motor) => motor.limitA / radPerSV(motor));
  return {
    kvRpmPerV: constant / RAD_PER_S_PER_RPM,
    resistanceMilliOhm: Math.max(0, (1000 * n) / (byVolts * constant) - controllerMilliOhm),
    noLoadCurrentA: (idle * constant) / n,
    controllerMilliOhm,
    limitA: (limited * constant) / n,
  };
}

/**
 * What each of them carries where the alike ones carry so much, A. No current flows back: a motor that is turned faster than
 * its volts would turn it idles along, and the others carry its part and its drag.
 *
 * @param radPerS of the motors' shafts
 */
export function eachCurrent(
  motors: readonly Fed[],
  alike: Wound,
  { amps, radPerS }: { amps: number; radPerS: number },
): number[] {
  const at = (volts: number) =>
    motors.map((motor) => Math.max(0, (volts - radPerS / radPerSV(motor)) / loopOhm(motor)));
  const pullOf = (currents: readonly number[]) =>
    currents.reduce((sum, current, index) => sum + current / radPerSV(motors[index]!), 0);
  const idle = motors.reduce((sum, motor) => sum + motor.noLoadCurrentA / radPerSV(motor), 0);
  const asked = (motors.length * (amps - alike.noLoadCurrentA)) / radPerSV(alike) + idle;
  if (asked <= 0) return motors.map(() => 0);
  const slowest = Math.min(...motors.map(radPerSV));
  let [low, high] = [0, radPerS / slowest + 1];
  while (pullOf(at(high)) < asked) high *= 2;
  for (let turn = 0; turn < 100; turn++) {
    const middle = (low + high) / 2;
    if (pullOf(at(middle)) < asked) low = middle;
    else high = middle;
  }
  return at(high);
}
