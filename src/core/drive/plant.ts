import { RAD_PER_S_PER_RPM } from '../constants';
import { cellVolts } from './cell';
import { createRoad, dragAndRoll, traction } from './road';
import type { DriveRunInput } from './definition';

/** What holds the car back at one moment. */
export const LIMITS = ['grip', 'lift', 'current', 'voltage'] as const;
export type Limit = (typeof LIMITS)[number];

/** The car at one speed, as left behind by `observe`. */
export interface Moment {
  accelMps2: number;
  motorCurrentA: number;
  batteryCurrentA: number;
  limit: number;
}

/** Motor, gearing and road of one run as functions of speed; charge and temperature are constant. */
export interface Plant {
  readonly effectiveMassKg: number;
  readonly openCircuitV: number;
  readonly packResistanceOhm: number;
  readonly noLoadSpeedMps: number;
  /** Time constant of the speed against the motor's own slope, s. */
  readonly timeConstantS: number;
  accelMps2(speedMps: number): number;
  observe(speedMps: number, into: Moment): void;
  /** Wheel force with the current limit but without the grip limit, N. */
  wheelForceN(speedMps: number): number;
  resistanceN(speedMps: number): number;
  /** The lower of grip and lift, N. */
  tractionN(speedMps: number): number;
}

/**
 * Joins motor, pack, controller, gearing and road.
 *
 * The linear DC-motor model: K = kv·2π/60, torque per ampere 1/K, back-EMF ω/K.
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2
 */
export function createPlant(input: Required<Pick<DriveRunInput, 'airDensityKgM3' | 'gradePct' | 'throttle'>> & DriveRunInput): Plant {
  const { car, tyre, drive, motor, esc, battery, throttle } = input;
  const count = motor.count ?? 1;
  const radius = tyre.radiusMm / 1000;
  const constant = motor.kvRpmPerV * RAD_PER_S_PER_RPM;
  const torquePerAmp = 1 / constant;
  const windingOhm = (motor.resistanceMilliOhm + (esc.resistanceMilliOhm ?? 0)) / 1000;
  const packOhm = ((battery.cells / (battery.parallel ?? 1)) * battery.cellResistanceMilliOhm) / 1000;
  const openV = battery.cells * cellVolts(battery.stateOfCharge ?? 1);
  const appliedV = throttle * openV;
  const loopOhm = windingOhm + count * throttle * throttle * packOhm;
  const limitA = esc.currentLimitA;
  const idleA = motor.noLoadCurrentA;
  const turnsPerMetre = drive.ratio / radius;
  const backEmfPerSpeed = turnsPerMetre / constant;
  const pullN = count * torquePerAmp * turnsPerMetre * drive.efficiency;
  const dragN = (count * torquePerAmp * turnsPerMetre) / drive.efficiency;
  const mass = car.massKg;
  const spinKg = ((car.wheelInertiaKgM2 ?? 0) + count * (motor.rotorInertiaKgM2 ?? 0) * drive.ratio ** 2) / radius ** 2;
  const effectiveMass = mass + spinKg;
  const road = createRoad({
    massKg: mass,
    cdaM2: car.cdaM2,
    claFrontM2: car.claFrontM2 ?? 0,
    claRearM2: car.claRearM2 ?? 0,
    rollingResistance: car.rollingResistance,
    frontLoadShare: car.frontLoadShare,
    cgHeightM: car.cgHeightMm / 1000,
    wheelbaseM: car.wheelbaseMm / 1000,
    drivenAxles: car.drivenAxles,
    mu: tyre.mu,
    airDensityKgM3: input.airDensityKgM3,
    gradePct: input.gradePct,
  });
  const { dragPerQ, downPerQ, weightN, rollingResistance, slopeN, gripN, gripPerQ, gripPerT, liftN, liftPerQ } = road;

  const throttleCurrent = (v: number) => Math.min(limitA, Math.max(0, (appliedV - v * backEmfPerSpeed) / loopOhm));
  const forceOf = (currentA: number) => (currentA > idleA ? pullN : dragN) * (currentA - idleA);

  function accelMps2(v: number): number {
    const q = v * v;
    const load = weightN + downPerQ * q;
    const passive = dragPerQ * q + (load > 0 ? rollingResistance * load : 0);
    const resistance = passive + slopeN;
    let current = (appliedV - v * backEmfPerSpeed) / loopOhm;
    if (current > limitA) current = limitA;
    else if (current < 0) current = 0;
    const free = ((current > idleA ? pullN : dragN) * (current - idleA) - resistance) / effectiveMass;
    const grip = gripN + gripPerQ * q + gripPerT * passive;
    const lift = passive + liftN + liftPerQ * q;
    let held = grip < lift ? grip : lift;
    if (held < 0) held = 0;
    return mass * free + resistance > held ? (held - resistance) / mass : free;
  }

  /** Duty that carries a current below the throttle's: the smaller root of n·I·R_b·d² − V·d + E + I·R = 0. */
  function dutyFor(currentA: number, v: number): number {
    const needV = v * backEmfPerSpeed + currentA * windingOhm;
    const root = Math.sqrt(Math.max(0, openV * openV - 4 * count * currentA * packOhm * needV));
    return (2 * needV) / (openV + root);
  }

  function observe(v: number, into: Moment): void {
    const q = v * v;
    const passive = dragAndRoll(road, q);
    const resistance = passive + slopeN;
    const current = throttleCurrent(v);
    const free = (forceOf(current) - resistance) / effectiveMass;
    const held = traction(road, q);
    if (mass * free + resistance <= held) {
      const limited = current >= limitA;
      into.accelMps2 = free;
      into.motorCurrentA = current;
      into.batteryCurrentA = count * current * (limited ? dutyFor(current, v) : throttle);
      into.limit = limited ? 2 : 3;
      return;
    }
    const accel = (held - resistance) / mass;
    const standing = v === 0 && accel <= 0;
    const force = standing ? held : resistance + effectiveMass * accel;
    const heldA = Math.max(0, force / (force >= 0 ? pullN : dragN) + idleA);
    into.accelMps2 = accel;
    into.motorCurrentA = heldA;
    into.batteryCurrentA = count * heldA * dutyFor(heldA, v);
    into.limit = passive + liftN + liftPerQ * q < gripN + gripPerQ * q + gripPerT * passive ? 1 : 0;
  }

  return {
    effectiveMassKg: effectiveMass,
    openCircuitV: openV,
    packResistanceOhm: packOhm,
    noLoadSpeedMps: appliedV / backEmfPerSpeed,
    timeConstantS: (effectiveMass * loopOhm) / (pullN * backEmfPerSpeed),
    accelMps2,
    observe,
    wheelForceN: (v) => forceOf(throttleCurrent(v)),
    resistanceN: (v) => dragAndRoll(road, v * v) + slopeN,
    tractionN: (v) => traction(road, v * v),
  };
}
