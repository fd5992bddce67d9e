'use client';

import type { Stage } from '@/core/car/stages/stage';
import type { StageSeen } from '@/core/worked/transmissions/stageSeen';
import { BevelSketch } from './BevelSketch';
import { InternalSketch } from './InternalSketch';
import { LoopSketch } from './LoopSketch';
import { MeshSketch } from './MeshSketch';
import { PlanetarySketch } from './PlanetarySketch';

/** A stage of any kind to scale, in mesh and turning. */
export function StageSketch({ stage, seen }: { stage: Stage; seen: StageSeen }) {
  const teeth = [stage.pinionTeeth ?? 0, stage.wheelTeeth ?? 0] as const;
  const isReducing = teeth[0] <= teeth[1];
  const inOrder = (small: number, large: number) =>
    isReducing ? ([small, large] as const) : ([large, small] as const);
  switch (seen.by) {
    case 'spur':
      return <MeshSketch stage={stage} centreMm={seen.mesh.centreDistanceMm} />;
    case 'internal':
      return <InternalSketch stage={stage} centreMm={seen.centreMm} />;
    case 'bevel':
      return <BevelSketch cones={seen.cones} teeth={teeth} faceWidthMm={stage.faceWidthMm!} />;
    case 'planetary':
      return <PlanetarySketch stage={stage} set={seen.set} />;
    case 'belt':
      return (
        <LoopSketch
          loop={{
            kind: 'belt',
            pitchMm: stage.pitchMm!,
            teeth,
            pitchDiametersMm: inOrder(...seen.belt.pitchDiametersMm),
            centreMm: seen.belt.centreDistanceMm,
            count: seen.belt.beltTeeth,
          }}
        />
      );
    case 'chain':
      return (
        <LoopSketch
          loop={{
            kind: 'chain',
            pitchMm: stage.pitchMm!,
            teeth,
            pitchDiametersMm: inOrder(...seen.chain.pitchDiametersMm),
            centreMm: seen.chain.centreDistanceMm,
            count: seen.chain.links,
          }}
        />
      );
    default:
      return null;
  }
}
