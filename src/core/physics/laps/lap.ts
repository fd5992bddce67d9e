import { type Finding, finding } from '../../base/finding';
import { refuseBrake } from '../braking/brake';
import { stretchElectrics, stretchForces } from '../heat/traceStep';
import { topWithDrag } from '../heat/topWithDrag';
import { dragAndRoll } from '../motion/road';
import { Cornering } from './corner';
import type { DriveLapInput } from './definition';
import { type Track, trackOf } from './track';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.lap.startTakenDown': Record<never, never>;
    'note.lap.stalled': Record<never, never>;
  }
}

export const LAP_LIMITS = ['grip', 'drive', 'braking'] as const;
export type LapLimit = (typeof LAP_LIMITS)[number];

export interface LapSeries {
  sM: number[];
  tS: number[];
  speedMps: number[];
  lateralMps2: number[];
  gradePct: number[];
}

export interface DriveLapResult {
  stalled: boolean;
  stalledAtM?: number;
  lengthM: number;
  lapTimeS?: number;
  minSpeedMps?: number;
  maxSpeedMps?: number;
  meanSpeedMps?: number;
  /** At the start of each segment, and at the end. */
  boundaryMps?: number[];
  /** Of the time. */
  shares?: Record<LapLimit, number>;
  fullThrottleS?: number;
  /** Per motor, in time. */
  meanMotorCurrentA?: number;
  rmsMotorCurrentA?: number;
  energyWh?: number;
  chargeMah?: number;
  lapsPerPack?: number;
  /** What cornering takes. */
  corneringWh?: number;
  maxLateralMps2?: number;
  /** Without `sM` a trace for a whole pack. */
  series?: LapSeries;
  notes: Finding[];
}

const FASTEST_MPS = 1000;
const MOST_ROUNDS = 50;
const SAME = 1e-9;
const S_PER_HOUR = 3600;

/**
 * One lap, each moment at the limit of grip, drive or brakes: quasi-steady, by passes backward and forward on v²/2.
 *
 * @returns times in s, speeds in m/s, currents in A per motor; of a car that stops on the way only where
 * @throws CalcError at a track without a form or with both, at a point twice, and at brakes that cannot be
 * @see Brayshaw and Harrison, Proc. IMechE D 219 (2005); Milliken, Race Car Vehicle Dynamics, ch. 2 and 5
 */
export function driveLap(input: DriveLapInput): DriveLapResult {
  const { decidedBy: _, ...found } = lapped(input, 1);
  return found;
}

/** A lap with what decides in each stretch of its series. */
export interface LappedResult extends DriveLapResult {
  decidedBy?: LapLimit[];
}

/** The same with the stretches scaled, for the proof that they are short enough. */
export function lapped(input: DriveLapInput, scale: number): LappedResult {
  if (input.brake) refuseBrake(input.brake, input.car.drivenAxles);
  const track = trackOf(input.track, scale);
  const car = new Cornering(input);
  const limits = backward(track, car);
  const wished = 0.5 * (input.track.startMps ?? 0) ** 2;
  const start = track.closed
    ? Math.min(limits[0]!, 0.5 * topWithDrag({ ...input, gradePct: 0 }, input.losses) ** 2)
    : Math.min(limits[0]!, wished);
  const pass = forward(track, car, limits, start);
  const takenDown = !track.closed && wished > limits[0]! * (1 + SAME);
  const notes = takenDown ? [finding('note.lap.startTakenDown', {})] : [];
  if ('stalledAtM' in pass)
    return {
      stalled: true,
      stalledAtM: pass.stalledAtM,
      lengthM: track.lengthM,
      notes: [...notes, finding('note.lap.stalled', {})],
    };
  return { stalled: false, lengthM: track.lengthM, ...observed(input, track, car, pass), notes };
}

/** v²/2 at each node from which the brakes still hold everything that comes. */
function backward(track: Track, car: Cornering): Float64Array {
  const { curvature, gradePct, tightest, wayM, closed } = track;
  const stretches = curvature.length;
  const fastest = 0.5 * FASTEST_MPS ** 2;
  const caps = Float64Array.from(tightest, (bend, node) => {
    const grade = gradePct[Math.min(node, stretches - 1)]!;
    const before = gradePct[node === 0 ? (closed ? stretches - 1 : 0) : node - 1]!;
    const cap = Math.min(car.cap(bend, grade), car.cap(bend, before));
    return Math.min(fastest, 0.5 * cap * cap);
  });
  const limits = caps.slice();
  const decel = (w: number, at: number) => car.braking(Math.sqrt(2 * w), curvature[at]!, gradePct[at]!);
  const heldBack = (w: number, at: number, length: number): number => {
    // nothing speeds up a car that brakes on the level
    if (w >= caps[at]! && gradePct[at]! >= 0) return w;
    const middle = Math.max(0, w + (length / 2) * decel(w, at));
    return Math.max(0, w + length * decel(middle, at));
  };
  for (let round = 0; round < (closed ? 2 : 1); round++) {
    if (round > 0) limits[stretches] = Math.min(caps[stretches]!, limits[0]!);
    for (let at = stretches - 1; at >= 0; at--) {
      const length = wayM[at + 1]! - wayM[at]!;
      const w = limits[at + 1]!;
      if (w >= fastest) continue;
      const limit = Math.min(caps[at]!, heldBack(w, at, length));
      // from here on the second round is the first
      if (round > 0 && limit === limits[at]) break;
      limits[at] = limit;
    }
  }
  return limits;
}

interface Pass {
  /** v²/2 at each node. */
  w: Float64Array;
  /** Of each stretch: whether drive or grip of the forward pass decides, or what comes. */
  decided: Int8Array;
}

const [BY_DRIVE, BY_GRIP, BY_LIMIT] = [0, 1, 2];

function forward(
  track: Track,
  car: Cornering,
  limits: Float64Array,
  start: number,
): Pass | { stalledAtM: number } {
  const { curvature, gradePct, wayM, closed } = track;
  const stretches = curvature.length;
  const w = new Float64Array(stretches + 1);
  const decided = new Int8Array(stretches);
  w[0] = start;
  const by = (half: number, at: number) => car.forward(Math.sqrt(2 * half), curvature[at]!, gradePct[at]!);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    for (let at = 0; at < stretches; at++) {
      const length = wayM[at + 1]! - wayM[at]!;
      const first = by(w[at]!, at);
      const middle = by(Math.max(0, w[at]! + (length / 2) * first.accelMps2), at);
      const next = w[at]! + length * middle.accelMps2;
      if (next <= 0 || (w[at] === 0 && first.accelMps2 <= 0))
        return { stalledAtM: wayM[at]! + Math.min(length, Math.max(0, w[at]! / -middle.accelMps2 || 0)) };
      const after = Math.min(limits[at + 1]!, next);
      decided[at] = next > limits[at + 1]! ? BY_LIMIT : middle.byGrip ? BY_GRIP : BY_DRIVE;
      // from here on the round is the one before
      if (round > 0 && after === w[at + 1]) return { w, decided };
      w[at + 1] = after;
    }
    if (!closed || Math.abs(w[stretches]! - w[0]!) <= SAME * w[0]!) break;
    w[0] = Math.min(limits[0]!, w[stretches]!);
  }
  return { w, decided };
}

function observed(input: DriveLapInput, track: Track, car: Cornering, { w, decided }: Pass) {
  const { curvature, gradePct, wayM, tightest, boundaries, lengthM } = track;
  const speeds = Array.from(w, (half) => Math.sqrt(2 * half));
  const spent = { grip: 0, drive: 0, braking: 0 };
  const sums = { timeS: 0, ampS: 0, squared: 0, packAs: 0, asideJ: 0 };
  const tS = [0];
  const decidedBy: LapLimit[] = [];
  for (let at = 0; at < curvature.length; at++) {
    const [before, after] = [speeds[at]!, speeds[at + 1]!];
    const length = wayM[at + 1]! - wayM[at]!;
    const dt = (2 * length) / (before + after);
    const plant = car.plant(gradePct[at]!);
    const lateral = (before * before + after * after) * 0.5 * curvature[at]!;
    const forces = stretchForces(plant, car.losses, [before, after], dt, lateral);
    const { packA } = stretchElectrics(plant, car.losses, forces, plant.windingOhm);
    const limit = limitOf(decided[at]!, car, track, at, w);
    decidedBy.push(limit);
    spent[limit] += dt;
    sums.timeS += dt;
    sums.ampS += forces.amps * dt;
    sums.squared += forces.amps ** 2 * dt;
    sums.packAs += packA * dt;
    sums.asideJ += forces.corneringJ;
    tS.push(sums.timeS);
  }
  const { timeS } = sums;
  const chargeMah = sums.packAs / (S_PER_HOUR / 1000);
  const { battery } = input;
  const lateralMps2 = speeds.map((speed, node) => speed ** 2 * tightest[node]!);
  return {
    lapTimeS: timeS,
    minSpeedMps: least(speeds),
    maxSpeedMps: most(speeds),
    meanSpeedMps: lengthM / timeS,
    ...(boundaries.length > 0 ? { boundaryMps: boundaries.map((node) => speeds[node]!) } : {}),
    shares: { grip: spent.grip / timeS, drive: spent.drive / timeS, braking: spent.braking / timeS },
    fullThrottleS: spent.drive,
    meanMotorCurrentA: sums.ampS / timeS,
    rmsMotorCurrentA: Math.sqrt(sums.squared / timeS),
    energyWh: (car.plant(0).openV * sums.packAs) / S_PER_HOUR,
    chargeMah,
    ...(chargeMah > 0
      ? { lapsPerPack: (battery.capacityMah * (battery.stateOfCharge ?? 1)) / chargeMah }
      : {}),
    corneringWh: sums.asideJ / S_PER_HOUR,
    maxLateralMps2: most(lateralMps2),
    series: {
      sM: Array.from(wayM),
      tS,
      speedMps: speeds,
      lateralMps2,
      gradePct: speeds.map((_, node) => gradePct[Math.min(node, gradePct.length - 1)]!),
    },
    decidedBy,
  };
}

function limitOf(decided: number, car: Cornering, track: Track, at: number, w: Float64Array): LapLimit {
  if (decided === BY_LIMIT) return pulls(car, track, at, w) ? 'grip' : 'braking';
  return decided === BY_GRIP ? 'grip' : 'drive';
}

/** Whether the motors do not have to brake in a stretch. */
function pulls(car: Cornering, { curvature, gradePct, wayM }: Track, at: number, w: Float64Array): boolean {
  const plant = car.plant(gradePct[at]!);
  const accel = (w[at + 1]! - w[at]!) / (wayM[at + 1]! - wayM[at]!);
  const q = w[at]! + w[at + 1]!;
  const resistance =
    dragAndRoll(plant.road, q) + plant.road.slopeN + car.aside(plant, Math.sqrt(q), curvature[at]!);
  return plant.effectiveMassKg * accel + resistance + car.behindN >= -car.idleN;
}

const least = (list: readonly number[]) => list.reduce((one, other) => Math.min(one, other));
const most = (list: readonly number[]) => list.reduce((one, other) => Math.max(one, other));
