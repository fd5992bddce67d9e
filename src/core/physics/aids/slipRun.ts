import { randomFrom } from '../../base/numeric/random';
import { slipOf } from './slipCar';
import type { SlipSensor, SlipSeries } from './slipDefinition';
import { type WheelSensor, wheelSensor } from './wheelSensor';

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
