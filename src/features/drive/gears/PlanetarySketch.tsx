'use client';

import gearsCss from '@/features/drive/gears/gears.module.css';
import { type CSSProperties, useMemo, useState } from 'react';
import type { Stage } from '@/core/car/stages/stage';
import { gearOutline } from '@/core/physics/gears/outline';
import { internalOutline } from '@/core/physics/gears/internalOutline';
import type { PlanetaryResult } from '@/core/physics/planetary/definition';
import { planetTeethOf } from '@/core/worked/drive/stageTeeth';
import { circlePath, pathOf, SKETCH_HEIGHT, SKETCH_WIDTH, StageFigure, TurningLayer } from './GearLayers';

/** The sun turns once in this long, s. */
const SUN_S = 6;
const RIM_MODULES = 3.5;
const DEG = 180 / Math.PI;

/** Sun, planets on their carrier, and ring to scale from their outlines; the carrier goes round with its planets. */
export function PlanetarySketch({ stage, set }: { stage: Stage; set: PlanetaryResult }) {
  const [turning, setTurning] = useState(false);
  const { pinionTeeth: sunTeeth = 0, wheelTeeth: ringTeeth = 0, moduleMm = 1, ringAddendum = 1 } = stage;
  const planetTeeth = planetTeethOf(stage);
  const paths = useMemo(() => {
    const outer = (teeth: number) =>
      pathOf(gearOutline({ teeth, moduleMm, boreMm: 0.3 * moduleMm * teeth, pointsPerFlank: 10 }).outline);
    return {
      sun: outer(sunTeeth) + circlePath(0.15 * moduleMm * sunTeeth),
      planet: outer(planetTeeth) + circlePath(0.15 * moduleMm * planetTeeth),
      ring:
        circlePath(moduleMm * (ringTeeth / 2 + RIM_MODULES)) +
        pathOf(internalOutline({ teeth: ringTeeth, moduleMm, addendum: ringAddendum, pointsPerFlank: 8 })),
    };
  }, [sunTeeth, planetTeeth, ringTeeth, moduleMm, ringAddendum]);
  const reachMm = moduleMm * (ringTeeth / 2 + RIM_MODULES) + 0.5;
  const scale = SKETCH_HEIGHT / (2 * reachMm);
  const middle = { x: SKETCH_WIDTH / 2, y: SKETCH_HEIGHT / 2 };
  const arm = scale * set.centreDistanceMm;
  /** How far the planet at an angle is turned so that it meets a sun whose tooth 0 points up. */
  const planetTurn = (angle: number) => angle + Math.PI + (angle * sunTeeth - Math.PI) / planetTeeth;
  const ringTurn = (planetTurn(0) * planetTeeth) / ringTeeth;
  const carrierS = SUN_S * set.ratio;
  const planetS = SUN_S / ((1 - 1 / set.ratio) * (sunTeeth / planetTeeth));
  return (
    <StageFigure
      caption="Sun, planets and ring in mesh, to scale"
      says={`Sun of ${sunTeeth} teeth, ${stage.planets} planets of ${planetTeeth}, ring of ${ringTeeth}, seen along the shaft; the ring is held.`}
      turning={turning}
      onTurn={setTurning}
      testId="planetary-sketch"
    >
      <TurningLayer
        scale={scale}
        turning={turning}
        part={{ ...middle, path: paths.ring, reachMm, fromDeg: ringTurn * DEG, fill: 'var(--sheet)' }}
      />
      <div
        className={turning ? `${gearsCss.carrier} ${gearsCss.turning}` : gearsCss.carrier}
        style={
          {
            left: middle.x,
            top: middle.y,
            '--from': '0deg',
            '--turn': `${carrierS}s`,
            '--way': 'normal',
          } as CSSProperties
        }
      >
        {set.planetAnglesDeg.map((angle) => {
          const at = angle / DEG;
          return (
            <TurningLayer
              key={angle}
              scale={scale}
              turning={turning}
              part={{
                path: paths.planet,
                x: arm * Math.sin(at),
                y: -arm * Math.cos(at),
                reachMm: moduleMm * (planetTeeth / 2 + 1.5),
                fromDeg: planetTurn(at) * DEG,
                turnS: planetS,
                way: 'reverse',
                fill: 'var(--faint)',
              }}
            />
          );
        })}
      </div>
      <TurningLayer
        scale={scale}
        turning={turning}
        part={{
          ...middle,
          path: paths.sun,
          reachMm: moduleMm * (sunTeeth / 2 + 1.5),
          fromDeg: 0,
          turnS: SUN_S,
          fill: 'var(--faint)',
        }}
      />
    </StageFigure>
  );
}
