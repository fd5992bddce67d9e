import type { Axle } from '../stages/stage';
import type { LoadCaseName } from '../../physics/strength/loadCases';

export const SHAPE_KINDS = ['beam', 'column', 'boss'] as const;
export const PROFILES = ['plate', 'flanged', 'round', 'tube', 'box'] as const;
export type Profile = (typeof PROFILES)[number];
export const SUPPORTS = ['cantilever', 'simple', 'fixed'] as const;
export const SCREW_KINDS = ['screwInPlastic', 'nutTrap', 'heatSetInsert', 'throughBolt'] as const;
export type ScrewKind = (typeof SCREW_KINDS)[number];
/** Bends upright against its height, or sideways against its width. */
export const BENDS = ['upright', 'sideways'] as const;

/** A part from a few dimensions, at its weakest place. */
export interface PartShape {
  as: (typeof SHAPE_KINDS)[number];
  profile?: Profile;
  support?: (typeof SUPPORTS)[number];
  ends?: 'pinned' | 'fixed-free' | 'fixed-pinned' | 'fixed';
  /** From where it is held to where it is loaded. */
  lengthMm?: number;
  widthMm?: number;
  /** Thickness of a plate; diameter of what is round. */
  heightMm?: number;
  /** Of a tube, a box, a flange or the plastic around a screw. */
  wallMm?: number;
  /** Over all, with the plate. */
  flangeMm?: number;
  /** Height, in the plane of bending, of the body that a beam grows out of, and the fillet there. */
  rootMm?: number;
  filletMm?: number;
  /** Of a hole through the thickness at the weakest place, in the middle of the width. */
  holeMm?: number;
  screwMm?: number;
  engagementMm?: number;
  screws?: number;
  screwKind?: ScrewKind;
}

/** A load case of the build that acts on a part, or a force of its own. */
export interface PartLoad {
  id: string;
  from: LoadCaseName | 'own' | 'link';
  /** Of the suspension that a link's force comes from, and the member or joint there. */
  end?: Axle;
  link?: string;
  /** Of the case's force. */
  share?: number;
  forceN?: number;
  /** How often it comes in the life of the part; once where it is left out. */
  times?: number;
  bends?: (typeof BENDS)[number];
}
