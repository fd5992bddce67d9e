import { polygonHull } from 'd3-polygon';
import { across, add, carry, type Motion, scale, STILL, subtract, unit, type Vec3 } from '../../base/vec3';
import type { ThingForm } from './thingForm';
import type { Thing } from './thingsOfCar';

export const STILL_VIEWS = ['left', 'above'] as const;
export type StillView = (typeof STILL_VIEWS)[number];

/** The car's axes on paper, front to the left, y down the page. */
const ON_PAPER: Readonly<Record<StillView, (point: Vec3) => readonly [number, number]>> = {
  left: ([x, , z]) => [-x, -z],
  above: ([x, y]) => [-x, -y],
};
/** Which of two things is the nearer to the eye. */
const TO_EYE: Readonly<Record<StillView, 1 | 2>> = { left: 1, above: 2 };

/** A thing drawn flat, mm: outlines, and bars with round ends. */
export interface StillShape {
  id: string;
  outlines: (readonly (readonly [number, number])[])[];
  bars: { from: readonly [number, number]; to: readonly [number, number]; acrossMm: number }[];
}

export interface Still {
  leftMm: number;
  topMm: number;
  wideMm: number;
  highMm: number;
  /** The farthest from the eye first. */
  shapes: StillShape[];
}

const [PAD_MM, ROUND] = [14, 20];
/** As fine as it is drawn, so that server and page draw the same. */
const drawn = (mm: number): number => Math.round(100 * mm) / 100;
const CORNERS = [-1, 1].flatMap((x) =>
  [-1, 1].flatMap((y) => [-1, 1].map((z): Vec3 => [x / 2, y / 2, z / 2])),
);

/**
 * The things of a car drawn flat, where their bodies stand.
 *
 * @param offsets how far things are drawn from where they belong, mm
 * @returns nothing where nothing is to be drawn
 */
export function stillOf(
  things: readonly Thing[],
  view: StillView,
  bodies: ReadonlyMap<string, Motion> = new Map(),
  offsets: ReadonlyMap<string, Vec3> = new Map(),
): Still | undefined {
  const flat = (point: Vec3): readonly [number, number] => {
    const [x, y] = ON_PAPER[view](point);
    return [drawn(x), drawn(y)];
  };
  const seen = things.map((thing) => {
    const motion = bodies.get(thing.body) ?? STILL;
    const off = offsets.get(thing.id) ?? ([0, 0, 0] as const);
    const forms = shapesOf(thing).map((form) => ({
      radiusMm: form.kind === 'capsule' ? form.radiusMm : 0,
      points: pointsOf(form, motion).map((point) => add(point, off)),
    }));
    const depths = forms.flatMap(({ points }) => points.map((point) => point[TO_EYE[view]]));
    return { id: thing.id, forms, depth: depths.reduce((sum, one) => sum + one, 0) / depths.length };
  });
  const all = seen.flatMap(({ forms }) =>
    forms.flatMap(({ points, radiusMm }) => points.map((point) => ({ at: flat(point), radiusMm }))),
  );
  if (all.length === 0) return undefined;
  const ends = [0, 1].map((k) => [
    Math.min(...all.map(({ at, radiusMm }) => at[k]! - radiusMm)) - PAD_MM,
    Math.max(...all.map(({ at, radiusMm }) => at[k]! + radiusMm)) + PAD_MM,
  ]) as [[number, number], [number, number]];
  return {
    leftMm: ends[0][0],
    topMm: ends[1][0],
    wideMm: ends[0][1] - ends[0][0],
    highMm: ends[1][1] - ends[1][0],
    shapes: seen
      .sort((a, b) => a.depth - b.depth)
      .map(({ id, forms }) => ({
        id,
        outlines: forms.flatMap(({ points, radiusMm }) =>
          radiusMm > 0 ? [] : [polygonHull(points.map((point): [number, number] => [...flat(point)])) ?? []],
        ),
        bars: forms.flatMap(({ points: [from, to], radiusMm }) =>
          radiusMm > 0 ? [{ from: flat(from!), to: flat(to!), acrossMm: 2 * radiusMm }] : [],
        ),
      })),
  };
}

/** A tyre as the roller that it is, the rest as it is taken for. */
function shapesOf({ forms, roller }: Thing): readonly ThingForm[] {
  if (!roller) return forms;
  const { fromMm, toMm, radiusMm } = roller;
  const [u, v] = across(unit(subtract(toMm, fromMm)));
  const pointsMm = Array.from({ length: ROUND }, (_, k) => (2 * Math.PI * k) / ROUND).flatMap((angle) => {
    const out = add(scale(u, radiusMm * Math.cos(angle)), scale(v, radiusMm * Math.sin(angle)));
    return [add(fromMm, out), add(toMm, out)];
  });
  return [{ kind: 'hull', pointsMm }];
}

function pointsOf(form: ThingForm, motion: Motion): Vec3[] {
  if (form.kind === 'hull') return form.pointsMm.map((point) => carry(motion, point));
  if (form.kind === 'box')
    return CORNERS.map(([x, y, z]) =>
      carry(motion, add(form.centreMm, [x * form.sizeMm[0], y * form.sizeMm[1], z * form.sizeMm[2]])),
    );
  return [carry(motion, form.fromMm), carry(motion, form.toMm)];
}
