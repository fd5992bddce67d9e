import type { LoadCaseName } from '../../physics/strength/loadCases';
import type { Vec3 } from '../../base/vec3';
import type { ChosenMaterial } from '../material/material';
import type { PartKind } from './partKinds';
import type { PartMade } from './partMade';
import type { PartLoad, PartShape } from './partShape';
import type { Axle } from '../stages/stage';

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
  /** Drawn here, from the document. */
  made?: PartMade;
  mesh?: PartMesh;
}

/** A box in the mesh's axes, mm. */
export interface PartBox {
  id: string;
  min: Vec3;
  max: Vec3;
}

/** What pulls at a box of the mesh: a case of the build, a link or a force of its own, in a direction of the mesh's axes. */
export interface PartPull extends PartBox {
  from: LoadCaseName | 'own' | 'link';
  /** Of the suspension whose link pulls, its member or joint, and what the wheel meets at the time. */
  end?: Axle;
  link?: string;
  load?: string;
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
  /** Of what was drawn here: a mark of the drawing with its holds and pulls. */
  madeOf?: string;
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
  /** Where links pull: of which end, and what the wheel meets. */
  end?: Axle;
  load?: string;
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
