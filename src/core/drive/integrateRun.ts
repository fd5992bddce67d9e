import type { Moment, Plant } from './plant';

/** Longest step, s, and the share of the speed's own time constant that a step may take. */
const LONGEST_STEP_S = 0.01;
const STEP_OF_TIME_CONSTANT = 0.25;
const MOST_STEPS = 60_000;
/** Share of the top speed within which the speed no longer changes. */
const SETTLED = 1e-9;
/** A series longer than this is thinned to every second, fourth ... step. */
const MOST_SAMPLES = 2_000;

export interface RunLimits {
  /** Speed that the run cannot pass, m/s. */
  topMps: number;
  distanceM: number;
  maxTimeS: number;
  stalled: boolean;
  stepScale: number;
}

export interface Track {
  tS: number[];
  speedMps: number[];
  distanceM: number[];
  motorCurrentA: number[];
  batteryCurrentA: number[];
  limit: number[];
  peakAccelMps2: number;
  peakMotorCurrentA: number;
  peakBatteryCurrentA: number;
  minBatteryVoltageV: number;
  timeToDistanceS?: number;
  speedAtDistanceMps?: number;
  timeTo95PctS?: number;
}

/** Fourth-order Runge-Kutta at a fixed step, until the distance and 95 % of the top speed are both reached. */
export function integrateRun(plant: Plant, limits: RunLimits): Track {
  const { topMps, distanceM, maxTimeS } = limits;
  const shortest = maxTimeS / MOST_STEPS;
  const dt = limits.stepScale * Math.max(shortest, Math.min(LONGEST_STEP_S, STEP_OF_TIME_CONSTANT * plant.timeConstantS));
  const near = 0.95 * topMps;
  const settled = topMps * (1 - SETTLED);
  const track = emptyTrack();
  const moment: Moment = { accelMps2: 0, motorCurrentA: 0, batteryCurrentA: 0, limit: 0 };
  const steps = limits.stalled ? 0 : Math.ceil(maxTimeS / dt - 1e-9);
  let stride = 1;
  let v = 0;
  let x = 0;
  let slower = 0;
  let limit = -1;

  for (let i = 0; ; i++) {
    plant.observe(v, moment);
    keepPeaks(track, moment);
    if (limit >= 0 && moment.limit !== limit) peaksAtChange(plant, track, slower, v, limit);
    limit = moment.limit;
    const done = i === steps || (track.timeToDistanceS !== undefined && track.timeTo95PctS !== undefined);
    if (i % stride === 0 || done) record(track, i * dt, v, x, moment);
    if (track.tS.length > MOST_SAMPLES) {
      thin(track);
      stride *= 2;
    }
    if (done) break;
    if (v >= settled) {
      cruise(track, i * dt, v, x, moment, limits);
      break;
    }

    const a1 = moment.accelMps2;
    const v2 = Math.min(topMps, v + 0.5 * dt * a1);
    const a2 = plant.accelMps2(v2);
    const v3 = Math.min(topMps, v + 0.5 * dt * a2);
    const a3 = plant.accelMps2(v3);
    const v4 = Math.min(topMps, v + dt * a3);
    const a4 = plant.accelMps2(v4);
    const nextV = Math.min(topMps, v + (dt / 6) * (a1 + 2 * a2 + 2 * a3 + a4));
    const nextX = x + (dt / 6) * (v + 2 * v2 + 2 * v3 + v4);
    if (track.timeToDistanceS === undefined && nextX >= distanceM) {
      const share = shareWhere(x, dt * v, nextX, dt * nextV, distanceM);
      track.timeToDistanceS = (i + share) * dt;
      track.speedAtDistanceMps = hermite(v, dt * a1, nextV, dt * plant.accelMps2(nextV), share);
    }
    if (track.timeTo95PctS === undefined && nextV >= near) {
      track.timeTo95PctS = (i + shareWhere(v, dt * a1, nextV, dt * plant.accelMps2(nextV), near)) * dt;
    }
    slower = v;
    v = nextV;
    x = nextX;
  }
  track.minBatteryVoltageV = plant.openCircuitV - track.peakBatteryCurrentA * plant.packResistanceOhm;
  return track;
}

/** At the top speed the rest of the way is distance over speed. */
function cruise(track: Track, t: number, v: number, x: number, moment: Moment, { distanceM, maxTimeS }: RunLimits): void {
  const arrival = t + Math.max(0, distanceM - x) / v;
  const end = Math.min(arrival, maxTimeS);
  if (arrival <= maxTimeS && track.timeToDistanceS === undefined) {
    track.timeToDistanceS = arrival;
    track.speedAtDistanceMps = v;
  }
  if (end > t) record(track, end, v, x + v * (end - t), moment);
}

function emptyTrack(): Track {
  return {
    tS: [], speedMps: [], distanceM: [], motorCurrentA: [], batteryCurrentA: [], limit: [],
    peakAccelMps2: 0, peakMotorCurrentA: 0, peakBatteryCurrentA: 0, minBatteryVoltageV: 0,
  };
}

function record(track: Track, t: number, v: number, x: number, moment: Moment): void {
  track.tS.push(t);
  track.speedMps.push(v);
  track.distanceM.push(x);
  track.motorCurrentA.push(moment.motorCurrentA);
  track.batteryCurrentA.push(moment.batteryCurrentA);
  track.limit.push(moment.limit);
}

function keepPeaks(track: Track, moment: Moment): void {
  if (moment.accelMps2 > track.peakAccelMps2) track.peakAccelMps2 = moment.accelMps2;
  if (moment.motorCurrentA > track.peakMotorCurrentA) track.peakMotorCurrentA = moment.motorCurrentA;
  if (moment.batteryCurrentA > track.peakBatteryCurrentA) track.peakBatteryCurrentA = moment.batteryCurrentA;
}

/** Currents peak where one limit hands over to the next; the steps straddle that speed, so it is sought. */
function peaksAtChange(plant: Plant, track: Track, slowerMps: number, fasterMps: number, limitBefore: number): void {
  const moment: Moment = { accelMps2: 0, motorCurrentA: 0, batteryCurrentA: 0, limit: 0 };
  let low = slowerMps;
  let high = fasterMps;
  for (let i = 0; i < 30; i++) {
    const middle = 0.5 * (low + high);
    plant.observe(middle, moment);
    if (moment.limit === limitBefore) low = middle;
    else high = middle;
  }
  plant.observe(low, moment);
  keepPeaks(track, moment);
  plant.observe(high, moment);
  keepPeaks(track, moment);
}

function thin(track: Track): void {
  for (const key of ['tS', 'speedMps', 'distanceM', 'motorCurrentA', 'batteryCurrentA', 'limit'] as const) {
    track[key] = track[key].filter((_, index) => index % 2 === 0);
  }
}

/** Cubic through two values with their changes a step, at a share of the step. */
function hermite(y0: number, d0: number, y1: number, d1: number, s: number): number {
  const r = 1 - s;
  return r * r * ((1 + 2 * s) * y0 + s * d0) + s * s * ((1 + 2 * r) * y1 - r * d1);
}

/** Share of a step at which a rising cubic passes a value. */
function shareWhere(y0: number, d0: number, y1: number, d1: number, value: number): number {
  let low = 0;
  let high = 1;
  for (let i = 0; i < 40; i++) {
    const middle = 0.5 * (low + high);
    if (hermite(y0, d0, y1, d1, middle) < value) low = middle;
    else high = middle;
  }
  return high;
}
