import { emfAt, grownBy, type Plant } from '../motion/plant';
import { slipCarOf, slipOf } from './slipCar';
import type { SlipSeries, TractionInput } from './slipDefinition';
import { carSpeedOf, emptySeries, record, sensorsOf } from './slipRun';
import { slipStepper, stepAt } from './slipStep';
import { CLOSED_US, USUAL_FRAME_MS } from './tractionAssist';

export interface BrakeInput extends Omit<TractionInput, 'distanceM' | 'targets'> {
  fromMps: number;
  /** At the axle; that of the shorted motors where not given. */
  brakeNm?: number;
}

export interface BrakeResult {
  stopM: number;
  timeS: number;
  meanSlipPct: number;
  /** Share of the way on which the wheels stood still. */
  lockedShare: number;
  series: SlipSeries;
}

const FULL_US = 1000;
/** Counts as standing, m/s. */
const STANDING_MPS = 0.15;
const LONGEST_S = 30;
const OFF_PCT = 100;
const LEAST_READ_MPS = 0.5;
const LOCKED_SHARE = 0.05;

/** Brake force of the shorted motors at a wheel speed, N: their current is held by winding and controller. */
export function motorBrakeN(p: Plant, wheelMps: number): number {
  return wheelMps <= 0
    ? 0
    : (p.dragNPerA * (Math.min(p.limitA, emfAt(p, wheelMps) / p.windingOhm) + p.idleA)) /
        grownBy(p, wheelMps);
}

/**
 * The slip controller mirrored: full brake from a speed, held back where the driven wheels turn slower than the free ones
 * by more than the target.
 *
 * @returns lengths in m, times in s, slips in per cent and negative
 * @see Pacejka, Tyre and Vehicle Dynamics, ch. 4
 */
export function brakeAssist(input: BrakeInput): BrakeResult {
  const { controller, sensor, seed = 1, fromMps, brakeNm } = input;
  const car = slipCarOf(input);
  const { plant, spinKg, radiusM } = car;
  const frameS = (controller.frameMs ?? USUAL_FRAME_MS) / 1000;
  const [driven, free] = sensorsOf(sensor, radiusM, seed);
  const carSpeed = carSpeedOf(input, frameS, [driven, free], 'rolling');
  const series = emptySeries();
  let [t, v, u, way, turned, frame, us] = [0, fromMps, fromMps, 0, 0, 0, FULL_US];
  let [slipSum, lockedM, share] = [0, 0, 1];
  const brakeN = (wheel: number) =>
    share * (brakeNm === undefined ? motorBrakeN(plant, wheel) : wheel > 0 ? brakeNm / radiusM : 0);
  const next = new Float64Array(2);
  const step = slipStepper((wheel, speed, into) => {
    const push = car.forceN(speed, slipOf(wheel, speed));
    into[0] = (-brakeN(wheel) - push) / spinKg;
    into[1] = (push - car.resistanceN(speed)) / plant.massKg;
  });
  while (v > STANDING_MPS && t < LONGEST_S) {
    if (t >= frame * frameS - 1e-12) {
      us = braked(driven.speedMps, carSpeed.read(), us, input, 1000 * frameS);
      share = (CLOSED_US - us) / (CLOSED_US - FULL_US);
      record(series, t, v, u, us);
      frame++;
    }
    const h = Math.min(stepAt(v), frame * frameS - t);
    step(u, v, h, next);
    const [nextU, nextV] = [next[0]!, next[1]!];
    const [nextWay, nextTurned] = [way + (h / 2) * (v + nextV), turned + (h / 2) * (u + nextU)];
    driven.turn(t, t + h, turned, nextTurned);
    free.turn(t, t + h, way, nextWay);
    slipSum += h * 100 * slipOf(u, v);
    if (u < LOCKED_SHARE * v) lockedM += nextWay - way;
    [t, v, u, way, turned] = [t + h, nextV, nextU, nextWay, nextTurned];
  }
  return {
    stopM: way,
    timeS: t,
    meanSlipPct: t > 0 ? slipSum / t : 0,
    lockedShare: way > 0 ? lockedM / way : 0,
    series,
  };
}

function braked(
  driven: number | undefined,
  free: number | undefined,
  lastUs: number,
  { controller }: BrakeInput,
  frameMs: number,
): number {
  const { targetSlipPct, gainUsPerPct, releaseUsPerMs } = controller;
  if (targetSlipPct >= OFF_PCT || driven === undefined || free === undefined) return FULL_US;
  const over = (100 * (free - driven)) / Math.max(free, LEAST_READ_MPS) - targetSlipPct;
  const asked = over > 0 ? Math.min(CLOSED_US, FULL_US + gainUsPerPct * over) : FULL_US;
  return releaseUsPerMs === undefined ? asked : Math.max(asked, lastUs - releaseUsPerMs * frameMs);
}
