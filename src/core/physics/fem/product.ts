import { type Bricks, RUN } from '../solid/bricks';
import { DOFS } from './brick';
import { type Kernel, newKernel, type Place } from './kernel/kernel';

/** The stiffness of all bricks without ever being written down. */
export interface Product {
  readonly kernel: Kernel;
  readonly nodes: number;
  /** Places for what is searched with, three figures in double precision to a node. */
  readonly work: Readonly<Record<'r' | 'u' | 'p' | 'q' | 'z', Place>>;
  /** y = K x over all nodes, three figures in double precision to a node. */
  apply(x: Place, y: Place): void;
  /** The same in single precision, four lanes to a node. */
  applySingle(x: Place, y: Place): void;
  /** Diagonal of K. */
  diagonal(): Float64Array;
}

/**
 * Rows of bricks along x: each face is turned into sums and differences once, serves the brick before and the brick after it,
 * and gives its forces back once.
 *
 * @param w the brick's stiffness by patterns, of a cube with an edge of 1 mm
 */
export function productOf(bricks: Bricks, k: Float64Array, w: Float64Array, edgeMm: number): Product {
  const { runs, kind, corner } = bricks;
  const nodes = corner.length;
  const shares = Float64Array.from(bricks.shares, (share) => share * edgeMm);
  const kernel = newKernel();
  const lanes = lanesOf(w);
  const [runsAt, kindAt] = [kernel.keep(runs), kernel.keep(kind)];
  const [sharesAt, lanesAt] = [kernel.keep(shares), kernel.keep(lanes)];
  const [singleShares, singleLanes] = [
    kernel.keep(Float32Array.from(shares)),
    kernel.keep(Float32Array.from(lanes)),
  ];
  const vector = () => kernel.place(8 * 3 * nodes);
  const work = { r: vector(), u: vector(), p: vector(), q: vector(), z: vector() };
  const count = runs.length / RUN;

  const apply = (x: Place, y: Place): void =>
    kernel.code.product64(runsAt, count, kindAt, sharesAt, lanesAt, x, y, nodes);
  const applySingle = (x: Place, y: Place): void =>
    kernel.code.product32(runsAt, count, kindAt, singleShares, singleLanes, x, y, nodes);

  const diagonal = (): Float64Array => {
    const around = new Float64Array(nodes);
    for (let run = 0; run < runs.length; run += RUN) {
      const [length, first] = [runs[run + 4]!, runs[run + 5]!];
      for (let face = 0; face < 4; face++)
        for (let step = 0, node = runs[run + face]!; step < length; step++, node++) {
          const share = shares[kind[first + step]!]!;
          around[node]! += share;
          around[node + 1]! += share;
        }
    }
    const d = new Float64Array(3 * nodes);
    const [x, y, z] = [k[0]!, k[DOFS + 1]!, k[2 * DOFS + 2]!];
    for (let node = 0, at = 0; node < nodes; node++, at += 3) {
      const share = around[node]!;
      d[at] = share * x;
      d[at + 1] = share * y;
      d[at + 2] = share * z;
    }
    return d;
  };
  return { kernel, nodes, work, apply, applySingle, diagonal };
}

/** What couples sums and differences of a brick's two faces, nineteen times x, y, z and nothing. */
function lanesOf(w: Float64Array): Float64Array {
  const at = (s: number, c: number, t: number, d: number) => w[DOFS * (3 * s + c) + 3 * t + d]!;
  // straight strains, twist and, plane by plane, bending; patterns: 1 along x, 2 along y, 4 along z
  const [nxx, nxy, nxz] = [at(1, 0, 1, 0), at(1, 0, 2, 1), at(1, 0, 4, 2)];
  const [nyy, nyz, nzz] = [at(2, 1, 2, 1), at(2, 1, 4, 2), at(4, 2, 4, 2)];
  const [txx, txy, txz] = [at(6, 0, 6, 0), at(6, 0, 5, 1), at(6, 0, 3, 2)];
  const [tyy, tyz, tzz] = [at(5, 1, 5, 1), at(5, 1, 3, 2), at(3, 2, 3, 2)];
  const [ayy, ayz, azz] = [at(3, 1, 3, 1), at(3, 1, 5, 2), at(5, 2, 5, 2)];
  const [bxx, bxz, bzz] = [at(3, 0, 3, 0), at(3, 0, 6, 2), at(6, 2, 6, 2)];
  const [cxx, cxy, cyy] = [at(5, 0, 5, 0), at(5, 0, 6, 1), at(6, 1, 6, 1)];
  const [sxy, sxz, syz] = [at(2, 0, 2, 0), at(4, 0, 4, 0), at(4, 1, 4, 1)];
  const lanes = [
    [nxx, sxy, sxz],
    [nxy, sxy, 0],
    [nxz, 0, sxz],
    [sxy, nyy, syz],
    [sxy, nxy, 0],
    [0, nyz, syz],
    [sxz, syz, nzz],
    [sxz, 0, nxz],
    [0, syz, nyz],
    [bxx, ayy, tzz],
    [0, ayz, tyz],
    [bxz, 0, txz],
    [cxx, tyy, azz],
    [0, tyz, ayz],
    [cxy, txy, 0],
    [txx, cyy, bzz],
    [txy, cxy, 0],
    [txz, 0, bxz],
    [at(7, 0, 7, 0), at(7, 1, 7, 1), at(7, 2, 7, 2)],
  ];
  return Float64Array.from(lanes.flatMap((lane) => [...lane, 0]));
}

/**
 * The largest of D⁻¹K of a grid that goes on in all directions: of the waves that change sign from node to node along any of
 * the axes the stiffest. With faces, edges and softer infill it may be an eighth more.
 */
export function largestOf(w: Float64Array, k: Float64Array): number {
  let largest = 0;
  for (let at = 0; at < DOFS; at++)
    largest = Math.max(largest, (8 * w[(DOFS + 1) * at]!) / k[(DOFS + 1) * (at % 3)]!);
  return largest;
}
