import type { LoadCaseName } from '../../physics/strength/loadCases';
import type { Vec3 } from '../../base/vec3';
import type { ChosenMaterial } from './material';

export const PART_KINDS = [
  'gear',
  'pinion',
  'shaft',
  'arm',
  'carrier',
  'knuckle',
  'steeringArm',
  'link',
  'chassis',
  'motorMount',
  'shockTower',
  'brace',
  'hub',
  'wheel',
  'tyre',
  'bumper',
  'spacer',
  'spring',
  'bearing',
  'fastener',
  'body',
  'motor',
  'controller',
  'regulator',
  'receiver',
  'servo',
  'battery',
  'sensor',
  'wiring',
  'other',
] as const;
export type PartKind = (typeof PART_KINDS)[number];

/** Kinds that are asked what breaks them; teeth and shafts have checks of their own. */
export const CARRYING_KINDS: readonly PartKind[] = [
  'arm',
  'carrier',
  'knuckle',
  'steeringArm',
  'link',
  'chassis',
  'motorMount',
  'shockTower',
  'brace',
  'hub',
  'bumper',
  'spacer',
];

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
  screwMm?: number;
  engagementMm?: number;
  screws?: number;
  screwKind?: ScrewKind;
}

/** A load case of the build that acts on a part, or a force of its own. */
export interface PartLoad {
  id: string;
  from: LoadCaseName | 'own';
  /** Of the case's force. */
  share?: number;
  forceN?: number;
  bends?: (typeof BENDS)[number];
}

/** A part of the build: failures name it, and its material, layers and loads say what breaks it. */
export interface Part {
  id: string;
  name: string;
  kind: PartKind;
  /** Of one; on the chassis it is a component of its own. */
  massG?: number;
  material?: ChosenMaterial;
  /** Layers lie along the part, or across it. */
  layers?: 'along' | 'across';
  perimeters?: number;
  /** Width of one line. */
  lineMm?: number;
  infill?: number;
  temperatureC?: number;
  shape?: PartShape;
  loads?: PartLoad[];
  mesh?: PartMesh;
}

/** A box in the mesh's axes, mm. */
export interface PartBox {
  id: string;
  min: Vec3;
  max: Vec3;
}

/** What pulls at a box of the mesh: a case of the build or a force of its own, in a direction of the mesh's axes. */
export interface PartPull extends PartBox {
  from: LoadCaseName | 'own';
  share?: number;
  forceN?: number;
  direction: Vec3;
}

/** The part's own mesh, kept by what it holds, and what is known about it. */
export interface PartMesh {
  hash: string;
  name: string;
  /** Millimetres that one unit of the file stands for. */
  unitMm: number;
  /** Direction that points up on the bed. */
  up: Vec3;
  held?: PartBox[];
  pulls?: PartPull[];
  voxelMm?: number;
  lies?: PartLies;
  solid?: SolidResult;
}

/** What the printer has to do with it as it lies; `of` marks the mesh, its unit and its way up. */
export interface PartLies {
  of: string;
  volumeMm3: number;
  areaMm2: number;
  /** Nearer to level than to upright, up- and down-facing together. */
  horizontalAreaMm2: number;
  sizeMm: readonly [width: number, depth: number, height: number];
}

/** How a solid fails, and where. */
export interface SolidFailure {
  /** Margin from the few dimensions at the same time, under the same load. */
  beam?: number;
  margin: number;
  failsBy: 'in the layer' | 'layers pulled apart' | 'layers sheared';
  atMm: Vec3;
  moveMm: number;
}

/** The same under one load case: all that pulls by it acts at once, and nothing else. */
export interface SolidCase extends SolidFailure {
  from: PartLoad['from'];
}

/** The last solid analysis, by its weakest case; `of` marks all that it was made from, `shape` the mesh with its holds and pulls. */
export interface SolidResult extends SolidFailure {
  of: string;
  shape: string;
  /** Each load case by itself; none of a result that all pulls together made. */
  cases?: SolidCase[];
  voxelMm: number;
  voxels: number;
  /** The same with finer voxels. */
  finer?: { voxelMm: number; margin: number; moveMm: number };
}

export interface Parts {
  /** What the nose gives way in a crash. */
  crushMm?: number;
  items: Part[];
}

export const emptyParts = (): Parts => ({ items: [] });
