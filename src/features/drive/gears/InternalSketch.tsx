'use client';

import { useMemo, useState } from 'react';
import type { Stage } from '@/core/car/stages/stage';
import { internalOutline } from '@/core/physics/gears/internalOutline';
import { gearOutline } from '@/core/physics/gears/outline';
import { circlePath, pathOf, SKETCH_HEIGHT, SKETCH_WIDTH, StageFigure, TurningLayer } from './GearLayers';

/** One pinion pitch in this long, s. */
const PITCH_S = 0.8;
const RIM_MODULES = 3.5;

/** A pinion inside its ring, to scale from their outlines; both turn the same way. */
export function InternalSketch({ stage, centreMm }: { stage: Stage; centreMm: number }) {
  const [turning, setTurning] = useState(false);
  const { pinionTeeth: z1 = 0, wheelTeeth: z2 = 0, moduleMm = 1 } = stage;
  const paths = useMemo(
    () => [
      circlePath(moduleMm * (z2 / 2 + RIM_MODULES)) +
        pathOf(internalOutline({ teeth: z2, moduleMm, pointsPerFlank: 8 })),
      pathOf(gearOutline({ teeth: z1, moduleMm, boreMm: 0.3 * moduleMm * z1, pointsPerFlank: 10 }).outline) +
        circlePath(0.15 * moduleMm * z1),
    ],
    [z1, z2, moduleMm],
  );
  const reachMm = moduleMm * (z2 / 2 + RIM_MODULES) + 0.5;
  const scale = SKETCH_HEIGHT / (2 * reachMm);
  const [x, y] = [SKETCH_WIDTH / 2, SKETCH_HEIGHT / 2];
  return (
    <StageFigure
      caption="In mesh, to scale"
      says={`Pinion of ${z1} teeth inside a ring of ${z2}, seen along the shafts.`}
      turning={turning}
      onTurn={setTurning}
      testId="internal-sketch"
    >
      {[
        { path: paths[0]!, y, reach: reachMm, teeth: z2, fill: 'var(--sheet)' },
        {
          path: paths[1]!,
          y: y - scale * centreMm,
          reach: moduleMm * (z1 / 2 + 1.5),
          teeth: z1,
          fill: 'var(--faint)',
        },
      ].map((part) => (
        <TurningLayer
          key={part.fill}
          scale={scale}
          turning={turning}
          part={{
            path: part.path,
            x,
            y: part.y,
            reachMm: part.reach,
            fromDeg: 0,
            turnS: part.teeth * PITCH_S,
            fill: part.fill,
          }}
        />
      ))}
    </StageFigure>
  );
}
