import type { Fit } from '../../physics/printing/coupon';
import type { BeltProfile } from '../../physics/transmissions/beltDefinition';
import type { BeamSupport } from '../../physics/transmissions/opening';
import type { ChosenMaterial } from '../material/material';

export const STAGE_KINDS = [
  'spur',
  'internal',
  'bevel',
  'belt',
  'chain',
  'planetary',
  'differential',
  'direct',
] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

export type Axle = 'front' | 'rear';
export const AXLES: readonly Axle[] = ['front', 'rear'];

/** Where the gears of a bevel pair lie: the one along the car seen from the shaft across, and the other way round. */
export interface BevelSides {
  pinion: 'ahead' | 'behind';
  ring: 'left' | 'right';
}

/** The middle of a driven gear in the car: x from the front axle and forward, y to the left, z over the ground. */
export interface GearPlace {
  xMm?: number;
  yMm?: number;
  zMm?: number;
}

/** How a body sits on its shaft, and what is bolted to it. */
export interface Seat {
  boreMm?: number;
  /** Of a D-shaped bore. */
  flatDepthMm?: number;
  /** In place of a round bore. */
  hexAcrossFlatsMm?: number;
  /** Of the shaft in the bore. */
  boreFit?: Fit;
  /** How far it sits on its shaft; the face width where not given. */
  hubLengthMm?: number;
  hubDiameterMm?: number;
  /** Hole of a set screw in the hub. */
  setScrewMm?: number;
  /** Screws on a circle. */
  bolts?: number;
  boltCircleMm?: number;
  boltHoleMm?: number;
}

/** One gear as it is made: its hole, and how wide it is. */
export interface GearBody extends Seat {
  /** Profile shift in modules. */
  shift?: number;
  material?: ChosenMaterial;
  /** The plastic's share of the tooth's section; whole where not given. */
  fillFactor?: number;
  /** Of a ring with inner teeth. */
  outsideMm?: number;
  /** How much smaller the bore of a press fit is than the shaft. */
  interferenceMm?: number;
  /** What a set screw presses with. */
  screwForceN?: number;
  /** A pin through hub and shaft. */
  pinMm?: number;
}

/** The plate that the planets turn on; its pins fill the planets' bores. */
export interface Carrier extends Seat {
  thicknessMm?: number;
}

/** A plate or block between two shafts: its stiffness as measured, or the beam that it is. */
export interface GearMount {
  stiffnessNPerMm?: number;
  support?: BeamSupport;
  lengthMm?: number;
  widthMm?: number;
  /** Along the line between the shafts. */
  thicknessMm?: number;
  material?: ChosenMaterial;
}

/**
 * One reduction stage; a planetary stage counts sun and ring, the ring held. A differential counts the teeth of its planets and
 * of its side gears, and turns its axle as fast as its case.
 */
export interface Stage {
  id: string;
  kind: StageKind;
  /** Teeth of the driving gear, or of the sun. */
  pinionTeeth?: number;
  /** Teeth of the driven gear, or of the ring. */
  wheelTeeth?: number;
  /** Turns in over turns out, as long as the teeth are not known. */
  ratio?: number;
  efficiency: number;
  moduleMm?: number;
  /** Of the wheel, where it is not the pinion's. */
  wheelModuleMm?: number;
  faceWidthMm?: number;
  /** Of the pinion; the wheel has the other hand. */
  helixDeg?: number;
  /** Each half of the face with the helix the other way. */
  doubleHelix?: boolean;
  /** Along the line of action. */
  backlashMm?: number;
  /** Reach of the motor's slot, as centre distances. */
  slotMinMm?: number;
  slotMaxMm?: number;
  pinion?: GearBody;
  wheel?: GearBody;
  /** Of a planetary stage; of a differential their number alone. */
  planet?: Pick<GearBody, 'material' | 'fillFactor' | 'boreMm' | 'boreFit'>;
  carrier?: Carrier;
  planets?: number;
  /** Height of the ring's teeth above the pitch circle, in modules. */
  ringAddendum?: number;
  /** Of a belt or a chain. */
  pitchMm?: number;
  beltProfile?: BeltProfile;
  beltTeeth?: number;
  /** Of one span of a belt, as set. */
  pretensionN?: number;
  /** Of a chain. */
  links?: number;
  /** What holds the two shafts at their distance. */
  mount?: GearMount;
  /** Of both bearings, along the centres. */
  bearingPlayMm?: number;
  /** Axle that it serves; both where not given. */
  on?: Axle;
  /** Of a bevel pair: at the front axle, and at the rear one. */
  front?: BevelSides;
  rear?: BevelSides;
  /** Of the driven gear; where the last one stands follows from its axle. */
  at?: GearPlace;
}

/** Turns in over turns out of one stage by its teeth, or else as typed; undefined while neither is known. */
export function stageRatio(stage: Stage): number | undefined {
  if (stage.kind === 'direct' || stage.kind === 'differential') return 1;
  if (stage.pinionTeeth === undefined || stage.wheelTeeth === undefined) return stage.ratio;
  const teeth = stage.wheelTeeth / stage.pinionTeeth;
  return stage.kind === 'planetary' ? 1 + teeth : teeth;
}
