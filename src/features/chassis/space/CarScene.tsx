'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import { Canvas, useThree } from '@react-three/fiber';
import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, Matrix4, Quaternion, Vector3 } from 'three';
import { ConvexGeometry } from 'three/examples/jsm/geometries/ConvexGeometry.js';
import { type Motion, STILL, type Vec3 } from '@/core/base/vec3';
import type { ThingForm } from '@/core/worked/space/thingForm';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import { hasWebGl, type Ink, inkOf, Orbit } from '@/ui/space';
import { type CarSceneProps, CarStill } from './CarStill';

const HEIGHT_PX = 430;
/** The car's axes as the scene has them: left, up, forward. */
const TO_SCENE = new Matrix4().set(0, 1, 0, 0, 0, 0, 1, 0, 1, 0, 0, 0, 0, 0, 0, 1);

/** The car in space, to turn and to come near to; without WebGL drawn flat from the side and from above. */
export function CarScene(props: CarSceneProps) {
  const [able] = useState(hasWebGl);
  const [ink] = useState(inkOf);
  if (!able) return <CarStill {...props} />;
  const { things, bodies, marked, picked, onPick, wheelbaseMm, drawn, surfaces } = props;
  const shown = drawn.filter(({ mesh }) => (surfaces.get(mesh.hash)?.length ?? 0) > 0);
  const replaced = new Set(shown.map(({ inPlaceOf }) => inPlaceOf));
  const colour = (id: string, usual: string) =>
    marked.has(id) ? ink.rust : picked.includes(id) ? ink.moss : usual;
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
          camera={{ position: [1.04 * reach, 0.86 * reach, 0.56 * reach], fov: 32, near: 1, far: 20 * reach }}
        >
          <ambientLight intensity={1.5} />
          <directionalLight position={[reach, 2 * reach, reach]} intensity={1.7} />
          <Orbit target={[0, 40, -wheelbaseMm / 2]} pan />
          <Redraw by={bodies} also={picked} then={surfaces} />
          <group matrixAutoUpdate={false} matrix={TO_SCENE}>
            {things
              .filter(({ id }) => !replaced.has(id))
              .map((thing) => (
                <ThingMesh
                  key={thing.id}
                  thing={thing}
                  motion={bodies.get(thing.body) ?? STILL}
                  colour={colour(thing.id, colourOf(thing, ink))}
                  onPick={() => onPick(thing.id)}
                />
              ))}
            {shown.map((one) => (
              <DrawnMesh
                key={one.id}
                positions={surfaces.get(one.mesh.hash)!}
                rest={one.motion}
                motion={bodies.get(one.body) ?? STILL}
                colour={colour(one.inPlaceOf, ink.slate)}
                onPick={() => onPick(one.inPlaceOf)}
              />
            ))}
          </group>
          <gridHelper args={[3 * reach, 30, ink.rule, ink.rule]} position={[0, 0, -wheelbaseMm / 2]} />
        </Canvas>
      </Box>
    </Box>
  );
}

/** Draws once more when what is shown has changed. */
function Redraw({ by, also, then }: { by: unknown; also: unknown; then: unknown }) {
  const { invalidate } = useThree();
  useEffect(() => invalidate(), [by, also, then, invalidate]);
  return null;
}

function colourOf({ of, class: kind }: Thing, ink: Ink): string {
  if (kind === 'hot') return ink.ochre;
  if (!of) return ink.slate;
  return of.thing === 'wheel' ? ink.quiet : of.thing === 'damper' ? ink.moss : ink.ink;
}

const matrixOf = ({ rows, shift }: Motion): Matrix4 =>
  new Matrix4().set(...rows[0], shift[0], ...rows[1], shift[1], ...rows[2], shift[2], 0, 0, 0, 1);

interface DrawnMeshProps {
  positions: Float32Array;
  /** From the mesh to the car at rest, and of the body from there. */
  rest: Motion;
  motion: Motion;
  colour: string;
  onPick(): void;
}

/** A part that was made here, as its own mesh has it. */
function DrawnMesh({ positions, rest, motion, colour, onPick }: DrawnMeshProps) {
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
      <meshStandardMaterial color={colour} flatShading side={DoubleSide} roughness={0.8} />
    </mesh>
  );
}

function ThingMesh({
  thing: { forms, roller },
  motion: { rows, shift },
  colour,
  onPick,
}: {
  thing: Thing;
  motion: Motion;
  colour: string;
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
          <meshStandardMaterial
            color={colour}
            roughness={0.8}
            transparent
            opacity={0.35}
            side={DoubleSide}
            depthWrite={false}
          />
        </Bar>
      ) : (
        forms.map((form, k) => <FormMesh key={k} form={form} colour={colour} />)
      )}
    </group>
  );
}

const UPRIGHT = new Vector3(0, 1, 0);

function FormMesh({ form, colour }: { form: ThingForm; colour: string }) {
  const material = <meshStandardMaterial color={colour} roughness={0.8} />;
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
