'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import { Matrix4, Plane, Vector3 } from 'three';
import { add, type Motion, STILL } from '@/core/base/vec3';
import { hasWebGl, inkOf, Orbit } from '@/ui/space';
import { CUT_AXIS } from './carLook';
import { type CarSceneProps, CarStill } from './CarStill';
import { ForceArrow } from './ForceArrow';
import type { Skin } from './Surface';
import { DrawnMesh, matrixOf, ThingMesh } from './ThingMeshes';

const HEIGHT_PX = 430;
/** The car's axes as the scene has them: left, up, forward. */
const TO_SCENE = new Matrix4().set(0, 1, 0, 0, 0, 0, 1, 0, 1, 0, 0, 0, 0, 0, 0, 1);
/** What is left away of each axis of the car, as the scene has it: towards the eye. */
const AWAY = [new Vector3(0, 0, -1), new Vector3(-1, 0, 0), new Vector3(0, -1, 0)] as const;

/** The car in space, to turn and to come near to; without WebGL drawn flat from the side and from above. */
export function CarScene(props: CarSceneProps) {
  const [able] = useState(hasWebGl);
  const [ink] = useState(inkOf);
  const { things, bodies, inks, offsets, look, carried, arrows = [] } = props;
  const { marked, picked, onPick, wheelbaseMm, drawn, surfaces } = props;
  const planes = useMemo(
    () => (look.cut === 'none' ? [] : [new Plane(AWAY[CUT_AXIS[look.cut]], look.cutMm)]),
    [look.cut, look.cutMm],
  );
  if (!able) return <CarStill {...props} />;
  const shown = drawn.filter(({ mesh }) => (surfaces.get(mesh.hash)?.length ?? 0) > 0);
  const replaced = new Set(shown.map(({ inPlaceOf }) => inPlaceOf));
  const skinOf = (id: string): Skin => ({
    colour: marked.has(id) ? ink.rust : picked.includes(id) ? ink.moss : ink[inks.get(id) ?? 'slate'],
    clear: look.xray && !marked.has(id) && !picked.includes(id),
    planes,
  });
  const motionOf = (id: string, body: string): Motion => {
    const motion = bodies.get(body) ?? STILL;
    const off = offsets.get(id);
    return off ? { ...motion, shift: add(motion.shift, off) } : motion;
  };
  const reach = 1.25 * wheelbaseMm;
  return (
    <Box component="figure" className={chartsCss.chart} sx={{ width: '100%' }} data-testid="car-space">
      <figcaption>
        <span>In space: drag to turn, wheel to come nearer, click two things for the way between them</span>
      </figcaption>
      <Box
        style={{ height: HEIGHT_PX }}
        className={chartsCss.scene}
        role="img"
        aria-label="The car in space, drag to turn"
      >
        <Canvas
          frameloop="demand"
          gl={{ localClippingEnabled: true }}
          camera={{ position: [1.04 * reach, 0.86 * reach, 0.56 * reach], fov: 32, near: 1, far: 20 * reach }}
        >
          <ambientLight intensity={1.5} />
          <directionalLight position={[reach, 2 * reach, reach]} intensity={1.7} />
          <Orbit target={[0, 40, -wheelbaseMm / 2]} pan />
          <Redraw by={[bodies, picked, surfaces, inks, offsets, look, carried, arrows]} />
          <group matrixAutoUpdate={false} matrix={TO_SCENE}>
            <group matrixAutoUpdate={false} matrix={matrixOf(carried ?? STILL)}>
              {things
                .filter(({ id }) => !replaced.has(id))
                .map((thing) => (
                  <ThingMesh
                    key={thing.id}
                    thing={thing}
                    motion={motionOf(thing.id, thing.body)}
                    turnDeg={look.turnDeg}
                    skin={skinOf(thing.id)}
                    onPick={() => onPick(thing.id)}
                  />
                ))}
              {shown.map((one) => (
                <DrawnMesh
                  key={one.id}
                  positions={surfaces.get(one.mesh.hash)!}
                  rest={one.motion}
                  motion={motionOf(one.inPlaceOf, one.body)}
                  skin={skinOf(one.inPlaceOf)}
                  onPick={() => onPick(one.inPlaceOf)}
                />
              ))}
            </group>
            {arrows.map(({ id, fromMm, toMm }) => (
              <ForceArrow key={id} fromMm={fromMm} toMm={toMm} colour={ink.rust} />
            ))}
          </group>
          <gridHelper args={[3 * reach, 30, ink.rule, ink.rule]} position={[0, 0, -wheelbaseMm / 2]} />
        </Canvas>
      </Box>
    </Box>
  );
}

/** Draws once more when what is shown has changed. */
function Redraw({ by }: { by: readonly unknown[] }) {
  const { invalidate } = useThree();
  // eslint-disable-next-line react-hooks/exhaustive-deps
  useEffect(() => invalidate(), [...by, invalidate]);
  return null;
}
