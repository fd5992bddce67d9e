import type { DriveRunInput } from '@/core/physics/motion/definition';

const OPEN_FULL_V = 4.2;
const FORCE_POINTS = 51;
const STRIDE = 2;

/**
 * The run of an all-driven car on the level with all that `drive.run` puts out, written in one function as bare loops over
 * numbers, without names, layouts, downforce, grades or notes: the floor that `drive.run` is measured against.
 */
export function bareRun(input: DriveRunInput, distanceM: number, dt: number) {
  const { car, tyre, drive, motor, esc, battery } = input;
  const r = tyre.radiusMm / 1000;
  const K = (motor.kvRpmPerV * 2 * Math.PI) / 60;
  const V = battery.cells * OPEN_FULL_V;
  const Rb = (battery.cells * battery.cellResistanceMilliOhm) / 1000;
  const Rm = (motor.resistanceMilliOhm + esc.resistanceMilliOhm!) / 1000;
  const R = Rm + Rb;
  const limit = esc.currentLimitA;
  const idle = motor.noLoadCurrentA;
  const G = drive.ratio / r;
  const e = G / K;
  const pull = (G * drive.efficiency) / K;
  const back = G / drive.efficiency / K;
  const m = car.massKg;
  const me = m + (car.wheelInertiaKgM2! + motor.rotorInertiaKgM2! * drive.ratio ** 2) / r ** 2;
  const drag = 0.6 * car.cdaM2;
  const roll = car.rollingResistance * m * 9.81;
  const grip = tyre.mu * m * 9.81;

  let low = 0,
    high = V / e;
  for (let i = 1; i <= 64 + 60; i++) {
    const w = i <= 64 ? ((V / e) * i) / 64 : 0.5 * (low + high);
    const I = Math.min(limit, Math.max(0, (V - w * e) / R));
    const res = drag * w * w + roll;
    const free = ((I > idle ? pull : back) * (I - idle) - res) / me;
    const a = m * free + res > grip ? (grip - res) / m : free;
    if (a > 0) low = w;
    else if (i <= 64) {
      high = w;
      i = 64;
    } else high = w;
  }
  const top = 0.5 * (low + high);

  const t: number[] = [],
    vs: number[] = [],
    xs: number[] = [],
    im: number[] = [],
    ib: number[] = [],
    vb: number[] = [],
    lim: string[] = [];
  let v = 0,
    x = 0,
    peakA = 0,
    peakM = 0,
    peakB = 0,
    arrival = 0,
    near = 0;
  for (let i = 0; ; i++) {
    let a1 = 0,
      a2 = 0,
      a3 = 0,
      a4 = 0,
      v2 = 0,
      v3 = 0,
      v4 = 0;
    for (let stage = 0; stage < 4; stage++) {
      const w =
        stage === 0
          ? v
          : stage === 1
            ? (v2 = Math.min(top, v + 0.5 * dt * a1))
            : stage === 2
              ? (v3 = Math.min(top, v + 0.5 * dt * a2))
              : (v4 = Math.min(top, v + dt * a3));
      let I = (V - w * e) / R;
      if (I > limit) I = limit;
      else if (I < 0) I = 0;
      const res = drag * w * w + roll;
      const free = ((I > idle ? pull : back) * (I - idle) - res) / me;
      const held = m * free + res > grip;
      const a = held ? (grip - res) / m : free;
      if (stage === 0) {
        a1 = a;
        const A = held ? Math.max(0, (res + me * a) / pull + idle) : I;
        const need = w * e + A * Rm;
        const d =
          held || I === limit ? (2 * need) / (V + Math.sqrt(Math.max(0, V * V - 4 * A * Rb * need))) : 1;
        if (i % STRIDE === 0) {
          t.push(i * dt);
          vs.push(v);
          xs.push(x);
          im.push(A);
          ib.push(d * A);
          vb.push(V - d * A * Rb);
          lim.push(held ? 'grip' : I === limit ? 'current' : 'voltage');
        }
        if (a > peakA) peakA = a;
        if (A > peakM) peakM = A;
        if (d * A > peakB) peakB = d * A;
      } else if (stage === 1) a2 = a;
      else if (stage === 2) a3 = a;
      else a4 = a;
    }
    if (arrival > 0 && near > 0) break;
    if (v >= top * (1 - 1e-9)) {
      arrival ||= i * dt + (distanceM - x) / v;
      break;
    }
    const nv = Math.min(top, v + (dt / 6) * (a1 + 2 * a2 + 2 * a3 + a4));
    const nx = x + (dt / 6) * (v + 2 * v2 + 2 * v3 + v4);
    if (arrival === 0 && nx >= distanceM) arrival = (i + (distanceM - x) / (nx - x)) * dt;
    if (near === 0 && nv >= 0.95 * top) near = i * dt;
    v = nv;
    x = nx;
  }

  const fv: number[] = [],
    fd: number[] = [],
    fg: number[] = [],
    fr: number[] = [];
  for (let i = 0; i < FORCE_POINTS; i++) {
    const w = (1.1 * top * i) / (FORCE_POINTS - 1);
    const I = Math.min(limit, Math.max(0, (V - w * e) / R));
    fv.push(w);
    fd.push((I > idle ? pull : back) * (I - idle));
    fg.push(grip);
    fr.push(drag * w * w + roll);
  }
  return { top, t, vs, xs, im, ib, vb, lim, fv, fd, fg, fr, peakA, peakM, peakB, near, arrival };
}
