import { accelerationOf, type Plant, timeConstantS } from './plant';

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
  stepScale: number;
}

/** Speed and way at equal steps of time, and the times that matter; what was not reached is NaN. */
export interface Motion {
  stepS: number;
  speedMps: number[];
  distanceM: number[];
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
  const dt = stepScale * Math.max(maxTimeS / MOST_STEPS, Math.min(LONGEST_STEP_S, STEP_OF_TIME_CONSTANT * timeConstantS(plant)));
  const steps = stalled ? 0 : Math.ceil(maxTimeS / dt - 1e-9);
  const near = 0.95 * topMps;
  const settled = topMps * (1 - SETTLED);
  const { massKg, effectiveMassKg, stallN, slackNPerMps, dragNPerA, pullNPerA, mostN, leastN } = plant;
  const { dragPerQ, downPerQ, weightN, rollingResistance, slopeN, gripN, gripPerQ, gripPerT, liftN, liftPerQ } = plant.road;
  const accel = accelerationOf(plant);
  const speeds = [0];
  const way = [0];
  let v = 0;
  let x = 0;
  let arrivalS = NaN;
  let arrivalMps = NaN;
  let nearS = NaN;

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
    const nextV = Math.min(topMps, v + (dt / 6) * sumA);
    const nextX = x + (dt / 6) * sumV;
    if (nextX >= distanceM && !(arrivalS >= 0)) {
      const share = shareWhere(x, dt * v, nextX, dt * nextV, distanceM);
      arrivalS = (i + share) * dt;
      arrivalMps = hermite(v, dt * accel(v), nextV, dt * accel(nextV), share);
    }
    if (nextV >= near && !(nearS >= 0)) nearS = (i + shareWhere(v, dt * accel(v), nextV, dt * accel(nextV), near)) * dt;
    v = nextV;
    x = nextX;
    speeds.push(v);
    way.push(x);
  }

  const t = (speeds.length - 1) * dt;
  const cruiseS = v >= settled && !(arrivalS >= 0) && !stalled ? Math.min((distanceM - x) / v, maxTimeS - t) : 0;
  if (cruiseS > 0 && x + v * cruiseS >= distanceM * (1 - 1e-12)) {
    arrivalS = t + cruiseS;
    arrivalMps = v;
  }
  return { stepS: dt, speedMps: speeds, distanceM: way, cruiseS, timeToDistanceS: arrivalS, speedAtDistanceMps: arrivalMps, timeTo95PctS: nearS };
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
