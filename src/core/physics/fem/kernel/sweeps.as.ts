// AssemblyScript: the coarser grids' part of the cycle, in single precision, four lanes (x, y, z, nothing) to a node.

const LANES: usize = 16;
/** Three columns of four lanes. */
const BLOCK: usize = 48;

/** Every coarse node takes the shares of the finer ones. */
export function restrict(
  start: usize,
  parent: usize,
  fine: usize,
  nodes: i32,
  coarse: usize,
  coarser: i32,
): void {
  memory.fill(coarse, 0, LANES * <usize>coarser);
  for (let node = 0; node < nodes; node++, start += 4, fine += LANES) {
    const from = load<i32>(start);
    const to = load<i32>(start, 4);
    if (from === to) continue;
    const own = f32x4.mul(f32x4.splat(<f32>1 / <f32>(to - from)), v128.load(fine));
    for (let at = from; at < to; at++) {
      const into = coarse + LANES * <usize>load<i32>(parent + ((<usize>at) << 2));
      v128.store(into, f32x4.add(v128.load(into), own));
    }
  }
}

/** Every finer node adds the mean of its coarse ones. */
export function prolong(start: usize, parent: usize, coarse: usize, fine: usize, nodes: i32): void {
  for (let node = 0; node < nodes; node++, start += 4, fine += LANES) {
    const from = load<i32>(start);
    const to = load<i32>(start, 4);
    if (from === to) continue;
    let sum = f32x4.splat(0);
    for (let at = from; at < to; at++)
      sum = f32x4.add(sum, v128.load(coarse + LANES * <usize>load<i32>(parent + ((<usize>at) << 2))));
    v128.store(fine, f32x4.add(v128.load(fine), f32x4.mul(sum, f32x4.splat(<f32>1 / <f32>(to - from)))));
  }
}

/** Sum of block times x over the blocks from `at` up to `to`. */
function rowOf(block: usize, column: usize, at: i32, to: i32, x: usize): v128 {
  let s0 = f32x4.splat(0);
  let s1 = f32x4.splat(0);
  let s2 = f32x4.splat(0);
  let k = block + BLOCK * <usize>at;
  let c = column + ((<usize>at) << 2);
  for (const end = block + BLOCK * <usize>to; k < end; k += BLOCK, c += 4) {
    const from = x + LANES * <usize>load<i32>(c);
    s0 = f32x4.add(s0, f32x4.mul(v128.load(k), v128.load32_splat(from)));
    s1 = f32x4.add(s1, f32x4.mul(v128.load(k, 16), v128.load32_splat(from, 4)));
    s2 = f32x4.add(s2, f32x4.mul(v128.load(k, 32), v128.load32_splat(from, 8)));
  }
  return f32x4.add(f32x4.add(s0, s1), s2);
}

/** A block of 3 × 3 times s. */
function times(block: usize, s: v128): v128 {
  return f32x4.add(
    f32x4.add(
      f32x4.mul(v128.load(block), v128.shuffle<f32>(s, s, 0, 0, 0, 0)),
      f32x4.mul(v128.load(block, 16), v128.shuffle<f32>(s, s, 1, 1, 1, 1)),
    ),
    f32x4.mul(v128.load(block, 32), v128.shuffle<f32>(s, s, 2, 2, 2, 2)),
  );
}

/** Gauss-Seidel from nothing, node by node: only what was set before counts; then what is left, where only what came after does. */
export function firstSweep(
  nodes: i32,
  rowStart: usize,
  column: usize,
  own: usize,
  block: usize,
  inverse: usize,
  b: usize,
  x: usize,
  left: usize,
): void {
  for (let node = 0; node < nodes; node++) {
    const at = <usize>node;
    const s = f32x4.sub(
      v128.load(b + LANES * at),
      rowOf(block, column, load<i32>(rowStart + (at << 2)), load<i32>(own + (at << 2)), x),
    );
    v128.store(x + LANES * at, times(inverse + BLOCK * at, s));
  }
  for (let node = 0; node < nodes; node++) {
    const at = <usize>node;
    v128.store(
      left + LANES * at,
      f32x4.neg(rowOf(block, column, load<i32>(own + (at << 2)) + 1, load<i32>(rowStart + (at << 2), 4), x)),
    );
  }
}

/** Gauss-Seidel onwards, or back. */
export function sweep(
  nodes: i32,
  rowStart: usize,
  column: usize,
  block: usize,
  inverse: usize,
  b: usize,
  x: usize,
  back: i32,
): void {
  for (let turn = 0; turn < nodes; turn++) {
    const at = <usize>(back ? nodes - 1 - turn : turn);
    const s = f32x4.sub(
      v128.load(b + LANES * at),
      rowOf(block, column, load<i32>(rowStart + (at << 2)), load<i32>(rowStart + (at << 2), 4), x),
    );
    const into = x + LANES * at;
    v128.store(into, f32x4.add(v128.load(into), times(inverse + BLOCK * at, s)));
  }
}

export function residual(
  nodes: i32,
  rowStart: usize,
  column: usize,
  block: usize,
  b: usize,
  x: usize,
  left: usize,
): void {
  for (let node = 0; node < nodes; node++) {
    const at = <usize>node;
    v128.store(
      left + LANES * at,
      f32x4.sub(
        v128.load(b + LANES * at),
        rowOf(block, column, load<i32>(rowStart + (at << 2)), load<i32>(rowStart + (at << 2), 4), x),
      ),
    );
  }
}

/**
 * Adds the stiffness of all cells up between their nodes. A cell's table is 64 blocks, by rows of corners; `slot` says where
 * in its row each of a node's 27 neighbours stands.
 */
export function assembled(
  nx: i32,
  ny: i32,
  nz: i32,
  kind: usize,
  tables: usize,
  nodeAt: usize,
  slot: usize,
  block: usize,
): void {
  const cx = nx + 1;
  const cy = ny + 1;
  for (let k = 0; k < nz; k++)
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++, kind += 4) {
        const own = load<i32>(kind);
        if (own === 0) continue;
        let table = tables + 64 * BLOCK * <usize>(own - 1);
        for (let a = 0; a < 8; a++) {
          const ai = a & 1;
          const aj = (a >> 1) & 1;
          const ak = a >> 2;
          const node = load<i32>(nodeAt + ((<usize>(i + ai + cx * (j + aj + cy * (k + ak)))) << 2));
          const row = slot + 108 * <usize>node;
          for (let b = 0; b < 8; b++, table += BLOCK) {
            const way = (b & 1) - ai + 1 + 3 * (((b >> 1) & 1) - aj + 1) + 9 * ((b >> 2) - ak + 1);
            const into = block + BLOCK * <usize>load<i32>(row + ((<usize>way) << 2));
            v128.store(into, f32x4.add(v128.load(into), v128.load(table)));
            v128.store(into, f32x4.add(v128.load(into, 16), v128.load(table, 16)), 16);
            v128.store(into, f32x4.add(v128.load(into, 32), v128.load(table, 32)), 32);
          }
        }
      }
}
