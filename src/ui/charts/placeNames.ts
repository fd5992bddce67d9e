export interface Named {
  readonly id: string;
  readonly text: string;
  /** Where its box has its middle, in the units of the drawing. */
  readonly x: number;
}

export interface PlacedName extends Named {
  /** Middle of the name. */
  readonly at: number;
  /** Counted away from the car. */
  readonly row: number;
}

/** Width of a letter over the height of the letters, and the gap between two names over it. */
const [LETTER, GAP] = [0.5, 0.6] as const;
/** So far beside its box a name may stand before it takes the next row, over the height of the letters. */
const SHIFT = 3;
const MOST_ROWS = 12;

export const widthOf = (text: string, size: number): number => text.length * LETTER * size;

/**
 * Names in rows beside a drawing, each near its box, none on another; a name wider than the room between the ends begins at
 * the left one.
 */
export function placeNames(
  named: readonly Named[],
  [from, to]: readonly [number, number],
  size: number,
): PlacedName[] {
  const taken: number[] = [];
  return [...named]
    .sort((a, b) => a.x - b.x)
    .map((one) => {
      const half = widthOf(one.text, size) / 2;
      const wished = Math.max(from + half, Math.min(to - half, one.x));
      const placed = (row: number) => Math.max(wished, (taken[row] ?? -Infinity) + GAP * size + half);
      const fits = (row: number) =>
        placed(row) + half <= Math.max(to, from + 2 * half) && placed(row) - wished <= SHIFT * size;
      let row = 0;
      while (row < MOST_ROWS && !fits(row)) row += 1;
      const at = placed(row);
      taken[row] = at + half;
      return { ...one, at, row };
    });
}
