import { GRAVITY } from '../../base/constants';
import { refusal } from '../../base/errors';
import type { ImpactTyre } from './impactDefinition';
import type { Shaft } from './shaft';

declare module '../../base/errors' {
  interface RefusalFacts {
    'impact.tooLight': Record<never, never>;
  }
}

/** A corner that falls on its wheel; SI. */
export interface Corner {
  sprungKg: number;
  unsprungKg: number;
  tyre: ImpactTyre;
  /** None where the wheel is held to the car. */
  shaft: Shaft | undefined;
  electronics: { mountHz: number; dampingRatio?: number } | undefined;
}

/** Peaks from touch-down until the car rises through the height of touch-down again. */
export interface Fall {
  peakTyreN: number;
  peakSpringN: number;
  peakDamperN: number;
  peakSpringDamperN: number;
  peakStopN: number;
  peakMountN: number;
  peakChassisN: number;
  peakChassisS: number;
  travelM: number;
  pressedM: number;
  squashM: number;
  stopMps: number | undefined;
  turnS: number | undefined;
  /** Multiples of gravity. */
  electronicsGees: number;
}

/** Where both masses are at a time after touch-down, downwards, and what pushes them; SI. */
export interface FallMoment {
  tS: number;
  sprungM: number;
  unsprungM: number;
  tyreN: number;
  /** Into the car over the wheel. */
  chassisN: number;
}

const LONGEST_S = 0.5;
/** Longest steps, s: of a blow, and once the car has turned, the speeds are a small share of those at touch-down and no stop is near. */
const [STEP_S, CALM_STEP_S] = [5e-5, 3e-4];
const [CALM, FAR] = [0.15, 0.8];
/** Share of the shortest swing, and of the shortest decay, that a step may cover. */
const [OF_SWING, OF_DECAY] = [0.15, 0.7];
const LEAST_STEP_S = 2e-7;
const USUAL_MOUNT_DAMPING = 0.1;
const [MM, PER_MM] = [1e-3, 1e3];
/** Where an input gives none. */
export const USUAL_RIM_N_PER_MM = 300;

/** Places in the state: sprung and unsprung mass, and the electronics on their mount. */
const [YS, VS, YU, VU, Z, VZ] = [0, 1, 2, 3, 4, 5];
const SIZE = 6;

/**
 * Two masses on tyre and spring after touch-down, by Runge and Kutta.
 *
 * @param speedMps of both at touch-down
 * @param watch is told every step
 * @throws CalcError at `unsprungMassG` where the wheel is so light and so stiff that no step is fine enough
 */
export function fall(corner: Corner, speedMps: number, watch?: (moment: FallMoment) => void): Fall {
  return new Falling(corner, speedMps, watch).until();
}

class Falling {
  private readonly y = new Float64Array(SIZE);
  private readonly k = [0, 1, 2, 3].map(() => new Float64Array(SIZE));
  private readonly at = new Float64Array(SIZE);
  private together: boolean;
  private readonly found: Fall;
  private readonly ms: number;
  private readonly mu: number;
  private readonly omega: number;
  private readonly zeta: number;

  constructor(
    private readonly corner: Corner,
    speedMps: number,
    private readonly watch?: (moment: FallMoment) => void,
  ) {
    this.ms = corner.sprungKg;
    this.mu = corner.unsprungKg;
    this.omega = 2 * Math.PI * (corner.electronics?.mountHz ?? 0);
    this.zeta = corner.electronics?.dampingRatio ?? USUAL_MOUNT_DAMPING;
    this.y[VS] = speedMps;
    this.y[VU] = speedMps;
    this.together = true;
    this.found = {
      peakTyreN: 0,
      peakSpringN: 0,
      peakDamperN: 0,
      peakSpringDamperN: 0,
      peakStopN: 0,
      peakMountN: 0,
      peakChassisN: 0,
      peakChassisS: 0,
      travelM: 0,
      pressedM: 0,
      squashM: 0,
      stopMps: undefined,
      turnS: undefined,
      electronicsGees: 0,
    };
  }

  until(): Fall {
    const { shaft } = this.corner;
    const fine = this.stepS(STEP_S, shaft ? shaft.stiffest + shaft.stopStiffest : 0);
    const coarse = this.stepS(CALM_STEP_S, shaft?.stiffest ?? 0);
    const calmMps = CALM * this.y[VS]!;
    this.settle();
    this.note(0);
    for (let t = 0; t < LONGEST_S;) {
      const calm =
        this.found.turnS !== undefined &&
        Math.abs(this.y[VS]!) < calmMps &&
        Math.abs(this.y[VU]!) < calmMps &&
        this.farFromStops();
      const h = Math.min(calm ? coarse : fine, LONGEST_S - t);
      this.rungeKutta(h);
      t += h;
      this.settle();
      this.note(t);
      if (this.y[YS]! <= 0 && this.y[VS]! < 0) break;
    }
    return this.found;
  }

  /** Whether the masses hang together at the droop stop, and their common speed where they come back to it. */
  private settle(): void {
    const { shaft } = this.corner;
    if (!shaft) return;
    const { y } = this;
    if (this.together) {
      this.together = this.shaftN(0, 0) > this.common();
      if (!this.together) return;
    } else {
      const x = y[YS]! - y[YU]!;
      if (x > 0 || y[VS]! - y[VU]! >= 0) return;
      const v = (this.ms * y[VS]! + this.mu * y[VU]!) / (this.ms + this.mu);
      y[YU] = y[YS]!;
      y[VS] = v;
      y[VU] = v;
      this.together = this.shaftN(0, 0) > this.common();
    }
  }

  /** What the sprung mass feels while both move as one, N. */
  private common = () => (this.ms * this.tyreN(this.y[YU]!, this.y[VU]!)) / (this.ms + this.mu);

  private tyreN(squash: number, speed: number): number {
    if (squash < 0) return 0;
    const {
      rateNPerMm,
      dampingNsPerM = 0,
      rimAtMm = Infinity,
      rimNPerMm = USUAL_RIM_N_PER_MM,
    } = this.corner.tyre;
    const beyond = Math.max(0, squash - rimAtMm * MM);
    const rim = beyond > 0 ? (rimNPerMm - rateNPerMm) * PER_MM * beyond : 0;
    return Math.max(0, rateNPerMm * PER_MM * squash + dampingNsPerM * speed + rim);
  }

  /** Force of spring, damper and stop at the wheel, N. */
  private shaftN(x: number, speed: number): number {
    const shaft = this.corner.shaft!;
    shaft.moveTo(x);
    const { ratio, stroke } = shaft.at;
    return (
      ratio * (shaft.springN(stroke) + shaft.damperN(ratio * speed) + shaft.stopN(shaft.pressedM(stroke)))
    );
  }

  private slopes(y: Float64Array, into: Float64Array): void {
    const { ms, mu, omega, zeta } = this;
    const tyre = this.tyreN(y[YU]!, y[VU]!);
    const rides = this.corner.shaft && !this.together;
    const chassis = rides ? this.shaftN(y[YS]! - y[YU]!, y[VS]! - y[VU]!) : (ms * tyre) / (ms + mu);
    into[YS] = y[VS]!;
    into[YU] = y[VU]!;
    if (rides) {
      into[VS] = GRAVITY - chassis / ms;
      into[VU] = GRAVITY + (chassis - tyre) / mu;
    } else {
      into[VS] = GRAVITY - tyre / (ms + mu);
      into[VU] = into[VS]!;
    }
    if (omega > 0) {
      into[Z] = y[VZ]!;
      into[VZ] = chassis / ms - 2 * zeta * omega * y[VZ]! - omega ** 2 * y[Z]!;
    }
  }

  private rungeKutta(h: number): void {
    const { y, k, at } = this;
    const [k1, k2, k3, k4] = k as [Float64Array, Float64Array, Float64Array, Float64Array];
    this.slopes(y, k1);
    for (let i = 0; i < SIZE; i++) at[i] = y[i]! + 0.5 * h * k1[i]!;
    this.slopes(at, k2);
    for (let i = 0; i < SIZE; i++) at[i] = y[i]! + 0.5 * h * k2[i]!;
    this.slopes(at, k3);
    for (let i = 0; i < SIZE; i++) at[i] = y[i]! + h * k3[i]!;
    this.slopes(at, k4);
    for (let i = 0; i < SIZE; i++) y[i] = y[i]! + (h / 6) * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!);
  }

  private note(t: number): void {
    const { y, found, corner, omega, zeta } = this;
    const tyre = this.tyreN(y[YU]!, y[VU]!);
    found.peakTyreN = Math.max(found.peakTyreN, tyre);
    found.squashM = Math.max(found.squashM, y[YU]!);
    let chassis = (this.ms * tyre) / (this.ms + this.mu);
    const { shaft } = corner;
    if (shaft) {
      const x = this.together ? 0 : Math.max(0, y[YS]! - y[YU]!);
      const speed = this.together ? 0 : y[VS]! - y[VU]!;
      shaft.moveTo(x);
      const { ratio, stroke } = shaft.at;
      const spring = shaft.springN(stroke);
      const damper = shaft.damperN(ratio * speed);
      const pressed = shaft.pressedM(stroke);
      const stop = shaft.stopN(pressed);
      found.peakSpringN = Math.max(found.peakSpringN, spring);
      found.peakDamperN = Math.max(found.peakDamperN, damper);
      found.peakSpringDamperN = Math.max(found.peakSpringDamperN, spring + damper);
      found.peakStopN = Math.max(found.peakStopN, stop);
      found.peakMountN = Math.max(found.peakMountN, spring + damper + stop);
      if (x > shaft.travelM && found.stopMps === undefined) found.stopMps = speed;
      found.travelM = Math.max(found.travelM, x);
      found.pressedM = Math.max(found.pressedM, pressed);
      if (!this.together) chassis = ratio * (spring + damper + stop);
    }
    this.watch?.({ tS: t, sprungM: y[YS]!, unsprungM: y[YU]!, tyreN: tyre, chassisN: chassis });
    if (chassis > found.peakChassisN) {
      found.peakChassisN = chassis;
      found.peakChassisS = t;
    }
    const gees =
      omega > 0
        ? Math.abs(2 * zeta * omega * y[VZ]! + omega ** 2 * y[Z]!) / GRAVITY
        : chassis / this.ms / GRAVITY;
    found.electronicsGees = Math.max(found.electronicsGees, gees);
    if (t > 0 && found.turnS === undefined && y[VS]! <= 0) found.turnS = t;
  }

  /** Away from where the forces have corners. */
  private farFromStops(): boolean {
    const { shaft, tyre } = this.corner;
    const { rimAtMm = Infinity } = tyre;
    const x = this.y[YS]! - this.y[YU]!;
    return this.y[YU]! < FAR * rimAtMm * MM && (!shaft || x < FAR * shaft.travelM);
  }

  /** As fine as the stiffest swing and the fastest decay ask for, at most `longest`, s. */
  private stepS(longest: number, shaftNPerM: number): number {
    const { corner, ms, mu } = this;
    const { rateNPerMm, dampingNsPerM = 0, rimAtMm, rimNPerMm = USUAL_RIM_N_PER_MM } = corner.tyre;
    const tyre = (rimAtMm === undefined ? rateNPerMm : Math.max(rateNPerMm, rimNPerMm)) * PER_MM;
    const lightest = corner.shaft ? Math.min(ms, mu) : ms + mu;
    const damping = dampingNsPerM + (corner.shaft?.damping ?? 0);
    const step = Math.min(
      longest,
      OF_SWING / Math.max(Math.sqrt((tyre + shaftNPerM) / lightest), this.omega),
      damping > 0 ? (OF_DECAY * lightest) / damping : Infinity,
    );
    if (step < LEAST_STEP_S) throw refusal('unsprungMassG', 'impact.tooLight');
    return step;
  }
}
