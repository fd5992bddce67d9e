import { secantRoot } from '../../base/numeric/root';
import { dragAndRoll } from '../motion/road';
import { emfAt } from '../motion/plant';
import { type Balance, balanceAt, type Brakes, excesses, type Pull, pullAt } from './brakes';

export const LOCKED = ['none', 'front', 'rear', 'both'] as const;
export type Locked = (typeof LOCKED)[number];
export type BrakeLimit = 'brake' | 'grip' | 'lift';

/** One moment of slowing. Powers in W: what takes the car's energy away. */
export interface BrakeMoment {
  readonly decelMps2: number;
  readonly limitedBy: BrakeLimit;
  readonly locked: Locked;
  /** Per motor, A. */
  readonly motorA: number;
  readonly loadFrontN: number;
  readonly loadRearN: number;
  readonly powers: Readonly<Record<Sink, number>>;
}

export const SINKS = ['motor', 'pack', 'mechanical', 'road', 'driveline', 'tyre'] as const;
/** Where the energy goes; what the pack gets back is a part of what the motors take. */
export type Sink = (typeof SINKS)[number];

/** What the brakes do at a speed, with the throttle closed or the brake on. */
export function brakeMoment(b: Brakes, speedMps: number, braking: boolean): BrakeMoment {
  const pull = pullAt(b, speedMps, braking);
  return b.slides ? slidden(b, pull) : eased(b, pull);
}

const SCANNED = 8;
const FINE = 1e-12;

/** The most of all brakes alike that no axle minds, as a share of their pull. */
function easedShare(b: Brakes, pull: Pull): number {
  const excess = excesses(b, pull);
  if (excess(1) <= 0) return 1;
  let step = SCANNED - 1;
  while (step >= 0 && excess(step / SCANNED) > 0) step--;
  return step < 0 ? 0 : secantRoot(excess, step / SCANNED, (step + 1) / SCANNED, FINE);
}

/** By how much more than the most it is told what decides. */
const BEYOND = 1e-9;

/** The driver's hand is as good as what no axle minds. */
function eased(b: Brakes, pull: Pull): BrakeMoment {
  const share = easedShare(b, pull);
  const at = balanceAt(b, pull, share);
  if (share === 1) return rolling(b, pull, 1, at, 'brake');
  const { loadRearN } = balanceAt(b, pull, share + BEYOND);
  return rolling(b, pull, share, at, loadRearN < 0 ? 'lift' : 'grip');
}

/** How hard the car slows, m/s²: of `brakeMoment` that alone. */
export function decelAt(b: Brakes, speedMps: number, braking: boolean): number {
  const pull = pullAt(b, speedMps, braking);
  return b.slides ? slidden(b, pull).decelMps2 : balanceAt(b, pull, easedShare(b, pull)).decelMps2;
}

/** No wheel slides. */
function rolling(b: Brakes, pull: Pull, share: number, at: Balance, limitedBy: BrakeLimit): BrakeMoment {
  const powers = motorPowers(b, pull, share, 1);
  powers.mechanical = share * (pull.frontN + pull.rearN) * pull.speedMps;
  powers.road = roadN(b, pull.speedMps) * pull.speedMps;
  return {
    decelMps2: at.decelMps2,
    limitedBy,
    locked: 'none',
    motorA: share * pull.motorA,
    loadFrontN: at.loadFrontN,
    loadRearN: at.loadRearN,
    powers,
  };
}

/** Of a share of the motors' braking that still turns; the other powers are 0 here. */
function motorPowers(
  b: Brakes,
  { speedMps, motorA, motorN }: Pull,
  share: number,
  turning: number,
): Record<Sink, number> {
  const { plant } = b;
  const amperes = share * motorA;
  const volts = emfAt(plant, speedMps);
  const given = plant.motors * Math.max(0, amperes * volts - amperes * amperes * plant.windingOhm);
  return {
    motor: turning * plant.motors * amperes * volts,
    pack: turning * b.regeneration * given,
    mechanical: 0,
    road: 0,
    driveline: turning * (b.idleN + (1 - b.efficiency) * share * motorN) * speedMps,
    tyre: 0,
  };
}

const roadN = ({ plant }: Brakes, speedMps: number) =>
  dragAndRoll(plant.road, speedMps ** 2) + plant.road.slopeN;

interface Slide {
  frontN: number;
  rearN: number;
  locked: Locked;
}

/** The brake is held: an axle that is asked for too much slides, and the other one keeps its brake force while it can. */
function slidden(b: Brakes, pull: Pull): BrakeMoment {
  const whole = balanceAt(b, pull, 1);
  const { speedMps } = pull;
  const q = speedMps ** 2;
  const passiveN = dragAndRoll(b.plant.road, q);
  const static_ = { frontN: b.frontN + b.frontPerQ * q, rearN: b.rearN + b.rearPerQ * q };
  const mostN = Math.max(0, static_.rearN / b.transfer - passiveN);
  const slides = whole.useFront > 1 || whole.useRear > 1;
  if (!slides && whole.loadRearN >= 0) return rolling(b, pull, 1, whole, 'brake');
  const kept = {
    frontN: whole.frontShare * (pull.motorN + b.idleN) + pull.frontN,
    rearN: (1 - whole.frontShare) * (pull.motorN + b.idleN) + pull.rearN,
  };
  const slide: Slide = slides ? sliding(b, { whole, kept, passiveN, static_ }) : { ...kept, locked: 'none' };
  const tyreN = Math.min(slide.frontN + slide.rearN, mostN);
  const scale = slide.frontN + slide.rearN > 0 ? tyreN / (slide.frontN + slide.rearN) : 0;
  const [front, rear] = [isLocked(slide, 'front'), isLocked(slide, 'rear')];
  const turning = (front ? 0 : whole.frontShare) + (rear ? 0 : 1 - whole.frontShare);
  const moved = b.transfer * (tyreN + passiveN);
  return {
    decelMps2: (tyreN + passiveN + b.plant.road.slopeN) / b.plant.massKg,
    limitedBy: slide.frontN + slide.rearN > mostN ? 'lift' : 'grip',
    locked: slide.locked,
    motorA: turning > 0 ? pull.motorA : 0,
    loadFrontN: static_.frontN + moved,
    loadRearN: static_.rearN - moved,
    powers: {
      ...motorPowers(b, pull, 1, turning),
      mechanical: ((front ? 0 : pull.frontN) + (rear ? 0 : pull.rearN)) * speedMps,
      road: roadN(b, speedMps) * speedMps,
      tyre: scale * ((front ? slide.frontN : 0) + (rear ? slide.rearN : 0)) * speedMps,
    },
  };
}

const isLocked = ({ locked }: Slide, axle: 'front' | 'rear') => locked === axle || locked === 'both';

interface Sliding {
  whole: Balance;
  kept: { frontN: number; rearN: number };
  passiveN: number;
  static_: { frontN: number; rearN: number };
}

/** Where more braking brings more load than it takes, only the rear axle's lifting ends it. */
const UNBOUND_N = 1e9;

/** Forces where the axle that is used more slides: its load depends on what both axles hold. */
function sliding(b: Brakes, { whole, kept, passiveN, static_ }: Sliding): Slide {
  const { transfer } = b;
  const friction = b.slideShare * b.mu;
  const both = (): Slide => {
    const moved = transfer * (friction * (static_.frontN + static_.rearN) + passiveN);
    return {
      frontN: friction * (static_.frontN + moved),
      rearN: friction * (static_.rearN - moved),
      locked: 'both',
    };
  };
  if (whole.useFront >= whole.useRear) {
    const loose = friction * (static_.frontN + transfer * (kept.rearN + passiveN));
    const frontN = friction * transfer < 1 ? loose / (1 - friction * transfer) : UNBOUND_N;
    const loadRearN = static_.rearN - transfer * (frontN + kept.rearN + passiveN);
    return kept.rearN > b.mu * Math.max(0, loadRearN)
      ? both()
      : { frontN, rearN: kept.rearN, locked: 'front' };
  }
  const loose = friction * (static_.rearN - transfer * (kept.frontN + passiveN));
  const rearN = Math.max(0, loose / (1 + friction * transfer));
  const loadFrontN = static_.frontN + transfer * (rearN + kept.frontN + passiveN);
  return kept.frontN > b.mu * loadFrontN ? both() : { frontN: kept.frontN, rearN, locked: 'rear' };
}
