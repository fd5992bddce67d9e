'use client';

import Box from '@mui/material/Box';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide } from 'three';
import chartsCss from '@/ui/charts/charts.module.css';
import { Note } from '@/ui/controls/Note';
import { hasWebGl, inkOf, Orbit } from '@/ui/space';
import type { SeenBody } from '@/workers/solids.worker';

const HEIGHT_PX = 320;

/** A piece as it lies on the bed, to be turned. */
export function PieceScene({ seen, says }: { seen: SeenBody; says: string }) {
  const [able] = useState(hasWebGl);
  const [ink] = useState(inkOf);
  const { min, max } = seen.measure.boundsMm;
  const middle = [0, 1, 2].map((axis) => (min[axis]! + max[axis]!) / 2) as [number, number, number];
  const size = Math.max(max[0] - min[0], max[1] - min[1], max[2] - min[2]);
  if (!able) return <Note>This browser draws nothing in space; the files are the same.</Note>;
  return (
    <Box component="figure" className={chartsCss.chart} sx={{ width: '100%', mt: 0.75 }}>
      <figcaption>As it lies on the bed; drag to turn, wheel to come nearer</figcaption>
      <Box style={{ height: HEIGHT_PX }} className={chartsCss.scene} role="img" aria-label={says}>
        <Canvas
          key={`${size} ${middle.join()}`}
          frameloop="demand"
          camera={{
            position: [middle[0] + 0.6 * size, middle[1] - 1.2 * size, middle[2] + 1.1 * size],
            up: [0, 0, 1],
            fov: 32,
            near: size / 100,
            far: 20 * size,
          }}
        >
          <ambientLight intensity={1.4} />
          <directionalLight position={[size, -2 * size, 3 * size]} intensity={1.9} />
          <directionalLight position={[-2 * size, size, size]} intensity={0.7} />
          <Orbit target={middle} pan />
          <Piece positions={seen.positions} colour={ink.slate} />
        </Canvas>
      </Box>
    </Box>
  );
}

function Piece({ positions, colour }: { positions: Float32Array; colour: string }) {
  const { invalidate } = useThree();
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    made.setAttribute('position', new BufferAttribute(positions, 3));
    made.computeVertexNormals();
    return made;
  }, [positions]);
  useEffect(() => invalidate());
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <mesh geometry={geometry}>
      <meshStandardMaterial color={colour} flatShading side={DoubleSide} roughness={0.8} />
    </mesh>
  );
}
