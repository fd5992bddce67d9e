export interface Ring<R> {
  readonly cx: number;
  readonly cy: number;
  readonly rows: readonly R[];
}

/** Of a ring on the drawing, px: larger where a count stands in it. */
export const radiusOf = (count: number): number => (count > 1 ? 7 : 4.5);

/** Rows whose rings would lie on each other are one ring, at the place of the first. */
export function ringsOf<R>(rows: readonly R[], place: (row: R) => { cx: number; cy: number }): Ring<R>[] {
  const rings: Ring<R>[] = [];
  for (const row of rows) {
    let ring: Ring<R> = { ...place(row), rows: [row] };
    // one that has grown by a row may reach the next
    for (let near = touching(rings, ring); near >= 0; near = touching(rings, ring)) {
      const [other] = rings.splice(near, 1);
      ring = { ...other!, rows: [...other!.rows, ...ring.rows] };
    }
    rings.push(ring);
  }
  return rings;
}

const touching = <R>(rings: readonly Ring<R>[], { cx, cy, rows }: Ring<R>): number =>
  rings.findIndex(
    (other) => Math.hypot(other.cx - cx, other.cy - cy) < radiusOf(other.rows.length) + radiusOf(rows.length),
  );
