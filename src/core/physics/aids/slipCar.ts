import type { DriveRunInput } from '../motion/definition';
import { createPlant, type Plant } from '../motion/plant';
import { dragAndRoll } from '../motion/road';
import type { SlipTyre } from './slipDefinition';

/** Speed under which slip is told against this one, m/s, so that it stays finite at rest. */
export const LEAST_SLIP_MPS = 0.5;

/** A car that drives or brakes on one axle, or on both as one, with a tyre that slips. */
export interface SlipCar {
  plant: Plant;
  /** What turns, as if it moved along, kg. */
  spinKg: number;
  radiusM: number;
  /** Friction over slip, odd in it. */
  friction(slip: number): number;
  /** Force of the driven axle at a speed and a slip, N. */
  forceN(speed: number, slip: number): number;
  resistanceN(speed: number): number;
}

type SlipCarInput = Omit<DriveRunInput, 'tyre'> & { tyre: SlipTyre };

/**
 * The run's car with μ(κ) = μ_p·sin(C·atan(B·κ)), B = tan(π/2C)/κ_p, in place of a limit.
 *
 * @see Pacejka, Tyre and Vehicle Dynamics, ch. 4
 */
export function slipCarOf(input: SlipCarInput): SlipCar {
  const { radiusMm, muPeak, slipAtPeakPct, shape = 1.4 } = input.tyre;
  const plant = createPlant({ ...input, tyre: { radiusMm, mu: muPeak } });
  const { car } = input;
  const steepness = Math.tan(Math.PI / (2 * shape)) / (slipAtPeakPct / 100);
  const friction = (slip: number) => muPeak * Math.sin(shape * Math.atan(steepness * slip));
  const transfer = car.cgHeightMm / car.wheelbaseMm;
  const rear = car.drivenAxles === 'rear';
  const { road } = plant;
  const share = rear ? 1 - car.frontLoadShare : car.frontLoadShare;
  const downShare =
    road.downPerQ === 0
      ? 0
      : (rear ? (car.claRearM2 ?? 0) : (car.claFrontM2 ?? 0)) /
        ((car.claFrontM2 ?? 0) + (car.claRearM2 ?? 0));
  const side = rear ? 1 : -1;
  return {
    plant,
    spinKg: plant.effectiveMassKg - plant.massKg,
    radiusM: radiusMm / 1000,
    friction,
    forceN: (speed, slip) => {
      const q = speed * speed;
      const mu = friction(slip);
      const whole = Math.max(0, road.weightN + road.downPerQ * q);
      // with both axles driven as one, what leaves one lands on the other
      if (car.drivenAxles === 'all') return mu * whole;
      const still =
        road.weightN * share + road.downPerQ * q * downShare - side * transfer * dragAndRoll(road, q);
      // the load that the force itself shifts onto the axle or off it
      const shifted = 1 - side * mu * transfer;
      const load = shifted <= 0 ? whole : still / shifted;
      return mu * (load < 0 ? 0 : load > whole ? whole : load);
    },
    resistanceN: (speed) => dragAndRoll(road, speed * speed) + road.slopeN,
  };
}

export const slipOf = (wheelMps: number, speedMps: number) =>
  (wheelMps - speedMps) / Math.max(speedMps, LEAST_SLIP_MPS);
