import type { Finding } from '../../base/finding';
import { type Part } from '../../car/parts/parts';
import type { Axle } from '../../car/stages/stage';
import { type PartLoad, type ScrewKind } from '../../car/parts/partShape';
import type { BeamInput } from '../../physics/strength/beam';
import type { FatigueResult } from '../../physics/strength/fatigue';
import { hasLayers } from './materialOfBuild';
import { type BreakMode, type PartWorking } from './partWorking';

/** How often a load comes, and what that leaves of the strength. */
export interface Tired extends FatigueResult {
  times: number;
}

/** A load on a part and what it leaves. */
export interface LoadedPart {
  load: PartLoad | undefined;
  /** The case that it comes from, the part's own force, or all that pulls at the mesh. */
  from: PartLoad['from'] | 'all';
  /** Where links pull: what the wheel of which end meets. */
  wheelLoad?: { end: Axle; load: string };
  forceN: number;
  /** Share of the case's force, where not the whole, and that force, N. */
  share?: number;
  caseN?: number;
  how: Finding;
  margin: number;
  /** What corners and holes left of the beam at the last solid analysis. */
  leftOfBeam?: number;
  /** Of a load that comes more than once. */
  tired?: Tired;
  /** Force at which it breaks. */
  breaksAtN: number;
  between: boolean;
  mode: BreakMode;
  /** What holds the screws that pull out. */
  screwKind?: ScrewKind;
  deflectionMm?: number;
  /** As a beam bent upright: what it was worked out from, and how much its root raises the stress. */
  upright?: { beam: BeamInput; raised: number };
  depth: 'beam' | 'column' | 'boss' | 'solid';
  working: PartWorking;
}
export const at = ({ id }: Part, key: string) => `parts.items.${id}.${key}`;
/** A margin where nothing is carried. */
export const NOT_LOADED = 1e6;
export type Base = Pick<LoadedPart, 'load' | 'from' | 'forceN' | 'share' | 'caseN' | 'how'>;
export const layersOf = ({ layers, material }: Part) => (material && !hasLayers(material) ? 'along' : layers);
export const warm = ({ temperatureC }: Part) => (temperatureC === undefined ? {} : { temperatureC });
