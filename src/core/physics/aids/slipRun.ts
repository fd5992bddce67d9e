import { randomFrom } from '../../base/numeric/random';
import { slipOf } from './slipCar';
import { refusal } from '../../base/errors';
import { followedSpeed } from './followedSpeed';
import type { SlipSensor, SlipSeries, TractionInput } from './slipDefinition';
import { type WheelSensor, wheelSensor } from './wheelSensor';

declare module '../../base/errors' {
  interface RefusalFacts {
    'traction.noFreeWheel': Record<never, never>;
  }
}

/** What the controller takes for the car's speed: its free wheel, or one that follows the wheels where none is free. */
export function carSpeedOf(
  { car, controller }: Pick<TractionInput, 'car' | 'controller'>,
  frameS: number,
  [driven, free]: readonly [WheelSensor, WheelSensor],
  starts: 'atRest' | 'rolling',
): { read(): number | undefined; sure(): boolean } {
  if (car.drivenAxles !== 'all') return { read: () => free.speedMps, sure: () => free.edges >= 2 };
  if (controller.mostAccelMps2 === undefined) throw refusal('car.drivenAxles', 'traction.noFreeWheel');
  const follow = followedSpeed(controller.mostAccelMps2, frameS, starts);
  return { read: () => follow(driven.speedMps), sure: () => driven.edges >= 2 };
}

/** Sensors of a driven and of a free wheel on one stream of chance. */
export function sensorsOf(
  { magnets, falsePulseRate = 0, wheelDiameterFrontMm }: SlipSensor,
  radiusM: number,
  seed: number,
): [driven: WheelSensor, free: WheelSensor] {
  const random = randomFrom(seed);
  const at = (radius: number) => wheelSensor((2 * Math.PI * radius) / magnets, falsePulseRate, random);
  return [at(radiusM), at(wheelDiameterFrontMm === undefined ? radiusM : wheelDiameterFrontMm / 2000)];
}

export const emptySeries = (): SlipSeries => ({
  tS: [],
  speedMps: [],
  wheelMps: [],
  slipPct: [],
  throttleUs: [],
});

/** One frame of a run. */
export function record(
  series: SlipSeries,
  tS: number,
  speedMps: number,
  wheelMps: number,
  throttleUs: number,
): void {
  series.tS.push(tS);
  series.speedMps.push(speedMps);
  series.wheelMps.push(wheelMps);
  series.slipPct.push(100 * slipOf(wheelMps, speedMps));
  series.throttleUs.push(throttleUs);
}
