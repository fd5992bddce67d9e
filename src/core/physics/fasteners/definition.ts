import type { Vec3 } from '../../base/vec3';
import type { BossKind } from '../strength/boss';
import type { StrengthMaterial } from '../strength/allowable';
import type { Point2 } from '../strength/section';

/** A screw along z through the plane of a joint. */
export interface GroupScrew {
  id: string;
  xMm: number;
  yMm: number;
  diameterMm: number;
  kind: BossKind;
  /** In the plastic; of a bolt right through the plate's thickness where not given. */
  engagementMm?: number;
  insertDiameterMm?: number;
  washerDiameterMm?: number;
  nutAcrossFlatsMm?: number;
  /** Of a thread that is not in the list. */
  stressAreaMm2?: number;
}

/** What pulls (+z off the plate), shears and tilts the joint. */
export interface GroupLoad {
  forceN: Vec3;
  atMm: Vec3;
  momentNmm?: Vec3;
}

export interface FastenerShareInput {
  screws: readonly GroupScrew[];
  /** Of the clamped printed plate. */
  thicknessMm: number;
  /** Under a nut trap. */
  wallMm?: number;
  load: GroupLoad;
  material: StrengthMaterial;
  layers: 'acrossAxis' | 'alongAxis';
  temperatureC?: number;
  screwTensileMpa?: number;
  /** A plate that tilts about its edges. */
  plate?: { minMm: Point2; maxMm: Point2 };
}

export const SCREW_FAILURES = ['pullOut', 'bearing', 'screw'] as const;
export type ScrewFailure = (typeof SCREW_FAILURES)[number];

export interface SharedScrew {
  id: string;
  shearN: number;
  shearXYN: Point2;
  tensionN: number;
  /** With the pressure that the plate carries, negative. */
  axialN: number;
  margins: Partial<Record<ScrewFailure, number>>;
  margin?: number;
  failsBy?: ScrewFailure;
}

export interface ScrewLost {
  lost: string;
  held: boolean;
  worst?: string;
  margin?: number;
}

export interface FastenerShareResult {
  centroidMm: Point2;
  polarMm4: number;
  screws: SharedScrew[];
  worst?: string;
  margin?: number;
  failsBy?: ScrewFailure;
  loss: ScrewLost[];
  worstLoss?: string;
}
