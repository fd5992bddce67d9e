import { BLOCK, type Level } from './cells';
import type { Kernel, Place } from './kernel/kernel';

/** Lower triangle of a Cholesky factor, row by row within the band, in the kernel's memory. */
export interface BandedFactor {
  readonly size: number;
  readonly band: number;
  readonly rows: Place;
  /** What is solved for, in the order of the rows. */
  readonly x: Place;
  /** Row of each figure of the level. */
  readonly order: Int32Array;
}

/** Cholesky's factor of a level within its band; directions without stiffness are left out. */
export function bandedFactor(
  kernel: Kernel,
  { nodes, rowStart, column, block: blockAt, order, band: nodeBand }: Level,
): BandedFactor {
  const size = 3 * nodes;
  const band = 3 * nodeBand + 3;
  const at = kernel.place(8 * size * band);
  const x = kernel.place(8 * size);
  const rows = kernel.doubles(at, size * band);
  const block = kernel.singles(blockAt, BLOCK * column.length);
  // row i holds columns i − band + 1 … i
  for (let node = 0; node < nodes; node++)
    for (let entry = rowStart[node]!; entry < rowStart[node + 1]!; entry++)
      for (let c = 0; c < 3; c++)
        for (let d = 0; d < 3; d++) {
          const [i, j] = [3 * order[node]! + c, 3 * order[column[entry]!]! + d];
          if (j <= i) rows[i * band + (j - i + band - 1)] = block[BLOCK * entry + 4 * d + c]!;
        }
  kernel.code.factor(size, band, at);
  return { size, band, rows: at, x, order };
}

/** @param b four lanes to a node; `into` likewise */
export function bandedSolve(
  kernel: Kernel,
  { size, band, rows, x, order }: BandedFactor,
  b: Float32Array,
  into: Float32Array,
): void {
  const figures = kernel.doubles(x, size);
  for (let node = 0; node < order.length; node++)
    for (let c = 0; c < 3; c++) figures[3 * order[node]! + c] = b[4 * node + c]!;
  kernel.code.solved(size, band, rows, x);
  for (let node = 0; node < order.length; node++)
    for (let c = 0; c < 3; c++) into[4 * node + c] = figures[3 * order[node]! + c]!;
}
