import type { End } from '../../physics/heat/enduranceDefinition';
import { UNCERTAIN_FIGURES } from './uncertain';

/** What is told of a driven pack. */
export const PACK_MEASURES = [
  'minutes',
  'peakCaseC',
  'peakWindingC',
  'peakControllerC',
  'distanceM',
  'energyWh',
  'meanSpeedMps',
] as const;
export type PackMeasure = (typeof PACK_MEASURES)[number];

/** Figures that are not known exactly and that a whole pack feels. */
export const PACK_SPREADS = [
  ...UNCERTAIN_FIGURES,
  'cooling',
  'controllerCooling',
  'capacity',
  'driveline',
  'cornering',
  'slip',
  'auxiliary',
] as const;
export type PackSpread = (typeof PACK_SPREADS)[number];

/** What was expected of a pack before it was driven; errors are one standard deviation. */
export interface PackPredicted {
  minutes: number;
  minutesError: number;
  endedBy: End;
  peakCaseC: number;
  caseErrorC: number;
  /** Whose spread makes most of the error of the minutes. */
  mostFrom?: PackSpread;
}
