import type { Finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';
import type { GearUnderLoad } from './underLoad';

export const BELT_PROFILES = ['curvilinear', 'trapezoidal'] as const;
export type BeltProfile = (typeof BELT_PROFILES)[number];

export interface BeltLoad {
  torqueNm: number;
  driver?: 'small' | 'large';
  /** Of the driver. */
  speedRpm?: number;
  overloadFactor?: number;
}

/** A printed pulley's tooth. */
export interface PulleyTooth extends GearUnderLoad {
  toothHeightMm?: number;
  toothRootMm?: number;
  /** How much more than its part the worst tooth carries. */
  unevenFactor?: number;
  temperatureC?: number;
}

export interface BeltInput {
  pitchMm: number;
  profile?: BeltProfile;
  smallTeeth: number;
  largeTeeth: number;
  beltTeeth?: number;
  /** In place of the belt. */
  centreDistanceMm?: number;
  availableBeltTeeth?: number[];
  slotMinMm?: number;
  slotMaxMm?: number;
  widthMm: number;
  /** From the tip of a pulley's teeth to the belt's cords. */
  pitchLineOffsetMm?: number;
  /** Of the whole width; so are the next two. */
  tensionLimitN?: number;
  massGPerM?: number;
  /** Force for a strain of 1. */
  stiffnessN?: number;
  /** Of one span, as set. */
  pretensionN?: number;
  pretensionShare?: number;
  measuredHz?: number;
  load?: BeltLoad;
  pulley?: PulleyTooth;
}

/** Lengths, wrap and teeth of a belt on its pulleys. */
export interface BeltGeometry {
  ratio: number;
  pitchDiametersMm: [number, number];
  outsideDiametersMm?: [number, number];
  exactBeltTeeth?: number;
  beltTeeth: number;
  beltLengthMm: number;
  centreDistanceMm: number;
  centreErrorMm?: number;
  travelPerToothMm: number;
  wrapSmallDeg: number;
  wrapLargeDeg: number;
  teethInMesh: number;
  meshFactor: number;
  spanMm: number;
  hunting: boolean;
  fitsSlot?: boolean;
  choices?: { beltTeeth: number; centreDistanceMm: number }[];
}

export interface PulleyResult {
  toothForceN: number;
  bendingStressMpa: number;
  shearStressMpa: number;
  allowableMpa: number;
  margin?: number;
}

export interface BeltResult extends BeltGeometry {
  beltMps?: number;
  peripheralForceN?: number;
  massTensionN?: number;
  pretensionShare?: number;
  pretensionNeededN?: number;
  pretensionN?: number;
  toothLimitN?: number;
  skipLimitN?: number;
  toothMargin?: number;
  skipMargin?: number;
  torqueCapacityNm?: number;
  tightN?: number;
  slackN?: number;
  shaftLoadRestN?: number;
  shaftLoadRunningN?: number;
  spanFrequencyHz?: number;
  measuredTensionN?: number;
  tensionTravelMm?: number;
  pulley?: PulleyResult;
  findings: OperationFinding[];
  notes: Finding[];
}

/** What belts of a pitch usually are: offset in mm, tension limit in N and mass in g/m for a millimetre of width. */
export interface TypicalBelt {
  offsetMm: number;
  limitNPerMm: number;
  gPerMMm: number;
}

const typical = (offsetMm: number, limitNPerMm: number, gPerMMm: number): TypicalBelt => ({
  offsetMm,
  limitNPerMm,
  gPerMMm,
});

/** Typical figures by pitch, mm. Forms after ISO 13050 and ISO 5296. */
export const TYPICAL_BELTS: Readonly<Record<BeltProfile, ReadonlyMap<number, TypicalBelt>>> = {
  curvilinear: new Map([
    [2, typical(0.254, 4.4, 1.4)],
    [3, typical(0.381, 11, 2.4)],
    [5, typical(0.5715, 18, 4)],
  ]),
  trapezoidal: new Map([
    [2.032, typical(0.254, 5.6, 1.3)],
    [2.5, typical(0.3, 5.6, 1.5)],
    [5, typical(0.5, 13, 2.3)],
    [5.08, typical(0.254, 7.2, 2.4)],
  ]),
};
