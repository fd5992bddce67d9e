'use client';

import { type ReactNode, useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, Matrix4, type Plane, Quaternion, Vector3 } from 'three';
import { ConvexGeometry } from 'three/examples/jsm/geometries/ConvexGeometry.js';
import type { Motion, Vec3 } from '@/core/base/vec3';
import type { ThingForm } from '@/core/worked/space/thingForm';
import type { Thing } from '@/core/worked/space/thingsOfCar';

/** How a thing is drawn. */
export interface Skin {
  colour: string;
  /** Seen through. */
  clear: boolean;
  /** What lies behind them is left away. */
  planes: readonly Plane[];
}

/** How much of what lies behind a thing that is seen through, and behind a tyre, it hides. */
const [CLEAR, ROLLER] = [0.16, 0.35];

function Surface({
  skin: { colour, clear, planes },
  flat = false,
  opacity = 1,
}: {
  skin: Skin;
  flat?: boolean;
  opacity?: number;
}) {
  const shown = clear ? Math.min(CLEAR, opacity) : opacity;
  return (
    <meshStandardMaterial
      // a material learns of planes and of glass only when it is made
      key={`${planes.length} ${shown}`}
      color={colour}
      roughness={0.8}
      flatShading={flat}
      side={DoubleSide}
      transparent={shown < 1}
      opacity={shown}
      depthWrite={shown === 1}
      clippingPlanes={[...planes]}
    />
  );
}

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
  thing: { forms, roller, shell },
  motion: { rows, shift },
  skin,
  onPick,
}: {
  thing: Thing;
  motion: Motion;
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
      {roller ? (
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
