// AssemblyScript: the answer's own product and the factor of the coarsest grid, in double precision, two figures at once.

/** A node: x and y in one pair, z with nothing in another. */
const NODE: usize = 24;
/** A row of bricks: four nodes of its first face, bricks in it, number of the first. */
const RUN: usize = 24;

function add(a: v128, b: v128): v128 {
  return f64x2.add(a, b);
}

function sub(a: v128, b: v128): v128 {
  return f64x2.sub(a, b);
}

/** Two products more. */
function more(sum: v128, w: usize, at: usize, x: v128): v128 {
  return f64x2.add(sum, f64x2.mul(v128.load(w + at), x));
}

function turned(a: v128): v128 {
  return v128.shuffle<f64>(a, a, 1, 0);
}

function put(y: usize, xy: v128, z: v128): void {
  v128.store(y, f64x2.add(v128.load(y), xy));
  store<f64>(y, load<f64>(y, 16) + f64x2.extract_lane(z, 0), 16);
}

/** y = K x of all bricks; `w` as for single precision, each of the nineteen lanes a pair and a single with nothing. */
export function product64(
  runs: usize,
  count: i32,
  kind: usize,
  shares: usize,
  w: usize,
  x: usize,
  y: usize,
  nodes: i32,
): void {
  memory.fill(y, 0, NODE * <usize>nodes);
  for (let run = runs, end = runs + RUN * <usize>count; run < end; run += RUN) {
    let n0 = NODE * <usize>load<i32>(run);
    let n1 = NODE * <usize>load<i32>(run, 4);
    let n2 = NODE * <usize>load<i32>(run, 8);
    let n3 = NODE * <usize>load<i32>(run, 12);
    const first = kind + <usize>load<i32>(run, 20);
    const last = first + <usize>load<i32>(run, 16);
    let t0: v128, t1: v128, t2: v128, t3: v128, p: v128, m: v128, q: v128, r: v128;
    let l0A: v128, l0Z: v128, l1A: v128, l1Z: v128, l2A: v128, l2Z: v128, l3A: v128, l3Z: v128;
    let r0A: v128, r0Z: v128, r1A: v128, r1Z: v128, r2A: v128, r2Z: v128, r3A: v128, r3Z: v128;
    t0 = v128.load(x + n0, 0);
    t1 = v128.load(x + n1, 0);
    t2 = v128.load(x + n2, 0);
    t3 = v128.load(x + n3, 0);
    p = add(t0, t1);
    m = sub(t0, t1);
    q = add(t2, t3);
    r = sub(t2, t3);
    l0A = add(p, q);
    l1A = add(m, r);
    l2A = sub(p, q);
    l3A = sub(m, r);
    t0 = v128.load64_zero(x + n0, 16);
    t1 = v128.load64_zero(x + n1, 16);
    t2 = v128.load64_zero(x + n2, 16);
    t3 = v128.load64_zero(x + n3, 16);
    p = add(t0, t1);
    m = sub(t0, t1);
    q = add(t2, t3);
    r = sub(t2, t3);
    l0Z = add(p, q);
    l1Z = add(m, r);
    l2Z = sub(p, q);
    l3Z = sub(m, r);
    let o0A = f64x2.splat(0),
      o0Z = f64x2.splat(0),
      o1A = f64x2.splat(0),
      o1Z = f64x2.splat(0),
      o2A = f64x2.splat(0),
      o2Z = f64x2.splat(0),
      o3A = f64x2.splat(0),
      o3Z = f64x2.splat(0);
    for (let brick = first; brick < last; brick++) {
      const s = v128.load64_splat(shares + ((<usize>load<u8>(brick)) << 3));
      t0 = v128.load(x + n0, 24);
      t1 = v128.load(x + n1, 24);
      t2 = v128.load(x + n2, 24);
      t3 = v128.load(x + n3, 24);
      p = add(t0, t1);
      m = sub(t0, t1);
      q = add(t2, t3);
      r = sub(t2, t3);
      r0A = add(p, q);
      r1A = add(m, r);
      r2A = sub(p, q);
      r3A = sub(m, r);
      t0 = v128.load64_zero(x + n0, 40);
      t1 = v128.load64_zero(x + n1, 40);
      t2 = v128.load64_zero(x + n2, 40);
      t3 = v128.load64_zero(x + n3, 40);
      p = add(t0, t1);
      m = sub(t0, t1);
      q = add(t2, t3);
      r = sub(t2, t3);
      r0Z = add(p, q);
      r1Z = add(m, r);
      r2Z = sub(p, q);
      r3Z = sub(m, r);
      const d0A = f64x2.mul(s, sub(l0A, r0A));
      const d0Z = f64x2.mul(s, sub(l0Z, r0Z));
      const d1A = f64x2.mul(s, sub(l1A, r1A));
      const d1Z = f64x2.mul(s, sub(l1Z, r1Z));
      const d2A = f64x2.mul(s, sub(l2A, r2A));
      const d2Z = f64x2.mul(s, sub(l2Z, r2Z));
      const d3A = f64x2.mul(s, sub(l3A, r3A));
      const d3Z = f64x2.mul(s, sub(l3Z, r3Z));
      const s1A = f64x2.mul(s, add(l1A, r1A));
      const s1Z = f64x2.mul(s, add(l1Z, r1Z));
      const s2A = f64x2.mul(s, add(l2A, r2A));
      const s2Z = f64x2.mul(s, add(l2Z, r2Z));
      const s3A = f64x2.mul(s, add(l3A, r3A));
      const s3Z = f64x2.mul(s, add(l3Z, r3Z));
      const f0A = more(more(f64x2.mul(v128.load(w, 0), d0A), w, 32, turned(s1A)), w, 64, s2Z);
      const f0Z = more(f64x2.mul(v128.load(w, 16), d0Z), w, 80, s2A);
      const f1A = more(more(f64x2.mul(v128.load(w, 96), s1A), w, 128, turned(d0A)), w, 160, turned(s2Z));
      const f1Z = more(f64x2.mul(v128.load(w, 112), s1Z), w, 176, turned(s2A));
      const f2A = more(more(f64x2.mul(v128.load(w, 192), s2A), w, 224, d0Z), w, 256, turned(s1Z));
      const f2Z = more(more(f64x2.mul(v128.load(w, 208), s2Z), w, 240, d0A), w, 272, turned(s1A));
      const g1A = more(more(f64x2.mul(v128.load(w, 288), d1A), w, 320, turned(d2Z)), w, 352, s3Z);
      const g1Z = more(more(f64x2.mul(v128.load(w, 304), d1Z), w, 336, turned(d2A)), w, 368, s3A);
      const g2A = more(more(f64x2.mul(v128.load(w, 384), d2A), w, 416, turned(d1Z)), w, 448, turned(s3A));
      const g2Z = more(f64x2.mul(v128.load(w, 400), d2Z), w, 432, turned(d1A));
      const f3A = more(more(f64x2.mul(v128.load(w, 480), s3A), w, 512, turned(d2A)), w, 544, d1Z);
      const f3Z = more(f64x2.mul(v128.load(w, 496), s3Z), w, 560, d1A);
      const g3A = f64x2.mul(v128.load(w, 576), d3A);
      const g3Z = f64x2.mul(v128.load(w, 592), d3Z);
      o0A = add(o0A, f0A);
      o1A = add(o1A, add(f1A, g1A));
      o2A = add(o2A, add(f2A, g2A));
      o3A = add(o3A, add(f3A, g3A));
      o0Z = add(o0Z, f0Z);
      o1Z = add(o1Z, add(f1Z, g1Z));
      o2Z = add(o2Z, add(f2Z, g2Z));
      o3Z = add(o3Z, add(f3Z, g3Z));
      const pA = add(o0A, o2A),
        mA = sub(o0A, o2A),
        qA = add(o1A, o3A),
        rA = sub(o1A, o3A);
      const pZ = add(o0Z, o2Z),
        mZ = sub(o0Z, o2Z),
        qZ = add(o1Z, o3Z),
        rZ = sub(o1Z, o3Z);
      put(y + n0, add(pA, qA), add(pZ, qZ));
      put(y + n1, sub(pA, qA), sub(pZ, qZ));
      put(y + n2, add(mA, rA), add(mZ, rZ));
      put(y + n3, sub(mA, rA), sub(mZ, rZ));
      o0A = f64x2.neg(f0A);
      o1A = sub(f1A, g1A);
      o2A = sub(f2A, g2A);
      o3A = sub(f3A, g3A);
      l0A = r0A;
      l1A = r1A;
      l2A = r2A;
      l3A = r3A;
      o0Z = f64x2.neg(f0Z);
      o1Z = sub(f1Z, g1Z);
      o2Z = sub(f2Z, g2Z);
      o3Z = sub(f3Z, g3Z);
      l0Z = r0Z;
      l1Z = r1Z;
      l2Z = r2Z;
      l3Z = r3Z;
      n0 += NODE;
      n1 += NODE;
      n2 += NODE;
      n3 += NODE;
    }
    const pA = add(o0A, o2A),
      mA = sub(o0A, o2A),
      qA = add(o1A, o3A),
      rA = sub(o1A, o3A);
    const pZ = add(o0Z, o2Z),
      mZ = sub(o0Z, o2Z),
      qZ = add(o1Z, o3Z),
      rZ = sub(o1Z, o3Z);
    put(y + n0, add(pA, qA), add(pZ, qZ));
    put(y + n1, sub(pA, qA), sub(pZ, qZ));
    put(y + n2, add(mA, rA), add(mZ, rZ));
    put(y + n3, sub(mA, rA), sub(mZ, rZ));
  }
}

/** x += s y. */
export function step(x: usize, s: f64, y: usize, count: i32): void {
  const by = f64x2.splat(s);
  const end = x + 16 * <usize>(count >> 1);
  for (; x < end; x += 16, y += 16) v128.store(x, f64x2.add(v128.load(x), f64x2.mul(by, v128.load(y))));
  if (count & 1) store<f64>(x, load<f64>(x) + s * load<f64>(y));
}

/** p = s p + z. */
export function follow(p: usize, s: f64, z: usize, count: i32): void {
  const by = f64x2.splat(s);
  const end = p + 16 * <usize>(count >> 1);
  for (; p < end; p += 16, z += 16) v128.store(p, f64x2.add(f64x2.mul(by, v128.load(p)), v128.load(z)));
  if (count & 1) store<f64>(p, s * load<f64>(p) + load<f64>(z));
}

/** Share of a row's own stiffness under which what is left of it is rounding. */
const NONE: f64 = 1e-10;

/** Sum of products of two rows of figures. */
export function dot(a: usize, b: usize, count: i32): f64 {
  let two = f64x2.splat(0);
  let four = f64x2.splat(0);
  const pairs = a + 32 * <usize>(count >> 2);
  for (; a < pairs; a += 32, b += 32) {
    two = f64x2.add(two, f64x2.mul(v128.load(a), v128.load(b)));
    four = f64x2.add(four, f64x2.mul(v128.load(a, 16), v128.load(b, 16)));
  }
  two = f64x2.add(two, four);
  let sum = f64x2.extract_lane(two, 0) + f64x2.extract_lane(two, 1);
  for (let rest = count & 3; rest > 0; rest--, a += 8, b += 8) sum += load<f64>(a) * load<f64>(b);
  return sum;
}

/** Cholesky's factor within a band, in place: row i holds columns i − band + 1 to i; directions without stiffness are left out. */
export function factor(size: i32, band: i32, rows: usize): void {
  const width = (<usize>band) << 3;
  for (let i = 0; i < size; i++) {
    const row = rows + width * <usize>i;
    const first = max(0, i - band + 1);
    const own = load<f64>(row + width - 8);
    for (let j = first; j <= i; j++) {
      const other = rows + width * <usize>j;
      const from = max(first, j - band + 1);
      const at = row + ((<usize>(j - i + band - 1)) << 3);
      const sum =
        load<f64>(at) -
        dot(
          row + ((<usize>(from - i + band - 1)) << 3),
          other + ((<usize>(from - j + band - 1)) << 3),
          j - from,
        );
      if (j < i) {
        const pivot = load<f64>(other + width - 8);
        store<f64>(at, pivot === 0 ? 0 : sum / pivot);
      } else store<f64>(at, sum > NONE * own ? Math.sqrt(sum) : 0);
    }
  }
}

/** Solves with the factor, in place. */
export function solved(size: i32, band: i32, rows: usize, x: usize): void {
  const width = (<usize>band) << 3;
  for (let i = 0; i < size; i++) {
    const first = max(0, i - band + 1);
    const row = rows + width * <usize>i;
    const sum =
      load<f64>(x + ((<usize>i) << 3)) -
      dot(row + ((<usize>(first - i + band - 1)) << 3), x + ((<usize>first) << 3), i - first);
    const pivot = load<f64>(row + width - 8);
    store<f64>(x + ((<usize>i) << 3), pivot === 0 ? 0 : sum / pivot);
  }
  for (let i = size - 1; i >= 0; i--) {
    const row = rows + width * <usize>i;
    const pivot = load<f64>(row + width - 8);
    const value = pivot === 0 ? 0 : load<f64>(x + ((<usize>i) << 3)) / pivot;
    store<f64>(x + ((<usize>i) << 3), value);
    const first = max(0, i - band + 1);
    let at = row + ((<usize>(first - i + band - 1)) << 3);
    for (let k = first; k < i; k++, at += 8) {
      const into = x + ((<usize>k) << 3);
      store<f64>(into, load<f64>(into) - load<f64>(at) * value);
    }
  }
}
