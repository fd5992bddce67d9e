import fc from 'fast-check';
import type { PlatePart } from './misfit';
import { type PlatesInput, printPlates } from './plates';

const part = (
  id: string,
  width: number,
  depth: number,
  more: Pick<PlatePart, 'quantity' | 'mayTurn'> = {},
): PlatePart => ({ id, sizeMm: [width, depth, 10] as const, ...more });
const bed = { bedMm: [200, 200] as const, heightMm: 200 };

it('lays four quarters on one bed without owing the edge', () => {
  const { plates, doesNotFit } = printPlates({
    ...bed,
    spacingMm: 10,
    parts: [part('q', 95, 95, { quantity: 4 })],
  });
  expect(doesNotFit).toEqual([]);
  expect(plates).toHaveLength(1);
  expect(plates[0]!.usedPct).toBeCloseTo((100 * 4 * 95 * 95) / 40_000, 9);
});

it('says why a part does not fit, whether aslant, and in how many pieces', () => {
  const { doesNotFit } = printPlates({
    bedMm: [250, 150],
    heightMm: 180,
    parts: [
      { id: 'tall', sizeMm: [50, 50, 400] },
      part('stiff', 100, 200, { mayTurn: false }),
      part('long', 270, 20),
      part('huge', 520, 160),
      part('fine', 100, 200),
    ],
  });
  expect(doesNotFit).toEqual([
    { id: 'tall', reason: 'tooTall', diagonalFits: false, splitPieces: 3 },
    { id: 'stiff', reason: 'mayNotTurn', diagonalFits: false, splitPieces: 2 },
    { id: 'long', reason: 'tooLarge', diagonalFits: true, splitPieces: 2 },
    { id: 'huge', reason: 'tooLarge', diagonalFits: false, splitPieces: 4 },
  ]);
});

const sizes = fc.tuple(
  fc.integer({ min: 5, max: 190 }),
  fc.integer({ min: 5, max: 190 }),
  fc.integer({ min: 1, max: 4 }),
  fc.boolean(),
);

it('keeps every part on its bed, apart from the others, and all of them', () => {
  fc.assert(
    fc.property(
      fc.array(sizes, { minLength: 1, maxLength: 14 }),
      fc.integer({ min: 0, max: 12 }),
      (list, spacingMm) => {
        const parts = list.map(([w, d, quantity, mayTurn], at) =>
          part(`p${at}`, w, d, { quantity, mayTurn }),
        );
        const input: PlatesInput = { ...bed, spacingMm, parts };
        const { plates } = printPlates(input);
        expect(plates.flatMap(({ items }) => items).length).toBe(list.reduce((sum, one) => sum + one[2], 0));
        for (const { items } of plates) {
          const boxes = items.map(({ id, xMm, yMm, turned }) => {
            const own = parts.find((one) => one.id === id)!;
            expect(turned && own.mayTurn === false).toBe(false);
            const [w, d] = turned ? [own.sizeMm[1], own.sizeMm[0]] : [own.sizeMm[0], own.sizeMm[1]];
            expect(xMm).toBeGreaterThanOrEqual(0);
            expect(xMm + w).toBeLessThanOrEqual(200 + 1e-6);
            expect(yMm + d).toBeLessThanOrEqual(200 + 1e-6);
            return [xMm, yMm, xMm + w, yMm + d] as const;
          });
          boxes.forEach((a, i) =>
            boxes.slice(0, i).forEach((b) => {
              const gap = Math.hypot(
                Math.max(0, a[0] - b[2], b[0] - a[2]),
                Math.max(0, a[1] - b[3], b[1] - a[3]),
              );
              expect(gap).toBeGreaterThanOrEqual(spacingMm - 1e-6);
              if (spacingMm === 0)
                expect(Math.max(a[0] - b[2], b[0] - a[2], a[1] - b[3], b[1] - a[3])).toBeGreaterThanOrEqual(
                  -1e-6,
                );
            }),
          );
        }
      },
    ),
    { numRuns: 60 },
  );
});
