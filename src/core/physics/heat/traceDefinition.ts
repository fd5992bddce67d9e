import type { Finding } from '../../base/finding';
import type { DriveRunInput } from '../motion/definition';
import type { DrivenController, End, EnduranceSeries } from './enduranceDefinition';
import { noLosses } from './lossNames';
import type { LossesDefinition } from './losses';
import type { Sums } from './passJump';
import type { ThermalDefinition } from './thermal';
import type { TraceSeries } from './trace';

declare module '../../base/errors' {
  interface RefusalFacts {
    'endurance.traceSteps': { mostSteps: number };
  }
}

/** What came of it. */
export interface TraceWhole extends Sums {
  endedBy: End;
  peakWindingC: number;
  peakCaseC: number;
  peakControllerC?: number;
  /** Into one motor's winding, braking counted, with the resistance of 20 °C, J. */
  windingJ: number;
  /** The case at the times asked for, °C. */
  readC: number[];
  series: EnduranceSeries;
  notes: Finding[];
}

/** A trace to be driven, and how. */
export interface TraceDrive {
  input: DriveRunInput;
  thermal: ThermalDefinition;
  controller?: DrivenController;
  trace: TraceSeries;
  losses: LossesDefinition | undefined;
  /** V a cell. */
  cutoffVPerCell: number;
  untilS: number;
  /** Times the usual step. */
  stepScale: number;
  /** Charge, as a share, at which the driver stops. */
  leastCharge?: number;
  /** Counts passes that go as the one before, in place of driving each. */
  jumps?: boolean;
  /** Drives on past every limit, as a measured run did. */
  ignoreEnds?: boolean;
  /** Times at which the case is read, s, rising. */
  readAtS?: readonly number[];
}

/** Nothing driven yet. */
export const startOf = (
  ambientC: number,
  { series, readC }: Pick<TraceWhole, 'series' | 'readC'>,
): TraceWhole => ({
  durationS: 0,
  endedBy: 'time',
  peakWindingC: ambientC,
  peakCaseC: ambientC,
  distanceM: 0,
  energyJ: 0,
  motorAs: 0,
  squaresAs: 0,
  packAs: 0,
  lossesJ: noLosses(),
  windingJ: 0,
  series,
  readC,
  notes: [],
});
