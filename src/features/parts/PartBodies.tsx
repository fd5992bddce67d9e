import { type ThreeEvent, useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { BufferAttribute, BufferGeometry, Color, DoubleSide, Plane } from 'three';
import { dot, unit, type Vec3 } from '@/core/base/vec3';
import { type Ink } from '@/ui/space';
import type { State } from '@/core/verdict/engine/check';
import type { SeenMesh, Solved } from '@/workers/parts.worker';

const OVERHANG = Math.cos(Math.PI / 4);

/** Share of the height within which a face lies on the bed. */
const ON_BED = 1e-3;

/** The largest movement is drawn as this share of the part's size. */
export const DRAWN_MOVE = 0.12;

export const SHOWS = ['margin', 'criterion', 'mesh'] as const;

export type Shows = (typeof SHOWS)[number];

export const SHOW_WORDS: Readonly<Record<Shows, string>> = {
  margin: 'margin',
  criterion: 'how it fails',
  mesh: 'mesh and supports',
};

/** A mesh as it was read, what would need support in another colour. */
export function MeshBody({
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

/** A mesh as it was solved, coloured by margin or by what fails first. */
export function SolvedBody({
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

/** As the colours say it. */
export const marginState = (margin: number): State =>
  margin < BREAKS ? 'over' : margin < TIGHT ? 'tight' : 'clear';

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
