import { createPlant, type Plant } from '../motion/plant';
import {
  dutyThatCarries,
  maxGradePct,
  type Standing,
  standing,
  type StandingInput,
  type StandingOutcome,
} from '../motion/standstill';
import { refuseColdLimits } from './thermal';
import {
  heatedFor,
  type Temperatures,
  type ThermalDefinition,
  USUAL_WINDING_LIMIT_C,
  windingAt,
} from './thermal';
import { finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.standstill.noGrade': Record<never, never>;
  }
}

export interface StandstillInput extends StandingInput {
  /** Shares of the throttle at which the held motor is followed. */
  throttles?: readonly number[];
  thermal?: ThermalDefinition;
}

/** The motor held at one throttle. */
export interface Held {
  /** 0 to 1. */
  throttle: number;
  outcome: StandingOutcome;
  /** Cold, A. */
  motorCurrentA: number;
  /** Seconds from the air's temperature until each is at its limit. */
  windingLimitS?: number;
  caseLimitS?: number;
}

export interface StandstillResult extends Standing {
  maxGradePct?: number;
  holdCurve: Held[];
  /** What may be held for ever. */
  safeCurrentA?: number;
  /** 0 to 1; held for ever without overheating. */
  safeThrottle?: number;
}

export const USUAL_THROTTLES = [0.2, 0.4, 0.6, 0.8, 1] as const;
const LONGEST_S = 36_000;

/**
 * Full throttle with the wheels not yet turning, and how long a motor that is held may take it.
 *
 * A brushless motor that stands carries the current in two of three phases: its hottest winding can heat half as much again.
 *
 * @throws CalcError at `thermal.ambientC` where a limit is at or below the air
 * @see Gillespie, ch. 2; Incropera, Fundamentals of Heat and Mass Transfer, ch. 5 (lumped capacity)
 */
export function driveStandstill(input: StandstillInput): StandstillResult {
  const { thermal, throttles = USUAL_THROTTLES } = input;
  if (thermal) refuseColdLimits(thermal);
  const found = standing(input);
  const grade = maxGradePct(input);
  return {
    ...found,
    ...(grade === undefined ? {} : { maxGradePct: grade }),
    notes: [...found.notes, ...(grade === undefined ? [finding('note.standstill.noGrade', {})] : [])],
    holdCurve: throttles.map((throttle) => heldAt({ ...input, throttle }, throttle)),
    ...(thermal ? heldForEver(createPlant(input), input, thermal) : {}),
  };
}

/**
 * The motor held at one throttle, and what may be held for ever.
 *
 * @throws CalcError at `thermal.ambientC` where a limit is at or below the air
 */
export function heldMotor(
  input: StandingInput,
  thermal: ThermalDefinition,
): { held: Held; safeCurrentA: number; safeThrottle: number } {
  refuseColdLimits(thermal);
  return {
    held: heldAt({ ...input, thermal }, input.throttle ?? 1),
    ...heldForEver(createPlant(input), input, thermal),
  };
}

/** What the winding and the case bear without end. */
function heldForEver(
  plant: Plant,
  input: StandstillInput,
  thermal: ThermalDefinition,
): Required<Pick<StandstillResult, 'safeCurrentA' | 'safeThrottle'>> {
  const { windingLimitC = USUAL_WINDING_LIMIT_C, caseLimitC, ambientC } = thermal;
  const across = thermal.windingToCaseKPerW + thermal.caseToAmbientKPerW;
  const watts = Math.min(
    (windingLimitC - ambientC) / across,
    caseLimitC === undefined ? Infinity : (caseLimitC - ambientC) / thermal.caseToAmbientKPerW,
  );
  const warmOhm = windingAt(input.motor.resistanceMilliOhm / 1000, ambientC + watts * across);
  const safeCurrentA = Math.sqrt(watts / warmOhm);
  const warm = { ...plant, windingOhm: warmOhm + (input.esc.resistanceMilliOhm ?? 0) / 1000 };
  const duty = safeCurrentA >= plant.limitA ? 1 : dutyThatCarries(warm, safeCurrentA);
  return { safeCurrentA, safeThrottle: Math.min(1, duty ?? 1) };
}

function heldAt(input: StandstillInput, throttle: number): Held {
  const { outcome, motorCurrentA } = standing(input);
  return {
    throttle,
    outcome,
    motorCurrentA,
    ...(input.thermal ? secondsToLimits(createPlant(input), input, input.thermal) : {}),
  };
}

/** Steps of the held motor: a share of the winding's time constant that grows, as everything slows down. */
const [FIRST_STEP, GROWTH, LONGEST_STEP] = [0.01, 1.02, 0.02];

function secondsToLimits(
  plant: Plant,
  input: StandstillInput,
  thermal: ThermalDefinition,
): Pick<Held, 'windingLimitS' | 'caseLimitS'> {
  const { windingLimitC = USUAL_WINDING_LIMIT_C, caseLimitC = Infinity, ambientC } = thermal;
  const coldOhm = input.motor.resistanceMilliOhm / 1000;
  // the current falls as the winding warms: what it bears cold it bears
  const coldA = Math.min(plant.appliedV / plant.loopOhm, plant.limitA);
  if (coldA <= heldForEver(plant, input, thermal).safeCurrentA) return {};
  const currentAt = (windingC: number) =>
    Math.min(plant.appliedV / (plant.loopOhm - coldOhm + windingAt(coldOhm, windingC)), plant.limitA);
  const after = (state: Temperatures, seconds: number): Temperatures => {
    const step = (amps: number) =>
      heatedFor(state, { copperW: amps ** 2 * coldOhm, frictionW: 0, speedMps: 0 }, thermal, seconds);
    const [guess] = step(currentAt(state[0]));
    return step((currentAt(state[0]) + currentAt(guess)) / 2);
  };
  const tauWinding = thermal.windingHeatCapacityJPerK * thermal.windingToCaseKPerW;
  const tauCase = thermal.caseHeatCapacityJPerK * thermal.caseToAmbientKPerW;
  let [state, time, step]: [Temperatures, number, number] = [
    [ambientC, ambientC],
    0,
    FIRST_STEP * tauWinding,
  ];
  const found: { windingLimitS?: number; caseLimitS?: number } = {};
  const crossing = (from: Temperatures, node: 0 | 1, limitC: number, width: number): number => {
    let [low, high] = [0, width];
    for (let turn = 0; turn < 40; turn++) {
      const middle = (low + high) / 2;
      if (after(from, middle)[node] >= limitC) high = middle;
      else low = middle;
    }
    return high;
  };
  while (
    time < LONGEST_S &&
    (found.windingLimitS === undefined || (found.caseLimitS === undefined && caseLimitC < Infinity))
  ) {
    const width = Math.min(step, LONGEST_S - time);
    const next = after(state, width);
    if (found.windingLimitS === undefined && next[0] >= windingLimitC)
      found.windingLimitS = time + crossing(state, 0, windingLimitC, width);
    if (found.caseLimitS === undefined && next[1] >= caseLimitC)
      found.caseLimitS = time + crossing(state, 1, caseLimitC, width);
    time += width;
    state = next;
    step = Math.min(step * GROWTH, Math.max(FIRST_STEP * tauWinding, LONGEST_STEP * tauCase));
  }
  return found;
}
