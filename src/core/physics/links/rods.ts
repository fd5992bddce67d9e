import { refusal } from '../../base/errors';
import { determinant, solveLinear } from '../../base/numeric/linear';
import { singularValues } from '../../base/numeric/singular';
import {
  add,
  after,
  carry,
  cross,
  distance,
  lengthOf,
  type Motion,
  rotationAbout,
  scale,
  STILL,
  subtract,
  turn,
  unit,
  type Vec3,
} from '../../base/vec3';
import type { Pose } from '../corner/linkage';
import type { RodLink, RodsCorner } from './definition';
import type { Mechanism } from './mechanism';
import { CHASSIS, type Hold } from './statics';
import { damperHold, refuseShort, standOf } from './wheel';

/** What an upright that is not held can still do. */
export const FREE_WAYS = ['x', 'y', 'z', 'roll', 'pitch', 'yaw'] as const;
export type FreeWay = (typeof FREE_WAYS)[number];

declare module '../../base/errors' {
  interface RefusalFacts {
    'links.few': { missing: number; free: FreeWay };
    'links.many': { tooMany: number };
    'links.spanned': { free: FreeWay };
    'links.twice': { id: string };
    'links.twoSteer': Record<never, never>;
    'links.liftsNothing': Record<never, never>;
  }
}

const RODS = 5;
const SPANNED = 1e-6;
const LIFTS = 1e-9;

type Column = readonly number[];

/** Direction of a rod and its moment about the wheel's centre in tyre radii. */
function columnOf(
  { inner, outer }: Pick<RodLink, 'inner' | 'outer'>,
  { wheelCentre, tyreRadiusMm }: RodsCorner,
): Column {
  const along = unit(subtract(inner, outer));
  return [...along, ...scale(cross(subtract(outer, wheelCentre), along), 1 / tyreRadiusMm)];
}

const normOf = (v: Column) => Math.sqrt(v.reduce((sum, one) => sum + one * one, 0));

/** What is left of a column beside directions that stand across each other. */
function beside(column: Column, basis: readonly Column[]): number[] {
  let left = [...column];
  // twice, so that rounding leaves nothing of them
  for (const one of [...basis, ...basis]) {
    const along = one.reduce((sum, value, k) => sum + value * left[k]!, 0);
    left = left.map((value, k) => value - along * one[k]!);
  }
  return left;
}

/** Directions that span the columns, and the first column that the ones before it span. */
function spanOf(columns: readonly Column[]): { basis: Column[]; spanned?: number } {
  const basis: Column[] = [];
  let spanned: number | undefined;
  columns.forEach((column, k) => {
    const size = normOf(column);
    const left = beside(
      column.map((value) => value / size),
      basis,
    );
    const length = normOf(left);
    if (length < SPANNED) spanned ??= k;
    else basis.push(left.map((value) => value / length));
  });
  return { basis, ...(spanned === undefined ? {} : { spanned }) };
}

/** The largest part of what directions leave free. */
function freeOf(basis: readonly Column[]): FreeWay {
  const left = FREE_WAYS.map((_, way) =>
    normOf(
      beside(
        FREE_WAYS.map((__, k) => (k === way ? 1 : 0)),
        basis,
      ),
    ),
  );
  return FREE_WAYS[left.indexOf(Math.max(...left))]!;
}

function refuseUnheld(corner: RodsCorner): void {
  const { links, damper } = corner;
  links.forEach(({ id, inner, outer }, k) => {
    if (links.findIndex((one) => one.id === id) < k)
      throw refusal(`corner.links.${k}.id`, 'links.twice', { id });
    refuseShort(`corner.links.${k}.inner`, inner, outer);
  });
  refuseShort('corner.damper.inner', damper.inner, damper.outer);
  const steer = links.map((one, k) => (one.steer ? k : -1)).filter((k) => k >= 0);
  if (steer.length > 1) throw refusal(`corner.links.${steer[1]}.steer`, 'links.twoSteer');
  const columns = [...links, damper].map((one) => columnOf(one, corner));
  const { basis, spanned } = spanOf(columns);
  if (links.length < RODS)
    throw refusal('corner.links', 'links.few', { missing: RODS - links.length, free: freeOf(basis) });
  if (links.length > RODS) throw refusal('corner.links', 'links.many', { tooMany: links.length - RODS });
  if (spanned !== undefined)
    throw refusal(spanned === RODS ? 'corner.damper' : `corner.links.${spanned}`, 'links.spanned', {
      free: freeOf(basis),
    });
}

/** Where the upright stands: turned about the wheel's centre, which has moved. */
interface Place {
  turned: Motion;
  centre: Vec3;
}

const STEP_MM = 1;
const CLOSE_MM = 1e-11;
const MOST_TRIES = 25;

/**
 * Five rods on an upright, followed from rest along its one free motion by Newton, never past a place where it turns back.
 *
 * @throws CalcError at `corner.links` with too few or too many rods, at a rod that the others span, at `corner.wheelCentre`
 * where the free motion does not lift the wheel
 */
export function rodsMechanism(corner: RodsCorner): Mechanism {
  refuseUnheld(corner);
  const { links, damper, wheelCentre } = corner;
  const lengths = links.map(({ inner, outer }) => distance(inner, outer));
  const innerOf = ({ inner, steer }: RodLink, rackMm: number): Vec3 =>
    steer ? [inner[0], inner[1] + rackMm, inner[2]] : inner;
  const outerAt = (outer: Vec3, { turned, centre }: Place) =>
    add(turn(turned, subtract(outer, wheelCentre)), centre);

  /** Rows of the rods and of the travel: what each asks of a small shift and turn, with what it is off by. */
  const rowsAt = (place: Place, travelMm: number, rackMm: number) => [
    ...links.map((link, k) => {
      const end = outerAt(link.outer, place);
      const rod = subtract(end, innerOf(link, rackMm));
      const along = unit(rod);
      return Float64Array.from([
        ...along,
        ...cross(subtract(end, place.centre), along),
        lengths[k]! - lengthOf(rod),
      ]);
    }),
    Float64Array.from([0, 0, 1, 0, 0, 0, wheelCentre[2] + travelMm - place.centre[2]]),
  ];
  const signAt = (place: Place, rackMm: number) => Math.sign(determinant(rowsAt(place, 0, rackMm)));
  const rest: Place = { turned: STILL, centre: wheelCentre };
  const restSize = determinant(rowsAt(rest, 0, 0));
  if (Math.abs(restSize) < LIFTS * corner.tyreRadiusMm ** 3)
    throw refusal('corner.wheelCentre', 'links.liftsNothing');

  function near(from: Place, travelMm: number, rackMm: number): Place | undefined {
    let at = from;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const rows = rowsAt(at, travelMm, rackMm);
      const off = Math.max(...rows.map((row) => Math.abs(row[6]!)));
      if (off < CLOSE_MM) return signAt(at, rackMm) === Math.sign(restSize) ? at : undefined;
      const move = solveLinear(rows)?.[0];
      if (!move) return undefined;
      const angle = Math.hypot(move[3]!, move[4]!, move[5]!);
      const turnBy =
        angle === 0
          ? STILL
          : rotationAbout([0, 0, 0], [move[3]! / angle, move[4]! / angle, move[5]! / angle], angle);
      at = {
        turned: after(turnBy, at.turned),
        centre: add(at.centre, [move[0]!, move[1]!, move[2]!]),
      };
    }
    return undefined;
  }
  function pose(travelMm: number, rackMm: number): Pose | undefined {
    let at: Place | undefined = rest;
    const along = (way: number, to: (share: number) => [travelMm: number, rackMm: number]) => {
      const steps = Math.ceil(Math.abs(way) / STEP_MM);
      for (let k = 1; at && k <= steps; k++) at = near(at, ...to(k / steps));
    };
    along(rackMm, (share) => [0, share * rackMm]);
    along(travelMm, (share) => [share * travelMm, rackMm]);
    if (!at) return undefined;
    const upright: Motion = {
      rows: at.turned.rows,
      shift: subtract(at.centre, turn(at.turned, wheelCentre)),
    };
    return { angle: travelMm, rackMm, lower: upright, upper: upright, carrier: upright, upright };
  }
  const values = singularValues([...links, damper].map((one) => columnOf(one, corner)));
  return {
    posable: { corner, pose },
    bodies: 1,
    upright: 0,
    holds: ({ upright, rackMm }) => [
      ...links.map((link): Hold => ({
        kind: 'rod',
        member: link.id,
        inner: innerOf(link, rackMm),
        outer: carry(upright, link.outer),
        from: CHASSIS,
        to: 0,
        innerName: link.id,
      })),
      damperHold(damper, upright),
    ],
    stand: standOf(corner),
    damperMm: ({ upright }) => distance(damper.inner, carry(upright, damper.outer)),
    sprungBy: 'damper',
    steers: links.some(({ steer }) => steer),
    conditionNumber: values[0]! / values.at(-1)!,
  };
}
