import { rpmOf } from '../../base/units/convert';
import {
  ACCEL,
  createPlant,
  grownBy,
  type Limit,
  LIMIT,
  LIMITS,
  newMoment,
  noLoadMps,
  observe,
  type Plant,
  resistanceN,
  tractionN,
  wheelForceN,
} from './plant';
import type { DriveRunInput } from './definition';
import { integrateRun, type Motion } from './integrateRun';
import { observeRun, type RunSeries } from './observeRun';
import { topSpeed } from './topSpeed';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.run.overRating': { peak: Measure; rated: Measure };
    'note.run.stalled': Record<never, never>;
    'note.run.noTop': Record<never, never>;
    'note.run.notReached': { within: Measure };
    'note.run.no95': { within: Measure };
  }
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
  /** Turns a minute. */
  motorRpmAtTopSpeed?: number;
  stalled: boolean;
  series: RunSeries;
  forces: ForceCurves;
  notes: Finding[];
}

const FORCE_POINTS = 51;

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
  const plant = createPlant(input);
  const start = newMoment();
  observe(plant, 0, start);
  const stalled = start[ACCEL]! <= 0;
  const top = stalled ? 0 : topSpeed(plant);
  const motion = integrateRun(plant, { topMps: top ?? Infinity, distanceM, maxTimeS, stalled, stepScale });
  const observed = observeRun(plant, motion);
  const run: DriveRunResult = {
    noLoadSpeedMps: noLoadMps(plant),
    launchLimitedBy: LIMITS[start[LIMIT]!]!,
    peakAccelMps2: observed.peakAccelMps2,
    peakMotorCurrentA: observed.peakMotorCurrentA,
    peakBatteryCurrentA: observed.peakBatteryCurrentA,
    minBatteryVoltageV: plant.openV - observed.peakBatteryCurrentA * plant.packOhm,
    stalled,
    series: observed.series,
    forces: forceCurves(plant, top ? 1.1 * top : noLoadMps(plant)),
    notes: notesOn(input, motion, { stalled, top, maxTimeS, peakA: observed.peakBatteryCurrentA }),
  };
  if (top !== undefined) {
    run.topSpeedMps = top;
    run.motorRpmAtTopSpeed =
      rpmOf(top, (grownBy(plant, top) * input.tyre.radiusMm) / 1000) * input.drive.ratio;
    if (!stalled) run.topSpeedLimitedBy = limitJustBelow(plant, top);
  }
  if (!Number.isNaN(motion.timeToDistanceS)) {
    run.timeToDistanceS = motion.timeToDistanceS;
    run.speedAtDistanceMps = motion.speedAtDistanceMps;
  }
  if (!Number.isNaN(motion.timeTo95PctS)) run.timeTo95PctS = motion.timeTo95PctS;
  return run;
}

function notesOn(
  { battery }: DriveRunInput,
  motion: Motion,
  run: { stalled: boolean; top: number | undefined; maxTimeS: number; peakA: number },
): Finding[] {
  const { stalled, top, maxTimeS, peakA } = run;
  const ratedA = ((battery.maxDischargeC ?? Infinity) * battery.capacityMah) / 1000;
  const overrated =
    peakA > ratedA
      ? [
          finding('note.run.overRating', {
            peak: measure(peakA, 'currentA'),
            rated: measure(ratedA, 'currentA'),
          }),
        ]
      : [];
  if (stalled) return [finding('note.run.stalled', {}), ...overrated];
  return [
    ...(top === undefined ? [finding('note.run.noTop', {})] : []),
    ...(Number.isNaN(motion.timeToDistanceS)
      ? [finding('note.run.notReached', { within: measure(maxTimeS, 'timeS') })]
      : []),
    ...(top !== undefined && Number.isNaN(motion.timeTo95PctS)
      ? [finding('note.run.no95', { within: measure(maxTimeS, 'timeS') })]
      : []),
    ...overrated,
  ];
}

function limitJustBelow(plant: Plant, top: number): 'grip' | 'drive' {
  const moment = newMoment();
  observe(plant, top * (1 - 1e-6), moment);
  return moment[LIMIT]! <= 1 ? 'grip' : 'drive';
}

function forceCurves(plant: Plant, toMps: number): ForceCurves {
  const speedMps = new Array<number>(FORCE_POINTS);
  const driveN = new Array<number>(FORCE_POINTS);
  const gripLimitN = new Array<number>(FORCE_POINTS);
  const resistance = new Array<number>(FORCE_POINTS);
  for (let i = 0; i < FORCE_POINTS; i++) {
    const v = (toMps * i) / (FORCE_POINTS - 1);
    speedMps[i] = v;
    driveN[i] = wheelForceN(plant, v);
    gripLimitN[i] = tractionN(plant, v);
    resistance[i] = resistanceN(plant, v);
  }
  return { speedMps, driveN, gripLimitN, resistanceN: resistance };
}
