import { refusal } from '../../base/errors';
import { emfAt, grownBy, type Plant } from '../motion/plant';
import { type SlipCar, slipCarOf, slipOf } from './slipCar';
import type { SlipSeries, TractionInput, TractionResult, TractionRow } from './slipDefinition';
import { slipStepper, stepAt } from './slipStep';
import { carSpeedOf, emptySeries, record, sensorsOf } from './slipRun';
import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.slip.notCovered': { distance: Measure; within: Measure };
    'note.slip.noEdge': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'traction.inertia': Record<never, never>;
  }
}

export const USUAL_FRAME_MS = 20;
export const OPEN_US = 2000;
export const CLOSED_US = 1500;
const LONGEST_S = 60;
const OFF_PCT = 100;
const LEAST_READ_MPS = 0.5;

/**
 * Throttle held back by wheel slip on a straight from rest: a slipping tyre under the run's motor and road, edges of
 * magnets for speeds, a controller that answers once a frame.
 *
 * @returns times in s, slips in per cent; what was not reached is left out
 * @throws CalcError at `car.wheelInertiaKgM2` where neither wheels nor rotor have an inertia
 * @see Pacejka, Tyre and Vehicle Dynamics, ch. 4; Gillespie, Fundamentals of Vehicle Dynamics, ch. 2
 */
export function tractionAssist(input: TractionInput): TractionResult {
  if ((input.car.wheelInertiaKgM2 ?? 0) + (input.motor.rotorInertiaKgM2 ?? 0) <= 0)
    throw refusal('car.wheelInertiaKgM2', 'traction.inertia');
  const car = slipCarOf(input);
  const run = drive(car, input, input.controller.targetSlipPct);
  const rows = input.targets?.map((targetSlipPct) => rowOf(targetSlipPct, drive(car, input, targetSlipPct)));
  const best = rows
    ?.filter(({ timeToDistanceS }) => timeToDistanceS !== undefined)
    .sort((a, b) => a.timeToDistanceS! - b.timeToDistanceS!)[0]?.targetSlipPct;
  const { targetSlipPct: _, ...own } = rowOf(input.controller.targetSlipPct, run);
  return {
    ...own,
    series: run.series,
    ...(rows ? { rows } : {}),
    ...(best === undefined ? {} : { best }),
    notes: [
      ...(own.timeToDistanceS === undefined
        ? [
            finding('note.slip.notCovered', {
              distance: measure(input.distanceM, 'distanceM'),
              within: measure(LONGEST_S, 'timeS'),
            }),
          ]
        : []),
      ...(own.meanSlipPct === undefined ? [finding('note.slip.noEdge', {})] : []),
    ],
  };
}

/** Time to the distance for one target alone, with what it did to slip and throttle. */
export const tractionRow = (input: TractionInput, targetSlipPct: number, seed: number): TractionRow =>
  rowOf(targetSlipPct, drive(slipCarOf(input), { ...input, seed }, targetSlipPct));

const rowOf = (targetSlipPct: number, { timeS, slip, reversals, lastedS }: Driven): TractionRow => ({
  targetSlipPct,
  ...(timeS === undefined ? {} : { timeToDistanceS: timeS }),
  ...slip,
  throttleReversalsPerS: lastedS > 0 ? reversals / lastedS : 0,
});

interface Driven {
  timeS: number | undefined;
  lastedS: number;
  reversals: number;
  slip: Pick<TractionRow, 'meanSlipPct' | 'slipSdPct'>;
  series: SlipSeries;
}

/** Wheel force of the motors at a duty and a wheel speed, N; the current is never negative. */
export function motorForceN(p: Plant, duty: number, wheelMps: number): number {
  const current = (duty * p.openV - emfAt(p, wheelMps)) / (p.windingOhm + p.motors * duty * duty * p.packOhm);
  const held = current < 0 ? 0 : current > p.limitA ? p.limitA : current;
  const over = held - p.idleA;
  return (over * (over >= 0 ? p.pullNPerA : p.dragNPerA)) / grownBy(p, wheelMps);
}

function drive(car: SlipCar, input: TractionInput, targetSlipPct: number): Driven {
  const { sensor, controller, distanceM, seed = 1 } = input;
  const { plant, spinKg, radiusM } = car;
  const { massKg } = plant;
  const frameS = (controller.frameMs ?? USUAL_FRAME_MS) / 1000;
  const [driven, free] = sensorsOf(sensor, radiusM, seed);
  const carSpeed = carSpeedOf(input, frameS, [driven, free], 'atRest');
  const series = emptySeries();
  let [t, v, u, way, turned, frame, us, lastMove, reversals] = [0, 0, 0, 0, 0, 0, OPEN_US, 0, 0];
  const told = { weight: 0, sum: 0, squares: 0 };
  let duty = 1;
  const next = new Float64Array(2);
  const step = slipStepper((wheel, speed, into) => {
    const push = car.forceN(speed, slipOf(wheel, speed));
    const accel = (push - car.resistanceN(speed)) / massKg;
    into[0] = (motorForceN(plant, duty, wheel) - push) / spinKg;
    into[1] = speed <= 0 && accel < 0 ? 0 : accel;
  });
  for (;;) {
    if (t >= frame * frameS - 1e-12) {
      const asked = commanded(driven.speedMps, carSpeed.read(), us, targetSlipPct, controller, 1000 * frameS);
      const move = Math.sign(asked - us);
      if (move !== 0 && lastMove !== 0 && move !== lastMove) reversals++;
      if (move !== 0) lastMove = move;
      us = asked;
      duty = (us - CLOSED_US) / (OPEN_US - CLOSED_US);
      record(series, t, v, u, us);
      frame++;
    }
    const h = Math.min(stepAt(v), frame * frameS - t);
    step(u, v, h, next);
    const [nextU, nextV] = [next[0]!, next[1]!];
    const nextWay = way + (h / 2) * (v + nextV);
    const nextTurned = turned + (h / 2) * (u + nextU);
    driven.turn(t, t + h, turned, nextTurned);
    free.turn(t, t + h, way, nextWay);
    if (carSpeed.sure()) {
      const slip = 50 * (slipOf(u, v) + slipOf(nextU, nextV));
      told.weight += h;
      told.sum += h * slip;
      told.squares += h * slip * slip;
    }
    const arrived = nextWay >= distanceM;
    const share = arrived ? (distanceM - way) / (nextWay - way) : 1;
    [t, v, u, way, turned] = [t + share * h, nextV, nextU, nextWay, nextTurned];
    if (arrived || t >= LONGEST_S)
      return { timeS: arrived ? t : undefined, lastedS: t, reversals, slip: spreadOf(told), series };
  }
}

function spreadOf({
  weight,
  sum,
  squares,
}: {
  weight: number;
  sum: number;
  squares: number;
}): Driven['slip'] {
  if (weight === 0) return {};
  const mean = sum / weight;
  return { meanSlipPct: mean, slipSdPct: Math.sqrt(Math.max(0, squares / weight - mean * mean)) };
}

/** What the controller asks for at a frame, µs. */
export function commanded(
  driven: number | undefined,
  free: number | undefined,
  lastUs: number,
  targetSlipPct: number,
  { gainUsPerPct, releaseUsPerMs }: Pick<TractionInput['controller'], 'gainUsPerPct' | 'releaseUsPerMs'>,
  frameMs: number,
): number {
  const known = driven !== undefined && free !== undefined && targetSlipPct < OFF_PCT;
  const over = known ? (100 * (driven - free)) / Math.max(free, LEAST_READ_MPS) - targetSlipPct : 0;
  const asked = over > 0 ? Math.max(CLOSED_US, OPEN_US - gainUsPerPct * over) : OPEN_US;
  return releaseUsPerMs === undefined ? asked : Math.min(asked, lastUs + releaseUsPerMs * frameMs);
}
