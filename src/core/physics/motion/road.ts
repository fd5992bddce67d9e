import { GRAVITY } from '../../base/constants';

export type DrivenAxles = 'front' | 'rear' | 'all';

/** A car on a straight road, SI throughout. */
export interface RoadDefinition {
  /** Mass with everything on it, kg. */
  massKg: number;
  /** Drag area, m². */
  cdaM2: number;
  /** Lift areas with downforce positive, m². */
  claFrontM2: number;
  claRearM2: number;
  /** Rolling resistance over load. */
  rollingResistance: number;
  /** Static share of the front axle. */
  frontLoadShare: number;
  /** Height of the centre of gravity, m. */
  cgHeightM: number;
  wheelbaseM: number;
  drivenAxles: DrivenAxles;
  /** Friction of tyre on ground. */
  mu: number;
  airDensityKgM3: number;
  /** Rise over run, per cent. */
  gradePct: number;
}

/**
 * Resistance and traction as coefficients, so that a hot loop costs a few multiplications.
 * With q = v² and T the drag plus rolling resistance at q, all in N:
 * T = dragPerQ·q + rollingResistance·max(0, weightN + downPerQ·q),
 * grip = max(0, gripN + gripPerQ·q + gripPerT·T), lift = max(0, T + liftN + liftPerQ·q).
 */
export interface Road {
  readonly dragPerQ: number;
  readonly downPerQ: number;
  readonly weightN: number;
  /** Rolling force over load. */
  readonly rollingResistance: number;
  /** Grade resistance, N; negative downhill. */
  readonly slopeN: number;
  /** Infinity where lift alone limits. */
  readonly gripN: number;
  readonly gripPerQ: number;
  readonly gripPerT: number;
  /** Infinity for a front-driven car. */
  readonly liftN: number;
  readonly liftPerQ: number;
}

/**
 * Resistance and traction limits on a straight.
 *
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 1 and 2
 */
export function createRoad(car: RoadDefinition): Road {
  const slope = Math.atan(car.gradePct / 100);
  const weightN = car.massKg * GRAVITY * Math.cos(slope);
  const halfDensity = 0.5 * car.airDensityKgM3;
  const downFront = halfDensity * car.claFrontM2;
  const downRear = halfDensity * car.claRearM2;
  const transfer = car.cgHeightM / car.wheelbaseM;
  const frontN = weightN * car.frontLoadShare;
  const grip = { gripN: 0, gripPerQ: 0, gripPerT: 0 };
  setGrip(grip, car.mu, {
    drivenAxles: car.drivenAxles,
    transfer,
    frontN,
    rearN: weightN - frontN,
    downFront,
    downRear,
  });
  return {
    dragPerQ: halfDensity * car.cdaM2,
    downPerQ: downFront + downRear,
    weightN,
    rollingResistance: car.rollingResistance,
    slopeN: car.massKg * GRAVITY * Math.sin(slope),
    ...grip,
    ...(car.drivenAxles === 'front'
      ? { liftN: Infinity, liftPerQ: 0 }
      : { liftN: frontN / transfer, liftPerQ: downFront / transfer }),
  };
}

type Grip = Pick<Road, 'gripN' | 'gripPerQ' | 'gripPerT'>;

/** What grip is made of beside the friction. */
export interface GripShape {
  drivenAxles: DrivenAxles;
  /** Height of the centre of gravity over the wheelbase. */
  transfer: number;
  frontN: number;
  rearN: number;
  downFront: number;
  downRear: number;
}

/** Writes the grip of a friction into a road. */
export function setGrip(
  road: { -readonly [K in keyof Grip]: number },
  mu: number,
  { drivenAxles, transfer, frontN, rearN, downFront, downRear }: GripShape,
): void {
  road.gripPerT = 0;
  if (drivenAxles === 'all') {
    road.gripN = mu * (frontN + rearN);
    road.gripPerQ = mu * (downFront + downRear);
  } else if (drivenAxles === 'front') {
    const share = mu / (1 + mu * transfer);
    road.gripN = share * frontN;
    road.gripPerQ = share * downFront;
    road.gripPerT = share * transfer;
  } else if (mu * transfer >= 1) {
    road.gripN = Infinity;
    road.gripPerQ = 0;
  } else {
    const share = mu / (1 - mu * transfer);
    road.gripN = share * rearN;
    road.gripPerQ = share * downRear;
    road.gripPerT = -share * transfer;
  }
}

/** Drag plus rolling resistance, N, at the square of the speed. */
export function dragAndRoll(road: Road, q: number): number {
  const load = road.weightN + road.downPerQ * q;
  return road.dragPerQ * q + (load > 0 ? road.rollingResistance * load : 0);
}

/** The lower of the grip and the lift limit, N, at the square of the speed and its drag plus rolling resistance. */
export function traction(road: Road, q: number, t: number): number {
  const grip = road.gripN + road.gripPerQ * q + road.gripPerT * t;
  const lift = t + road.liftN + road.liftPerQ * q;
  const lower = grip < lift ? grip : lift;
  return lower > 0 ? lower : 0;
}
