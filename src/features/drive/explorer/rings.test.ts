import fc from 'fast-check';
import { radiusOf, ringsOf } from './rings';

const at = fc.record({
  cx: fc.double({ min: 0, max: 120, noNaN: true }),
  cy: fc.double({ min: 0, max: 60, noNaN: true }),
});

it('holds every row once, and no two rings lie on each other', () => {
  fc.assert(
    fc.property(fc.array(at, { maxLength: 60 }), (rows) => {
      const rings = ringsOf(rows, (row) => row);
      expect(rings.flatMap(({ rows: own }) => own)).toHaveLength(rows.length);
      expect(new Set(rings.flatMap(({ rows: own }) => own)).size).toBe(rows.length);
      for (const [index, a] of rings.entries())
        for (const b of rings.slice(index + 1))
          expect(Math.hypot(a.cx - b.cx, a.cy - b.cy)).toBeGreaterThanOrEqual(
            radiusOf(a.rows.length) + radiusOf(b.rows.length),
          );
    }),
    { seed: 3 },
  );
});

it('leaves apart what stands apart', () => {
  const rows = [0, 10, 40].map((cx) => ({ cx, cy: 0 }));
  expect(ringsOf(rows, (row) => row).map(({ rows: own }) => own.length)).toEqual([1, 1, 1]);
  expect(ringsOf([...rows, { cx: 4, cy: 0 }], (row) => row)).toHaveLength(2);
});
