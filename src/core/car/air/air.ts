import type { BodyShape, WingProfile } from '../../physics/air/definition';

/** A wing with its place from the front axle on the ground, x forward, z up. */
export interface Wing {
  id: string;
  name?: string;
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

export interface Fin {
  id: string;
  name?: string;
  heightMm: number;
  chordMm: number;
  count?: number;
  flowShare?: number;
  xMm: number;
  zMm: number;
}

/** What the air meets: the kind of body, and what is built on it. */
export interface AirShapes {
  shape?: BodyShape;
  /** Wheels and tyres in it, wings not. */
  frontalAreaM2?: number;
  lengthMm?: number;
  /** Middle of its length. */
  xMm?: number;
  /** Middle of the frontal area. */
  zMm?: number;
  sideAreaM2?: number;
  dragCoefficient?: number;
  wings?: Wing[];
  splitter?: { widthMm: number; lengthMm: number; xMm: number };
  undertray?: { widthMm: number; lengthMm: number; xMm: number; diffuserDeg?: number };
  noseScoop?: { areaM2: number; xMm: number; zMm: number; turnDeg?: number };
  fins?: Fin[];
}
