/** Point or direction. */
export type Vec3 = readonly [x: number, y: number, z: number];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const lengthOf = (a: Vec3): number => Math.sqrt(dot(a, a));
export const distance = (a: Vec3, b: Vec3): number => lengthOf(subtract(a, b));
export const unit = (a: Vec3): Vec3 => scale(a, 1 / lengthOf(a));
export const middle = (a: Vec3, b: Vec3): Vec3 => scale(add(a, b), 0.5);

/** Angle between two directions, rad; exact for small ones too. */
export const angleBetween = (a: Vec3, b: Vec3): number => Math.atan2(lengthOf(cross(a, b)), dot(a, b));

/** Two directions across a line and each other, of length 1. */
export function across(axis: Vec3): [Vec3, Vec3] {
  const least = [0, 1, 2].reduce((low, k) => (Math.abs(axis[k]!) < Math.abs(axis[low]!) ? k : low), 0);
  const other: Vec3 = [least === 0 ? 1 : 0, least === 1 ? 1 : 0, least === 2 ? 1 : 0];
  const first = unit(cross(axis, other));
  return [first, cross(axis, first)];
}

/** A rigid motion: a rotation matrix by rows, then a shift. */
export interface Motion {
  readonly rows: readonly [Vec3, Vec3, Vec3];
  readonly shift: Vec3;
}

export const STILL: Motion = {
  rows: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  shift: [0, 0, 0],
};

export function turn({ rows }: Motion, v: Vec3): Vec3 {
  const a = rows[0];
  const b = rows[1];
  const c = rows[2];
  return [
    a[0] * v[0] + a[1] * v[1] + a[2] * v[2],
    b[0] * v[0] + b[1] * v[1] + b[2] * v[2],
    c[0] * v[0] + c[1] * v[1] + c[2] * v[2],
  ];
}

export function carry({ rows, shift }: Motion, p: Vec3): Vec3 {
  const a = rows[0];
  const b = rows[1];
  const c = rows[2];
  return [
    a[0] * p[0] + a[1] * p[1] + a[2] * p[2] + shift[0],
    b[0] * p[0] + b[1] * p[1] + b[2] * p[2] + shift[1],
    c[0] * p[0] + c[1] * p[1] + c[2] * p[2] + shift[2],
  ];
}

/** A direction seen from the moved body. */
export function turnBack({ rows }: Motion, v: Vec3): Vec3 {
  const a = rows[0];
  const b = rows[1];
  const c = rows[2];
  return [
    a[0] * v[0] + b[0] * v[1] + c[0] * v[2],
    a[1] * v[0] + b[1] * v[1] + c[1] * v[2],
    a[2] * v[0] + b[2] * v[1] + c[2] * v[2],
  ];
}

/** Rotation by an angle (rad, right hand) about a line through a point. Source: Rodrigues. */
export function rotationAbout(point: Vec3, axis: Vec3, angle: number): Motion {
  const x = axis[0];
  const y = axis[1];
  const z = axis[2];
  const s = Math.sin(angle);
  const c = Math.cos(angle);
  const t = 1 - c;
  const rows: Motion['rows'] = [
    [t * x * x + c, t * x * y - s * z, t * x * z + s * y],
    [t * x * y + s * z, t * y * y + c, t * y * z - s * x],
    [t * x * z - s * y, t * y * z + s * x, t * z * z + c],
  ];
  return { rows, shift: subtract(point, turn({ rows, shift: [0, 0, 0] }, point)) };
}

/** First `inner`, then `outer`. */
export function after(outer: Motion, inner: Motion): Motion {
  const p = inner.rows[0];
  const q = inner.rows[1];
  const r = inner.rows[2];
  const row = (o: Vec3): Vec3 => [
    o[0] * p[0] + o[1] * q[0] + o[2] * r[0],
    o[0] * p[1] + o[1] * q[1] + o[2] * r[1],
    o[0] * p[2] + o[1] * q[2] + o[2] * r[2],
  ];
  return {
    rows: [row(outer.rows[0]), row(outer.rows[1]), row(outer.rows[2])],
    shift: carry(outer, inner.shift),
  };
}
