'use client';

import { Canvas, type ThreeEvent, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, Color, DoubleSide, Plane, Quaternion, Vector3 } from 'three';
import type { PartBox, PartMesh } from '@/core/build/parts';
import { FAILS_BY } from '@/core/mesh/fem/stresses';
import { dot, unit, type Vec3 } from '@/core/vec3';
import { formatNumber } from '@/core/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { hasWebGl, type Ink, inkOf, Orbit } from '@/ui/space';
import type { SeenMesh, Solved } from '@/workers/parts.worker';

interface PartSceneProps {
  seen: SeenMesh;
  mesh: PartMesh;
  solved: Solved | undefined;
  mode: 'hold' | 'pull';
  onMode: ((mode: 'hold' | 'pull') => void) | undefined;
  onFace(face: number): void;
}

const HEIGHT_PX = 380;
const OVERHANG = Math.cos(Math.PI / 4);
/** Share of the height within which a face lies on the bed. */
const ON_BED = 1e-3;
/** The largest movement is drawn as this share of the part's size. */
const DRAWN_MOVE = 0.12;
const SHOWS = ['margin', 'criterion', 'mesh'] as const;
type Shows = (typeof SHOWS)[number];
const SHOW_WORDS: Readonly<Record<Shows, string>> = {
  margin: 'margin',
  criterion: 'how it fails',
  mesh: 'mesh and supports',
};

/** The part in space: faces to click, boxes that hold and pull, supports, and after a run its margins. */
export function PartScene({ seen, mesh, solved, mode, onMode, onFace }: PartSceneProps) {
  const { reader } = useReader();
  const [able] = useState(hasWebGl);
  const [ink] = useState(inkOf);
  const [asked, setShows] = useState<Shows>('margin');
  const [bent, setBent] = useState(false);
  const [cut, setCut] = useState(1);
  const { min, max } = seen.measure.boundsMm;
  const middle: Vec3 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2];
  const size = Math.max(max[0] - min[0], max[1] - min[1], max[2] - min[2]);
  const sides = [0, 1, 2].map((axis) => max[axis]! - min[axis]!);
  const long = sides.indexOf(Math.max(...sides)) as 0 | 1 | 2;
  const shows = solved ? asked : 'mesh';
  if (!able)
    return (
      <p className="note">
        This browser draws nothing in space here; choose faces from the list. Results stand below in words.
      </p>
    );
  const normal = [0, 0, 0];
  normal[long] = -1;
  const plane = new Plane(new Vector3(...normal), min[long] + cut * sides[long]! + 1e-3 * size);
  return (
    <figure className="chart" style={{ width: '100%', marginTop: 6 }} data-testid="part-space">
      <figcaption>
        <span>
          Drag to turn, wheel to come nearer{onMode ? '; click a face to' : ''}
          {onMode ? (
            <span className="seg" role="group" aria-label="A click on a face" style={{ marginLeft: 6 }}>
              {(['hold', 'pull'] as const).map((one) => (
                <button
                  key={one}
                  type="button"
                  className="small"
                  aria-pressed={mode === one}
                  onClick={() => onMode(one)}
                >
                  {one} it
                </button>
              ))}
            </span>
          ) : null}
        </span>
        <span className="row" style={{ fontWeight: 400 }}>
          {solved ? (
            <span className="seg" role="group" aria-label="Colour by">
              {SHOWS.map((one) => (
                <button
                  key={one}
                  type="button"
                  className="small"
                  aria-pressed={shows === one}
                  onClick={() => setShows(one)}
                >
                  {SHOW_WORDS[one]}
                </button>
              ))}
            </span>
          ) : null}
          {solved && shows !== 'mesh' ? (
            <label>
              <input type="checkbox" checked={bent} onChange={(event) => setBent(event.target.checked)} />{' '}
              bent
            </label>
          ) : null}
          <label>
            cut{' '}
            <input
              type="range"
              aria-label="Section plane"
              min={0.02}
              max={1}
              step={0.01}
              value={cut}
              onChange={(event) => setCut(Number(event.target.value))}
              style={{ width: 90, verticalAlign: 'middle' }}
            />
          </label>
        </span>
      </figcaption>
      <div
        style={{ height: HEIGHT_PX, background: 'var(--sheet)', border: '1px solid var(--rule)' }}
        role="img"
        aria-label={`The part in space, ${(mesh.held ?? []).length} holds, ${(mesh.pulls ?? []).length} pulls${solved ? `, margin ${formatNumber(solved.result.margin, reader.locale, 3)}` : ''}`}
      >
        <Canvas
          frameloop="demand"
          gl={{ localClippingEnabled: true }}
          onCreated={({ gl }) => {
            gl.localClippingEnabled = true;
          }}
          camera={{
            position: [middle[0] + 0.9 * size, middle[1] - 1.3 * size, middle[2] + 0.9 * size],
            up: [0, 0, 1],
            fov: 32,
            near: size / 100,
            far: 20 * size,
          }}
        >
          <ambientLight intensity={1.5} />
          <directionalLight
            position={[middle[0] + size, middle[1] - 2 * size, middle[2] + 2 * size]}
            intensity={1.8}
          />
          <directionalLight
            position={[middle[0] - 2 * size, middle[1] + size, middle[2] - size]}
            intensity={0.6}
          />
          <Orbit target={middle} pan />
          {shows === 'mesh' || !solved ? (
            <MeshBody seen={seen} up={mesh.up} ink={ink} plane={plane} onFace={onFace} />
          ) : (
            <SolvedBody solved={solved} by={shows} size={size} bent={bent} ink={ink} plane={plane} />
          )}
          {(mesh.held ?? []).map((box) => (
            <Box key={box.id} box={box} colour={ink.slate} size={size} />
          ))}
          {(mesh.pulls ?? []).map((pull) => (
            <group key={pull.id}>
              <Box box={pull} colour={ink.rust} size={size} />
              <Arrow from={outOf(pull)} direction={pull.direction} length={0.28 * size} colour={ink.rust} />
            </group>
          ))}
          <Arrow
            from={[min[0] - 0.12 * size, min[1] - 0.12 * size, min[2]]}
            direction={mesh.up}
            length={0.3 * size}
            colour={ink.moss}
          />
        </Canvas>
      </div>
      <p className="quiet" style={{ fontSize: 12 }}>
        Green arrow: up on the bed. Blue boxes hold, red ones pull.{' '}
        {shows === 'mesh'
          ? 'Ochre: faces to support.'
          : shows === 'margin'
            ? 'Red breaks, ochre under 1.5 times, green holds.'
            : `Grey: ${FAILS_BY[0]}; red: ${FAILS_BY[1]}; ochre: ${FAILS_BY[2]}.`}
        {solved && bent && shows !== 'mesh'
          ? ` Movement drawn ${formatNumber((DRAWN_MOVE * size) / solved.result.maxDisplacementMm, reader.locale, 2)} times as large.`
          : ''}
      </p>
    </figure>
  );
}

const centreOf = ({ min, max }: PartBox): Vec3 => [
  (min[0] + max[0]) / 2,
  (min[1] + max[1]) / 2,
  (min[2] + max[2]) / 2,
];

/** Where a line from a box's middle leaves it in the direction of its pull. */
function outOf({ direction, ...box }: PartBox & { direction: Vec3 }): Vec3 {
  const d = unit(direction);
  const reach = Math.min(
    ...[0, 1, 2].flatMap((axis) =>
      Math.abs(d[axis]!) > 1e-6 ? [(box.max[axis]! - box.min[axis]!) / 2 / Math.abs(d[axis]!)] : [],
    ),
  );
  return centreOf(box).map((one, axis) => one + reach * d[axis]!) as unknown as Vec3;
}

function MeshBody({
  seen: { positions, faces, measure },
  up,
  ink,
  plane,
  onFace,
}: {
  seen: SeenMesh;
  up: Vec3;
  ink: Ink;
  plane: Plane;
  onFace(face: number): void;
}) {
  const { invalidate } = useThree();
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    made.setAttribute('position', new BufferAttribute(positions, 3));
    made.setAttribute('color', new BufferAttribute(supportColours(positions, unit(up), ink), 3));
    made.computeVertexNormals();
    return made;
  }, [positions, up, ink]);
  useEffect(() => invalidate());
  useEffect(() => () => geometry.dispose(), [geometry]);
  const click = (event: ThreeEvent<MouseEvent>) => {
    event.stopPropagation();
    if (
      event.delta > 4 ||
      event.faceIndex === undefined ||
      event.faceIndex === null ||
      measure.triangles === 0
    )
      return;
    onFace(faces.faceOf[event.faceIndex]!);
  };
  return (
    <mesh geometry={geometry} onClick={click}>
      <meshStandardMaterial
        vertexColors
        flatShading
        side={DoubleSide}
        roughness={0.85}
        clippingPlanes={[plane]}
      />
    </mesh>
  );
}

/** Faces that hang over more than 45° from the bed in ochre. */
function supportColours(positions: Float32Array, b: Vec3, ink: Ink): Float32Array {
  const [plain, hangs] = [bodyColour(ink), new Color(ink.ochre)];
  const colours = new Float32Array(positions.length);
  let [low, high] = [Infinity, -Infinity];
  for (let at = 0; at < positions.length; at += 3) {
    const h = positions[at]! * b[0] + positions[at + 1]! * b[1] + positions[at + 2]! * b[2];
    low = Math.min(low, h);
    high = Math.max(high, h);
  }
  const bed = low + ON_BED * (high - low);
  for (let at = 0; at < positions.length; at += 9) {
    const p = (corner: number): Vec3 => [
      positions[at + 3 * corner]!,
      positions[at + 3 * corner + 1]!,
      positions[at + 3 * corner + 2]!,
    ];
    const [a, q, r] = [p(0), p(1), p(2)];
    const [u, v] = [
      [q[0] - a[0], q[1] - a[1], q[2] - a[2]],
      [r[0] - a[0], r[1] - a[1], r[2] - a[2]],
    ] as const;
    const n: Vec3 = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const size = Math.sqrt(dot(n, n)) || 1;
    const lies = [a, q, r].every((one) => dot(one, b) <= bed);
    const colour = -dot(n, b) / size > OVERHANG && !lies ? hangs : plain;
    for (let corner = 0; corner < 3; corner++) colour.toArray(colours, at + 3 * corner);
  }
  return colours;
}

function SolvedBody({
  solved: { surface, result },
  by,
  size,
  bent,
  ink,
  plane,
}: {
  solved: Solved;
  by: Shows;
  size: number;
  bent: boolean;
  ink: Ink;
  plane: Plane;
}) {
  const { invalidate } = useThree();
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    const much = bent && result.maxDisplacementMm > 0 ? (DRAWN_MOVE * size) / result.maxDisplacementMm : 0;
    made.setAttribute(
      'position',
      new BufferAttribute(
        surface.positions.map((one, at) => one + much * surface.moves[at]!),
        3,
      ),
    );
    made.setAttribute(
      'color',
      new BufferAttribute(
        by === 'criterion' ? criterionColours(surface.criteria, ink) : marginColours(surface.margins, ink),
        3,
      ),
    );
    made.setIndex(new BufferAttribute(surface.index, 1));
    made.computeVertexNormals();
    return made;
  }, [surface, result, by, size, bent, ink]);
  useEffect(() => invalidate());
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <mesh geometry={geometry}>
      <meshStandardMaterial vertexColors side={DoubleSide} roughness={0.9} clippingPlanes={[plane]} />
    </mesh>
  );
}

/** Between rule and quiet ink: seen on both grounds. */
const bodyColour = (ink: Ink) => new Color(ink.rule).lerp(new Color(ink.quiet), 0.35);

const [BREAKS, TIGHT, HOLDS] = [1, 1.5, 5];

/** Red under one, ochre to one and a half, then to green. */
function marginColours(margins: Float32Array, ink: Ink): Float32Array {
  const [rust, ochre, moss, body] = [
    new Color(ink.rust),
    new Color(ink.ochre),
    new Color(ink.moss),
    bodyColour(ink),
  ];
  const out = new Float32Array(3 * margins.length);
  const mixed = new Color();
  margins.forEach((margin, at) => {
    if (margin < BREAKS) mixed.copy(rust);
    else if (margin < TIGHT) mixed.copy(ochre);
    else mixed.copy(moss).lerp(body, Math.min(1, Math.log(margin / TIGHT) / Math.log(HOLDS)));
    mixed.toArray(out, 3 * at);
  });
  return out;
}

function criterionColours(criteria: Uint8Array, ink: Ink): Float32Array {
  const colours = [bodyColour(ink), new Color(ink.rust), new Color(ink.ochre)];
  const out = new Float32Array(3 * criteria.length);
  criteria.forEach((which, at) => colours[which]!.toArray(out, 3 * at));
  return out;
}

function Box({ box, colour, size }: { box: PartBox; colour: string; size: number }) {
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

function Arrow({
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
