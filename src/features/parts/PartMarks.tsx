import { useEffect, useMemo } from 'react';
import {
  BoxGeometry,
  CanvasTexture,
  DoubleSide,
  EdgesGeometry,
  RepeatWrapping,
  SRGBColorSpace,
  Quaternion,
  Vector2,
  Vector3,
} from 'three';
import type { PartBox } from '@/core/car/parts/parts';
import { type Vec3 } from '@/core/base/vec3';
import type { State } from '@/core/verdict/engine/check';
import type { Ink } from '@/ui/space';

export const centreOf = ({ min, max }: PartBox): Vec3 => [
  (min[0] + max[0]) / 2,
  (min[1] + max[1]) / 2,
  (min[2] + max[2]) / 2,
];

const [TILE_PX, LINES] = [64, 4];

/** Slanting lines on nothing, as everything that is held still is hatched. */
function hatchOf(colour: string): CanvasTexture {
  const canvas = window.document.createElement('canvas');
  canvas.width = canvas.height = TILE_PX;
  const pen = canvas.getContext('2d')!;
  pen.strokeStyle = colour;
  pen.lineWidth = TILE_PX / LINES / 5;
  for (let at = -LINES; at <= LINES; at++) {
    pen.moveTo((at * TILE_PX) / LINES, TILE_PX);
    pen.lineTo((at * TILE_PX) / LINES + TILE_PX, 0);
  }
  pen.stroke();
  const hatch = new CanvasTexture(canvas);
  hatch.wrapS = hatch.wrapT = RepeatWrapping;
  hatch.colorSpace = SRGBColorSpace;
  return hatch;
}

/** Tiles over the longest side of a part. */
const TILES = 9;

/** Lays tiles of one size on every face: ±x, ±y, ±z in this order, four corners each. */
function tiled(box: BoxGeometry, [x, y, z]: readonly [number, number, number], tile: number): void {
  const faces = [
    [z, y],
    [x, z],
    [x, y],
  ] as const;
  const uv = box.getAttribute('uv');
  for (let corner = 0; corner < uv.count; corner++) {
    const [wide, high] = faces[Math.floor(corner / 8)]!;
    uv.setXY(corner, (uv.getX(corner) * wide) / tile, (uv.getY(corner) * high) / tile);
  }
}

/** What is held, hatched; what is pulled, an outline with nothing in it. Both are seen through the part. */
export function Box({
  box,
  colour,
  size,
  hatched = false,
}: {
  box: PartBox;
  colour: string;
  size: number;
  hatched?: boolean;
}) {
  const least = size / 60;
  const [x, y, z] = ([0, 1, 2] as const).map((axis) => Math.max(least, box.max[axis] - box.min[axis])) as [
    number,
    number,
    number,
  ];
  const shape = useMemo(() => {
    const body = new BoxGeometry(x, y, z);
    tiled(body, [x, y, z], size / TILES);
    return { body, edges: new EdgesGeometry(body) };
  }, [x, y, z, size]);
  const hatch = useMemo(() => (hatched ? hatchOf(colour) : undefined), [hatched, colour]);
  useEffect(
    () => () => {
      shape.body.dispose();
      shape.edges.dispose();
    },
    [shape],
  );
  useEffect(() => () => hatch?.dispose(), [hatch]);
  return (
    <group position={centreOf(box) as [number, number, number]}>
      {hatch ? (
        <mesh geometry={shape.body}>
          <meshBasicMaterial
            map={hatch}
            toneMapped={false}
            transparent
            depthTest={false}
            depthWrite={false}
            side={DoubleSide}
          />
        </mesh>
      ) : null}
      <lineSegments geometry={shape.edges}>
        <lineBasicMaterial color={colour} depthTest={false} transparent />
      </lineSegments>
    </group>
  );
}

const [SIGN_W, SIGN_H, SIGN_OF_VIEW] = [256, 96, 0.055];

/** The weakest place: the sign of its state beside its margin, always towards the eye and before everything. */
export function MarginSign({ at, text, state, ink }: { at: Vec3; text: string; state: State; ink: Ink }) {
  const texture = useMemo(() => {
    const canvas = window.document.createElement('canvas');
    [canvas.width, canvas.height] = [SIGN_W, SIGN_H];
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = ink.sheet;
    pen.strokeStyle = ink.ink;
    pen.lineWidth = 3;
    pen.fillRect(2, 2, SIGN_W - 4, SIGN_H - 4);
    pen.strokeRect(2, 2, SIGN_W - 4, SIGN_H - 4);
    drawState(pen, state, { clear: ink.moss, tight: ink.ochre, over: ink.rust, unknown: ink.quiet }[state]);
    pen.fillStyle = ink.ink;
    pen.font = `600 56px ${getComputedStyle(window.document.body).fontFamily}`;
    pen.textBaseline = 'middle';
    pen.fillText(text, 92, SIGN_H / 2 + 3, SIGN_W - 104);
    const sign = new CanvasTexture(canvas);
    sign.colorSpace = SRGBColorSpace;
    return sign;
  }, [text, state, ink]);
  useEffect(() => () => texture.dispose(), [texture]);
  return (
    <sprite
      position={at as [number, number, number]}
      scale={[(SIGN_OF_VIEW * SIGN_W) / SIGN_H, SIGN_OF_VIEW, 1]}
      center={LOWER_LEFT}
      renderOrder={2}
    >
      <spriteMaterial map={texture} depthTest={false} sizeAttenuation={false} toneMapped={false} />
    </sprite>
  );
}

const LOWER_LEFT = new Vector2(-0.06, -0.2);

/** The shapes of `StateMark`: filled, half, cut by a bar, dotted ring. */
function drawState(pen: CanvasRenderingContext2D, state: State, colour: string): void {
  const [x, y, r] = [48, SIGN_H / 2, 26];
  pen.fillStyle = pen.strokeStyle = colour;
  pen.lineWidth = 7;
  const arc = (radius: number, from: number, to: number) => {
    pen.beginPath();
    pen.arc(x, y, radius, from, to);
  };
  if (state === 'clear') {
    arc(r, 0, 2 * Math.PI);
    pen.fill();
    return;
  }
  if (state === 'over') {
    for (const half of [-1, 1]) {
      pen.beginPath();
      pen.arc(x, y + 4 * half, r, half < 0 ? Math.PI : 0, half < 0 ? 2 * Math.PI : Math.PI);
      pen.fill();
    }
    return;
  }
  pen.setLineDash(state === 'unknown' ? [8, 9] : []);
  arc(r - 3, 0, 2 * Math.PI);
  pen.stroke();
  pen.setLineDash([]);
  if (state === 'tight') {
    arc(r - 3, -Math.PI / 2, Math.PI / 2);
    pen.fill();
  }
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
