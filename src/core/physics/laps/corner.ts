import { decelAt } from '../braking/brakeMoment';
import { type Brakes, createBrakes } from '../braking/brakes';
import { corneringN, drivelineN } from '../heat/traceStep';
import { lossesOf, TYPICAL_LOSSES } from '../heat/losses';
import { fullThrottleMps2 } from '../heat/topWithDrag';
import { createPlant, type TunablePlant } from '../motion/plant';
import { AIR_DENSITY } from '../../base/constants';
import { dragAndRoll, type GripShape, type Road, setGrip, traction } from '../motion/road';
import type { BrakeDefinition } from '../braking/definition';
import type { DriveLapInput } from './definition';

const USUAL_BRAKE: BrakeDefinition = { motorShare: 1 };

/** Roads of one grade that are written anew for each moment, so that a lap makes no rubbish. */
interface Scratch {
  road: { -readonly [K in keyof Road]: Road[K] };
  slowed: { -readonly [K in keyof Road]: Road[K] };
  shape: GripShape;
}

/** What a car can do at a speed in a bend on a grade, all of it at the tread. */
export class Cornering {
  readonly losses;
  readonly behindN: number;
  readonly idleN: number;
  private readonly style: number;
  private readonly across: number;
  /** Brakes and plant that are written anew for each moment, so that a lap makes no rubbish. */
  private readonly slowing: { -readonly [K in keyof Brakes]: Brakes[K] };
  private readonly slowed: TunablePlant;
  private readonly driven: TunablePlant;
  private readonly plants = new Map<number, TunablePlant>();
  private readonly scratch = new Map<number, Scratch>();

  constructor(private readonly input: DriveLapInput) {
    const { losses, drivingStyle = 1, lateralGripFactor = 1, brake = USUAL_BRAKE } = input;
    this.losses = losses
      ? lossesOf(losses)
      : { ...lossesOf(undefined), corneringPerRad: TYPICAL_LOSSES.corneringPerRad };
    this.style = drivingStyle;
    this.across = drivingStyle * lateralGripFactor * input.tyre.mu;
    const plant = this.plant(0);
    const brakes = createBrakes({ ...input, gradePct: 0, fromMps: 1, brake: { ...brake, onLock: 'ease' } });
    this.behindN = drivelineN(plant, this.losses);
    this.idleN = brakes.idleN;
    this.slowed = { ...plant };
    this.driven = { ...plant };
    this.slowing = { ...brakes, plant: this.slowed, idleN: this.idleN + this.behindN };
  }

  /** With the whole grip of the tyres, on a grade. */
  plant(gradePct: number): TunablePlant {
    const known = this.plants.get(gradePct);
    if (known) return known;
    const made = createPlant({ ...this.input, gradePct }) as TunablePlant;
    this.plants.set(gradePct, made);
    return made;
  }

  /** Highest speed in a bend, m/s; infinite where downforce grows faster than what holds the car in it asks. */
  cap(curvature: number, gradePct: number): number {
    const { road, massKg } = this.plant(gradePct);
    const asked = massKg * curvature - this.across * road.downPerQ;
    return asked > 0 ? Math.sqrt((this.across * road.weightN) / asked) : Infinity;
  }

  /** At full throttle as far as the tyres let it, m/s², and whether they set it. */
  forward(speedMps: number, curvature: number, gradePct: number): { accelMps2: number; byGrip: boolean } {
    const plant = this.plant(gradePct);
    const aside = this.aside(plant, speedMps, curvature);
    const road = this.left(plant, speedMps, curvature, gradePct);
    this.driven.road = road;
    const accelMps2 = fullThrottleMps2(this.driven, speedMps, aside, this.behindN);
    const q = speedMps ** 2;
    const passive = dragAndRoll(road, q);
    const usedN = plant.massKg * accelMps2 + passive + road.slopeN + aside;
    return { accelMps2, byGrip: usedN >= traction(road, q, passive) - 1e-9 * road.weightN };
  }

  /** With the brakes as far as the tyres let them, m/s². */
  braking(speedMps: number, curvature: number, gradePct: number): number {
    const plant = this.plant(gradePct);
    const { road } = plant;
    const { slowing, slowed } = this;
    const slope = this.scratchAt(gradePct).slowed;
    slope.slopeN = road.slopeN + this.aside(plant, speedMps, curvature);
    slowed.road = slope;
    slowing.mu = this.gripLeft(plant, speedMps, curvature);
    slowing.frontN = road.weightN * this.input.car.frontLoadShare;
    slowing.rearN = road.weightN - slowing.frontN;
    return decelAt(slowing, speedMps, true);
  }

  aside(plant: TunablePlant, speedMps: number, curvature: number): number {
    return corneringN(plant, this.losses, speedMps ** 2 * curvature, speedMps);
  }

  /** Friction along that the bend leaves. */
  private gripLeft({ massKg, road }: TunablePlant, speedMps: number, curvature: number): number {
    const { mu } = this.input.tyre;
    if (curvature === 0) return mu * this.style;
    const q = speedMps ** 2;
    const holdsN = this.across * (road.weightN + road.downPerQ * q);
    const use = holdsN > 0 ? (massKg * q * curvature) / holdsN : Infinity;
    return use >= 1 ? 0 : mu * this.style * Math.sqrt(1 - use * use);
  }

  /** The road with the friction that the bend leaves, written anew for each moment. */
  private left(plant: TunablePlant, speedMps: number, curvature: number, gradePct: number): Road {
    const scratch = this.scratchAt(gradePct);
    setGrip(scratch.road, this.gripLeft(plant, speedMps, curvature), scratch.shape);
    return scratch.road;
  }

  private scratchAt(gradePct: number): Scratch {
    const known = this.scratch.get(gradePct);
    if (known) return known;
    const { car, airDensityKgM3 = AIR_DENSITY } = this.input;
    const road = { ...this.plant(gradePct).road };
    const frontN = road.weightN * car.frontLoadShare;
    const made: Scratch = {
      road,
      slowed: { ...road },
      shape: {
        drivenAxles: car.drivenAxles,
        transfer: car.cgHeightMm / car.wheelbaseMm,
        frontN,
        rearN: road.weightN - frontN,
        downFront: 0.5 * airDensityKgM3 * (car.claFrontM2 ?? 0),
        downRear: 0.5 * airDensityKgM3 * (car.claRearM2 ?? 0),
      },
    };
    this.scratch.set(gradePct, made);
    return made;
  }
}
