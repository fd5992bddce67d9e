import { AIR_DENSITY, GRAVITY } from '../../base/constants';
import { cellVolts } from './cell';
import type { DriveRunInput } from './definition';
import { createPlant, wheelForceN } from './plant';
import type { DriveRunResult } from './run';

/** What the resistance at a speed is made of. */
export interface ResistanceFacts {
  /** Speed, m/s. */
  speedMps: number;
  /** Air density, kg/m³. */
  airDensityKgM3: number;
  /** Drag area, m². */
  cdaM2: number;
  /** Rolling force over load. */
  rollingResistance: number;
  /** Mass with payload, kg. */
  massKg: number;
  /** Downforce at that speed, N. */
  downN: number;
  dragN: number;
  rollingN: number;
}

/** Drag and rolling at a speed (m/s). Source: Gillespie, ch. 2. */
export function resistanceFacts(input: DriveRunInput, speedMps: number): ResistanceFacts {
  const { cdaM2, claFrontM2 = 0, claRearM2 = 0, massKg, rollingResistance } = input.car;
  const airDensityKgM3 = input.airDensityKgM3 ?? AIR_DENSITY;
  const pressure = 0.5 * airDensityKgM3 * speedMps ** 2;
  const downN = pressure * (claFrontM2 + claRearM2);
  return {
    speedMps,
    airDensityKgM3,
    cdaM2,
    rollingResistance,
    massKg,
    downN,
    dragN: pressure * cdaM2,
    rollingN: rollingResistance * Math.max(0, massKg * GRAVITY + downN),
  };
}

/** What the top speed comes from: the no-load speed, then where drive and resistance meet. */
export interface TopSpeedFacts {
  /** In series. */
  cells: number;
  /** Of one cell at rest, V. */
  cellV: number;
  /** Of the pack at rest, V. */
  openV: number;
  kvRpmPerV: number;
  /** Tyre radius, mm. */
  radiusMm: number;
  /** Turns of the motor for one turn of the wheel. */
  ratio: number;
  noLoadSpeedMps: number;
  /** Left out for a car that stands, or whose speed has no end. */
  top?: ResistanceFacts & {
    /** Force at the wheels at that speed, N. */
    wheelN: number;
    limitedBy: 'grip' | 'drive';
  };
}

export function topSpeedFacts(input: DriveRunInput, run: DriveRunResult): TopSpeedFacts {
  const { motor, battery, drive, tyre } = input;
  const plant = createPlant(input);
  const top = run.stalled ? undefined : run.topSpeedMps;
  return {
    cells: battery.cells,
    cellV: cellVolts(battery.stateOfCharge ?? 1),
    openV: plant.openV,
    kvRpmPerV: motor.kvRpmPerV,
    radiusMm: tyre.radiusMm,
    ratio: drive.ratio,
    noLoadSpeedMps: run.noLoadSpeedMps,
    ...(top === undefined
      ? {}
      : {
          top: {
            ...resistanceFacts(input, top),
            wheelN: wheelForceN(plant, top),
            limitedBy: run.topSpeedLimitedBy ?? 'drive',
          },
        }),
  };
}
