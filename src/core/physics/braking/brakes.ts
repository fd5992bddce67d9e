import { AIR_DENSITY, RAD_PER_S_PER_RPM } from '../../base/constants';
import type { DrivenAxles } from '../motion/road';
import { dragAndRoll } from '../motion/road';
import { createPlant, emfAt, grownBy, type Plant } from '../motion/plant';
import type { DriveBrakeInput } from './definition';

/** Brakes and axles of a car as coefficients, N at the tread and A per motor. */
export interface Brakes {
  readonly plant: Plant;
  readonly mu: number;
  readonly driven: DrivenAxles;
  /** Height of the centre of gravity over the wheelbase. */
  readonly transfer: number;
  /** Static load, N, and its downforce over the square of the speed, N s²/m². */
  readonly frontN: number;
  readonly rearN: number;
  readonly frontPerQ: number;
  readonly rearPerQ: number;
  readonly brakeA: number;
  readonly dragA: number;
  /** Friction of the motors, whatever the current, N. */
  readonly idleN: number;
  readonly mechanicalFrontN: number;
  readonly mechanicalRearN: number;
  readonly motorFrontShare: number | undefined;
  readonly slides: boolean;
  readonly slideShare: number;
  readonly efficiency: number;
  readonly regeneration: number;
}

/** Joins the car, its motors and its brakes. */
export function createBrakes(input: DriveBrakeInput): Brakes {
  const { brake, car, tyre, motor } = input;
  const plant = createPlant(input);
  const halfDensity = 0.5 * (input.airDensityKgM3 ?? AIR_DENSITY);
  const radiusM = tyre.radiusMm / 1000;
  const frontN = plant.road.weightN * car.frontLoadShare;
  return {
    plant,
    mu: tyre.mu,
    driven: car.drivenAxles,
    transfer: car.cgHeightMm / car.wheelbaseMm,
    frontN,
    rearN: plant.road.weightN - frontN,
    frontPerQ: halfDensity * (car.claFrontM2 ?? 0),
    rearPerQ: halfDensity * (car.claRearM2 ?? 0),
    brakeA:
      brake.motorNm === undefined
        ? (brake.motorShare ?? 0) * plant.limitA
        : brake.motorNm * motor.kvRpmPerV * RAD_PER_S_PER_RPM,
    dragA: (brake.dragShare ?? 0) * plant.limitA,
    idleN: plant.dragNPerA * plant.idleA,
    mechanicalFrontN: (brake.mechanicalFrontNm ?? 0) / radiusM,
    mechanicalRearN: (brake.mechanicalRearNm ?? 0) / radiusM,
    motorFrontShare: brake.motorFrontShare,
    slides: brake.onLock === 'slide',
    slideShare: brake.slideShare ?? 0.8,
    efficiency: input.drive.efficiency,
    regeneration: brake.regeneration ?? 0,
  };
}

/** What pulls at the treads at one speed before it is eased. */
export interface Pull {
  readonly speedMps: number;
  readonly motorA: number;
  readonly motorN: number;
  readonly frontN: number;
  readonly rearN: number;
}

/** With the throttle closed, or with the brake on; the motors fade with their volts. */
export function pullAt(b: Brakes, speedMps: number, braking: boolean): Pull {
  const { plant } = b;
  const shortA = emfAt(plant, speedMps) / plant.windingOhm;
  const motorA = Math.min(braking ? Math.max(b.brakeA, b.dragA) : b.dragA, shortA);
  return {
    speedMps,
    motorA,
    motorN: (plant.dragNPerA * motorA) / grownBy(plant, speedMps),
    frontN: braking ? b.mechanicalFrontN : 0,
    rearN: braking ? b.mechanicalRearN : 0,
  };
}

/** Loads and tyre forces of both axles with every brake at a share of its pull, no wheel sliding. */
export interface Balance {
  readonly decelMps2: number;
  readonly tyreN: number;
  readonly loadFrontN: number;
  readonly loadRearN: number;
  /** Of the motors' braking. */
  readonly frontShare: number;
  /** Force in use over what the load lets it hold. */
  readonly useFront: number;
  readonly useRear: number;
}

export function balanceAt(b: Brakes, pull: Pull, share: number): Balance {
  const { plant, transfer } = b;
  const q = pull.speedMps ** 2;
  const passiveN = dragAndRoll(plant.road, q);
  const resistanceN = passiveN + plant.road.slopeN;
  const mechanicalN = share * (pull.frontN + pull.rearN);
  const brakeN = share * pull.motorN + mechanicalN + b.idleN;
  const decelMps2 = (brakeN + resistanceN) / plant.effectiveMassKg;
  const tyreN = plant.massKg * decelMps2 - resistanceN;
  const moved = transfer * (tyreN + passiveN);
  const loadFrontN = b.frontN + b.frontPerQ * q + moved;
  const loadRearN = b.rearN + b.rearPerQ * q - moved;
  const frontShare = frontShareOf(b, loadFrontN, loadRearN);
  const frontN = frontShare * (share * pull.motorN + b.idleN) + share * pull.frontN;
  const held = tyreN > 0 && brakeN > 0 ? tyreN / brakeN : 0;
  return {
    decelMps2,
    tyreN,
    loadFrontN,
    loadRearN,
    frontShare,
    useFront: usedOf(held * frontN, b.mu * loadFrontN),
    useRear: usedOf(held * (brakeN - frontN), b.mu * loadRearN),
  };
}

function frontShareOf({ driven, motorFrontShare }: Brakes, frontN: number, rearN: number): number {
  if (driven !== 'all') return driven === 'front' ? 1 : 0;
  if (motorFrontShare !== undefined) return motorFrontShare;
  const [front, rear] = [Math.max(0, frontN), Math.max(0, rearN)];
  return front + rear > 0 ? front / (front + rear) : 0.5;
}

/** A force that is nothing but rounding is none. */
const LEAST_N = 1e-12;
const usedOf = (forceN: number, holdsN: number) =>
  forceN <= LEAST_N ? 0 : forceN / Math.max(holdsN, LEAST_N);

/**
 * By how much the worse axle passes what it holds with every brake at a share of its pull, over what it holds, or the rear
 * one lifts, over its weight; negative where neither does. As `balanceAt`, for loops.
 */
export function excesses(b: Brakes, pull: Pull): (share: number) => number {
  const { plant, transfer, mu } = b;
  const q = pull.speedMps ** 2;
  const passiveN = dragAndRoll(plant.road, q);
  const resistanceN = passiveN + plant.road.slopeN;
  const [frontN, rearN] = [b.frontN + b.frontPerQ * q, b.rearN + b.rearPerQ * q];
  const pullN = pull.motorN + pull.frontN + pull.rearN;
  const turning = plant.massKg / plant.effectiveMassKg;
  return (share) => {
    const brakeN = share * pullN + b.idleN;
    const tyreN = turning * (brakeN + resistanceN) - resistanceN;
    const moved = transfer * (tyreN + passiveN);
    const [loadFrontN, loadRearN] = [frontN + moved, rearN - moved];
    const heldN = tyreN > 0 && brakeN > 0 ? tyreN / brakeN : 0;
    const atFrontN =
      frontShareOf(b, loadFrontN, loadRearN) * (share * pull.motorN + b.idleN) + share * pull.frontN;
    return Math.max(
      usedOf(heldN * atFrontN, mu * loadFrontN) - 1,
      usedOf(heldN * (brakeN - atFrontN), mu * loadRearN) - 1,
      -loadRearN / rearN,
    );
  };
}
