'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import { Quaternion, Vector3 } from 'three';
import type { Corner } from '@/core/physics/corner/corner';
import { mirrored, type Part, type Posed, sticksOf, wheelAxes } from '@/core/physics/corner/posed';
import type { Vec3 } from '@/core/base/vec3';
import { hasWebGl, type Ink, inkOf, Orbit } from '@/ui/space';
import { AxisView } from './AxisView';

interface SpaceProps {
  corner: Corner;
  left: Posed;
  right: Posed;
}

const HEIGHT_PX = 400;
const THICK_MM: Readonly<Record<Part, number>> = { arm: 3, link: 2, tie: 2, upright: 2.4, damper: 5 };
const TREAD_RADII = 0.62;

/** The car's axes as the scene has them: left, up, forward. */
const inScene = ([x, y, z]: Vec3): [number, number, number] => [y, z, x];

/** Both corners in space, to turn and to come near to; without WebGL a drawing that turns by a slider. */
export function SpaceView(props: SpaceProps) {
  const [able] = useState(hasWebGl);
  const [ink] = useState(inkOf);
  if (!able) return <AxisView {...props} />;
  const { corner } = props;
  const reach = 2.1 * corner.wheelCentre[1];
  return (
    <Box component="figure" className={chartsCss.chart} sx={{ width: '100%' }} data-testid="space">
      <figcaption>
        <span>In space: drag to turn, wheel to come nearer</span>
      </figcaption>
      <Box
        style={{ height: HEIGHT_PX }}
        className={chartsCss.scene}
        role="img"
        aria-label="Both wheels and their arms in space, drag to turn"
      >
        <Canvas
          frameloop="demand"
          camera={{ position: [0.75 * reach, 0.8 * reach, 1.15 * reach], fov: 34, near: 1, far: 20 * reach }}
        >
          <ambientLight intensity={1.6} />
          <directionalLight position={[reach, 2 * reach, reach]} intensity={1.6} />
          <Orbit target={[0, corner.wheelCentre[2], 0]} />
          <Side corner={corner} posed={props.left} at={(p) => p} ink={ink} />
          <Side corner={corner} posed={props.right} at={mirrored} ink={ink} />
          <gridHelper
            args={[3 * reach, 24, ink.rule, ink.rule]}
            position={[0, corner.wheelCentre[2] - corner.tyreRadiusMm, 0]}
          />
        </Canvas>
      </Box>
    </Box>
  );
}

function Side({ corner, posed, at, ink }: { corner: Corner; posed: Posed; at(p: Vec3): Vec3; ink: Ink }) {
  const { station } = posed;
  const { invalidate } = useThree();
  useEffect(() => invalidate(), [station, invalidate]);
  const colours: Readonly<Record<Part, string>> = {
    arm: ink.ink,
    link: ink.ink,
    tie: ink.slate,
    upright: ink.quiet,
    damper: ink.moss,
  };
  const { out } = wheelAxes(station.camberDeg, station.toeDeg);
  const centre = station.points.wheelCentre!;
  const half = (TREAD_RADII * corner.tyreRadiusMm) / 2;
  const along = (by: number) =>
    at(([0, 1, 2] as const).map((axis) => centre[axis] + by * out[axis]) as unknown as Vec3);
  return (
    <group>
      {sticksOf(corner.kind, posed).map(({ part, from, to }, index) => (
        <Rod key={index} from={at(from)} to={at(to)} radius={THICK_MM[part]} colour={colours[part]} />
      ))}
      <Rod from={along(-half)} to={along(half)} radius={corner.tyreRadiusMm} colour={ink.quiet} tyre />
    </group>
  );
}

const UPRIGHT = new Vector3(0, 1, 0);

function Rod({
  from,
  to,
  radius,
  colour,
  tyre,
}: {
  from: Vec3;
  to: Vec3;
  radius: number;
  colour: string;
  tyre?: boolean;
}) {
  const { position, quaternion, length } = useMemo(() => {
    const [a, b] = [new Vector3(...inScene(from)), new Vector3(...inScene(to))];
    const along = b.clone().sub(a);
    return {
      position: a.add(b).multiplyScalar(0.5),
      quaternion: new Quaternion().setFromUnitVectors(UPRIGHT, along.clone().normalize()),
      length: along.length(),
    };
  }, [from, to]);
  return (
    <mesh position={position} quaternion={quaternion} scale={[radius, length, radius]}>
      <cylinderGeometry args={tyre ? [1, 1, 1, 48, 1, true] : [1, 1, 1, 14]} />
      <meshStandardMaterial
        color={colour}
        {...(tyre ? { transparent: true, opacity: 0.32, side: 2 as const, depthWrite: false } : {})}
        roughness={0.8}
      />
    </mesh>
  );
}
