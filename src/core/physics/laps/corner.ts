import { easedDecel } from '../braking/brakeMoment';
import { type Brakes, createBrakes } from '../braking/brakes';
import { corneringN, drivelineN } from '../heat/traceStep';
import { lossesOf, TYPICAL_LOSSES } from '../heat/losses';
import { fullThrottleMps2 } from '../heat/topWithDrag';
import { createPlant, roadOf, type TunablePlant } from '../motion/plant';
import { dragAndRoll, type Road, traction } from '../motion/road';
import type { BrakeDefinition } from '../braking/definition';
import type { DriveLapInput } from './definition';

const USUAL_BRAKE: BrakeDefinition = { motorShare: 1 };

/** What a car can do at a speed in a bend on a grade, all of it at the tread. */
export class Cornering {
  readonly losses;
  readonly behindN: number;
  readonly idleN: number;
  private readonly style: number;
  private readonly across: number;
  private readonly brakes: Brakes;
  private readonly plants = new Map<number, TunablePlant>();

  constructor(private readonly input: DriveLapInput) {
    const { losses, drivingStyle = 1, lateralGripFactor = 1, brake = USUAL_BRAKE } = input;
    this.losses = losses
      ? lossesOf(losses)
      : { ...lossesOf(undefined), corneringPerRad: TYPICAL_LOSSES.corneringPerRad };
    this.style = drivingStyle;
    this.across = drivingStyle * lateralGripFactor * input.tyre.mu;
    this.brakes = createBrakes({ ...input, gradePct: 0, fromMps: 1, brake: { ...brake, onLock: 'ease' } });
    const plant = this.plant(0);
    this.behindN = drivelineN(plant, this.losses);
    this.idleN = this.brakes.idleN;
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
    const accelMps2 = fullThrottleMps2({ ...plant, road }, speedMps, aside, this.behindN);
    const q = speedMps ** 2;
    const passive = dragAndRoll(road, q);
    const usedN = plant.massKg * accelMps2 + passive + road.slopeN + aside;
    return { accelMps2, byGrip: usedN >= traction(road, q, passive) - 1e-9 * road.weightN };
  }

  /** With the brakes as far as the tyres let them, m/s². */
  braking(speedMps: number, curvature: number, gradePct: number): number {
    const plant = this.plant(gradePct);
    const aside = this.aside(plant, speedMps, curvature);
    const { road } = plant;
    const frontN = road.weightN * this.input.car.frontLoadShare;
    return easedDecel(
      {
        ...this.brakes,
        plant: { ...plant, road: { ...road, slopeN: road.slopeN + aside } },
        mu: this.gripLeft(plant, speedMps, curvature),
        frontN,
        rearN: road.weightN - frontN,
        idleN: this.idleN + this.behindN,
      },
      speedMps,
    );
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

  private left(plant: TunablePlant, speedMps: number, curvature: number, gradePct: number): Road {
    const mu = this.gripLeft(plant, speedMps, curvature);
    if (mu === this.input.tyre.mu) return plant.road;
    return roadOf({ ...this.input, tyre: { ...this.input.tyre, mu } }, gradePct);
  }
}
