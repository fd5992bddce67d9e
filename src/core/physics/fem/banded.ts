import type { Level } from './cells';

/** Lower triangle of a Cholesky factor, row by row within the band. */
export interface BandedFactor {
  readonly size: number;
  readonly band: number;
  readonly rows: Float64Array;
  /** Row of each figure of the level. */
  readonly order: Int32Array;
}

/** Share of a row's own stiffness under which what is left of it is rounding. */
const NONE = 1e-10;

/** Cholesky's factor of a level within its band; directions without stiffness are left out. */
export function bandedFactor({ nodes, rowStart, column, block, order, band: nodeBand }: Level): BandedFactor {
  const size = 3 * nodes;
  const band = 3 * nodeBand + 3;
  const rows = new Float64Array(size * band);
  // row i holds columns i − band + 1 … i
  const at = (i: number, j: number) => i * band + (j - i + band - 1);
  for (let node = 0; node < nodes; node++)
    for (let entry = rowStart[node]!; entry < rowStart[node + 1]!; entry++)
      for (let c = 0; c < 3; c++)
        for (let d = 0; d < 3; d++) {
          const [i, j] = [3 * order[node]! + c, 3 * order[column[entry]!]! + d];
          if (j <= i) rows[at(i, j)] = block[9 * entry + 3 * c + d]!;
        }
  for (let i = 0; i < size; i++) {
    const first = Math.max(0, i - band + 1);
    const own = rows[at(i, i)]!;
    for (let j = first; j <= i; j++) {
      const from = Math.max(first, j - band + 1);
      let sum = rows[at(i, j)]!;
      for (let k = from, p = at(i, from), q = at(j, from); k < j; k++, p++, q++) sum -= rows[p]! * rows[q]!;
      if (j < i) {
        const pivot = rows[at(j, j)]!;
        rows[at(i, j)] = pivot === 0 ? 0 : sum / pivot;
      } else rows[at(i, i)] = sum > NONE * own ? Math.sqrt(sum) : 0;
    }
  }
  return { size, band, rows, order };
}

export function bandedSolve(
  { size, band, rows, order }: BandedFactor,
  b: Float64Array,
  into: Float64Array,
): void {
  const x = new Float64Array(size);
  for (let node = 0; node < order.length; node++)
    for (let c = 0; c < 3; c++) x[3 * order[node]! + c] = b[3 * node + c]!;
  for (let i = 0; i < size; i++) {
    const first = Math.max(0, i - band + 1);
    let sum = x[i]!;
    for (let k = first, p = i * band + (first - i + band - 1); k < i; k++, p++) sum -= rows[p]! * x[k]!;
    const pivot = rows[i * band + band - 1]!;
    x[i] = pivot === 0 ? 0 : sum / pivot;
  }
  for (let i = size - 1; i >= 0; i--) {
    const pivot = rows[i * band + band - 1]!;
    const value = pivot === 0 ? 0 : x[i]! / pivot;
    x[i] = value;
    const first = Math.max(0, i - band + 1);
    for (let k = first, p = i * band + (first - i + band - 1); k < i; k++, p++) x[k]! -= rows[p]! * value;
  }
  for (let node = 0; node < order.length; node++)
    for (let c = 0; c < 3; c++) into[3 * node + c] = x[3 * order[node]! + c]!;
}
