import type { ImpactSuspension } from './impactDefinition';

const MM = 1e-3;
const PER_MM = 1e3;
const [STOP_N_PER_MM, STOP_CRUSH_MM, STOP_SOLID_N_PER_MM] = [20, 4, 500];

/** Spring, damper and stop of a corner, by wheel travel from full droop; SI. */
export interface Shaft {
  readonly travelM: number;
  readonly crushM: number;
  /** Motion ratio, and the stroke of the shaft, m, at the travel that was last moved to. */
  readonly at: { ratio: number; stroke: number };
  moveTo(x: number): void;
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
  const { at, moveTo, largest } = kinematics(motionRatio);
  const travelM = wheelTravelMm * MM;
  moveTo(travelM);
  const fullStroke = at.stroke;
  const spring = springNPerMm * PER_MM;
  const crushM = crushMm * MM;
  const [soft, solid] = [rateNPerMm * PER_MM, solidNPerMm * PER_MM];
  return {
    travelM,
    crushM,
    at,
    moveTo,
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
  const at = { ratio: 0, stroke: 0 };
  if (typeof motionRatio === 'number') {
    at.ratio = motionRatio;
    return { at, moveTo: (x: number) => void (at.stroke = motionRatio * x), largest: motionRatio };
  }
  const xs = motionRatio.travelMm.map((mm) => mm * MM);
  const { ratio } = motionRatio;
  const last = xs.length - 1;
  const slopes = xs.slice(1).map((x, k) => (ratio[k + 1]! - ratio[k]!) / (x - xs[k]!));
  /** ∫ of the ratio from the first point to each, by trapezia. */
  const strokes = [0];
  for (let k = 1; k <= last; k++)
    strokes.push(strokes[k - 1]! + 0.5 * (ratio[k - 1]! + ratio[k]!) * (xs[k]! - xs[k - 1]!));
  // travel changes little from one moment to the next, so the place is sought from the last one
  let k = 0;
  const seek = (x: number) => {
    while (k < last - 1 && x >= xs[k + 1]!) k++;
    while (k > 0 && x < xs[k]!) k--;
    if (x <= xs[0]!) {
      at.ratio = ratio[0]!;
      at.stroke = ratio[0]! * (x - xs[0]!);
    } else if (x >= xs[last]!) {
      at.ratio = ratio[last]!;
      at.stroke = strokes[last]! + ratio[last]! * (x - xs[last]!);
    } else {
      const beyond = x - xs[k]!;
      at.ratio = ratio[k]! + slopes[k]! * beyond;
      at.stroke = strokes[k]! + beyond * (ratio[k]! + 0.5 * slopes[k]! * beyond);
    }
  };
  seek(0);
  const atDroop = at.stroke;
  const moveTo = (x: number) => {
    seek(x);
    at.stroke -= atDroop;
  };
  return { at, moveTo, largest: Math.max(...ratio) };
}
