import type { BrakeDefinition } from '../braking/definition';
import type { DriveRunInput } from '../motion/definition';

/** A straight on which a car is to pass at speed. */
export interface DriveSiteInput extends DriveRunInput {
  site: {
    lengthM: number;
    widthM?: number;
    /** Kept free, m: before the start, behind the end, at each side. */
    marginStartM?: number;
    marginEndM?: number;
    marginSideM?: number;
  };
  wishMps?: number;
  /** Over which the speed is taken, m, and how well length and time are known. */
  stretchM?: number;
  distanceErrorM?: number;
  timeErrorS?: number;
  rollingStartMps?: number;
  brake?: BrakeDefinition;
  /** At the front wheels, and until the driver answers it. */
  steerErrorDeg?: number;
  reactionS?: number;
  carWidthMm?: number;
  /** From the start end, and from the centre line, m. */
  driver?: { alongM?: number; besideM?: number };
  radioRangeM?: number;
}

/** One pass at a share of the speed that is meant. */
export interface SiteRow {
  share: number;
  speedMps: number;
  runUpM: number;
  runUpS: number;
  stretchS: number;
  /** Of the measured speed, %. */
  speedErrorPct: number;
  /** Left out, with what follows from it, where the car does not stop. */
  stopM?: number;
  stopS?: number;
  neededM?: number;
  spareM?: number;
  fits: boolean;
  /** Sideways in a steering error, m. */
  driftM: number;
  sideSpareM?: number;
  sideFits?: boolean;
}
