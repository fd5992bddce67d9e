import { AIR_DENSITY } from '../constants';
import { rpmOf } from '../units/convert';
import { createPlant, type Limit, LIMITS, type Moment } from './plant';
import type { DriveRunInput } from './definition';
import { integrateRun, type Track } from './integrateRun';
import { topSpeed } from './topSpeed';

export interface RunSeries {
  tS: number[];
  speedMps: number[];
  distanceM: number[];
  motorCurrentA: number[];
  batteryCurrentA: number[];
  batteryVoltageV: number[];
  limitedBy: Limit[];
}

export interface ForceCurves {
  speedMps: number[];
  driveN: number[];
  gripLimitN: number[];
  resistanceN: number[];
}

export interface DriveRunResult {
  /** Left out where the speed keeps rising (a steep downhill without air). */
  topSpeedMps?: number;
  topSpeedLimitedBy?: 'grip' | 'drive';
  noLoadSpeedMps: number;
  launchLimitedBy: Limit;
  peakAccelMps2: number;
  timeToDistanceS?: number;
  speedAtDistanceMps?: number;
  timeTo95PctS?: number;
  peakMotorCurrentA: number;
  peakBatteryCurrentA: number;
  minBatteryVoltageV: number;
  motorRpmAtTopSpeed?: number;
  stalled: boolean;
  series: RunSeries;
  forces: ForceCurves;
  notes: string[];
}

const FORCE_POINTS = 111;

/**
 * One run at full (or given) throttle on a straight, from rest.
 *
 * @returns speeds in m/s, times in s, currents in A, forces in N; quantities that do not exist are left out and `notes` says why
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2; the DC-motor equations of any drives text
 */
export function driveRun(input: DriveRunInput): DriveRunResult {
  return simulate(input, 1);
}

/** The same with the integration's step scaled, for the proof that the step is fine enough. */
export function simulate(input: DriveRunInput, stepScale: number): DriveRunResult {
  const distanceM = input.distanceM ?? 50;
  const maxTimeS = input.maxTimeS ?? 60;
  const plant = createPlant({ ...input, airDensityKgM3: input.airDensityKgM3 ?? AIR_DENSITY, gradePct: input.gradePct ?? 0, throttle: input.throttle ?? 1 });
  const start: Moment = { accelMps2: 0, motorCurrentA: 0, batteryCurrentA: 0, limit: 0 };
  plant.observe(0, start);
  const stalled = start.accelMps2 <= 0;
  const top = stalled ? 0 : topSpeed(plant);
  const track = integrateRun(plant, { topMps: top ?? Infinity, distanceM, maxTimeS, stalled, stepScale });

  const notes: string[] = [];
  if (stalled) notes.push('The car cannot move: at a standstill the wheel force does not exceed the resistance, so there is no time and no speed at the distance.');
  else if (top === undefined) notes.push('No top speed: on this downhill nothing balances the pull of the slope.');
  if (!stalled && track.timeToDistanceS === undefined) notes.push(`The distance is not reached within ${maxTimeS} s.`);
  if (!stalled && top !== undefined && track.timeTo95PctS === undefined) notes.push(`95 % of the top speed is not reached within ${maxTimeS} s.`);
  const ratedA = ((input.battery.maxDischargeC ?? Infinity) * input.battery.capacityMah) / 1000;
  if (track.peakBatteryCurrentA > ratedA) notes.push(`The pack gives ${track.peakBatteryCurrentA.toFixed(1)} A at its peak, over its rating of ${ratedA.toFixed(1)} A.`);

  return {
    ...(top === undefined ? {} : { topSpeedMps: top, motorRpmAtTopSpeed: rpmOf(top, input.tyre.radiusMm / 1000) * input.drive.ratio }),
    ...(stalled || top === undefined ? {} : { topSpeedLimitedBy: limitJustBelow(plant, top) }),
    noLoadSpeedMps: plant.noLoadSpeedMps,
    launchLimitedBy: LIMITS[start.limit]!,
    ...peaks(track),
    stalled,
    series: seriesOf(track, plant.openCircuitV, plant.packResistanceOhm),
    forces: forceCurves(plant, top ? 1.1 * top : plant.noLoadSpeedMps),
    notes,
  };
}

function limitJustBelow(plant: ReturnType<typeof createPlant>, top: number): 'grip' | 'drive' {
  const moment: Moment = { accelMps2: 0, motorCurrentA: 0, batteryCurrentA: 0, limit: 0 };
  plant.observe(top * (1 - 1e-6), moment);
  return moment.limit <= 1 ? 'grip' : 'drive';
}

function peaks(track: Track) {
  return {
    peakAccelMps2: track.peakAccelMps2,
    ...(track.timeToDistanceS === undefined ? {} : { timeToDistanceS: track.timeToDistanceS, speedAtDistanceMps: track.speedAtDistanceMps! }),
    ...(track.timeTo95PctS === undefined ? {} : { timeTo95PctS: track.timeTo95PctS }),
    peakMotorCurrentA: track.peakMotorCurrentA,
    peakBatteryCurrentA: track.peakBatteryCurrentA,
    minBatteryVoltageV: track.minBatteryVoltageV,
  };
}

function seriesOf(track: Track, openV: number, packOhm: number): RunSeries {
  return {
    tS: track.tS,
    speedMps: track.speedMps,
    distanceM: track.distanceM,
    motorCurrentA: track.motorCurrentA,
    batteryCurrentA: track.batteryCurrentA,
    batteryVoltageV: track.batteryCurrentA.map((current) => openV - current * packOhm),
    limitedBy: track.limit.map((limit) => LIMITS[limit]!),
  };
}

function forceCurves(plant: ReturnType<typeof createPlant>, toMps: number): ForceCurves {
  const speedMps = Array.from({ length: FORCE_POINTS }, (_, i) => (toMps * i) / (FORCE_POINTS - 1));
  return {
    speedMps,
    driveN: speedMps.map(plant.wheelForceN),
    gripLimitN: speedMps.map(plant.tractionN),
    resistanceN: speedMps.map(plant.resistanceN),
  };
}
