import { type Measure, measure } from '../../base/measure';
import { GRAVITY } from '../../base/constants';
import { refusal } from '../../base/errors';
import { gyroCommand, gyroLawOf, wantedRate } from './gyroLaw';
import type { YawInput, YawSeries } from './yawDefinition';

declare module '../../base/errors' {
  interface RefusalFacts {
    'yaw.quick': { durationS: Measure; mostSteps: number };
  }
}

export const OUTPUT_S = 0.002;
const LONGEST_STEP_S = 0.001;
/** Share of the car's fastest time constant that a step may take. */
const STEP_OF_TIME_CONSTANT = 0.4;
/** Steps of one motion; a stiffer car asks for more. */
const MOST_STEPS = 3_000_000;
const RAD = Math.PI / 180;

/** What the bicycle model needs of a car at one speed. */
export interface Bicycle {
  a: number;
  b: number;
  massKg: number;
  inertia: number;
  speed: number;
  /** Cornering stiffness and most force of each axle, N/rad and N. */
  front: { stiffness: number; mostN: number };
  rear: { stiffness: number; mostN: number };
}

export function bicycleOf({
  massKg,
  yawInertiaKgM2,
  cgToFrontMm,
  cgToRearMm,
  corneringFrontNPerRad,
  corneringRearNPerRad,
  mu,
  speedMps,
  frontLoadN,
  rearLoadN,
  scenario,
}: YawInput): Bicycle {
  const [a, b] = [cgToFrontMm / 1000, cgToRearMm / 1000];
  const weightN = massKg * GRAVITY;
  const left = scenario.kind === 'slide' ? scenario.rearGripShare : 1;
  return {
    a,
    b,
    massKg,
    inertia: yawInertiaKgM2,
    speed: speedMps,
    front: { stiffness: corneringFrontNPerRad, mostN: mu * (frontLoadN ?? (weightN * b) / (a + b)) },
    rear: {
      stiffness: left * corneringRearNPerRad,
      mostN: left * mu * (rearLoadN ?? (weightN * a) / (a + b)),
    },
  };
}

/** Straight-ahead yaw dynamics, rows of d(v_y, r)/dt over (v_y, r, δ). Source: Gillespie, ch. 6. */
export function linearRows({
  a,
  b,
  massKg,
  inertia,
  speed,
  front,
  rear,
}: Bicycle): readonly [readonly [number, number, number], readonly [number, number, number]] {
  const [f, r] = [front.stiffness, rear.stiffness];
  return [
    [-(f + r) / (massKg * speed), -(a * f - b * r) / (massKg * speed) - speed, f / massKg],
    [-(a * f - b * r) / (inertia * speed), -(a * a * f + b * b * r) / (inertia * speed), (a * f) / inertia],
  ];
}

/** Steering angle at a time after the command was last given: at the servo's rate while it is far, then its lag. */
function servoAt(from: number, command: number, afterS: number, lagS: number, rate: number): number {
  const gap = command - from;
  const far = Math.abs(gap) - rate * lagS;
  const side = Math.sign(gap);
  if (far <= 0) return lagS === 0 ? command : command - gap * Math.exp(-afterS / lagS);
  const slewS = far / rate;
  if (afterS <= slewS) return from + side * rate * afterS;
  return lagS === 0 ? command : command - side * rate * lagS * Math.exp(-(afterS - slewS) / lagS);
}

/** Runs the car from its disturbance at a gain; Runge-Kutta 4 between the gyro's samples, the servo in closed form. */
export function yawMotion(input: YawInput, gain: number, durationS: number): YawSeries {
  const { servo, gyro, scenario, speedMps: v } = input;
  const law = gyroLawOf(input, gain);
  const car = bicycleOf(input);
  const { a, b, massKg, inertia, front, rear } = car;
  const rows = linearRows(car);
  const fastest = Math.abs(rows[0][0]) + Math.abs(rows[1][1]);
  const longest = Math.min(LONGEST_STEP_S, STEP_OF_TIME_CONSTANT / fastest);
  if (!(durationS / longest < MOST_STEPS))
    throw refusal('corneringFrontNPerRad', 'yaw.quick', {
      durationS: measure(durationS, 'timeS', 4),
      mostSteps: MOST_STEPS,
    });
  const driver = scenario.kind === 'kick' ? 0 : scenario.steerDeg * RAD;
  const memory = { held: 0 };
  const wanted = wantedRate(law, v, driver);
  const rate = servo.rateDegPerS * RAD;
  const count = Math.round(durationS / OUTPUT_S);
  const slideDeg: number[] | undefined = scenario.kind === 'slide' ? [] : undefined;
  const series: YawSeries = {
    tS: [],
    yawRateDegPerS: [],
    steerDeg: [],
    lateralM: [],
    ...(slideDeg ? { slideDeg } : {}),
  };
  let [slide, yaw, heading, lateral] = [
    0,
    scenario.kind === 'kick' ? scenario.yawRateDegPerS * RAD : 0,
    0,
    0,
  ];
  let [filtered, command, steerFrom, commandedS] = [0, 0, 0, 0];
  let [t, sample, output] = [0, 0, 0];
  const steerAt = (at: number) => servoAt(steerFrom, command, at - commandedS, servo.lagS, rate);
  const [accel, spin] = [new Float64Array(4), new Float64Array(4)];
  const derive = (stage: number, vy: number, r: number, steer: number, cosine: number) => {
    const forceFront =
      front.mostN * Math.tanh((front.stiffness * (steer - (vy + a * r) / v)) / front.mostN) * cosine;
    const forceRear = rear.mostN * Math.tanh((rear.stiffness * -(vy - b * r)) / v / rear.mostN);
    accel[stage] = (forceFront + forceRear) / massKg - v * r;
    spin[stage] = (a * forceFront - b * forceRear) / inertia;
  };
  const advance = (h: number) => {
    const [now, half, then] = [steerAt(t), steerAt(t + h / 2), steerAt(t + h)];
    const cosHalf = Math.cos(half);
    derive(0, slide, yaw, now, Math.cos(now));
    derive(1, slide + (h / 2) * accel[0]!, yaw + (h / 2) * spin[0]!, half, cosHalf);
    derive(2, slide + (h / 2) * accel[1]!, yaw + (h / 2) * spin[1]!, half, cosHalf);
    derive(3, slide + h * accel[2]!, yaw + h * spin[2]!, then, Math.cos(then));
    // the path by the middle of the step, the heading with the yaw rate's own stages
    const [slideHalf, yawHalf] = [slide + (h / 2) * accel[1]!, yaw + (h / 2) * spin[1]!];
    const headingHalf = heading + (h / 4) * (yaw + yawHalf);
    lateral += h * (v * Math.sin(headingHalf) + slideHalf * Math.cos(headingHalf));
    heading += h * (yaw + (h / 6) * (spin[0]! + spin[1]! + spin[2]!));
    slide += (h / 6) * (accel[0]! + 2 * accel[1]! + 2 * accel[2]! + accel[3]!);
    yaw += (h / 6) * (spin[0]! + 2 * spin[1]! + 2 * spin[2]! + spin[3]!);
  };
  for (;;) {
    if (t >= sample * gyro.sampleS - 1e-12) {
      filtered += law.filter * (yaw - filtered);
      const next = gyroCommand(law, filtered, wanted, driver, memory);
      steerFrom = steerAt(t);
      command = next;
      commandedS = t;
      sample++;
    }
    if (t >= output * OUTPUT_S - 1e-12) {
      series.tS.push(output * OUTPUT_S);
      series.yawRateDegPerS.push(yaw / RAD);
      series.steerDeg.push(steerAt(t) / RAD);
      series.lateralM.push(lateral);
      slideDeg?.push(-Math.sign(driver || 1) * (Math.atan2(slide, v) / RAD));
      if (output++ >= count) return series;
    }
    const until = Math.min(sample * gyro.sampleS, output * OUTPUT_S);
    const steps = Math.max(1, Math.ceil((until - t) / longest - 1e-9));
    const h = (until - t) / steps;
    for (let step = 0; step < steps; step++) {
      advance(h);
      t += h;
    }
    t = until;
  }
}
