import { GRAVITY } from '../../base/constants';
import {
  type BudgetInput,
  CAR_INPUTS,
  type GripCar,
  type GripDirection,
  type GripMeasurement,
  type Slipping,
} from './definition';

/** Everything that friction is worked out from, by its name. */
export type Figures = Readonly<Partial<Record<BudgetInput, number>>>;

/** Friction, and the shares of the weight on the axles where the method moves it along the car. */
export interface Slipped {
  mu: number;
  axles?: { front: number; rear: number };
}

/** A measurement as the uncertainty needs it. */
export interface Method {
  /** Field of the readings. */
  list: string;
  readings: readonly number[];
  readingError: number;
  direction: GripDirection;
  slipping: Slipping;
  /** Other figures of the method with their standard uncertainties, in order. */
  others: readonly (readonly [input: BudgetInput, value: number, error: number])[];
  frictionAt(reading: number, figures: Figures): Slipped;
}

const USUAL = {
  forceN: 0.2,
  pullHeightMm: 2,
  angleDeg: 0.5,
  lapTimeS: 0.1,
  radiusM: 0.05,
  lengthM: 0.05,
  timeS: 0.1,
} as const;

/** A push along the ground over the weight, and the axles that share it. */
function alongGround(push: number, front: number, slipping: Slipping): Slipped {
  const axles = { front, rear: 1 - front };
  return { mu: push / (slipping === 'all' ? 1 : axles[slipping]), axles };
}

/** What each method says, by the field's own statics. Source: as `grip.measure`. */
export function methodOf(measurement: GripMeasurement): Method {
  switch (measurement.method) {
    case 'pull': {
      const { forcesN, forceErrorN = USUAL.forceN, direction = 'longitudinal', locked = 'all' } = measurement;
      const { pullHeightMm, pullHeightErrorMm = USUAL.pullHeightMm, toward = 'forward' } = measurement;
      const { resistanceN = 0, resistanceErrorN = 0 } = measurement;
      const sign = toward === 'forward' ? 1 : -1;
      return {
        list: 'forcesN',
        readings: forcesN,
        readingError: forceErrorN,
        direction,
        slipping: locked,
        others: [
          ['pullHeightMm', pullHeightMm, pullHeightErrorMm],
          ['resistanceN', resistanceN, resistanceErrorN],
        ],
        frictionAt: (force, { massKg, wheelbaseMm, frontLoadShare, ...figures }) => {
          const weight = massKg! * GRAVITY;
          const push = (force - figures.resistanceN!) / weight;
          if (direction === 'lateral') return { mu: push };
          const moved = (sign * force * figures.pullHeightMm!) / (wheelbaseMm! * weight);
          return alongGround(push, frontLoadShare! + moved, locked);
        },
      };
    }
    case 'tilt': {
      const { anglesDeg, angleErrorDeg = USUAL.angleDeg, nose = 'down', locked = 'all' } = measurement;
      return {
        list: 'anglesDeg',
        readings: anglesDeg,
        readingError: angleErrorDeg,
        direction: nose === 'across' ? 'lateral' : 'longitudinal',
        slipping: locked,
        others: [],
        frictionAt: (deg, { cgHeightMm, wheelbaseMm, frontLoadShare }) => {
          const slope = Math.tan((deg * Math.PI) / 180);
          if (nose === 'across') return { mu: slope };
          const moved = ((nose === 'down' ? 1 : -1) * cgHeightMm! * slope) / wheelbaseMm!;
          return alongGround(slope, frontLoadShare! + moved, locked);
        },
      };
    }
    case 'circle': {
      const {
        lapTimesS,
        lapTimeErrorS = USUAL.lapTimeS,
        radiusM,
        radiusErrorM = USUAL.radiusM,
      } = measurement;
      return {
        list: 'lapTimesS',
        readings: lapTimesS,
        readingError: lapTimeErrorS,
        direction: 'lateral',
        slipping: measurement.locked ?? 'all',
        others: [['radiusM', radiusM, radiusErrorM]],
        frictionAt: (lap, figures) => ({ mu: (4 * Math.PI ** 2 * figures.radiusM!) / (lap ** 2 * GRAVITY) }),
      };
    }
    case 'brakeLength':
    case 'brakeTime': {
      const { speedMps, speedErrorMps, locked = 'all', resistanceN = 0, resistanceErrorN = 0 } = measurement;
      const byLength = measurement.method === 'brakeLength';
      return {
        list: byLength ? 'lengthsM' : 'timesS',
        readings: byLength ? measurement.lengthsM : measurement.timesS,
        readingError: byLength
          ? (measurement.lengthErrorM ?? USUAL.lengthM)
          : (measurement.timeErrorS ?? USUAL.timeS),
        direction: 'longitudinal',
        slipping: locked,
        others: [
          ['speedMps', speedMps, speedErrorMps],
          ['resistanceN', resistanceN, resistanceErrorN],
        ],
        frictionAt: (reading, figures) => {
          const v = figures.speedMps!;
          return slowed(byLength ? v ** 2 / (2 * reading) : v / reading, -1, figures, locked);
        },
      };
    }
    case 'launch': {
      const {
        timesS,
        timeErrorS = USUAL.timeS,
        fromMps = 0,
        fromErrorMps = 0,
        toMps,
        toErrorMps,
      } = measurement;
      const { driven, resistanceN = 0, resistanceErrorN = 0 } = measurement;
      return {
        list: 'timesS',
        readings: timesS,
        readingError: timeErrorS,
        direction: 'longitudinal',
        slipping: driven,
        others: [
          ['fromMps', fromMps, fromErrorMps],
          ['toMps', toMps, toErrorMps],
          ['resistanceN', resistanceN, resistanceErrorN],
        ],
        frictionAt: (time, figures) => slowed((figures.toMps! - figures.fromMps!) / time, 1, figures, driven),
      };
    }
  }
}

/** By how hard it slows (−1) or gathers speed (1): what rolls along takes its part, the weight moves to the front or back. */
function slowed(
  accelMps2: number,
  sign: 1 | -1,
  { massKg, resistanceN, cgHeightMm, wheelbaseMm, frontLoadShare }: Figures,
  slipping: Slipping,
): Slipped {
  const share = accelMps2 / GRAVITY;
  const push = share + (sign * resistanceN!) / (massKg! * GRAVITY);
  return alongGround(push, frontLoadShare! - (sign * cgHeightMm! * share) / wheelbaseMm!, slipping);
}

const USUAL_OF_CAR = { massKg: 0, wheelbaseMm: 1, cgHeightMm: 3, frontLoadShare: 0.01 } as const;

/** The car's figures with their standard uncertainties, in order. */
export function othersOfCar(car: GripCar): Method['others'] {
  const errors = {
    massKg: car.massErrorKg,
    wheelbaseMm: car.wheelbaseErrorMm,
    cgHeightMm: car.cgHeightErrorMm,
    frontLoadShare: car.frontLoadShareError,
  };
  return CAR_INPUTS.map((input) => [input, car[input], errors[input] ?? USUAL_OF_CAR[input]] as const);
}
