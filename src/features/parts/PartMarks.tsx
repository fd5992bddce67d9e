import { useMemo } from 'react';
import { Quaternion, Vector3 } from 'three';
import type { PartBox } from '@/core/car/parts/parts';
import { type Vec3 } from '@/core/base/vec3';

export const centreOf = ({ min, max }: PartBox): Vec3 => [
  (min[0] + max[0]) / 2,
  (min[1] + max[1]) / 2,
  (min[2] + max[2]) / 2,
];

/** A box around what is held or pulled. */
export function Box({ box, colour, size }: { box: PartBox; colour: string; size: number }) {
  const least = size / 60;
  return (
    <mesh position={centreOf(box) as [number, number, number]}>
      <boxGeometry
        args={
          [0, 1, 2].map((axis) => Math.max(least, box.max[axis]! - box.min[axis]!)) as [
            number,
            number,
            number,
          ]
        }
      />
      <meshStandardMaterial color={colour} transparent opacity={0.4} depthWrite={false} />
    </mesh>
  );
}

const UPRIGHT = new Vector3(0, 1, 0);

/** The way that something is pulled. */
export function Arrow({
  from,
  direction,
  length,
  colour,
}: {
  from: Vec3;
  direction: Vec3;
  length: number;
  colour: string;
}) {
  const turn = useMemo(
    () => new Quaternion().setFromUnitVectors(UPRIGHT, new Vector3(...direction).normalize()),
    [direction],
  );
  return (
    <group position={from as [number, number, number]} quaternion={turn}>
      <mesh position={[0, length * 0.4, 0]}>
        <cylinderGeometry args={[length / 28, length / 28, length * 0.8, 12]} />
        <meshStandardMaterial color={colour} />
      </mesh>
      <mesh position={[0, length * 0.9, 0]}>
        <coneGeometry args={[length / 11, length * 0.2, 16]} />
        <meshStandardMaterial color={colour} />
      </mesh>
    </group>
  );
}
