import { refusal } from '../../base/errors';
import { meanCellVolts } from '../motion/cell';
import { cycleMeans } from '../heat/cycleMeans';
import type { EnduranceCycle } from '../heat/enduranceDefinition';
import type { LossesDefinition } from '../heat/losses';
import { traceMeans } from '../heat/traceMeans';
import type { BatteryDefinition, DriveRunInput, MotorDefinition } from '../motion/definition';
import { refuseColdLimits } from '../heat/thermal';
import { createPlant, type Limit } from '../motion/plant';
import { paretoSet } from './pareto';
import { driveRun } from '../motion/run';
import { steadyAt, type ThermalDefinition } from '../heat/thermal';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import type { QuantityName } from '../../base/units/quantities';

/** What a combination is held against. */
export type Wish = 'topSpeed' | 'time' | 'case' | 'runTime';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.sweep.unknown': { what: Wish; wish: Measure };
    'note.sweep.missed': { what: Wish; found: Measure; wish: Measure; least: boolean };
    'note.sweep.cannotMove': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'driveSweep.combinations': { count: number; mostRows: number };
    'driveSweep.range': { from: number; to: number };
    'driveSweep.ratios': { mostRows: number };
  }
}

export interface SweepMotor extends MotorDefinition {
  id: string;
  /** Goes before the common one. */
  thermal?: ThermalDefinition;
  /** What the car weighs more with it, kg; less where negative. */
  addedKg?: number;
  /** In place of the controller's, A. */
  currentLimitA?: number;
}

export interface SweepBattery extends BatteryDefinition {
  id: string;
  addedKg?: number;
}

/** From + k·step below `to`, then `to`. */
export interface RatioRange {
  /** Least ratio. */
  from: number;
  /** Greatest ratio. */
  to: number;
  /** Between one ratio and the next. */
  step: number;
}

export interface SweepGoal {
  topSpeedMps?: number;
  distanceM?: number;
  timeToDistanceS?: number;
  maxCaseC?: number;
  minDurationS?: number;
}

export interface SweepInput {
  base: DriveRunInput;
  motors: readonly SweepMotor[];
  batteries: readonly SweepBattery[];
  ratios: readonly number[] | RatioRange;
  thermal?: ThermalDefinition;
  cycle?: EnduranceCycle;
  /** With a trace or a style. */
  losses?: LossesDefinition;
  /** Share of the charge that is driven. */
  usableShare?: number;
  goal?: SweepGoal;
}

export interface SweepRow {
  motorId: string;
  batteryId: string;
  /** Turns of the motor for one turn of the wheel. */
  ratio: number;
  topSpeedMps?: number;
  timeToDistanceS?: number;
  launchLimitedBy: Limit;
  peakMotorCurrentA: number;
  peakBatteryCurrentA: number;
  /** Where the case comes to rest at the mean losses of the cycle, °C. */
  steadyCaseC?: number;
  durationS?: number;
  meetsGoal: boolean;
  why: Finding[];
}

export interface SweepResult {
  rows: SweepRow[];
  /** Rows that no other row beats in speed, time and heat at once. */
  pareto: number[];
  notes: Finding[];
}

export const MOST_ROWS = 100_000;

/**
 * Every combination of motor, pack and ratio on one car: a run and a cycle each, and what cannot be bettered.
 *
 * @returns speeds in m/s, times in s, currents in A, temperatures in °C
 * @throws CalcError at `ratios` or `motors` where the combinations are none or too many, at `thermal...` as `drive.endurance`
 * @see Deb, Multi-Objective Optimization using Evolutionary Algorithms, ch. 2 (domination)
 */
export function driveSweep(input: SweepInput): SweepResult {
  const sweep = planSweep(input);
  const rows = Array.from({ length: sweep.count }, (_, index) => sweep.row(index));
  return { rows, pareto: paretoSet(rows), notes: [] };
}

export interface SweepPlan {
  readonly count: number;
  /** Ratios of each pair of motor and pack. */
  readonly ratios: number;
  /** Motors outermost, then packs, then ratios. */
  row(index: number): SweepRow;
}

/** The combinations one by one, so that a worker can tell how far it is and stop. */
export function planSweep(input: SweepInput): SweepPlan {
  const { motors, batteries, base, goal = {} } = input;
  const ratios = ratiosOf(input.ratios);
  const count = motors.length * batteries.length * ratios.length;
  if (count > MOST_ROWS) throw refusal('motors', 'driveSweep.combinations', { count, mostRows: MOST_ROWS });
  if (input.thermal) refuseColdLimits(input.thermal);
  motors.forEach(({ thermal }) => thermal && refuseColdLimits(thermal));
  const distanceM = goal.distanceM ?? base.distanceM;
  return {
    count,
    ratios: ratios.length,
    row: (index) => {
      const ratio = ratios[index % ratios.length]!;
      const {
        id: batteryId,
        addedKg: packKg = 0,
        ...battery
      } = batteries[Math.floor(index / ratios.length) % batteries.length]!;
      const {
        id: motorId,
        addedKg: motorKg = 0,
        thermal = input.thermal,
        currentLimitA = base.esc.currentLimitA,
        ...motor
      } = motors[Math.floor(index / ratios.length / batteries.length)]!;
      const car =
        packKg + motorKg === 0 ? base.car : { ...base.car, massKg: base.car.massKg + packKg + motorKg };
      const esc = { ...base.esc, currentLimitA };
      const run: DriveRunInput = {
        ...base,
        car,
        motor,
        esc,
        battery,
        drive: { ...base.drive, ratio },
        distanceM,
      };
      return { motorId, batteryId, ratio, ...judged(run, thermal, input, goal) };
    },
  };
}

function ratiosOf(ratios: SweepInput['ratios']): readonly number[] {
  if (Array.isArray(ratios)) return ratios as readonly number[];
  const { from, to, step } = ratios as RatioRange;
  if (to < from) throw refusal('ratios.from', 'driveSweep.range', { from, to });
  const below = Math.ceil((to - from) / step - 1e-9);
  if (below > MOST_ROWS) throw refusal('ratios.step', 'driveSweep.ratios', { mostRows: MOST_ROWS });
  return [...Array.from({ length: below }, (_, k) => from + k * step), to];
}

type Judged = Omit<SweepRow, 'motorId' | 'batteryId' | 'ratio'>;

function judged(
  input: DriveRunInput,
  thermal: ThermalDefinition | undefined,
  sweep: SweepInput,
  goal: SweepGoal,
): Judged {
  const run = driveRun(input);
  const row: Judged = {
    launchLimitedBy: run.launchLimitedBy,
    peakMotorCurrentA: run.peakMotorCurrentA,
    peakBatteryCurrentA: run.peakBatteryCurrentA,
    meetsGoal: false,
    why: [],
  };
  if (run.topSpeedMps !== undefined) row.topSpeedMps = run.topSpeedMps;
  if (run.timeToDistanceS !== undefined) row.timeToDistanceS = run.timeToDistanceS;
  if (sweep.cycle) addCycle(row, input, thermal, sweep.cycle, sweep);
  if (run.stalled) row.why.push(finding('note.sweep.cannotMove', {}));
  row.why.push(...missedGoals(row, goal));
  row.meetsGoal = row.why.length === 0;
  return row;
}

function addCycle(
  row: Judged,
  input: DriveRunInput,
  thermal: ThermalDefinition | undefined,
  cycle: EnduranceCycle,
  { losses, usableShare = 1 }: SweepInput,
): void {
  const { battery, motor } = input;
  const charge = battery.stateOfCharge ?? 1;
  const meanV = battery.cells * meanCellVolts(charge);
  const means =
    'cruiseMps' in cycle
      ? cycleMeans(createPlant(input), cycle, meanV)
      : traceMeans(input, cycle, losses, meanV);
  if (!means) return;
  if (means.batteryA > 0) row.durationS = (battery.capacityMah * 3.6 * charge * usableShare) / means.batteryA;
  if (!thermal) return;
  const steady = steadyAt(
    {
      copperW: (means.currentSquared * motor.resistanceMilliOhm) / 1000,
      frictionW: means.frictionW,
      speedMps: means.speedMps,
    },
    thermal,
  );
  if (steady) row.steadyCaseC = steady[1];
}

function missedGoals(
  row: Judged,
  { topSpeedMps, timeToDistanceS, maxCaseC, minDurationS }: SweepGoal,
): Finding[] {
  const missed = (
    what: Wish,
    found: number | undefined,
    wish: number | undefined,
    quantity: QuantityName,
    least: boolean,
  ): Finding[] => {
    if (wish === undefined || (found !== undefined && (least ? found >= wish : found <= wish))) return [];
    return [
      found === undefined
        ? finding('note.sweep.unknown', { what, wish: measure(wish, quantity) })
        : finding('note.sweep.missed', {
            what,
            found: measure(found, quantity),
            wish: measure(wish, quantity),
            least,
          }),
    ];
  };
  return [
    ...missed('topSpeed', row.topSpeedMps, topSpeedMps, 'speedMps', true),
    ...missed('time', row.timeToDistanceS, timeToDistanceS, 'timeS', false),
    ...missed('case', row.steadyCaseC, maxCaseC, 'temperatureC', false),
    ...missed('runTime', row.durationS, minDurationS, 'timeS', true),
  ];
}
