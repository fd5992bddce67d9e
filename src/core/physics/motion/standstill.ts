import { RAD_PER_S_PER_RPM } from '../../base/constants';
import type { DriveRunInput } from './definition';
import {
  createPlant,
  dutyFor,
  newMoment,
  observe,
  ACCEL,
  LIMIT,
  LIMITS,
  type Limit,
  type Plant,
  wheelForceN,
} from './plant';
import { dragAndRoll } from './road';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.standstill.tyresSlip': Record<never, never>;
    'note.standstill.noFriction': Record<never, never>;
  }
}

/** A car at full throttle whose wheels do not turn yet. */
export interface StandingInput extends DriveRunInput {
  /** Stiction of bearings, seals and grease as a force at the tread, N, that the drive must overcome first. */
  breakawayN?: number;
}

/** One value that would do by itself, everything else as it is; a key is left out where no value helps. */
export interface StandingRemedies {
  /** Friction coefficient that would do. */
  muNeeded?: number;
  /** Share of the weight on the front axle, 0 to 1. */
  frontLoadShareNeeded?: number;
  /** Whether driving all wheels would hold it. */
  allWheelHolds?: boolean;
  /** Turns of the motor for one turn of the wheel. */
  ratioNeeded?: number;
  kvNeededRpmPerV?: number;
  motorTorqueNeededNm?: number;
  currentLimitNeededA?: number;
  /** 0 to 1. */
  throttleNeeded?: number;
  massMaxKg?: number;
}

export const STANDING_OUTCOMES = ['moves', 'spins', 'stalls'] as const;
export type StandingOutcome = (typeof STANDING_OUTCOMES)[number];

export interface Standing {
  /** Force at the tread after the breakaway, N. */
  driveN: number;
  /** Rolling resistance and grade, N. */
  neededN: number;
  /** The lower of grip and lift, N. */
  gripN: number;
  gripLimitedBy: 'grip' | 'lift';
  /** Per motor, held, A. */
  motorCurrentA: number;
  /** Per motor, Nm. */
  motorTorqueNm: number;
  currentLimited: boolean;
  outcome: StandingOutcome;
  /** Where it moves, m/s². */
  accelMps2?: number;
  limitedBy?: Limit;
  wheelspin?: boolean;
  /** What is lacking, as a share of what is needed, %. */
  shortPct?: number;
  driveAlsoShort?: boolean;
  /** Wheels that spin freely: per motor, A and rpm, and the speed of the tread, m/s. */
  spinCurrentA?: number;
  spinMotorRpm?: number;
  spinTreadMps?: number;
  /** What the drive lacks, N. */
  shortN?: number;
  shortOf?: 'breakaway' | 'current' | 'voltage';
  motorTorqueNeededNm?: number;
  currentNeededA?: number;
  gripAlsoShort?: true;
  remedies: StandingRemedies;
  notes: Finding[];
}

/**
 * What full throttle does to a car at rest: it moves, its tyres spin, or its motor is held.
 *
 * @returns forces in N at the tread, currents in A and torques in Nm per motor
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2; the DC-motor equations of any drives text
 */
export function standing(input: StandingInput): Standing {
  const plant = createPlant(input);
  const { road } = plant;
  const rollN = dragAndRoll(road, 0);
  const neededN = rollN + road.slopeN;
  const grip = Math.max(0, road.gripN + road.gripPerT * rollN);
  const lift = Math.max(0, rollN + road.liftN);
  const gripN = Math.min(grip, lift);
  const pullN = wheelForceN(plant, 0);
  const driveN = pullN - (input.breakawayN ?? 0);
  const unlimitedA = plant.appliedV / plant.loopOhm;
  const motorCurrentA = Math.min(unlimitedA, plant.limitA);
  const perAmpere = 1 / (input.motor.kvRpmPerV * RAD_PER_S_PER_RPM);
  const common = {
    driveN,
    neededN,
    gripN,
    gripLimitedBy: lift < grip ? ('lift' as const) : ('grip' as const),
    motorCurrentA,
    motorTorqueNm: perAmpere * (motorCurrentA - plant.idleA),
    currentLimited: unlimitedA > plant.limitA,
  };
  const shortPct = (shortN: number) => (neededN > 0 ? { shortPct: (100 * shortN) / neededN } : {});
  if (driveN > neededN && gripN > neededN)
    return { ...common, outcome: 'moves', ...moving(plant), remedies: {}, notes: [] };
  const asked: Asked = { input, plant, rollN, neededN, gripN, pullN, driveN, unlimitedA, perAmpere };
  if (driveN > gripN)
    return {
      ...common,
      outcome: 'spins',
      ...shortPct(neededN - gripN),
      driveAlsoShort: driveN <= neededN,
      ...spinning(asked),
      ...tyreRemedies(asked),
    };
  const gripShort = gripN <= neededN;
  const torqueNm = torqueNeeded(asked);
  return {
    ...common,
    outcome: 'stalls',
    shortN: neededN - driveN,
    ...shortPct(neededN - driveN),
    shortOf: pullN > neededN ? 'breakaway' : common.currentLimited ? 'current' : 'voltage',
    motorTorqueNeededNm: torqueNm,
    currentNeededA: torqueNm / perAmpere + plant.idleA,
    ...(gripShort ? { gripAlsoShort: true as const } : {}),
    remedies: gripShort ? {} : driveRemedies(asked),
    notes: gripShort ? [finding('note.standstill.tyresSlip', {})] : [],
  };
}

interface Asked {
  input: StandingInput;
  plant: Plant;
  rollN: number;
  neededN: number;
  gripN: number;
  /** At the tread, breakaway not taken off. */
  pullN: number;
  driveN: number;
  /** Current before the limit, A. */
  unlimitedA: number;
  /** Torque of an ampere, Nm. */
  perAmpere: number;
}

function moving(plant: Plant): Pick<Standing, 'accelMps2' | 'limitedBy' | 'wheelspin'> {
  const moment = newMoment();
  observe(plant, 0, moment);
  const limitedBy = LIMITS[moment[LIMIT]!]!;
  return { accelMps2: moment[ACCEL]!, limitedBy, wheelspin: limitedBy === 'grip' || limitedBy === 'lift' };
}

/** Wheels that turn freely under sliding friction. */
function spinning({
  plant,
  gripN,
  input,
}: Asked): Pick<Standing, 'spinCurrentA' | 'spinMotorRpm' | 'spinTreadMps'> {
  const spinCurrentA = gripN / plant.pullNPerA + plant.idleA;
  const spinTreadMps = (plant.appliedV - spinCurrentA * plant.loopOhm) / plant.emfPerMps;
  const perMetre = input.drive.ratio / (input.tyre.radiusMm / 1000);
  return { spinCurrentA, spinTreadMps, spinMotorRpm: (spinTreadMps * perMetre) / RAD_PER_S_PER_RPM };
}

/** What the tyres would need. */
function tyreRemedies({ input, plant, rollN, neededN }: Asked): Pick<Standing, 'remedies' | 'notes'> {
  const { car, tyre } = input;
  const weightN = plant.road.weightN;
  const transfer = car.cgHeightMm / car.wheelbaseMm;
  const moved = transfer * (neededN - rollN);
  const frontN = weightN * car.frontLoadShare;
  const lifts = (frontShare: number) =>
    car.drivenAxles !== 'front' && rollN + (weightN * frontShare) / transfer <= neededN;
  const loadN = { front: frontN - moved, rear: weightN - frontN + moved, all: weightN }[car.drivenAxles];
  const liftsFirst = lifts(car.frontLoadShare);
  const muNeeded = liftsFirst || loadN <= 0 ? undefined : neededN / loadN;
  const share =
    car.drivenAxles === 'front'
      ? (neededN / tyre.mu + moved) / weightN
      : 1 - (neededN / tyre.mu - moved) / weightN;
  const shareHelps = car.drivenAxles !== 'all' && tyre.mu > 0 && share >= 0 && share <= 1 && !lifts(share);
  return {
    remedies: {
      ...(muNeeded === undefined ? {} : { muNeeded }),
      ...(shareHelps ? { frontLoadShareNeeded: share } : {}),
      ...(car.drivenAxles === 'all'
        ? {}
        : { allWheelHolds: Math.min(tyre.mu * weightN, rollN + frontN / transfer) > neededN }),
    },
    notes: muNeeded === undefined ? [finding('note.standstill.noFriction', {})] : [],
  };
}

const torqueNeeded = ({ input, plant, neededN, perAmpere }: Asked) =>
  ((neededN + (input.breakawayN ?? 0)) / plant.pullNPerA) * perAmpere;

/** What the drive would need, where the tyres hold. */
function driveRemedies(asked: Asked): StandingRemedies {
  const { input, plant, neededN, pullN, driveN, unlimitedA, perAmpere } = asked;
  const forceN = neededN + (input.breakawayN ?? 0);
  const torqueNm = torqueNeeded(asked);
  const currentA = torqueNm / perAmpere + plant.idleA;
  const duty = dutyThatCarries(plant, currentA);
  return {
    ...(pullN > 0 ? { ratioNeeded: (input.drive.ratio * forceN) / pullN } : {}),
    ...(pullN > 0 && unlimitedA > plant.limitA
      ? { kvNeededRpmPerV: (input.motor.kvRpmPerV * pullN) / forceN }
      : {}),
    motorTorqueNeededNm: torqueNm,
    ...(unlimitedA >= currentA ? { currentLimitNeededA: currentA } : {}),
    ...(currentA <= plant.limitA && duty !== undefined && duty <= 1 ? { throttleNeeded: duty } : {}),
    ...(driveN > 0 && neededN > 0 ? { massMaxKg: (input.car.massKg * driveN) / neededN } : {}),
  };
}

/** Duty that carries a current through a motor that stands; none where the pack cannot. */
export function dutyThatCarries(plant: Plant, currentA: number): number | undefined {
  const carried = plant.openV ** 2 - 4 * plant.motors * currentA ** 2 * plant.packOhm * plant.windingOhm;
  return carried < 0 ? undefined : dutyFor(plant, currentA, 0);
}

const [GRADE_FROM, GRADE_TO, GRADE_STEP, GRADE_FINE] = [-100, 300, 0.5, 1e-6];

/** Smallest grade at which it no longer moves, %; none where it moves on all of them, or already does not at the lowest. */
export function maxGradePct(input: StandingInput): number | undefined {
  const moves = (gradePct: number) => movesOn({ ...input, gradePct });
  if (!moves(GRADE_FROM)) return undefined;
  for (let grade = GRADE_FROM + GRADE_STEP; grade <= GRADE_TO; grade += GRADE_STEP) {
    if (moves(grade)) continue;
    let [low, high] = [grade - GRADE_STEP, grade];
    while (high - low > GRADE_FINE) {
      const middle = (low + high) / 2;
      if (moves(middle)) low = middle;
      else high = middle;
    }
    return high;
  }
  return undefined;
}

function movesOn(input: StandingInput): boolean {
  const plant = createPlant(input);
  const rollN = dragAndRoll(plant.road, 0);
  const neededN = rollN + plant.road.slopeN;
  const gripN = Math.max(
    0,
    Math.min(plant.road.gripN + plant.road.gripPerT * rollN, rollN + plant.road.liftN),
  );
  return wheelForceN(plant, 0) - (input.breakawayN ?? 0) > neededN && gripN > neededN;
}
