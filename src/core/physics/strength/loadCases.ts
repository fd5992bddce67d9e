import { GRAVITY } from '../../base/constants';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import { kerbStrikeN, landingOneWheelN } from './landing';

declare module '../../base/finding' {
  interface FindingFacts {
    'load.falls': { drop: Measure; stop: Measure };
    'load.halfOfLanding': Record<never, never>;
    'load.crash': { speed: Measure; stop: Measure };
    'load.bumper': { rate: Measure; speed: Measure };
    'load.kerb': { speed: Measure; stop: Measure };
    'load.cornerUp': { outer: Measure };
    'load.cornerAcross': { mu: Measure };
    'load.braking': { mu: Measure; shifted: Measure };
    'load.servo': { arm: Measure };
    'load.shafts': { by: 'motor' | 'tyres' };
    'load.mismatch': { sum: Measure; weight: Measure };
  }
}

export interface LoadCasesInput {
  massKg: number;
  wheelLoadsN: { fl: number; fr: number; rl: number; rr: number };
  cgHeightMm: number;
  wheelbaseMm: number;
  trackMm: number;
  /** Friction coefficient. */
  mu: number;
  dropHeightM?: number;
  suspensionStopMm?: number;
  crashSpeedMps?: number;
  /** What the nose gives way, or its stiffness. */
  crushMm?: number;
  bumperNPerMm?: number;
  curbSpeedMps?: number;
  curbStopMm?: number;
  servoStallNm?: number;
  servoArmMm?: number;
  motorStallNm?: number;
  /** Turns of the motor for one turn of the wheel. */
  ratio?: number;
  /** Share of the power that comes out, 0 to 1. */
  efficiency?: number;
  tyreRadiusMm?: number;
  drivenAxles?: 'front' | 'rear' | 'all';
}

export const LOAD_CASES = [
  'landingFourWheels',
  'landingOneWheel',
  'noseCrash',
  'curbStrike',
  'corneringVerticalFront',
  'corneringVerticalRear',
  'corneringLateralFront',
  'corneringLateralRear',
  'brakingFront',
  'brakingRear',
  'tieRod',
  'driveshaft',
] as const;
export type LoadCaseName = (typeof LOAD_CASES)[number];

export interface LoadCase {
  forceN?: number;
  torqueNm?: number;
  on: string;
  /** Of the force on the part, or the axis of the torque. */
  direction: readonly [number, number, number];
  /** What is assumed. */
  how: Finding;
}

export interface LoadCasesResult {
  cases: Partial<Record<LoadCaseName, LoadCase>>;
  notes: Finding[];
}

const [UP, BACK, LEFT] = [
  [0, 0, 1],
  [-1, 0, 0],
  [0, 1, 0],
] as const;
const MISMATCH = 0.02;

/**
 * What acts on the parts of a car when it lands, crashes, meets a kerb, corners, brakes and drives off.
 *
 * @returns forces in N, torques in Nm; a case whose figures are not all given is left out
 * @see Young and Budynas, Roark's Formulas for Stress and Strain, ch. 16 (impact); Gillespie, Fundamentals of Vehicle Dynamics, ch. 3 and 6
 */
export function loadCases(input: LoadCasesInput): LoadCasesResult {
  const cases = { ...impacts(input), ...handling(input), ...drives(input) };
  const { wheelLoadsN, massKg } = input;
  const sum = wheelLoadsN.fl + wheelLoadsN.fr + wheelLoadsN.rl + wheelLoadsN.rr;
  const weight = massKg * GRAVITY;
  return {
    cases,
    notes:
      Math.abs(sum - weight) > MISMATCH * weight
        ? [finding('load.mismatch', { sum: measure(sum, 'forceN'), weight: measure(weight, 'forceN') })]
        : [],
  };
}

type Cases = LoadCasesResult['cases'];

function impacts({
  massKg,
  dropHeightM,
  suspensionStopMm,
  crashSpeedMps: v,
  crushMm,
  bumperNPerMm,
  curbSpeedMps,
  curbStopMm,
}: LoadCasesInput): Cases {
  const cases: Cases = {};
  if (dropHeightM !== undefined && suspensionStopMm !== undefined) {
    const one = landingOneWheelN(massKg, dropHeightM, suspensionStopMm / 1000);
    cases.landingFourWheels = {
      forceN: 2 * one,
      on: 'all four wheels together',
      direction: UP,
      how: finding('load.falls', {
        drop: measure(dropHeightM * 1000, 'lengthMm'),
        stop: measure(suspensionStopMm, 'lengthMm'),
      }),
    };
    cases.landingOneWheel = {
      forceN: one,
      on: 'the wheel that lands first',
      direction: UP,
      how: finding('load.halfOfLanding', {}),
    };
  }
  if (v !== undefined && crushMm !== undefined)
    cases.noseCrash = {
      forceN: (massKg * v ** 2) / (crushMm / 1000),
      on: 'the nose',
      direction: BACK,
      how: finding('load.crash', { speed: measure(v, 'speedMps'), stop: measure(crushMm, 'lengthMm') }),
    };
  if (v !== undefined && bumperNPerMm !== undefined)
    cases.noseCrash = {
      forceN: v * Math.sqrt(bumperNPerMm * 1000 * massKg),
      on: 'the nose',
      direction: BACK,
      how: finding('load.bumper', {
        rate: measure(bumperNPerMm, 'rateNPerMm'),
        speed: measure(v, 'speedMps'),
      }),
    };
  if (curbSpeedMps !== undefined && curbStopMm !== undefined)
    cases.curbStrike = {
      forceN: kerbStrikeN(massKg, curbSpeedMps, curbStopMm / 1000),
      on: 'one wheel',
      direction: BACK,
      how: finding('load.kerb', {
        speed: measure(curbSpeedMps, 'speedMps'),
        stop: measure(curbStopMm, 'lengthMm'),
      }),
    };
  return cases;
}

function handling({
  massKg,
  wheelLoadsN: { fl, fr, rl, rr },
  mu,
  cgHeightMm,
  trackMm,
  wheelbaseMm,
}: LoadCasesInput): Cases {
  const outer = Math.min(1, 0.5 + (mu * cgHeightMm) / trackMm);
  const cornering = (axle: number, name: string) => ({
    vertical: {
      forceN: axle * outer,
      on: `the outer ${name} wheel`,
      direction: UP,
      how: finding('load.cornerUp', { outer: measure(outer, 'share') }),
    },
    lateral: {
      forceN: mu * axle * outer,
      on: `the outer ${name} wheel`,
      direction: LEFT,
      how: finding('load.cornerAcross', { mu: measure(mu, 'coefficient') }),
    },
  });
  const shift = (massKg * GRAVITY * mu * cgHeightMm) / wheelbaseMm;
  const braking = (axle: number, moved: number, name: string): LoadCase => ({
    forceN: Math.min(mu * massKg * GRAVITY, Math.max(0, mu * (axle + moved))),
    on: `the ${name} axle, both wheels`,
    direction: BACK,
    how: finding('load.braking', { mu: measure(mu, 'coefficient'), shifted: measure(shift, 'forceN') }),
  });
  const [front, rear] = [cornering(fl + fr, 'front'), cornering(rl + rr, 'rear')];
  return {
    corneringVerticalFront: front.vertical,
    corneringVerticalRear: rear.vertical,
    corneringLateralFront: front.lateral,
    corneringLateralRear: rear.lateral,
    brakingFront: braking(fl + fr, shift, 'front'),
    brakingRear: braking(rl + rr, -shift, 'rear'),
  };
}

function drives({
  wheelLoadsN: { fl, fr, rl, rr },
  mu,
  servoStallNm,
  servoArmMm,
  motorStallNm,
  ratio,
  efficiency = 1,
  tyreRadiusMm,
  drivenAxles,
}: LoadCasesInput): Cases {
  const cases: Cases = {};
  if (servoStallNm !== undefined && servoArmMm !== undefined)
    cases.tieRod = {
      forceN: servoStallNm / (servoArmMm / 1000),
      on: 'the tie rod',
      direction: LEFT,
      how: finding('load.servo', { arm: measure(servoArmMm, 'lengthMm') }),
    };
  if (
    motorStallNm !== undefined &&
    ratio !== undefined &&
    tyreRadiusMm !== undefined &&
    drivenAxles !== undefined
  ) {
    const loads = { front: fl + fr, rear: rl + rr };
    const axle = drivenAxles === 'all' ? (loads.front >= loads.rear ? 'front' : 'rear') : drivenAxles;
    const [motor, grip] = [motorStallNm * ratio * efficiency, (mu * loads[axle] * tyreRadiusMm) / 1000];
    cases.driveshaft = {
      torqueNm: Math.min(motor, grip),
      on: `the ${axle} axle`,
      direction: LEFT,
      how: finding('load.shafts', { by: motor <= grip ? 'motor' : 'tyres' }),
    };
  }
  return cases;
}
