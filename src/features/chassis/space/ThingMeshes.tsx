'use client';

import { type ReactNode, useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, Matrix4, Quaternion, Vector3 } from 'three';
import { ConvexGeometry } from 'three/examples/jsm/geometries/ConvexGeometry.js';
import type { Motion, Vec3 } from '@/core/base/vec3';
import type { ThingForm } from '@/core/worked/space/thingForm';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import { GearMesh } from './GearMesh';
import { ROLLER, type Skin, Surface } from './Surface';

export const matrixOf = ({ rows, shift }: Motion): Matrix4 =>
  new Matrix4().set(...rows[0], shift[0], ...rows[1], shift[1], ...rows[2], shift[2], 0, 0, 0, 1);

interface DrawnMeshProps {
  positions: Float32Array;
  /** From the mesh to the car at rest, and of the body from there. */
  rest: Motion;
  motion: Motion;
  skin: Skin;
  onPick(): void;
}

/** A part that was made here, as its own mesh has it. */
export function DrawnMesh({ positions, rest, motion, skin, onPick }: DrawnMeshProps) {
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    made.setAttribute('position', new BufferAttribute(positions, 3));
    made.computeVertexNormals();
    return made;
  }, [positions]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  const matrix = useMemo(() => matrixOf(motion).multiply(matrixOf(rest)), [motion, rest]);
  return (
    <mesh
      geometry={geometry}
      matrixAutoUpdate={false}
      matrix={matrix}
      onClick={(event) => {
        event.stopPropagation();
        onPick();
      }}
    >
      <Surface skin={skin} flat />
    </mesh>
  );
}

export function ThingMesh({
  thing: { forms, roller, shell, train },
  motion: { rows, shift },
  turnDeg,
  skin,
  onPick,
}: {
  thing: Thing;
  motion: Motion;
  /** How far the wheels are turned. */
  turnDeg: number;
  skin: Skin;
  onPick(): void;
}) {
  const matrix = useMemo(() => matrixOf({ rows, shift }), [rows, shift]);
  return (
    <group
      matrixAutoUpdate={false}
      matrix={matrix}
      onClick={(event) => {
        event.stopPropagation();
        onPick();
      }}
    >
      {train?.gear ? (
        <GearMesh train={train} turnDeg={turnDeg} skin={skin} />
      ) : roller ? (
        <Bar from={roller.fromMm} to={roller.toMm} radiusMm={roller.radiusMm} open>
          <Surface skin={skin} opacity={ROLLER} />
        </Bar>
      ) : (
        forms.map((form, k) => (
          <FormMesh key={k} form={form} skin={shell ? { ...skin, clear: true } : skin} />
        ))
      )}
    </group>
  );
}

const UPRIGHT = new Vector3(0, 1, 0);

function FormMesh({ form, skin }: { form: ThingForm; skin: Skin }) {
  const material = <Surface skin={skin} />;
  if (form.kind === 'box')
    return (
      <mesh position={[...form.centreMm]} scale={[...form.sizeMm]}>
        <boxGeometry args={[1, 1, 1]} />
        {material}
      </mesh>
    );
  if (form.kind === 'hull') return <Hull pointsMm={form.pointsMm}>{material}</Hull>;
  return (
    <Bar from={form.fromMm} to={form.toMm} radiusMm={form.radiusMm}>
      {material}
    </Bar>
  );
}

function Hull({ pointsMm, children }: { pointsMm: readonly Vec3[]; children: ReactNode }) {
  const geometry = useMemo(
    () => new ConvexGeometry(pointsMm.map((point) => new Vector3(...point))),
    [pointsMm],
  );
  useEffect(() => () => geometry.dispose(), [geometry]);
  return <mesh geometry={geometry}>{children}</mesh>;
}

function Bar({
  from,
  to,
  radiusMm,
  open,
  children,
}: {
  from: Vec3;
  to: Vec3;
  radiusMm: number;
  /** A tube without ends, else a bar with round ones. */
  open?: boolean;
  children: ReactNode;
}) {
  const { position, quaternion, length } = useMemo(() => {
    const [a, b] = [new Vector3(...from), new Vector3(...to)];
    const along = b.clone().sub(a);
    return {
      position: a.add(b).multiplyScalar(0.5),
      quaternion: new Quaternion().setFromUnitVectors(UPRIGHT, along.clone().normalize()),
      length: along.length(),
    };
  }, [from, to]);
  return (
    <mesh position={position} quaternion={quaternion}>
      {open ? (
        <cylinderGeometry args={[radiusMm, radiusMm, length, 48, 1, true]} />
      ) : (
        <capsuleGeometry args={[radiusMm, length, 6, 14]} />
      )}
      {children}
    </mesh>
  );
}
