// AssemblyScript: the fine grid's part of the cycle that steers the search, in single precision, four lanes (x, y, z, nothing)
// to a node. Every address is a place in the memory in bytes.

const LANES: usize = 16;
/** A node in double precision. */
const NODE: usize = 24;
/** A row of bricks: four nodes of its first face, bricks in it, number of the first. */
const RUN: usize = 24;

/** y = K x of all bricks, single precision. `w` holds the nineteen lanes that couple sums and differences, as `lanesOf` lays them. */
export function product32(
  runs: usize,
  count: i32,
  kind: usize,
  shares: usize,
  w: usize,
  x: usize,
  y: usize,
  nodes: i32,
): void {
  memory.fill(y, 0, LANES * <usize>nodes);
  const a0 = v128.load(w),
    a1 = v128.load(w, 16),
    a2 = v128.load(w, 32);
  const b0 = v128.load(w, 48),
    b1 = v128.load(w, 64),
    b2 = v128.load(w, 80);
  const c0 = v128.load(w, 96),
    c1 = v128.load(w, 112),
    c2 = v128.load(w, 128);
  const e0 = v128.load(w, 144),
    e1 = v128.load(w, 160),
    e2 = v128.load(w, 176);
  const g0 = v128.load(w, 192),
    g1 = v128.load(w, 208),
    g2 = v128.load(w, 224);
  const h0 = v128.load(w, 240),
    h1 = v128.load(w, 256),
    h2 = v128.load(w, 272);
  const k0 = v128.load(w, 288);
  for (let run = runs, end = runs + RUN * <usize>count; run < end; run += RUN) {
    let n0 = LANES * <usize>load<i32>(run);
    let n1 = LANES * <usize>load<i32>(run, 4);
    let n2 = LANES * <usize>load<i32>(run, 8);
    let n3 = LANES * <usize>load<i32>(run, 12);
    const first = kind + <usize>load<i32>(run, 20);
    const last = first + <usize>load<i32>(run, 16);
    let t0 = v128.load(x + n0),
      t1 = v128.load(x + n1),
      t2 = v128.load(x + n2),
      t3 = v128.load(x + n3);
    let p = f32x4.add(t0, t1),
      m = f32x4.sub(t0, t1),
      q = f32x4.add(t2, t3),
      r = f32x4.sub(t2, t3);
    let l0 = f32x4.add(p, q),
      l1 = f32x4.add(m, r),
      l2 = f32x4.sub(p, q),
      l3 = f32x4.sub(m, r);
    let o0 = f32x4.splat(0),
      o1 = f32x4.splat(0),
      o2 = f32x4.splat(0),
      o3 = f32x4.splat(0);
    for (let brick = first; brick < last; brick++) {
      const s = v128.load32_splat(shares + ((<usize>load<u8>(brick)) << 2));
      t0 = v128.load(x + n0, 16);
      t1 = v128.load(x + n1, 16);
      t2 = v128.load(x + n2, 16);
      t3 = v128.load(x + n3, 16);
      p = f32x4.add(t0, t1);
      m = f32x4.sub(t0, t1);
      q = f32x4.add(t2, t3);
      r = f32x4.sub(t2, t3);
      const r0 = f32x4.add(p, q),
        r1 = f32x4.add(m, r),
        r2 = f32x4.sub(p, q),
        r3 = f32x4.sub(m, r);
      const d0 = f32x4.mul(s, f32x4.sub(l0, r0)),
        d1 = f32x4.mul(s, f32x4.sub(l1, r1)),
        d2 = f32x4.mul(s, f32x4.sub(l2, r2)),
        d3 = f32x4.mul(s, f32x4.sub(l3, r3)),
        s1 = f32x4.mul(s, f32x4.add(l1, r1)),
        s2 = f32x4.mul(s, f32x4.add(l2, r2)),
        s3 = f32x4.mul(s, f32x4.add(l3, r3));
      const f0 = f32x4.add(
        f32x4.add(f32x4.mul(a0, d0), f32x4.mul(a1, v128.shuffle<f32>(s1, s1, 1, 0, 3, 3))),
        f32x4.mul(a2, v128.shuffle<f32>(s2, s2, 2, 3, 0, 3)),
      );
      const f1 = f32x4.add(
        f32x4.add(f32x4.mul(b0, s1), f32x4.mul(b1, v128.shuffle<f32>(d0, d0, 1, 0, 3, 3))),
        f32x4.mul(b2, v128.shuffle<f32>(s2, s2, 3, 2, 1, 3)),
      );
      const f2 = f32x4.add(
        f32x4.add(f32x4.mul(c0, s2), f32x4.mul(c1, v128.shuffle<f32>(d0, d0, 2, 3, 0, 3))),
        f32x4.mul(c2, v128.shuffle<f32>(s1, s1, 3, 2, 1, 3)),
      );
      const g1d = f32x4.add(
        f32x4.add(f32x4.mul(e0, d1), f32x4.mul(e1, v128.shuffle<f32>(d2, d2, 3, 2, 1, 3))),
        f32x4.mul(e2, v128.shuffle<f32>(s3, s3, 2, 3, 0, 3)),
      );
      const g2d = f32x4.add(
        f32x4.add(f32x4.mul(g0, d2), f32x4.mul(g1, v128.shuffle<f32>(d1, d1, 3, 2, 1, 3))),
        f32x4.mul(g2, v128.shuffle<f32>(s3, s3, 1, 0, 3, 3)),
      );
      const f3 = f32x4.add(
        f32x4.add(f32x4.mul(h0, s3), f32x4.mul(h1, v128.shuffle<f32>(d2, d2, 1, 0, 3, 3))),
        f32x4.mul(h2, v128.shuffle<f32>(d1, d1, 2, 3, 0, 3)),
      );
      const g3d = f32x4.mul(k0, d3);
      o0 = f32x4.add(o0, f0);
      o1 = f32x4.add(o1, f32x4.add(f1, g1d));
      o2 = f32x4.add(o2, f32x4.add(f2, g2d));
      o3 = f32x4.add(o3, f32x4.add(f3, g3d));
      p = f32x4.add(o0, o2);
      m = f32x4.sub(o0, o2);
      q = f32x4.add(o1, o3);
      r = f32x4.sub(o1, o3);
      v128.store(y + n0, f32x4.add(v128.load(y + n0), f32x4.add(p, q)));
      v128.store(y + n1, f32x4.add(v128.load(y + n1), f32x4.sub(p, q)));
      v128.store(y + n2, f32x4.add(v128.load(y + n2), f32x4.add(m, r)));
      v128.store(y + n3, f32x4.add(v128.load(y + n3), f32x4.sub(m, r)));
      o0 = f32x4.neg(f0);
      o1 = f32x4.sub(f1, g1d);
      o2 = f32x4.sub(f2, g2d);
      o3 = f32x4.sub(f3, g3d);
      l0 = r0;
      l1 = r1;
      l2 = r2;
      l3 = r3;
      n0 += LANES;
      n1 += LANES;
      n2 += LANES;
      n3 += LANES;
    }
    p = f32x4.add(o0, o2);
    m = f32x4.sub(o0, o2);
    q = f32x4.add(o1, o3);
    r = f32x4.sub(o1, o3);
    v128.store(y + n0, f32x4.add(v128.load(y + n0), f32x4.add(p, q)));
    v128.store(y + n1, f32x4.add(v128.load(y + n1), f32x4.sub(p, q)));
    v128.store(y + n2, f32x4.add(v128.load(y + n2), f32x4.add(m, r)));
    v128.store(y + n3, f32x4.add(v128.load(y + n3), f32x4.sub(m, r)));
  }
}

/** z = weight r, and r in single precision beside it. */
export function began(r: usize, weight: usize, r32: usize, z: usize, nodes: i32): void {
  for (let end = r + NODE * <usize>nodes; r < end; r += NODE, weight += LANES, r32 += LANES, z += LANES) {
    const own = f32x4(<f32>load<f64>(r), <f32>load<f64>(r, 8), <f32>load<f64>(r, 16), 0);
    v128.store(r32, own);
    v128.store(z, f32x4.mul(v128.load(weight), own));
  }
}

/** What of r is not done yet. */
export function leftOf(done: usize, r: usize, nodes: i32): void {
  for (let end = done + LANES * <usize>nodes; done < end; done += LANES, r += LANES)
    v128.store(done, f32x4.sub(v128.load(r), v128.load(done)));
}

/** out = z + weight rest, in double precision. */
export function ended(z: usize, weight: usize, rest: usize, out: usize, nodes: i32): void {
  for (
    let end = out + NODE * <usize>nodes;
    out < end;
    out += NODE, weight += LANES, rest += LANES, z += LANES
  ) {
    const own = f32x4.add(v128.load(z), f32x4.mul(v128.load(weight), v128.load(rest)));
    store<f64>(out, <f64>f32x4.extract_lane(own, 0));
    store<f64>(out, <f64>f32x4.extract_lane(own, 1), 8);
    store<f64>(out, <f64>f32x4.extract_lane(own, 2), 16);
  }
}
