import { accelMps2, type Plant, timeConstantS, wheelForceN } from './plant';

/** Longest step, s, and the share of the speed's own time constant that a step may take. */
const LONGEST_STEP_S = 0.01;
const STEP_OF_TIME_CONSTANT = 0.25;
const MOST_STEPS = 60_000;
/** Share of the top speed within which the speed no longer changes. */
const SETTLED = 1e-9;

export interface RunLimits {
  /** Speed that the run cannot pass, m/s. */
  topMps: number;
  distanceM: number;
  maxTimeS: number;
  stalled: boolean;
  /** Times the usual step. */
  stepScale: number;
}

/** Speed and way at equal steps of time, and the times that matter; what was not reached is NaN. */
export interface Motion {
  stepS: number;
  speedMps: number[];
  distanceM: number[];
  /** Length of the last step, which ends where the last of distance and 95 % is reached. */
  lastStepS: number;
  /** A last stretch at the top speed, which takes no steps; 0 where there is none. */
  cruiseS: number;
  timeToDistanceS: number;
  speedAtDistanceMps: number;
  timeTo95PctS: number;
}

/**
 * Fourth-order Runge-Kutta at a fixed step, until the distance and 95 % of the top speed are both reached.
 *
 * The loop writes the acceleration of `observe` out once more: a call a stage would cost more than the arithmetic.
 */
export function integrateRun(plant: Plant, limits: RunLimits): Motion {
  const { topMps, distanceM, maxTimeS, stalled, stepScale } = limits;
  const dt =
    stepScale *
    Math.max(maxTimeS / MOST_STEPS, Math.min(LONGEST_STEP_S, STEP_OF_TIME_CONSTANT * timeConstantS(plant)));
  const steps = stalled ? 0 : Math.ceil(maxTimeS / dt - 1e-9);
  const near = 0.95 * topMps;
  const settled = topMps * (1 - SETTLED);
  const { massKg, effectiveMassKg, stallN, slackNPerMps, dragNPerA, pullNPerA, mostN, leastN, grown } = plant;
  const {
    dragPerQ,
    downPerQ,
    weightN,
    rollingResistance,
    slopeN,
    gripN,
    gripPerQ,
    gripPerT,
    liftN,
    liftPerQ,
  } = plant.road;
  const speeds = [0];
  const way = [0];
  let v = 0;
  let x = 0;
  let arrivalS = NaN;
  let arrivalMps = NaN;
  let nearS = NaN;
  let lastStepS = dt;

  for (let i = 0; i < steps && v < settled && !(arrivalS >= 0 && nearS >= 0); i++) {
    let sumA = 0;
    let sumV = 0;
    let u = v;
    for (let stage = 0; stage < 4; stage++) {
      const q = u * u;
      const load = weightN + downPerQ * q;
      const passive = dragPerQ * q + (load > 0 ? rollingResistance * load : 0);
      const resistance = passive + slopeN;
      const line = stallN - slackNPerMps * u;
      let force = line < 0 ? (line * dragNPerA) / pullNPerA : line;
      force = force > mostN ? mostN : force < leastN ? leastN : force;
      if (grown) force = wheelForceN(plant, u);
      const free = (force - resistance) / effectiveMassKg;
      const grip = gripN + gripPerQ * q + gripPerT * passive;
      const lift = passive + liftN + liftPerQ * q;
      const lower = grip < lift ? grip : lift;
      const held = lower > 0 ? lower : 0;
      const a = massKg * free + resistance > held ? (held - resistance) / massKg : free;
      const weight = stage === 0 || stage === 3 ? 1 : 2;
      sumA += weight * a;
      sumV += weight * u;
      u = Math.min(topMps, v + (stage === 2 ? dt : 0.5 * dt) * a);
    }
    let last: { share: number; v: number; x: number } | undefined;
    const nextV = Math.min(topMps, v + (dt / 6) * sumA);
    const nextX = x + (dt / 6) * sumV;
    if (nextX >= distanceM && !(arrivalS >= 0)) {
      const there = reached(plant, { v, x }, dt, topMps, 'x', distanceM);
      arrivalS = (i + there.share) * dt;
      arrivalMps = there.v;
      last = there;
    }
    if (nextV >= near && !(nearS >= 0)) {
      const there = reached(plant, { v, x }, dt, topMps, 'v', near);
      nearS = (i + there.share) * dt;
      if (!last || there.share > last.share) last = there;
    }
    const ends = last !== undefined && arrivalS >= 0 && nearS >= 0;
    v = ends ? last!.v : nextV;
    x = ends ? last!.x : nextX;
    if (ends) lastStepS = last!.share * dt;
    speeds.push(v);
    way.push(x);
  }

  const t = (speeds.length - 2) * dt + lastStepS;
  const cruiseS =
    v >= settled && !(arrivalS >= 0) && !stalled ? Math.min((distanceM - x) / v, maxTimeS - t) : 0;
  if (cruiseS > 0 && x + v * cruiseS >= distanceM * (1 - 1e-12)) {
    arrivalS = t + cruiseS;
    arrivalMps = v;
  }
  return {
    stepS: dt,
    lastStepS,
    speedMps: speeds,
    distanceM: way,
    cruiseS,
    timeToDistanceS: arrivalS,
    speedAtDistanceMps: arrivalMps,
    timeTo95PctS: nearS,
  };
}

/** Parts into which the step is cut in which something is reached; a limit may hand over within it. */
const PARTS = 32;

/** Share of a step, and speed and way there, at which the speed or the way reaches a value. */
function reached(
  plant: Plant,
  from: { v: number; x: number },
  dt: number,
  topMps: number,
  what: 'v' | 'x',
  value: number,
) {
  const h = dt / PARTS;
  let { v, x } = from;
  for (let part = 0; ; part++) {
    const middle = Math.min(topMps, v + 0.5 * h * accelMps2(plant, v));
    const nextV = Math.min(topMps, v + h * accelMps2(plant, middle));
    const nextX = x + h * middle;
    const [before, after] = what === 'v' ? [v, nextV] : [x, nextX];
    if (after >= value || part === PARTS - 1) {
      const share = after > before ? Math.min(1, (value - before) / (after - before)) : 1;
      return { share: (part + share) / PARTS, v: v + share * (nextV - v), x: x + share * (nextX - x) };
    }
    v = nextV;
    x = nextX;
  }
}
