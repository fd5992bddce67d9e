import type { Motion } from './integrateRun';
import {
  ACCEL,
  BATTERY_A,
  LIMIT,
  type Limit,
  LIMITS,
  MOTOR_A,
  newMoment,
  observe,
  type Plant,
} from './plant';

/** A series longer than this is thinned to every second, fourth ... step. */
const MOST_SAMPLES = 250;

export interface RunSeries {
  tS: number[];
  speedMps: number[];
  distanceM: number[];
  motorCurrentA: number[];
  batteryCurrentA: number[];
  batteryVoltageV: number[];
  limitedBy: Limit[];
}

export interface ObservedRun {
  series: RunSeries;
  peakAccelMps2: number;
  peakMotorCurrentA: number;
  peakBatteryCurrentA: number;
}

/** Currents, volts and limits along a motion, and their peaks. */
export function observeRun(plant: Plant, motion: Motion): ObservedRun {
  const { speedMps, distanceM, stepS, lastStepS, cruiseS } = motion;
  const { openV, packOhm } = plant;
  const last = speedMps.length - 1;
  let stride = 1;
  while (last / stride > MOST_SAMPLES) stride *= 2;
  const samples = Math.ceil(last / stride) + 1;
  const series = seriesOf(samples);
  const {
    tS,
    speedMps: speeds,
    distanceM: way,
    motorCurrentA,
    batteryCurrentA,
    batteryVoltageV,
    limitedBy,
  } = series;
  let at = 0;
  const moment = newMoment();
  const peaks = newMoment();
  let limit = -1;
  let slower = 0;
  for (let i = 0; ; i = Math.min(last, i + stride)) {
    const v = speedMps[i]!;
    observe(plant, v, moment);
    keepPeaks(peaks, moment);
    if (moment[LIMIT] !== limit && limit >= 0) peaksAtChanges(plant, peaks, slower, v, limit);
    limit = moment[LIMIT]!;
    slower = v;
    const batteryA = moment[BATTERY_A]!;
    tS[at] = i < last || last === 0 ? i * stepS : (last - 1) * stepS + lastStepS;
    speeds[at] = v;
    way[at] = distanceM[i]!;
    motorCurrentA[at] = moment[MOTOR_A]!;
    batteryCurrentA[at] = batteryA;
    batteryVoltageV[at] = openV - batteryA * packOhm;
    limitedBy[at] = LIMITS[limit]!;
    at++;
    if (i === last) break;
  }
  if (cruiseS > 0) appendCruise(series, cruiseS);
  return {
    series,
    peakAccelMps2: peaks[ACCEL]!,
    peakMotorCurrentA: peaks[MOTOR_A]!,
    peakBatteryCurrentA: peaks[BATTERY_A]!,
  };
}

/** Room for a count of samples; growing seven lists step by step would cost more than the physics. */
function seriesOf(samples: number): RunSeries {
  return {
    tS: new Array(samples),
    speedMps: new Array(samples),
    distanceM: new Array(samples),
    motorCurrentA: new Array(samples),
    batteryCurrentA: new Array(samples),
    batteryVoltageV: new Array(samples),
    limitedBy: new Array(samples),
  };
}

function appendCruise(series: RunSeries, seconds: number): void {
  const end = series.tS.length - 1;
  series.tS.push(series.tS[end]! + seconds);
  series.distanceM.push(series.distanceM[end]! + series.speedMps[end]! * seconds);
  for (const key of ['speedMps', 'motorCurrentA', 'batteryCurrentA', 'batteryVoltageV'] as const)
    series[key].push(series[key][end]!);
  series.limitedBy.push(series.limitedBy[end]!);
}

function keepPeaks(peaks: Float64Array, moment: Float64Array): void {
  if (moment[ACCEL]! > peaks[ACCEL]!) peaks[ACCEL] = moment[ACCEL]!;
  if (moment[MOTOR_A]! > peaks[MOTOR_A]!) peaks[MOTOR_A] = moment[MOTOR_A]!;
  if (moment[BATTERY_A]! > peaks[BATTERY_A]!) peaks[BATTERY_A] = moment[BATTERY_A]!;
}

/** Currents peak where one limit hands over to the next; the samples straddle that speed, so it is sought, one after another. */
function peaksAtChanges(
  plant: Plant,
  peaks: Float64Array,
  slowerMps: number,
  fasterMps: number,
  limitBefore: number,
): void {
  const moment = newMoment();
  let low = slowerMps;
  let high = fasterMps;
  for (let i = 0; i < 30; i++) {
    const middle = 0.5 * (low + high);
    observe(plant, middle, moment);
    if (moment[LIMIT] === limitBefore) low = middle;
    else high = middle;
  }
  observe(plant, low, moment);
  keepPeaks(peaks, moment);
  observe(plant, high, moment);
  keepPeaks(peaks, moment);
  const next = moment[LIMIT]!;
  observe(plant, fasterMps, moment);
  if (moment[LIMIT] !== next && high < fasterMps) peaksAtChanges(plant, peaks, high, fasterMps, next);
}
