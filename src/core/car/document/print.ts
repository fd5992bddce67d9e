import type { Hole, Reading } from '../../physics/printing/holes/definition';
import type { PartLoad } from '../parts/partShape';
import type { Fit } from '../../physics/printing/coupon';

/** Holes of a thing that is there already, measured with a caliper. */
export interface HolePattern {
  id: string;
  name: string;
  holes: Hole[];
  readings: (Reading & { id: string })[];
  /** Where the first hole lies in the car, and how far the line to the second is turned from straight ahead, to the left. */
  under?: { xMm: number; yMm: number; turnDeg: number };
}

/** Copy of a printer's figures. */
export interface ChosenPrinter {
  id: string;
  libraryId?: string;
  name: string;
  bedWidthMm: number;
  bedDepthMm: number;
  bedHeightMm: number;
  /** Of the print head. */
  speedMmps: number;
  /** What the hot end melts. */
  maxFlowMm3ps: number;
}

/** How everything is printed; a part's own perimeters, line and infill count for its final print. */
export interface PrintProfile {
  layerMm?: number;
  topBottomLayers?: number;
  perimeters?: number;
  infill?: number;
}

export const USUAL_FINAL: Required<PrintProfile> = {
  layerMm: 0.2,
  topBottomLayers: 4,
  perimeters: 4,
  infill: 1,
};
/** Quick and light: to hold against the car, not to drive with. */
export const USUAL_DRAFT: Required<PrintProfile> = {
  layerMm: 0.3,
  topBottomLayers: 3,
  perimeters: 2,
  infill: 0.15,
};

export const JOINT_KINDS = ['screw', 'bearing', 'pin', 'captive'] as const;
export type JointKind = (typeof JOINT_KINDS)[number];

export const JOINT_HOLDS = ['screwInPlastic', 'nutTrap', 'heatSetInsert', 'throughBolt'] as const;
export type JointHold = (typeof JOINT_HOLDS)[number];

/** Which way a force goes at a group of screws: off the plate, along the pattern, or across it. */
export const GROUP_WAYS = ['off', 'along', 'across'] as const;
export type GroupWay = (typeof GROUP_WAYS)[number];

/** How the screws of a joint are laid out, and what acts on what they hold. */
export interface ScrewGroup extends Pick<PartLoad, 'from' | 'end' | 'link' | 'share' | 'forceN'> {
  /** Of them, where not all of the joint's share one load. */
  screws?: number;
  /** Of the pattern, outside screw to outside screw. */
  alongMm?: number;
  acrossMm?: number;
  way: GroupWay;
  /** Where the force acts: over the plane of the joint, and ahead of the middle of the pattern. */
  overMm?: number;
  aheadMm?: number;
}

/** What joins two parts of the car, and what it needs of the printer. */
export interface Joint {
  id: string;
  name: string;
  kind: JointKind;
  /** Part that holds it, and what it joins to that; the whole car where there is none. */
  part?: string;
  to?: string;
  /** How many of it in the car. */
  count?: number;
  /** Across the screw's thread, the pin, or the bearing's bore. */
  diameterMm?: number;
  lengthMm?: number;
  /** Of a bearing. */
  outerMm?: number;
  widthMm?: number;
  /** Of an insert, across its knurl; of a nut, across its flats. */
  insertMm?: number;
  hold?: JointHold;
  /** Of the seat around it. */
  fit?: Fit;
  /** Of screws that share one load. */
  group?: ScrewGroup;
}

export const SOURCES = ['printed', 'bought', 'salvaged', 'made'] as const;
export type Source = (typeof SOURCES)[number];

/** What is said of one line of the make-or-buy list; what the build knows already is left out. */
export interface ListEntry {
  /** Of a part or a component of the build, or of a thing of its own. */
  id: string;
  name?: string;
  source?: Source;
  quantity?: number;
  massG?: number;
  /** Of one, in the build's currency. */
  price?: number;
  leadDays?: number;
  /** Bought or found spares; printed ones are counted from the log. */
  onHand?: number;
}

export interface Print {
  patterns?: HolePattern[];
  printers?: ChosenPrinter[];
  final?: PrintProfile;
  draft?: PrintProfile;
  spacingMm?: number;
  joints?: Joint[];
  list?: ListEntry[];
}

export const emptyPrint = (): Print => ({});

/** A joint whose screws were laid out. */
export type GroupedJoint = Joint & { group: NonNullable<Joint['group']> };
export const isGrouped = (joint: Joint): joint is GroupedJoint =>
  joint.kind === 'screw' && joint.group !== undefined;

/** How many screws share the load. */
export const screwsIn = ({ count = 1, group }: GroupedJoint): number => group.screws ?? count;
