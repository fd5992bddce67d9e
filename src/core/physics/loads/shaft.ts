import type { ImpactSuspension } from './impactDefinition';

const MM = 1e-3;
const PER_MM = 1e3;
const [STOP_N_PER_MM, STOP_CRUSH_MM, STOP_SOLID_N_PER_MM] = [20, 4, 500];

/** Spring, damper and stop of a corner, by wheel travel from full droop; SI. */
export interface Shaft {
  readonly travelM: number;
  readonly crushM: number;
  ratioAt(x: number): number;
  /** Stroke of the shaft, m. */
  strokeAt(x: number): number;
  springN(stroke: number): number;
  /** At a speed of the shaft, m/s, positive in bump. */
  damperN(speed: number): number;
  /** How far the stop is pressed, m. */
  pressedM(stroke: number): number;
  stopN(pressed: number): number;
  /** Largest rates of spring and stop, and damping, at the wheel, for the choice of a step, N/m and N s/m. */
  readonly stiffest: number;
  readonly stopStiffest: number;
  readonly damping: number;
}

export function shaftOf({
  springNPerMm,
  preloadMm = 0,
  motionRatio,
  wheelTravelMm,
  damperNsPerM = 0,
  reboundNsPerM = damperNsPerM,
  packNs2PerM2 = 0,
  bumpStop = {},
}: ImpactSuspension): Shaft {
  const { rateNPerMm = STOP_N_PER_MM, crushMm = STOP_CRUSH_MM, solidNPerMm = STOP_SOLID_N_PER_MM } = bumpStop;
  const { ratioAt, strokeAt, largest } = kinematics(motionRatio);
  const travelM = wheelTravelMm * MM;
  const fullStroke = strokeAt(travelM);
  const spring = springNPerMm * PER_MM;
  const crushM = crushMm * MM;
  const [soft, solid] = [rateNPerMm * PER_MM, solidNPerMm * PER_MM];
  return {
    travelM,
    crushM,
    ratioAt,
    strokeAt,
    springN: (stroke) => spring * (preloadMm * MM + stroke),
    damperN: (speed) =>
      speed >= 0 ? damperNsPerM * speed + packNs2PerM2 * speed * speed : reboundNsPerM * speed,
    pressedM: (stroke) => Math.max(0, stroke - fullStroke),
    stopN: (pressed) => soft * pressed + solid * Math.max(0, pressed - crushM),
    stiffest: spring * largest ** 2,
    stopStiffest: (soft + solid) * largest ** 2,
    damping: Math.max(damperNsPerM, reboundNsPerM) * largest ** 2,
  };
}

function kinematics(motionRatio: ImpactSuspension['motionRatio']) {
  if (typeof motionRatio === 'number')
    return { ratioAt: () => motionRatio, strokeAt: (x: number) => motionRatio * x, largest: motionRatio };
  const xs = motionRatio.travelMm.map((mm) => mm * MM);
  const { ratio } = motionRatio;
  const last = xs.length - 1;
  const ratioAt = (x: number) => {
    if (x <= xs[0]!) return ratio[0]!;
    if (x >= xs[last]!) return ratio[last]!;
    const k = xs.findIndex((one) => one > x);
    return ratio[k - 1]! + ((x - xs[k - 1]!) / (xs[k]! - xs[k - 1]!)) * (ratio[k]! - ratio[k - 1]!);
  };
  /** ∫ of the ratio from the first point, by trapezia. */
  const from0 = (x: number) => {
    if (x <= xs[0]!) return ratio[0]! * (x - xs[0]!);
    let sum = 0;
    for (let k = 1; k <= last; k++) {
      const end = Math.min(x, xs[k]!);
      sum += 0.5 * (ratio[k - 1]! + ratioAt(end)) * (end - xs[k - 1]!);
      if (x <= xs[k]!) return sum;
    }
    return sum + ratio[last]! * (x - xs[last]!);
  };
  const atDroop = from0(0);
  return { ratioAt, strokeAt: (x: number) => from0(x) - atDroop, largest: Math.max(...ratio) };
}
