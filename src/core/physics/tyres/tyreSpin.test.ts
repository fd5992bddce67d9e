import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { KNOWN_TYRE_KINDS } from './tyreKinds';
import { tyreSpin, type TyreSpinInput } from './tyreSpin';
import { tyreSpinSchema } from './tyreSpin.schema';

const spin = (input: TyreSpinInput) => tyreSpin(parse(tyreSpinSchema, input));
const pathOf = (work: () => unknown) => refusalOf(work).path;
const omegaOf = (rpm: number) => (rpm * Math.PI) / 30;

/** Bessel functions of order 1 by their integrals (Abramowitz and Stegun 9.1.21, 9.1.22). */
const integral = (f: (t: number) => number, from: number, to: number, steps = 4000) => {
  const h = (to - from) / steps;
  let sum = (f(from) + f(to)) / 2;
  for (let i = 1; i < steps; i++) sum += f(from + i * h);
  return sum * h;
};
const j1 = (x: number) => integral((t) => Math.cos(t - x * Math.sin(t)), 0, Math.PI) / Math.PI;
const y1 = (x: number) =>
  (integral((t) => Math.sin(x * Math.sin(t) - t), 0, Math.PI) -
    integral((t) => (Math.exp(t) - Math.exp(-t)) * Math.exp(-x * Math.sinh(t)), 0, 12, 40_000)) /
  Math.PI;
const slope = (f: (x: number) => number, x: number) => (f(x + 1e-4) - f(x - 1e-4)) / 2e-4;

const layer = {
  kind: 'own' as const,
  hold: 'bonded' as const,
  radiusMm: 50,
  rimRadiusMm: 30,
  widthMm: 40,
  densityKgM3: 200,
  hoopModulusMpa: 3,
  hoopStrengthMpa: 2,
};

describe('tyre.spin of a layer on its rim', () => {
  it('is the annulus of Bessel functions of order 1', () => {
    const rpm = 25_000;
    const [a, b, nu, E] = [0.03, 0.05, 0.3, 3e6];
    const k = Math.sqrt(((1 - nu ** 2) * 200) / E) * omegaOf(rpm);
    // s = A·J1(k·r) + B·Y1(k·r), s(a) = a, s′(b) + ν·s(b)/b = 1 + ν
    const free = (f: (x: number) => number) => k * slope(f, k * b) + (nu * f(k * b)) / b;
    const [ja, ya, jb, yb] = [j1(k * a), y1(k * a), free(j1), free(y1)];
    const det = ja * yb - ya * jb;
    const A = (a * yb - ya * (1 + nu)) / det;
    const B = (ja * (1 + nu) - a * jb) / det;
    const rim = (E / (1 - nu ** 2)) * (k * (A * slope(j1, k * a) + B * slope(y1, k * a)) - 1);
    const grown = A * j1(k * b) + B * y1(k * b) - b;
    const found = spin({ ...layer, rpm });
    expect(found.rimStressMpa! / (rim / 1e6)).toBeCloseTo(1, 5);
    expect(found.hoopStressMpa! / ((E * grown) / b / 1e6)).toBeCloseTo(1, 5);
    const u = grown / (1 - ((1 / 3 + 1.6 * nu ** 2) * rim) / E);
    expect((found.radiusMm! - 50) / (u * 1000)).toBeCloseTo(1, 5);
    expect(found.rimPullNPerMm).toBeCloseTo((found.rimStressMpa! * 40) / 2, 9);
  });

  it('is Timoshenko’s rotating disc with a fixed inner edge while it is slow', () => {
    const [a, b, nu, rpm] = [0.03, 0.05, 0.3, 300];
    const k2 = (((1 - nu ** 2) * 200) / 3e6) * omegaOf(rpm) ** 2;
    const c1 = ((k2 / 8) * ((3 + nu) * b ** 4 + (1 - nu) * a ** 4)) / ((1 + nu) * b ** 2 + (1 - nu) * a ** 2);
    const c2 = (k2 * a ** 4) / 8 - c1 * a ** 2;
    const u = c1 * b + c2 / b - (k2 * b ** 3) / 8;
    expect((spin({ ...layer, rpm }).radiusMm! - 50) / (u * 1000)).toBeCloseTo(1, 3);
  });

  it('lets go where the glue or the foam is at its end, with the edge, the heat and the road counted', () => {
    const { limits, endsBy, limitRpm, limitSpeedMps } = spin({ ...layer, rpm: 5000 });
    expect(limits!.map(({ what }) => what)).toEqual(['bond', 'tearAtRim', 'runAway']);
    expect(endsBy).toBe('bond');
    // own glue holds 2 MPa and its edge is pulled 1.5 times as much
    const at = spin({ ...layer, rpm: limitRpm });
    expect(at.rimStressMpa).toBeCloseTo(2 / 1.5, 6);
    expect(at.vehicleSpeedMps).toBeCloseTo(limitSpeedMps!, 6);
    expect(at.margin).toBeCloseTo(1, 9);
    expect(spin({ ...layer, rpm: limits![1]!.rpm }).rimStressMpa).toBeCloseTo(2, 6);
    // half way to where the glue holds nothing, on the road: 0.5·0.7 of the glue, (1 − 0.006·28.5)·0.7 of the foam
    const hot = spin({ ...layer, rpm: 5000, temperatureC: 51.5, use: 'road' });
    const stressAt = (what: string) =>
      spin({ ...layer, rpm: hot.limits!.find((one) => one.what === what)!.rpm }).rimStressMpa;
    expect(stressAt('bond')).toBeCloseTo((2 * 0.5 * 0.7) / 1.5, 6);
    expect(stressAt('tearAtRim')).toBeCloseTo(2 * 0.829 * 0.7, 6);
    expect(spin({ ...layer, rpm: 5000, temperatureC: 90 })).toMatchObject({
      endsBy: 'bond',
      limitRpm: 0,
      margin: 0,
    });
  });

  it('lifts off where its tightness is used up, and does not tear at a rim that lets it go', () => {
    const tight = { ...layer, hold: 'friction' as const, interferenceMm: 1.2 };
    const { limits } = spin({ ...tight, rpm: 5000 });
    expect(limits!.map(({ what }) => what)).not.toContain('tearAtRim');
    const seat = limits!.find(({ what }) => what === 'seat')!;
    // 1.2/60 of strain, E·ε/((b² + a²)/(b² − a²) + ν) = 3·0.02/(3400/1600 + 0.3)
    expect(spin({ ...tight, rpm: seat.rpm }).rimStressMpa).toBeCloseTo(0.06 / 2.425, 6);
  });

  it('finds the turns of a road speed with the grown radius, and every speed has some', () => {
    const by = spin({ ...layer, rpm: 20_000 });
    expect(spin({ ...layer, speedMps: by.vehicleSpeedMps! }).rpm).toBeCloseTo(20_000, 4);
    const fast = spin({ ...layer, speedMps: 5000 });
    expect(fast.rpm).toBeLessThan(fast.runAwayRpm!);
    const gone = spin({ ...layer, rpm: 1.01 * fast.runAwayRpm! });
    expect(gone).toMatchObject({ runsAway: true, caution: { code: 'note.tyreSpin.caution' } });
    expect(gone.radiusMm).toBeUndefined();
  });

  it('weighs it, counts its energy, and what stays on the ground', () => {
    const found = spin({ ...layer, rpm: 20_000, sinkMm: 0.1 });
    const mass = 200 * Math.PI * (0.05 ** 2 - 0.03 ** 2) * 0.04;
    expect(found.massG).toBeCloseTo(mass * 1000, 9);
    const energy = 0.5 * ((mass * (0.05 ** 2 + 0.03 ** 2)) / 2) * omegaOf(20_000) ** 2;
    expect(found.storedEnergyJ).toBeCloseTo(energy, 9);
    expect(found.releasedEnergyJ).toBeCloseTo(energy, 9);
    expect(spin({ ...layer, bondStrengthMpa: 20, rpm: 20_000 }).releasedEnergyJ).toBeCloseTo(energy / 6, 9);
    const crown = 0.3 * (found.radiusMm! - 50);
    expect(crown).toBeGreaterThan(0.1);
    expect(found.contactShare).toBeCloseTo(Math.sqrt(0.1 / crown), 9);
    expect(found.gripShare).toBeCloseTo(found.contactShare! ** 0.15, 9);
  });
});

const hollow = {
  kind: 'own' as const,
  radiusMm: 50,
  rimRadiusMm: 30,
  widthMm: 40,
  wallMm: 4,
  sidewallMm: 2,
  densityKgM3: 1000,
  hoopModulusMpa: 5,
  hoopStrengthMpa: 10,
};

describe('tyre.spin of a hollow tyre', () => {
  it('is a tread on elastic side-walls, by hand', () => {
    // h = 16 mm, r_m = 48 mm: k_f = 0.6·5e6·0.002/(0.016·0.04) = 9.375e6, E·t/r_m² = 8.681e6 N/m³, M = 1000·(0.004 + 0.0008) = 4.8 kg/m²
    const found = spin({ ...hollow, rpm: 6000 });
    const q = omegaOf(6000) ** 2;
    const u = (q * 4.8 * 0.048) / (8.6806e6 + 9.375e6 - 4.8 * q);
    expect(found.radiusMm).toBeCloseTo(50 + u * 1000, 4);
    expect(found.hoopStressMpa).toBeCloseTo((5 * u) / 0.048, 5);
    const pull = (9.375e6 * u * 0.04 * 0.048) / 0.06 + 0.5 * 1000 * 0.002 * 0.016 * 0.03 * q;
    expect(found.rimPullNPerMm).toBeCloseTo(pull / 1000, 5);
    expect(found.runAwayRpm).toBeCloseTo((Math.sqrt(18.0556e6 / 4.8) * 30) / Math.PI, 0);
    expect(found.limits!.at(-1)!.what).toBe('runAway');
  });

  it('holds by glue at its beads, by a bolted ring, by tightness', () => {
    const pullAt = (more: Partial<TyreSpinInput>, what: string) => {
      const { limits } = spin({ ...hollow, ...more, rpm: 100 });
      return spin({ ...hollow, ...more, rpm: limits!.find((one) => one.what === what)!.rpm }).rimPullNPerMm;
    };
    expect(pullAt({ beadMm: 5 }, 'bond')).toBeCloseTo(2 * 5, 6);
    // 6 screws of 100 N, two faces of friction 0.5 over 2π·30 mm
    expect(pullAt({ hold: 'clamp', screws: 6, screwPreloadN: 100 }, 'clamp')).toBeCloseTo(
      600 / (60 * Math.PI),
      6,
    );
    // 5 MPa · 1/60 · 2 mm · 4 mm / 30 mm
    expect(pullAt({ hold: 'friction', interferenceMm: 1 }, 'seat')).toBeCloseTo((5 / 60) * 2 * (4 / 30), 6);
    expect(pullAt({}, 'tearAtRim')).toBeCloseTo(10 * 2, 5);
  });

  it('is pressed outward by an insert and by air, at rest too', () => {
    const plain = spin({ ...hollow, rpm: 6000 });
    const filled = spin({ ...hollow, insertDensityKgM3: 60, rpm: 6000 });
    // 60·(0.046³ − 0.03³)/(3·0.046) on top of M·r_m
    const more = (60 * (0.046 ** 3 - 0.03 ** 3)) / (3 * 0.046);
    expect((filled.radiusMm! - 50) / (plain.radiusMm! - 50)).toBeCloseTo(1 + more / (4.8 * 0.048), 6);
    const blown = spin({ ...hollow, pressureMpa: 0.1, rpm: 1e-6 });
    expect(blown.hoopStressMpa).toBeCloseTo((0.1 * 46) / 4, 6);
    expect(blown.rimPullNPerMm).toBeCloseTo((0.1 * 16) / 2, 6);
    // so much air that its tread tears standing still
    expect(spin({ ...hollow, pressureMpa: 1, rpm: 10 })).toMatchObject({ limitRpm: 0, margin: 0 });
    // tread, two side-walls: 2π·48·4·40 + 2·2π·38·16·2 mm³ of 1 mg
    expect(plain.massG).toBeCloseTo(2 * Math.PI * (48 * 4 * 40 + 2 * 38 * 16 * 2) * 1e-3, 6);
  });
});

describe('tyre.spin of a loop on nothing', () => {
  const ring = {
    kind: 'own' as const,
    radiusMm: 40,
    densityKgM3: 1200,
    hoopModulusMpa: 10,
    hoopStrengthMpa: 6,
  };

  it('grows to where the ring holds itself, and bursts or runs away', () => {
    const { radiusMm } = spin({ ...ring, rpm: 8000 });
    let r = 0.04;
    for (let i = 0; i < 500; i++) r = 0.04 * (1 + (1200 * omegaOf(8000) ** 2 * r ** 2) / 10e6);
    expect(radiusMm).toBeCloseTo(r * 1000, 9);
    const burst = spin({ ...ring, rpm: 1000 });
    expect(burst.endsBy).toBe('burst');
    expect(spin({ ...ring, rpm: burst.limitRpm }).hoopStressMpa).toBeCloseTo(6, 6);
    const soft = spin({ ...ring, hoopStrengthMpa: 20, rpm: 1000 });
    expect(soft.endsBy).toBe('runAway');
    expect(spin({ ...ring, hoopStrengthMpa: 20, rpm: soft.limitRpm * (1 - 1e-9) }).radiusMm).toBeCloseTo(
      80,
      1,
    );
    const gone = spin({ ...ring, hoopStrengthMpa: 20, rpm: soft.limitRpm * 1.01 });
    expect(gone).toMatchObject({ runsAway: true, caution: { code: 'note.tyreSpin.caution' } });
    expect(gone.radiusMm).toBeUndefined();
    const fast = spin({ ...ring, speedMps: Math.sqrt(10e6 / 1200) * 1.01 });
    expect(fast.runsAway).toBe(true);
    expect(fast.rpm).toBeUndefined();
  });

  it('has the lesser of strength over stress and of speeds squared as its margin, and nothing of a rim', () => {
    const { limitRpm } = spin({ ...ring, rpm: 1000 });
    // past its limit a stretched ring is worse off by stress than by speed; before it the other way round
    const past = spin({ ...ring, rpm: limitRpm * 1.02 });
    expect(past.margin).toBeCloseTo(6 / past.hoopStressMpa!, 9);
    expect(past.margin).toBeLessThan(1 / 1.02 ** 2);
    const before = spin({ ...ring, rpm: limitRpm * 0.5 });
    expect(before.margin).toBeCloseTo(4, 9);
    expect(before.caution).toBeUndefined();
    for (const key of ['limits', 'curve', 'massG', 'diameterMm', 'rimPullNPerMm'] as const)
      expect(before).not.toHaveProperty(key);
    expect(spin({ ...ring, speedMps: before.vehicleSpeedMps! }).rpm).toBeCloseTo(before.rpm!, 6);
  });
});

describe('tyre.spin refuses', () => {
  it('what an own tyre, its hold or its shape leaves open, at the field', () => {
    expect(pathOf(() => spin({ kind: 'own', radiusMm: 40, rpm: 1 }))).toBe('densityKgM3');
    expect(pathOf(() => spin({ ...layer }))).toBe('rpm');
    expect(pathOf(() => spin({ ...layer, rpm: 1, speedMps: 1 }))).toBe('rpm');
    expect(pathOf(() => spin({ ...layer, rpm: 0 }))).toBe('rpm');
    const { rimRadiusMm: _, ...rimless } = layer;
    expect(pathOf(() => spin({ ...rimless, rpm: 1 }))).toBe('rimRadiusMm');
    expect(pathOf(() => spin({ ...layer, rimRadiusMm: 50, rpm: 1 }))).toBe('rimRadiusMm');
    expect(pathOf(() => spin({ kind: 'belted', radiusMm: 40, hold: 'bonded', rpm: 1 }))).toBe('hold');
    expect(pathOf(() => spin({ kind: 'foam', radiusMm: 40, sidewallMm: 1, rpm: 1 }))).toBe('sidewallMm');
    expect(pathOf(() => spin({ ...layer, hold: 'clamp', screws: 6, rpm: 1 }))).toBe('screwPreloadN');
    expect(pathOf(() => spin({ ...layer, hold: 'friction', rpm: 1 }))).toBe('interferenceMm');
    expect(pathOf(() => spin({ ...hollow, wallMm: 20, rpm: 1 }))).toBe('wallMm');
  });

  it('nothing of a known kind, whose rim it says to have assumed', () => {
    for (const kind of KNOWN_TYRE_KINDS) {
      const found = spin({ kind, radiusMm: 40, rpm: 2000 });
      expect(found.growthPct).toBeGreaterThan(0);
      expect(found.notes.map(({ code }) => code)).toEqual(['note.tyreSpin.rimAssumed']);
      expect(found.curve!.length).toBe(21);
      expect(found.curve!.at(-1)!.rpm).toBeCloseTo(
        found.limitRpm * (found.endsBy === 'runAway' ? 0.9 : 1),
        6,
      );
    }
  });
});
