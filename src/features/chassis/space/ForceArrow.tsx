'use client';

import { useMemo } from 'react';
import { Quaternion, Vector3 } from 'three';
import type { Vec3 } from '@/core/base/vec3';

const UPRIGHT = new Vector3(0, 1, 0);
const [SHAFT_MM, HEAD_MM, HEAD_LONG_MM] = [1.6, 5, 13];

interface ForceArrowProps {
  fromMm: Vec3;
  toMm: Vec3;
  colour: string;
}

/** A force as an arrow in the car's axes. */
export function ForceArrow({ fromMm, toMm, colour }: ForceArrowProps) {
  const { start, turned, long } = useMemo(() => {
    const start = new Vector3(...fromMm);
    const along = new Vector3(...toMm).sub(start);
    const long = along.length();
    const turned = new Quaternion().setFromUnitVectors(UPRIGHT, along.normalize());
    return { start, turned, long };
  }, [fromMm, toMm]);
  const head = Math.min(HEAD_LONG_MM, long);
  return (
    <group position={start} quaternion={turned}>
      <mesh position={[0, (long - head) / 2, 0]}>
        <cylinderGeometry args={[SHAFT_MM, SHAFT_MM, long - head, 12]} />
        <meshBasicMaterial color={colour} />
      </mesh>
      <mesh position={[0, long - head / 2, 0]}>
        <coneGeometry args={[HEAD_MM, head, 16]} />
        <meshBasicMaterial color={colour} />
      </mesh>
    </group>
  );
}
