import {
  accelMps2,
  BATTERY_A,
  currentOf,
  dutyFor,
  LIMIT,
  LIMITS,
  MOTOR_A,
  newMoment,
  observe,
  type Plant,
  resistanceN,
  timeConstantS,
} from './plant';
import { bisect } from '../../base/numeric/root';
import { topSpeed } from './topSpeed';

/** Share of the top speed that a driver holds at most. */
export const HOLDABLE = 0.98;
const LONGEST_STEP_S = 0.03;
const STEP_OF_TIME_CONSTANT = 0.25;
/** How far past the end of a long step the force must still be held. */
const OVERLOOK = 1.1;
const VOLTAGE = LIMITS.indexOf('voltage');

/** Speed and what it must not pass are driven to from rest, and held. */
export interface CycleDefinition {
  cruiseMps: number;
  cruiseS: number;
  /** Standing still after it, s; 0 for one start and no stop. */
  restS?: number;
}

/** Whether a speed (m/s) that the car has come to can be held: it lies under 0.98 of the top speed. */
export const canHold = (p: Plant, v: number) => accelMps2(p, v / HOLDABLE) > 0;

/** Highest speed that can be held, m/s, sought from the one before; Infinity where none ends the gain. */
export function holdableMps(p: Plant, before?: number): number {
  if (before === undefined) return HOLDABLE * (topSpeed(p) ?? Infinity);
  let low = (before / HOLDABLE) * 0.999;
  let high = low * 1.002;
  while (accelMps2(p, low) <= 0) {
    high = low;
    low *= 0.98;
    if (low < 1e-6) return 0;
  }
  for (let i = 0; accelMps2(p, high) > 0; i++) {
    if (i > 500) return Infinity;
    low = high;
    high *= 1.02;
  }
  return HOLDABLE * bisect((v) => (accelMps2(p, v) > 0 ? 1 : -1), low, high);
}

/** Places of a stretch's figures in the array that `launchStep` fills: means over its time. */
export const NEXT_V = 0;
export const MEAN_V = 1;
/** Motor current, its square, the pack's current, A. */
export const MEAN_A = 2;
export const MEAN_A2 = 3;
export const MEAN_PACK_A = 4;
export const newStretch = () => new Float64Array(5);

const moment = newMoment();

/**
 * Step of a launch from a speed (m/s), s: a part of the motor's time constant where its voltage rules, a long one where grip,
 * a lifting front or the current limit hold the force and will still hold it at the end of the step.
 */
export function launchStepS(p: Plant, v: number): number {
  const short = STEP_OF_TIME_CONSTANT * timeConstantS(p);
  if (short >= LONGEST_STEP_S) return LONGEST_STEP_S;
  observe(p, v, moment);
  if (moment[LIMIT] === VOLTAGE) return short;
  observe(p, v + OVERLOOK * LONGEST_STEP_S * accelMps2(p, v), moment);
  return moment[LIMIT] === VOLTAGE ? short : LONGEST_STEP_S;
}

/**
 * One step of a start at full (or given) throttle from a speed (m/s), by the fourth-order Runge-Kutta rule, with the
 * means of the currents by Simpson's. The pack's current is that of a pack at `packV` where the motor does not get all of it.
 */
export function launchStep(p: Plant, v: number, dt: number, packV: number, into: Float64Array): void {
  const a1 = accelMps2(p, v);
  const v2 = v + 0.5 * dt * a1;
  const a2 = accelMps2(p, v2);
  const v3 = v + 0.5 * dt * a2;
  const a3 = accelMps2(p, v3);
  const v4 = v + dt * a3;
  const next = v + (dt / 6) * (a1 + 2 * a2 + 2 * a3 + accelMps2(p, v4));
  into[NEXT_V] = next;
  into[MEAN_V] = (v + 2 * v2 + 2 * v3 + v4) / 6;
  into[MEAN_A] = into[MEAN_A2] = into[MEAN_PACK_A] = 0;
  addMoment(p, v, packV, 1 / 6, into);
  addMoment(p, 0.5 * (v + next), packV, 4 / 6, into);
  addMoment(p, next, packV, 1 / 6, into);
}

function addMoment(p: Plant, v: number, packV: number, weight: number, into: Float64Array): void {
  observe(p, v, moment);
  const amps = moment[MOTOR_A]!;
  const packA =
    packV === p.openV || moment[LIMIT] === VOLTAGE
      ? moment[BATTERY_A]!
      : p.motors * amps * dutyFor(p, amps, v, packV);
  into[MEAN_A]! += weight * amps;
  into[MEAN_A2]! += weight * amps * amps;
  into[MEAN_PACK_A]! += weight * packA;
}

/** Share of a step from v to next at which the car has reached the speed that it will hold; 2 where it has not. */
export function arrivalIn(p: Plant, v: number, next: number, cruiseMps: number): number {
  const speed = next >= cruiseMps ? (next > v ? (cruiseMps - v) / (next - v) : 0) : 2;
  if (canHold(p, Math.min(next, cruiseMps))) return speed;
  let low = 0;
  let high = Math.min(1, speed);
  for (let i = 0; i < 40; i++) {
    const middle = 0.5 * (low + high);
    if (canHold(p, v + middle * (next - v))) low = middle;
    else high = middle;
  }
  return high;
}

/** Motor current that holds a speed (m/s), A: the torque balances the resistance; downhill the driver brakes and it is 0. */
export function holdingA(p: Plant, v: number): number {
  const resistance = resistanceN(p, v);
  return resistance < 0 ? 0 : currentOf(p, resistance, v);
}

/** What the pack gives for a motor current at a speed (m/s), A. */
export const packFor = (p: Plant, currentA: number, v: number, openV = p.openV) =>
  currentA === 0 ? 0 : p.motors * currentA * dutyFor(p, currentA, v, openV);
