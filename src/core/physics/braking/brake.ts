import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';
import { dragAndRoll } from '../motion/road';
import { type BrakeLimit, brakeMoment, type Locked } from './brakeMoment';
import { type Brakes, createBrakes } from './brakes';
import type { BrakeDefinition, DriveBrakeInput } from './definition';
import { type LockFirst, lockFirst } from './lockFirst';
import { slow, type Slowing } from './slow';

declare module '../../base/finding' {
  interface FindingFacts {
    /** At which share of the brake, where that is not more than all of it. */
    'note.brake.rearFirst': { at?: Measure };
    'note.brake.fullPack': Record<never, never>;
    'note.brake.neverThere': { to: Measure };
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'brake.notSlower': { toMps: number };
    'brake.shareAndTorque': Record<never, never>;
    'brake.oneAxle': Record<never, never>;
  }
}

export interface DriveBrakeResult {
  /** At the first speed with the brake on. */
  decelMps2: number;
  limitedBy: BrakeLimit;
  locked: Locked;
  /** Per motor. */
  motorBrakeA: number;
  axleLoadsN: { front: number; rear: number };
  lockFirst: LockFirst;
  /** Factor on all brakes at which the first axle locks or lifts; left out where none does. */
  lockAtShare?: number;
  /** Share of the braking on the front axle at which both lock together. */
  idealFrontShare: number;
  /** Over the whole way, the throttle closed first; left out where the speed is not reached. */
  distanceM?: number;
  timeS?: number;
  meanDecelMps2?: number;
  peakDecelMps2: number;
  /** Where the kinetic energy goes, J; what the pack gets back is part of what the motors take. */
  energy?: Record<`${'kinetic' | 'motor' | 'pack' | 'mechanical' | 'road' | 'driveline' | 'tyre'}J`, number>;
  /** Largest current into the pack, A. */
  peakRegenA?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

const INTERVALS = 1000;
/** A pack fuller than this takes nothing back. */
const FULL_CHARGE = 0.95;

/**
 * A car slowing on a straight: what its brakes, tyres and motors do, and how far it goes.
 *
 * @returns forces in N, distances in m, times in s, energies in J, currents in A
 * @throws CalcError where it is not to slow down, where a brake is given twice, or a share belongs to another drive
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 3
 */
export const driveBrake = (input: DriveBrakeInput): DriveBrakeResult => slowed(input, INTERVALS);

/** The same with another number of steps of the speed, for the proof that they are fine enough. */
export function slowed(input: DriveBrakeInput, intervals: number): DriveBrakeResult {
  const { fromMps, toMps = 0, brake, battery } = input;
  if (!(toMps < fromMps)) throw refusal('fromMps', 'brake.notSlower', { toMps });
  refuseBrake(brake, input.car.drivenAxles);
  const b = createBrakes(input);
  const first = brakeMoment(b, fromMps, true);
  const locks = lockFirst(b, fromMps);
  const slowing = slow(b, fromMps, toMps, brake.coastS ?? 0, intervals);
  return {
    decelMps2: first.decelMps2,
    limitedBy: first.limitedBy,
    locked: first.locked,
    motorBrakeA: first.motorA,
    axleLoadsN: { front: first.loadFrontN, rear: first.loadRearN },
    ...locks,
    idealFrontShare: idealFrontShare(b, fromMps),
    peakDecelMps2: slowing.peakDecelMps2,
    ...wholeWay(b, slowing, fromMps, toMps),
    findings: findingsOn(locks, (brake.regeneration ?? 0) > 0 && (battery.stateOfCharge ?? 1) > FULL_CHARGE),
    notes: slowing.reached ? [] : [finding('note.brake.neverThere', { to: measure(toMps, 'speedMps') })],
  };
}

/** @throws CalcError at what the brakes of a car cannot both be */
export function refuseBrake(brake: BrakeDefinition, driven: DriveBrakeInput['car']['drivenAxles']): void {
  if (brake.motorShare !== undefined && brake.motorNm !== undefined)
    throw refusal('brake.motorShare', 'brake.shareAndTorque');
  if (brake.motorFrontShare !== undefined && driven !== 'all')
    throw refusal('brake.motorFrontShare', 'brake.oneAxle');
}

function wholeWay(b: Brakes, { reached }: Slowing, fromMps: number, toMps: number) {
  if (!reached) return {};
  const { distanceM, timeS, energyJ, mostPackW } = reached;
  const squares = fromMps ** 2 - toMps ** 2;
  return {
    distanceM,
    timeS,
    meanDecelMps2: squares / (2 * distanceM),
    energy: {
      kineticJ: 0.5 * b.plant.effectiveMassKg * squares,
      motorJ: energyJ.motor,
      packJ: energyJ.pack,
      mechanicalJ: energyJ.mechanical,
      roadJ: energyJ.road,
      drivelineJ: energyJ.driveline,
      tyreJ: energyJ.tyre,
    },
    peakRegenA: mostPackW / b.plant.openV,
  };
}

/** Share of the front axle's load where all of both axles' grip is in use. */
function idealFrontShare(b: Brakes, speedMps: number): number {
  const q = speedMps ** 2;
  const [frontN, rearN] = [b.frontN + b.frontPerQ * q, b.rearN + b.rearPerQ * q];
  const moved = b.transfer * (b.mu * (frontN + rearN) + dragAndRoll(b.plant.road, q));
  return (frontN + Math.min(moved, rearN)) / (frontN + rearN);
}

function findingsOn(locks: { lockFirst: LockFirst; lockAtShare?: number }, fullPack: boolean) {
  const found: OperationFinding[] = [];
  const rear = locks.lockFirst === 'rear' ? (locks.lockAtShare ?? Infinity) : undefined;
  if (fullPack) found.push({ severity: 'over', about: 'battery', why: finding('note.brake.fullPack', {}) });
  if (rear !== undefined)
    found.push({
      severity: rear <= 1 ? 'over' : 'note',
      about: 'rear',
      why: finding('note.brake.rearFirst', rear <= 1 ? { at: measure(rear, 'share', 2) } : {}),
    });
  return found.sort((a, b) => Number(a.severity === 'note') - Number(b.severity === 'note'));
}
