import type { Vec3 } from '../../../base/vec3';
import type { Point } from '../../gears/outlineFiles';
import type { Disc } from './hull';

export type Along = 'x' | 'y' | 'z';

/**
 * An outline drawn straight along an axis, mm. The outline's two coordinates are those that follow the axis: y, z along
 * x; z, x along y; x, y along z.
 */
export interface Prism {
  kind: 'prism';
  discs: readonly Disc[];
  /** Wholly inside the outline and apart from each other. */
  holes?: readonly (readonly Disc[])[];
  along: Along;
  from: number;
  to: number;
}

/** A round bar in any direction, mm. */
export interface Bar {
  kind: 'bar';
  from: Vec3;
  to: Vec3;
  radiusMm: number;
}

export type Form = Prism | Bar;

/** What is put on, or taken away, one after the other. */
export interface Step {
  form: Form;
  take?: true;
}

/** An edge that is rounded: the one through a point. */
export interface Round {
  at: Vec3;
  mm: number;
}

/** A part as it is drawn: lying on z = 0, mm. */
export interface Drawing {
  steps: readonly Step[];
  rounds?: readonly Round[];
}

export interface Box {
  min: Vec3;
  max: Vec3;
}

/** A part as it is drawn, with the places that hold and are pulled, and how the car's directions lie in it. */
export interface DrawnPart {
  drawing: Drawing;
  places: ReadonlyMap<string, Box>;
  /** The car's x, y and z in the drawing's axes, by columns: rows turn a direction of the car. */
  rows: readonly [Vec3, Vec3, Vec3];
  /** One place as the drawing and as the car has it: of a corner in the axes of its own axle. */
  anchor?: { drawing: Vec3; car: Vec3 };
}

export const AS_IT_STANDS: DrawnPart['rows'] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

export const disc = (x: number, y: number, radiusMm = 0): Disc => ({ at: [x, y], radiusMm });

/** A rectangle's corners, rounded. */
export function rectangle([x0, y0]: Point, [x1, y1]: Point, roundMm = 0): Disc[] {
  const r = Math.min(roundMm, Math.abs(x1 - x0) / 2, Math.abs(y1 - y0) / 2);
  const [[left, right], [low, high]] = [
    [Math.min(x0, x1) + r, Math.max(x0, x1) - r],
    [Math.min(y0, y1) + r, Math.max(y0, y1) - r],
  ];
  return [disc(left, low, r), disc(right, low, r), disc(right, high, r), disc(left, high, r)];
}

export const prism = (
  along: Along,
  discs: readonly Disc[],
  from: number,
  to: number,
  holes?: readonly (readonly Disc[])[],
): Step => ({
  form: { kind: 'prism', along, discs, from, to, ...(holes && holes.length > 0 ? { holes } : {}) },
});

export const bar = (from: Vec3, to: Vec3, radiusMm: number): Step => ({
  form: { kind: 'bar', from, to, radiusMm },
});

export const taken = ({ form }: Step): Step => ({ form, take: true });

/** Round a place, as far as given to each side. */
export const boxAround = ([x, y, z]: Vec3, [dx, dy, dz]: Vec3): Box => ({
  min: [x - dx, y - dy, z - dz],
  max: [x + dx, y + dy, z + dz],
});
