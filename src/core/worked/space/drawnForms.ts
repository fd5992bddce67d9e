import { polygonArea, polygonHull } from 'd3-polygon';
import { carry, type Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import type { Along, Prism, Step } from '../../physics/making/drawn/drawing';
import type { ThingForm } from './thingForm';
import { placedDrawings } from './placedDrawings';

/** Corners that a disc is taken for, all outside it. */
const CORNERS = 12;
const OUTSIDE = 1 / Math.cos(Math.PI / CORNERS);

const PLACED: Readonly<Record<Along, (u: number, v: number, w: number) => Vec3>> = {
  x: (u, v, w) => [w, u, v],
  y: (u, v, w) => [v, w, u],
  z: (u, v, w) => [u, v, w],
};

type Flat = readonly (readonly [number, number])[];

/** An outline as the polygon round it. */
const polygonOf = ({ discs }: Prism): Flat =>
  (
    polygonHull(
      discs.flatMap(({ at: [u, v], radiusMm }) =>
        Array.from({ length: radiusMm > 0 ? CORNERS : 1 }, (_, k): [number, number] => {
          const angle = (2 * Math.PI * k) / CORNERS;
          const r = radiusMm * OUTSIDE;
          return [u + r * Math.cos(angle), v + r * Math.sin(angle)];
        }),
      ),
    ) ?? []
  ).map(([u, v]) => [u, v] as const);

/** What of a convex polygon lies on one side of a line along an axis. */
function clipped(polygon: Flat, axis: 0 | 1, at: number, sign: 1 | -1): Flat {
  const depth = (point: readonly [number, number]) => sign * (at - point[axis]);
  return polygon.flatMap((from, k) => {
    const to = polygon[(k + 1) % polygon.length]!;
    const [a, b] = [depth(from), depth(to)];
    const share = a / (a - b);
    const cross = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])] as const;
    return [...(a >= 0 ? [from] : []), ...(a * b < 0 ? [cross] : [])];
  });
}

/** Of a polygon, mm²; a cut along an edge leaves none. */
function areaOf(flat: Flat): number {
  const area = Math.abs(polygonArea(flat.map(([u, v]): [number, number] => [u, v])));
  return area > NO_AREA_MM2 ? area : 0;
}

const NO_AREA_MM2 = 1e-6;

/** A convex prism. */
interface Piece {
  flat: Flat;
  along: Along;
  from: number;
  to: number;
}

/** A rectangle that was taken leaves up to four convex pieces as far as it goes; any other hole counts as full. */
function notched(piece: Piece, { form }: Step): Piece[] {
  if (form.kind !== 'prism' || form.along !== piece.along || form.discs.length !== 4) return [piece];
  if (form.discs.some(({ radiusMm }) => radiusMm > 0)) return [piece];
  const [from, to] = [Math.max(form.from, piece.from), Math.min(form.to, piece.to)];
  if (to <= from) return [piece];
  const [us, vs] = [0, 1].map((axis) => form.discs.map(({ at }) => at[axis as 0 | 1])) as [
    number[],
    number[],
  ];
  const [u0, u1, v0, v1] = [Math.min(...us), Math.max(...us), Math.min(...vs), Math.max(...vs)];
  const between = clipped(clipped(piece.flat, 0, u1, 1), 0, u0, -1);
  const left = [
    clipped(piece.flat, 0, u0, 1),
    clipped(piece.flat, 0, u1, -1),
    clipped(between, 1, v0, 1),
    clipped(between, 1, v1, -1),
  ];
  return [
    ...(piece.from < from ? [{ ...piece, to: from }] : []),
    ...(piece.to > to ? [{ ...piece, from: to }] : []),
    ...left.flatMap((flat) => (areaOf(flat) > 0 ? [{ ...piece, flat, from, to }] : [])),
  ];
}

/** The convex pieces that a drawing is made of. */
function piecesOf(steps: readonly Step[]): Piece[] {
  return steps.reduce<Piece[]>((pieces, step) => {
    if (step.take) return pieces.flatMap((piece) => notched(piece, step));
    return step.form.kind === 'prism' ? [...pieces, { ...step.form, flat: polygonOf(step.form) }] : pieces;
  }, []);
}

/** What drawn parts take up in the car, by the things that they are in place of; holes in them count as full, notches do not. */
export function drawnForms(document: BuildDocument): ReadonlyMap<string, readonly ThingForm[]> {
  return new Map(
    placedDrawings(document, []).map(({ inPlaceOf, drawn, motion }) => [
      inPlaceOf,
      piecesOf(drawn.drawing.steps).map(({ flat, along, from, to }): ThingForm => ({
        kind: 'hull',
        pointsMm: [from, to].flatMap((w) => flat.map(([u, v]) => carry(motion, PLACED[along](u, v, w)))),
      })),
    ]),
  );
}
