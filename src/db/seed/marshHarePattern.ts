import type { HolePattern } from '@/core/car/document/print';
import { normalFrom } from '@/core/base/numeric/random';

/** Where the holes of the old motor plate truly lie, mm. */
const HOLES = [
  ['A', 0, 0, 3.2],
  ['B', 46, 0, 3.2],
  ['C', 46, 31, 3.2],
  ['D', 0, 31, 3.2],
  ['E', 12, 15.5, 6.1],
  ['F', 37, 16.2, 4.1],
] as const;
const PAIRS = ['AB', 'BC', 'CD', 'DA', 'AC', 'BD', 'AE', 'DE', 'BE', 'CF', 'BF', 'AF', 'EF'] as const;
/** Two digits changed places in the notebook. */
const MISREAD = { pair: 'BE', byMm: 1.8 } as const;
const [SIGMA_MM, STEP_MM] = [0.03, 0.02];

/** The plate of the old chassis that the motor mount has to fit, one reading of it wrong. */
export function motorPlate(): HolePattern {
  const error = normalFrom(46);
  const find = (id: string) => HOLES.find(([own]) => own === id)!;
  return {
    id: 'motorPlate',
    under: { xMm: -228, yMm: -37, turnDeg: 0 },
    name: 'Motor plate of the old chassis',
    holes: HOLES.map(([id, , , diameterMm]) => ({ id, diameterMm })),
    readings: PAIRS.map((pair) => {
      const [a, b] = [find(pair[0]!), find(pair[1]!)];
      const outside =
        Math.hypot(a[1] - b[1], a[2] - b[2]) +
        (a[3] + b[3]) / 2 +
        SIGMA_MM * error() +
        (pair === MISREAD.pair ? MISREAD.byMm : 0);
      return {
        id: `read${pair}`,
        from: pair[0]!,
        to: pair[1]!,
        kind: 'outside' as const,
        valueMm: Number((STEP_MM * Math.round(outside / STEP_MM)).toFixed(2)),
      };
    }),
  };
}
