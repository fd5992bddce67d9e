import { type BrakeMoment, brakeMoment, decelAt, type Sink, SINKS } from './brakeMoment';
import type { Brakes } from './brakes';

/** A car from one speed to another: SI throughout, energies in J. */
export interface Slowing {
  /** Left out where the speed is not reached within 600 s. */
  reached?: { distanceM: number; timeS: number; energyJ: Record<Sink, number>; mostPackW: number };
  peakDecelMps2: number;
}

export const LONGEST_S = 600;
/** Braking that loses less speed than this never ends, m/s². */
export const LEAST_MPS2 = 1e-7;
const COAST_STEP_S = 0.01;
const [LEAST_STEPS, MOST_STEPS] = [20, 20_000];

class Way {
  distanceM = 0;
  timeS = 0;
  mostPackW = 0;
  peakDecelMps2 = -Infinity;
  readonly energyJ = Object.fromEntries(SINKS.map((sink) => [sink, 0])) as Record<Sink, number>;

  see(moment: BrakeMoment): BrakeMoment {
    this.peakDecelMps2 = Math.max(this.peakDecelMps2, moment.decelMps2);
    this.mostPackW = Math.max(this.mostPackW, moment.powers.pack);
    return moment;
  }

  /** Powers at both ends and the middle of a stretch, by Simpson's rule. */
  add(seconds: number, from: BrakeMoment, middle: BrakeMoment, to: BrakeMoment): void {
    for (const sink of SINKS)
      this.energyJ[sink] += (seconds / 6) * (from.powers[sink] + 4 * middle.powers[sink] + to.powers[sink]);
  }
}

/**
 * Slows from one speed to another, the throttle closed for a while and the brake on after it.
 *
 * @param intervals of the speed while braking
 */
export function slow(b: Brakes, fromMps: number, toMps: number, coastS: number, intervals: number): Slowing {
  const way = new Way();
  const speedMps = coast(b, way, fromMps, toMps, coastS);
  const ended = speedMps <= toMps || brake(b, way, speedMps, toMps, intervals);
  const { distanceM, timeS, energyJ, mostPackW, peakDecelMps2 } = way;
  if (!ended || timeS > LONGEST_S) return { peakDecelMps2 };
  return { peakDecelMps2, reached: { distanceM, timeS, energyJ, mostPackW } };
}

/** Where the throttle is closed for a while: what is left of the speed, and how far and long it went. */
export function coasted(b: Brakes, fromMps: number, toMps: number, coastS: number) {
  const way = new Way();
  const speedMps = coast(b, way, fromMps, toMps, coastS);
  return { speedMps, distanceM: way.distanceM, timeS: way.timeS };
}

/** By the classical method of Runge and Kutta in time; ends where the speed is reached. */
function coast(b: Brakes, way: Way, fromMps: number, toMps: number, coastS: number): number {
  if (coastS === 0) return fromMps;
  const steps = Math.min(MOST_STEPS, Math.max(LEAST_STEPS, Math.ceil(coastS / COAST_STEP_S)));
  let v = fromMps;
  for (let step = 0; step < steps && v > toMps; step++) {
    const whole = coastS / steps;
    const seconds = after(b, v, whole) > toMps ? whole : timeTo(b, v, toMps, whole);
    const [middle, end] = [after(b, v, seconds / 2), after(b, v, seconds)];
    way.add(
      seconds,
      way.see(brakeMoment(b, v, false)),
      way.see(brakeMoment(b, middle, false)),
      way.see(brakeMoment(b, end, false)),
    );
    way.distanceM += (seconds / 6) * (v + 4 * middle + end);
    way.timeS += seconds;
    v = seconds < whole ? toMps : end;
  }
  return v;
}

function after(b: Brakes, v: number, seconds: number): number {
  const a = (speed: number) => -decelAt(b, Math.max(0, speed), false);
  const k1 = a(v);
  const k2 = a(v + (seconds / 2) * k1);
  const k3 = a(v + (seconds / 2) * k2);
  const k4 = a(v + seconds * k3);
  return Math.max(0, v + (seconds / 6) * (k1 + 2 * k2 + 2 * k3 + k4));
}

function timeTo(b: Brakes, v: number, toMps: number, most: number): number {
  let [low, high] = [0, most];
  for (let at = 0; at < 50; at++) {
    const middle = (low + high) / 2;
    if (after(b, v, middle) > toMps) low = middle;
    else high = middle;
  }
  return high;
}

/** In steps of the speed: dt = dv/a, dx = v·dv/a, by Simpson's rule. */
function brake(b: Brakes, way: Way, fromMps: number, toMps: number, intervals: number): boolean {
  const width = (fromMps - toMps) / intervals;
  let above = way.see(brakeMoment(b, fromMps, true));
  for (let at = 0; at < intervals; at++) {
    const v = fromMps - at * width;
    const middle = way.see(brakeMoment(b, v - width / 2, true));
    const below = way.see(brakeMoment(b, Math.max(toMps, v - width), true));
    if (Math.min(above.decelMps2, middle.decelMps2, below.decelMps2) < LEAST_MPS2) return false;
    const share = (of: (moment: BrakeMoment, speed: number) => number) =>
      (width / 6) *
      (of(above, v) / above.decelMps2 +
        (4 * of(middle, v - width / 2)) / middle.decelMps2 +
        of(below, v - width) / below.decelMps2);
    way.timeS += share(() => 1);
    way.distanceM += share((_, speed) => speed);
    for (const sink of SINKS) way.energyJ[sink] += share(({ powers }) => powers[sink]);
    above = below;
    if (way.timeS > LONGEST_S) return false;
  }
  return true;
}
