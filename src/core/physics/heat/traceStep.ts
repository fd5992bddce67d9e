import { GRAVITY } from '../../base/constants';
import { currentOf, dutyFor, type TunablePlant } from '../motion/plant';
import { dragAndRoll, traction } from '../motion/road';
import type { Losses } from './losses';
import type { LossName } from './lossNames';

/** What a stretch of a trace takes: its forces at the tread over its middle, one motor's current, and where the work goes. */
export interface StretchForces {
  /** Speed in its middle, m/s. */
  v: number;
  /** Of one motor, A. */
  amps: number;
  /** Share. */
  slip: number;
  brakeW: number;
  rollingJ: number;
  dragJ: number;
  slopeJ: number;
  corneringJ: number;
}

/** Force that cornering takes at a speed, N: lateral force times slip angle. */
export function corneringN(plant: TunablePlant, losses: Losses, lateralMps2: number, v: number): number {
  if (lateralMps2 === 0) return 0;
  const load = Math.max(1e-9, plant.road.weightN + plant.road.downPerQ * v * v);
  return (plant.massKg * lateralMps2) ** 2 / (losses.corneringPerRad * load);
}

/** Drag of the driveline at the tread, N. */
export const drivelineN = (plant: TunablePlant, losses: Losses): number =>
  losses.drivelineDrag * plant.massKg * GRAVITY;

/** A stretch from one speed to another, both m/s, in `dt` s. */
export function stretchForces(
  plant: TunablePlant,
  losses: Losses,
  [before, after]: readonly [before: number, after: number],
  dt: number,
  lateralMps2: number,
): StretchForces {
  const v = 0.5 * (before + after);
  const accel = (after - before) / dt;
  const q = v * v;
  const passive = dragAndRoll(plant.road, q);
  const aside = corneringN(plant, losses, lateralMps2, v);
  const roadN = passive + plant.road.slopeN + aside;
  const tyreN = plant.massKg * accel + roadN;
  const wheelN = plant.effectiveMassKg * accel + roadN + drivelineN(plant, losses);
  const moving = v > 0;
  const held = traction(plant.road, q, passive);
  const idleN = plant.dragNPerA * plant.idleA;
  return {
    v,
    amps: !moving ? 0 : Math.min(plant.limitA, Math.max(0, currentOf(plant, wheelN, v))),
    slip: held > 0 ? (losses.slipAtLimitPct / 100) * Math.min(1, Math.max(0, tyreN / held)) : 0,
    brakeW: moving ? Math.max(0, -wheelN - idleN) * v : 0,
    rollingJ: (passive - plant.road.dragPerQ * q) * v * dt,
    dragJ: plant.road.dragPerQ * q * v * dt,
    slopeJ: plant.road.slopeN * v * dt,
    corneringJ: aside * v * dt,
  };
}

/** Currents and electrical losses of a stretch, all motors together but for the square. */
export interface StretchElectrics {
  /** From the pack, A. */
  packA: number;
  /** Through the motors from the pack, A. */
  driveA: number;
  /** Of one motor, ripple included, A². */
  squared: number;
  freewheelW: number;
}

/** @param windingOhm of one motor at its temperature */
export function stretchElectrics(
  plant: TunablePlant,
  losses: Losses,
  { amps, v, slip }: Pick<StretchForces, 'amps' | 'v' | 'slip'>,
  windingOhm: number,
): StretchElectrics {
  const n = plant.motors;
  const { openV } = plant;
  if (amps === 0) return { packA: losses.auxiliaryA, driveA: 0, squared: 0, freewheelW: 0 };
  const duty = Math.min(plant.throttle, dutyFor(plant, amps, v * (1 + slip)));
  const rippleA = (openV * duty * (1 - duty)) / (losses.inductanceMicroH * 1e-6 * losses.pwmKHz * 1e3);
  const squared = amps ** 2 + rippleA ** 2 / 12;
  const freewheelW = n * (1 - duty) * amps * losses.freewheelV;
  const extraW = freewheelW + n * (squared - amps ** 2) * windingOhm;
  const driveA = n * duty * amps;
  return { packA: driveA + extraW / openV + losses.auxiliaryA, driveA, squared, freewheelW };
}

/** Electrical work of a stretch of `dt` s, all motors together, W. */
export interface StretchPowers {
  dt: number;
  copperW: number;
  noLoadW: number;
  controllerW: number;
  packW: number;
  auxiliaryW: number;
  /** What goes through the motors out of the pack, and what they would take without slip. */
  throughW: number;
  motorW: number;
}

/** Adds where the work of a stretch went, J; what is left is the driveline's. */
export function addLosses(
  lossesJ: Record<LossName, number>,
  at: StretchForces,
  { dt, copperW, noLoadW, controllerW, packW, auxiliaryW, throughW, motorW }: StretchPowers,
): void {
  lossesJ.rolling += at.rollingJ;
  lossesJ.drag += at.dragJ;
  lossesJ.slope += at.slopeJ;
  lossesJ.cornering += at.corneringJ;
  lossesJ.copper += copperW * dt;
  lossesJ.noLoad += noLoadW * dt;
  lossesJ.controller += controllerW * dt;
  lossesJ.pack += packW * dt;
  lossesJ.auxiliary += auxiliaryW * dt;
  lossesJ.brakes += at.brakeW * dt;
  lossesJ.slip += (throughW - packW - motorW) * dt;
}
