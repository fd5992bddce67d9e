import type { Finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';

export const BODY_SHAPES = ['openFrame', 'buggy', 'saloon', 'wedge', 'streamliner'] as const;
export type BodyShape = (typeof BODY_SHAPES)[number];
export const WING_PROFILES = ['flatPlate', 'cambered', 'thick'] as const;
export type WingProfile = (typeof WING_PROFILES)[number];

/** A figure as it may be at the least, as it is expected, and at the most. */
export type Three = readonly [low: number, mid: number, high: number];
export type Band = readonly [low: number, high: number];

export interface AirBody {
  shape: BodyShape;
  /** Wheels and tyres in it, wings not. */
  frontalAreaM2: number;
  lengthMm: number;
  /** Middle of its length from the front axle, forward. */
  xMm?: number;
  /** Middle of the frontal area over the ground. */
  zMm: number;
  sideAreaM2?: number;
  dragCoefficient?: number;
}

export interface AirWing {
  id: string;
  profile: WingProfile;
  spanMm: number;
  chordMm: number;
  /** Positive presses down. */
  angleDeg: number;
  camberPct?: number;
  endPlateHeightMm?: number;
  spanEfficiency?: number;
  /** Dynamic pressure there over the free one. */
  flowShare?: number;
  xMm: number;
  zMm: number;
}

export interface AirFin {
  id: string;
  heightMm: number;
  chordMm: number;
  xMm: number;
  zMm: number;
  count?: number;
  flowShare?: number;
}

export interface AirInput {
  wheelbaseMm: number;
  referenceSpeedMps?: number;
  airDensityKgM3?: number;
  body: AirBody;
  wings?: readonly AirWing[];
  splitter?: { widthMm: number; lengthMm: number; xMm: number };
  undertray?: { widthMm: number; lengthMm: number; xMm: number; diffuserDeg?: number };
  noseScoop?: { areaM2: number; xMm: number; zMm: number; turnDeg?: number };
  fins?: readonly AirFin[];
}

export interface AirElement {
  id: string;
  cdaM2: number;
  /** Pressing down. */
  claM2: number;
  claFrontM2: number;
  claRearM2: number;
  bands: { cdaM2: Band; claM2: Band };
  /** Side force over dynamic pressure for each radian of sideslip. */
  sideForceSlopeM2?: number;
  /** Of a wing, its end plates left out of the drag. */
  liftCoefficient?: number;
  dragCoefficient?: number;
  aspectRatio?: number;
  stalled?: boolean;
  reynolds?: number;
}

export interface AirResult {
  cdaM2: number;
  claFrontM2: number;
  claRearM2: number;
  /** Share of the downforce in front; left out where there is none. */
  aeroBalance?: number;
  sideForceSlopeM2?: number;
  centreOfPressureXMm?: number;
  bands: {
    cdaM2: Band;
    claFrontM2: Band;
    claRearM2: Band;
    sideForceSlopeM2?: Band;
    centreOfPressureXMm?: Band;
  };
  forcesN: { drag: number; front: number; rear: number };
  elements: AirElement[];
  findings: OperationFinding[];
  notes: Finding[];
}
