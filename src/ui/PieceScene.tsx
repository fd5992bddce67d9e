'use client';

import Box from '@mui/material/Box';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide } from 'three';
import chartsCss from '@/ui/charts/charts.module.css';
import { Note } from '@/ui/controls/Note';
import { hasWebGl, inkOf, Orbit } from '@/ui/space';

const HEIGHT_PX = 320;

interface Piece {
  /** Corners of each triangle, mm. */
  positions: Float32Array;
  measure: { boundsMm: { min: readonly number[]; max: readonly number[] } };
}

/** A piece as it lies on the bed, to be turned; another may be laid over it to be compared. */
export function PieceScene({ seen, over, says }: { seen: Piece; over?: Piece; says: string }) {
  const [able] = useState(hasWebGl);
  const [ink] = useState(inkOf);
  const { min, max } = seen.measure.boundsMm;
  const middle = middleOf(seen);
  const size = Math.max(...[0, 1, 2].map((axis) => max[axis]! - min[axis]!));
  if (!able) return <Note>This browser draws nothing in space; the files are the same.</Note>;
  return (
    <Box component="figure" className={chartsCss.chart} sx={{ width: '100%', mt: 0.75 }}>
      <figcaption>
        As it lies on the bed{over ? ', your own mesh laid over it' : ''}; drag to turn, wheel to come nearer
      </figcaption>
      <Box style={{ height: HEIGHT_PX }} className={chartsCss.scene} role="img" aria-label={says}>
        <Canvas
          key={`${size} ${middle.join()}`}
          frameloop="demand"
          camera={{
            position: [middle[0] + 0.7 * size, middle[1] - 1.4 * size, middle[2] + 1.3 * size],
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
          <Surface positions={seen.positions} colour={ink.slate} />
          {over ? <Surface positions={over.positions} colour={ink.ochre} at={onto(over, seen)} /> : null}
        </Canvas>
      </Box>
    </Box>
  );
}

const middleOf = ({ measure: { boundsMm } }: Piece) =>
  [0, 1, 2].map((axis) => (boundsMm.min[axis]! + boundsMm.max[axis]!) / 2) as [number, number, number];

/** What brings one piece over the middle of another, on the same bed. */
function onto(one: Piece, other: Piece): [number, number, number] {
  const [from, to] = [middleOf(one), middleOf(other)];
  return [to[0] - from[0], to[1] - from[1], other.measure.boundsMm.min[2]! - one.measure.boundsMm.min[2]!];
}

interface SurfaceProps {
  positions: Float32Array;
  colour: string;
  /** Laid over another, which shows through. */
  at?: [number, number, number];
}

const SHOWS_THROUGH = 0.45;

function Surface({ positions, colour, at }: SurfaceProps) {
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
    <mesh geometry={geometry} position={at ?? [0, 0, 0]}>
      <meshStandardMaterial
        color={colour}
        flatShading
        side={DoubleSide}
        roughness={0.8}
        transparent={at !== undefined}
        opacity={at ? SHOWS_THROUGH : 1}
        depthWrite={at === undefined}
      />
    </mesh>
  );
}
