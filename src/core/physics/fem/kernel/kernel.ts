import { KERNEL } from './kernelCode';

/** A place in the kernel's memory, in bytes. */
export type Place = number;

/** y = K x over rows of bricks. */
type Multiply = (
  runs: Place,
  count: number,
  kind: Place,
  shares: Place,
  w: Place,
  x: Place,
  y: Place,
  nodes: number,
) => void;

/** What the kernel does, between places of its memory; see the sources beside this file. */
interface KernelCode {
  readonly memory: WebAssembly.Memory;
  product32: Multiply;
  product64: Multiply;
  began(r: Place, weight: Place, r32: Place, z: Place, nodes: number): void;
  leftOf(done: Place, r: Place, nodes: number): void;
  ended(z: Place, weight: Place, rest: Place, out: Place, nodes: number): void;
  restrict(start: Place, parent: Place, fine: Place, nodes: number, coarse: Place, coarser: number): void;
  prolong(start: Place, parent: Place, coarse: Place, fine: Place, nodes: number): void;
  firstSweep(
    nodes: number,
    rowStart: Place,
    column: Place,
    own: Place,
    block: Place,
    inverse: Place,
    b: Place,
    x: Place,
    left: Place,
  ): void;
  sweep(
    nodes: number,
    rowStart: Place,
    column: Place,
    block: Place,
    inverse: Place,
    b: Place,
    x: Place,
    back: number,
  ): void;
  residual(
    nodes: number,
    rowStart: Place,
    column: Place,
    block: Place,
    b: Place,
    x: Place,
    left: Place,
  ): void;
  assembled(
    nx: number,
    ny: number,
    nz: number,
    kind: Place,
    tables: Place,
    nodeAt: Place,
    slot: Place,
    block: Place,
  ): void;
  dot(a: Place, b: Place, count: number): number;
  step(x: Place, s: number, y: Place, count: number): void;
  follow(p: Place, s: number, z: Place, count: number): void;
  factor(size: number, band: number, rows: Place): void;
  solved(size: number, band: number, rows: Place, x: Place): void;
}

/** The kernel with a memory of its own, which goes when nobody holds it any more. */
export interface Kernel {
  readonly code: KernelCode;
  /** A fresh place of so many bytes, all nothing. */
  place(bytes: number): Place;
  /** A fresh place that holds the given figures. */
  keep(figures: Int32Array | Uint8Array | Float32Array | Float64Array): Place;
  /** Where the next place would be, and back to there: what was kept since is forgotten. */
  mark(): Place;
  release(mark: Place): void;
  singles(at: Place, count: number): Float32Array;
  doubles(at: Place, count: number): Float64Array;
}

const PAGE = 65_536;
const BEGIN = 1024;
/** Wide enough for what is loaded at once. */
const ALIGNED = 16;

let compiled: WebAssembly.Module | undefined;

export function newKernel(): Kernel {
  compiled ??= new WebAssembly.Module(Uint8Array.from(atob(KERNEL), (one) => one.charCodeAt(0)));
  const code = new WebAssembly.Instance(compiled, { env: { abort: () => undefined } })
    .exports as unknown as KernelCode;
  let next = BEGIN;
  /** Up to where memory was used once; beyond it is nothing but noughts. */
  let used = BEGIN;
  const place = (bytes: number): Place => {
    const at = next;
    next += ALIGNED * Math.ceil((bytes + ALIGNED) / ALIGNED);
    const lacking = next - code.memory.buffer.byteLength;
    if (lacking > 0) code.memory.grow(Math.ceil(lacking / PAGE));
    if (at < used) new Uint8Array(code.memory.buffer, at, Math.min(used, next) - at).fill(0);
    used = Math.max(used, next);
    return at;
  };
  return {
    code,
    place,
    keep: (figures) => {
      const at = place(figures.byteLength);
      new Uint8Array(code.memory.buffer, at, figures.byteLength).set(
        new Uint8Array(figures.buffer, figures.byteOffset, figures.byteLength),
      );
      return at;
    },
    mark: () => next,
    release: (mark) => {
      next = mark;
    },
    singles: (at, count) => new Float32Array(code.memory.buffer, at, count),
    doubles: (at, count) => new Float64Array(code.memory.buffer, at, count),
  };
}
