import type { DriveRunInput } from '@/core/drive/definition';

const OPEN_FULL_V = 4.2;

/** The run of an all-driven car on the level written as one bare loop over numbers: the floor that `drive.run` is measured against. */
export function bareRun(input: DriveRunInput, topMps: number, distanceM: number, dt: number) {
  const { car, tyre, drive, motor, esc, battery } = input;
  const r = tyre.radiusMm / 1000;
  const K = (motor.kvRpmPerV * 2 * Math.PI) / 60;
  const V = battery.cells * OPEN_FULL_V;
  const Rb = (battery.cells * battery.cellResistanceMilliOhm) / 1000;
  const Rm = (motor.resistanceMilliOhm + esc.resistanceMilliOhm!) / 1000;
  const R = Rm + Rb;
  const G = drive.ratio / r;
  const e = G / K;
  const pull = (G * drive.efficiency) / K;
  const back = G / drive.efficiency / K;
  const m = car.massKg;
  const me = m + (car.wheelInertiaKgM2! + motor.rotorInertiaKgM2! * drive.ratio ** 2) / r ** 2;
  const drag = 0.6 * car.cdaM2;
  const roll = car.rollingResistance * m * 9.81;
  const grip = tyre.mu * m * 9.81;
  const t: number[] = [], vs: number[] = [], xs: number[] = [], im: number[] = [], ib: number[] = [], lim: number[] = [];
  let v = 0, x = 0, peakA = 0, peakM = 0, peakB = 0, arrival = 0, near = 0;
  for (let i = 0; ; i++) {
    let a1 = 0, a2 = 0, a3 = 0, a4 = 0, v2 = 0, v3 = 0, v4 = 0;
    for (let stage = 0; stage < 4; stage++) {
      const w = stage === 0 ? v : stage === 1 ? (v2 = Math.min(topMps, v + 0.5 * dt * a1)) : stage === 2 ? (v3 = Math.min(topMps, v + 0.5 * dt * a2)) : (v4 = Math.min(topMps, v + dt * a3));
      let I = (V - w * e) / R;
      if (I > esc.currentLimitA) I = esc.currentLimitA;
      else if (I < 0) I = 0;
      const res = drag * w * w + roll;
      const free = ((I > motor.noLoadCurrentA ? pull : back) * (I - motor.noLoadCurrentA) - res) / me;
      const held = m * free + res > grip;
      const a = held ? (grip - res) / m : free;
      if (stage === 0) {
        a1 = a;
        const A = held ? Math.max(0, (res + me * a) / pull + motor.noLoadCurrentA) : I;
        const need = w * e + A * Rm;
        const d = held || I === esc.currentLimitA ? (2 * need) / (V + Math.sqrt(Math.max(0, V * V - 4 * A * Rb * need))) : 1;
        t.push(i * dt); vs.push(v); xs.push(x); im.push(A); ib.push(d * A); lim.push(held ? 0 : 3);
        if (a > peakA) peakA = a;
        if (A > peakM) peakM = A;
        if (d * A > peakB) peakB = d * A;
      } else if (stage === 1) a2 = a;
      else if (stage === 2) a3 = a;
      else a4 = a;
    }
    if ((arrival > 0 && near > 0) || v >= topMps * (1 - 1e-9)) break;
    const nv = Math.min(topMps, v + (dt / 6) * (a1 + 2 * a2 + 2 * a3 + a4));
    const nx = x + (dt / 6) * (v + 2 * v2 + 2 * v3 + v4);
    if (arrival === 0 && nx >= distanceM) arrival = (i + (distanceM - x) / (nx - x)) * dt;
    if (near === 0 && nv >= 0.95 * topMps) near = i * dt;
    v = nv;
    x = nx;
  }
  return { t, vs, xs, im, ib, lim, peakA, peakM, peakB, arrival: arrival || t.at(-1)! + (distanceM - x) / v };
}
