import { AIR_DENSITY, RAD_PER_S_PER_RPM } from '../../base/constants';
import { bisect } from '../../base/numeric/root';
import { cellVolts } from './cell';
import type { DriveRunInput, Grown } from './definition';
import { createRoad, dragAndRoll, type Road, traction } from './road';

/** What holds the car back at one moment. */
export const LIMITS = ['grip', 'lift', 'current', 'voltage'] as const;
export type Limit = (typeof LIMITS)[number];

/** Places of a moment's figures in the array that `observe` fills. */
export const ACCEL = 0;
export const MOTOR_A = 1;
export const BATTERY_A = 2;
export const LIMIT = 3;

/** Room for acceleration (m/s²), motor and battery current (A) and the index of the limit. */
export const newMoment = () => new Float64Array(4);

/** Motor, gearing and road of one run as coefficients; charge and temperature are constant. */
export interface Plant {
  readonly massKg: number;
  /** With everything that turns, as if it moved along. */
  readonly effectiveMassKg: number;
  readonly openV: number;
  /** 0 to 1. */
  readonly throttle: number;
  readonly appliedV: number;
  /** Number of motors. */
  readonly motors: number;
  readonly packOhm: number;
  /** Motor and controller. */
  readonly windingOhm: number;
  /** Winding and the motor's share of the pack, as the throttle sees them. */
  readonly loopOhm: number;
  readonly limitA: number;
  readonly idleA: number;
  /** Back-EMF over road speed, V s/m. */
  readonly emfPerMps: number;
  /** Wheel force of the throttle as a straight line over speed, N and N s/m, and where the current limit and the idling motor end it. */
  readonly stallN: number;
  readonly slackNPerMps: number;
  readonly mostN: number;
  readonly leastN: number;
  /** Wheel force of an ampere over the no-load current, driving and dragging, N/A. */
  readonly pullNPerA: number;
  readonly dragNPerA: number;
  /** Growth of the tyres with speed; left out where they stay as they are. */
  readonly grown?: Grown;
  readonly road: Road;
}

/**
 * Joins motor, pack, controller, gearing and road.
 *
 * The linear DC-motor model: K = kv·2π/60, torque per ampere 1/K, back-EMF ω/K.
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2
 */
export function createPlant(input: DriveRunInput): Plant {
  const { car, tyre, drive, motor, esc, battery } = input;
  const throttle = input.throttle ?? 1;
  const motors = motor.count ?? 1;
  const radius = tyre.radiusMm / 1000;
  const constant = motor.kvRpmPerV * RAD_PER_S_PER_RPM;
  const windingOhm = (motor.resistanceMilliOhm + (esc.resistanceMilliOhm ?? 0)) / 1000;
  const packOhm = ((battery.cells / (battery.parallel ?? 1)) * battery.cellResistanceMilliOhm) / 1000;
  const openV = battery.cells * cellVolts(battery.stateOfCharge ?? 1);
  const turnsPerMetre = drive.ratio / radius;
  const forcePerAmp = (motors * turnsPerMetre) / constant;
  const idleA = motor.noLoadCurrentA;
  const loopOhm = windingOhm + motors * throttle * throttle * packOhm;
  const pullNPerA = forcePerAmp * drive.efficiency;
  const dragNPerA = forcePerAmp / drive.efficiency;
  const emfPerMps = turnsPerMetre / constant;
  const spinKg =
    ((car.wheelInertiaKgM2 ?? 0) + motors * (motor.rotorInertiaKgM2 ?? 0) * drive.ratio ** 2) / radius ** 2;
  return {
    massKg: car.massKg,
    effectiveMassKg: car.massKg + spinKg,
    openV,
    throttle,
    appliedV: throttle * openV,
    motors,
    packOhm,
    windingOhm,
    loopOhm,
    limitA: esc.currentLimitA,
    idleA,
    emfPerMps,
    stallN: pullNPerA * ((throttle * openV) / loopOhm - idleA),
    slackNPerMps: (pullNPerA * emfPerMps) / loopOhm,
    mostN: (esc.currentLimitA > idleA ? pullNPerA : dragNPerA) * (esc.currentLimitA - idleA),
    leastN: -dragNPerA * idleA,
    pullNPerA,
    dragNPerA,
    ...(tyre.grown ? { grown: tyre.grown } : {}),
    road: roadOf(input, input.gradePct ?? 0),
  };
}

/** The road under a car at a grade, %. */
export const roadOf = ({ car, tyre, airDensityKgM3 = AIR_DENSITY }: DriveRunInput, gradePct: number): Road =>
  createRoad({
    massKg: car.massKg,
    cdaM2: car.cdaM2,
    claFrontM2: car.claFrontM2 ?? 0,
    claRearM2: car.claRearM2 ?? 0,
    rollingResistance: car.rollingResistance,
    frontLoadShare: car.frontLoadShare,
    cgHeightM: car.cgHeightMm / 1000,
    wheelbaseM: car.wheelbaseMm / 1000,
    drivenAxles: car.drivenAxles,
    mu: tyre.mu,
    airDensityKgM3,
    gradePct,
  });

/** A plant that changes while its motor heats and its pack empties. */
export type TunablePlant = { -readonly [K in keyof Plant]: Plant[K] };

/** Other open-circuit volts and another resistance of motor and controller, written into the plant. */
export function retune(p: TunablePlant, openV: number, windingOhm: number): void {
  p.openV = openV;
  p.appliedV = p.throttle * openV;
  p.windingOhm = windingOhm;
  p.loopOhm = windingOhm + p.motors * p.throttle * p.throttle * p.packOhm;
  p.stallN = p.pullNPerA * (p.appliedV / p.loopOhm - p.idleA);
  p.slackNPerMps = (p.pullNPerA * p.emfPerMps) / p.loopOhm;
}

/** Wheel force at a speed (m/s) with the current limit but without the grip limit, N; losses help to brake. */
export function wheelForceN(p: Plant, v: number): number {
  if (p.grown) return grownForceN(p, v, factorAt(p.grown, v));
  const line = p.stallN - p.slackNPerMps * v;
  const force = line < 0 ? (line * p.dragNPerA) / p.pullNPerA : line;
  return force > p.mostN ? p.mostN : force < p.leastN ? p.leastN : force;
}

/** A larger wheel turns slower and pulls less. */
function grownForceN(p: Plant, v: number, factor: number): number {
  const line = p.stallN / factor - (p.slackNPerMps * v) / factor ** 2;
  const force = line < 0 ? (line * p.dragNPerA) / p.pullNPerA : line;
  const [most, least] = [p.mostN / factor, p.leastN / factor];
  return force > most ? most : force < least ? least : force;
}

/** How many times larger a tyre is at a speed (m/s) than at rest. */
export function factorAt({ stepMps, factors }: Grown, v: number): number {
  const at = v / stepMps;
  const below = Math.floor(at);
  if (below >= factors.length - 1) return factors[factors.length - 1]!;
  const low = factors[below]!;
  return low + (at - below) * (factors[below + 1]! - low);
}

export const grownBy = (p: Plant, v: number): number => (p.grown ? factorAt(p.grown, v) : 1);

/** Volts of a turning motor at a speed (m/s). */
export const emfAt = (p: Plant, v: number): number => (v * p.emfPerMps) / grownBy(p, v);

/** Motor current behind a wheel force at a speed (m/s), A. */
export function currentOf(p: Plant, forceN: number, v: number): number {
  return (forceN * grownBy(p, v)) / (forceN >= 0 ? p.pullNPerA : p.dragNPerA) + p.idleA;
}

/** Drag, rolling and grade resistance at a speed (m/s), N. */
export const resistanceN = (p: Plant, v: number) => dragAndRoll(p.road, v * v) + p.road.slopeN;

/** The lower of the grip and lift limits at a speed (m/s), N. */
export const tractionN = (p: Plant, v: number) => traction(p.road, v * v, dragAndRoll(p.road, v * v));

/** Speed at which the motor has no current left, m/s. */
export function noLoadMps(p: Plant): number {
  const stiff = p.appliedV / p.emfPerMps;
  if (!p.grown) return stiff;
  const most = stiff * p.grown.factors[p.grown.factors.length - 1]!;
  return most === stiff ? stiff : bisect((v) => emfAt(p, v) - p.appliedV, 0.5 * stiff, most * (1 + 1e-12));
}

/** Time constant of the speed against the motor's own slope, s. */
export const timeConstantS = (p: Plant) => (p.effectiveMassKg * p.loopOhm) / (p.pullNPerA * p.emfPerMps);

/** Duty that carries a current below the throttle's: the smaller root of n·I·R_b·d² − V·d + E + I·R = 0. */
export function dutyFor(p: Plant, currentA: number, v: number, openV = p.openV): number {
  const needV = emfAt(p, v) + currentA * p.windingOhm;
  return (
    (2 * needV) /
    (openV + Math.sqrt(Math.max(0, openV * openV - 4 * p.motors * currentA * p.packOhm * needV)))
  );
}

/**
 * Acceleration, currents and what limits at a speed (m/s), written into a moment. The driver holds the car at the lower of
 * grip and lift and does not spin the wheels.
 */
export function observe(p: Plant, v: number, into: Float64Array): void {
  const q = v * v;
  const passive = dragAndRoll(p.road, q);
  const resistance = passive + p.road.slopeN;
  const throttleN = wheelForceN(p, v);
  const free = (throttleN - resistance) / p.effectiveMassKg;
  const held = traction(p.road, q, passive);
  if (p.massKg * free + resistance <= held) {
    const limited = p.grown
      ? throttleN * factorAt(p.grown, v) >= p.mostN * (1 - 1e-12)
      : throttleN >= p.mostN;
    const current = limited ? p.limitA : Math.max(0, currentOf(p, throttleN, v));
    into[ACCEL] = free;
    into[MOTOR_A] = current;
    into[BATTERY_A] = p.motors * current * (limited ? dutyFor(p, current, v) : p.throttle);
    into[LIMIT] = limited ? 2 : 3;
    return;
  }
  const accel = (held - resistance) / p.massKg;
  const standing = v === 0 && accel <= 0;
  const force = standing ? held : resistance + p.effectiveMassKg * accel;
  const heldA = Math.max(0, currentOf(p, force, v));
  into[ACCEL] = accel;
  into[MOTOR_A] = heldA;
  into[BATTERY_A] = p.motors * heldA * dutyFor(p, heldA, v);
  into[LIMIT] = held === passive + p.road.liftN + p.road.liftPerQ * q ? 1 : 0;
}

/** Acceleration at a speed (m/s) alone, m/s². */
export function accelMps2(p: Plant, v: number): number {
  const q = v * v;
  const passive = dragAndRoll(p.road, q);
  const resistance = passive + p.road.slopeN;
  const free = (wheelForceN(p, v) - resistance) / p.effectiveMassKg;
  const held = traction(p.road, q, passive);
  return p.massKg * free + resistance > held ? (held - resistance) / p.massKg : free;
}
