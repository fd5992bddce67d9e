import type { Measure } from '../../base/measure';
import type { PartShape, ScrewKind } from '../../car/parts/partShape';

declare module '../../base/finding' {
  interface FindingFacts {
    'parts.solid': { voxels: number; voxel: Measure };
  }
  interface WorkingFacts {
    'parts.part': PartWorking;
  }
}

/** How a part gives way. */
export type BreakMode =
  | 'bent'
  | 'bentAcross'
  | 'sheared'
  | 'buckled'
  | 'crushed'
  | 'pulledOut'
  | 'tornInLayer'
  | 'layersApart'
  | 'layersSheared';

/** What corners and holes cost at the last solid analysis, and what is left of a load that comes again. */
interface Corners {
  tired?: { times: number; left: number; low: number; high: number; notch: number };
  corners?: { solidMargin: number; beamMargin: number; share: number };
}

/** What the margin of a part comes from, by the way it was worked out. */
export type PartWorking = Corners &
  (
    | {
        as: 'beam';
        support: NonNullable<PartShape['support']>;
        forceN: number;
        lengthMm: number;
        momentNm: number;
        /** Bending decides, else shear. */
        bending: boolean;
        stressMpa: number;
        root?: { rootMm: number; filletMm: number; raised: number };
        layers?: 'along' | 'across';
        /** Share of a solid section that walls and core keep. */
        kept: number;
        /** What warmth leaves of the strength. */
        warmShare?: number;
        allowableMpa: number;
      }
    | {
        as: 'column';
        lengthMm: number;
        ends: NonNullable<PartShape['ends']>;
        formula: 'Euler' | 'Johnson';
        bucklingN: number;
      }
    | {
        as: 'boss';
        forceN: number;
        screws: number;
        screwMm: number;
        engagementMm: number;
        screwKind: ScrewKind;
        /** Of each screw, N. */
        pullOutN: number;
      }
    | {
        as: 'solid';
        voxels: number;
        voxelMm: number;
        atMm: readonly number[];
        mode: BreakMode;
        margin: number;
      }
  );
