import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { tyreSeat } from './tyreSeat';
import { wheelBalance } from './balance';
import { wheelBalanceSchema } from './balance.schema';
import { shaftCheck, type ShaftInput } from '../shafts/shaft';
import { shaftCheckSchema } from '../shafts/shaft.schema';
import { tyreSpin, type TyreSpinInput } from './tyreSpin';
import { tyreSpinSchema } from './tyreSpin.schema';

const shaft = (input: ShaftInput) => shaftCheck(parse(shaftCheckSchema, input));
const spin = (input: TyreSpinInput) => tyreSpin(parse(tyreSpinSchema, input));
const pathOf = (work: () => unknown) => refusalOf(work).path;
const steel = { yieldMpa: 400, modulusMpa: 205_000, densityKgM3: 7850 };

describe('shaft.check', () => {
  it('is 32·M/π·d³ and 16·T/π·d³, joined by von Mises', () => {
    // 2 Nm and 1 Nm on 5 mm: 162.97 and 40.74 MPa, √(162.97² + 3·40.74²) = 177.6 MPa
    const found = shaft({ ...steel, diameterMm: 5, bendingNm: 2, torqueNm: 1 });
    expect(found.bendingStressMpa).toBeCloseTo(162.97, 2);
    expect(found.shearStressMpa).toBeCloseTo(40.74, 2);
    expect(found.margin).toBeCloseTo(400 / Math.hypot(162.97, Math.sqrt(3) * 40.74), 3);
    expect(shaft({ ...steel, diameterMm: 5, forceN: 100, overhangMm: 20 }).bendingStressMpa).toBeCloseTo(
      162.97,
      2,
    );
    expect(shaft({ ...steel, diameterMm: 5, boreMm: 2.5, bendingNm: 2 }).bendingStressMpa).toBeCloseTo(
      162.97 / (1 - 1 / 16),
      2,
    );
  });

  it('whirls where Rayleigh’s quotient of its own sag says', () => {
    const [d, span] = [0.005, 0.3];
    const [stiffness, mass] = [205e9 * (Math.PI / 64) * d ** 4, 7850 * (Math.PI / 4) * d ** 2];
    // sag of a uniform beam under its weight, y ∝ x⁴ − 2·L·x³ + L³·x with EI·y⁗ = 24: ω² = 24·EI·∫y/(μ·∫y²), 0.07 % over the true one
    const steps = 20_000;
    let [area, squares] = [0, 0];
    for (let i = 0; i < steps; i++) {
      const x = (span * (i + 0.5)) / steps;
      const y = x ** 4 - 2 * span * x ** 3 + span ** 3 * x;
      area += y;
      squares += y * y;
    }
    const rpm = (Math.sqrt((24 * stiffness * area) / (mass * squares)) * 60) / (2 * Math.PI);
    const found = shaft({ ...steel, diameterMm: 5, spanMm: 300, maxRpm: 9000 });
    expect(Math.abs(found.whirlRpm! / rpm - 1)).toBeLessThan(0.001);
    expect(shaft({ ...steel, diameterMm: 5, spanMm: 150 }).whirlRpm! / found.whirlRpm!).toBeCloseTo(4, 9);
    expect(found.advice!.code).toBe('note.shaft.supportIt');
    expect(shaft({ ...steel, diameterMm: 5, spanMm: 150, maxRpm: 9000 }).advice).toBeUndefined();
  });

  it('refuses a bore through it, both ways of bending, and half a lever', () => {
    expect(pathOf(() => shaft({ ...steel, diameterMm: 5, boreMm: 5 }))).toBe('boreMm');
    expect(pathOf(() => shaft({ ...steel, diameterMm: 5, bendingNm: 1, forceN: 10, overhangMm: 5 }))).toBe(
      'bendingNm',
    );
    expect(pathOf(() => shaft({ ...steel, diameterMm: 5, forceN: 10 }))).toBe('overhangMm');
    expect(shaft({ ...steel, diameterMm: 5 }).margin).toBeUndefined();
  });
});

describe('tyre.spin', () => {
  const own = {
    kind: 'own' as const,
    radiusMm: 40,
    densityKgM3: 1200,
    hoopModulusMpa: 10,
    hoopStrengthMpa: 6,
  };

  it('grows to where the ring holds itself', () => {
    const { radiusMm, rpm } = spin({ ...own, rpm: 8000 });
    const omega = (rpm! * 2 * Math.PI) / 60;
    let r = 0.04;
    for (let i = 0; i < 500; i++) r = 0.04 * (1 + (1200 * omega ** 2 * r ** 2) / 10e6);
    expect(radiusMm).toBeCloseTo(r * 1000, 9);
    expect(spin({ ...own, rpm: 0 })).toMatchObject({ radiusMm: 40, growthPct: 0, hoopStressMpa: 0 });
  });

  it('finds the same by the speed of the car', () => {
    const by = spin({ ...own, rpm: 9000 });
    expect(spin({ ...own, speedMps: by.vehicleSpeedMps! }).rpm).toBeCloseTo(9000, 6);
    expect(by.accelerationGees).toBeCloseTo((((9000 * Math.PI) / 30) ** 2 * (by.radiusMm! / 1000)) / 9.81, 6);
  });

  it('bursts at its strength, or runs away at twice its radius, whichever is first', () => {
    const burst = spin({ ...own, rpm: 1000 });
    expect(burst.endsBy).toBe('burst');
    expect(spin({ ...own, rpm: burst.limitRpm }).hoopStressMpa).toBeCloseTo(6, 6);
    expect(spin({ ...own, rpm: burst.limitRpm }).margin).toBeCloseTo(1, 6);
    const soft = spin({ ...own, hoopStrengthMpa: 20, rpm: 1000 });
    expect(soft.endsBy).toBe('runAway');
    expect(spin({ ...own, hoopStrengthMpa: 20, rpm: soft.limitRpm * (1 - 1e-9) }).radiusMm).toBeCloseTo(
      80,
      1,
    );
    const gone = spin({ ...own, hoopStrengthMpa: 20, rpm: soft.limitRpm * 1.01 });
    expect(gone).toMatchObject({ runsAway: true, caution: { code: 'note.tyreSpin.caution' } });
    expect(gone.radiusMm).toBeUndefined();
    const fast = spin({ ...own, speedMps: Math.sqrt(10e6 / 1200) * 1.01 });
    expect(fast.runsAway).toBe(true);
    expect(fast.rpm).toBeUndefined();
  });

  it('has the lesser of strength over stress and of speeds squared as its margin', () => {
    const { limitRpm } = spin({ ...own, rpm: 1000 });
    // past its limit a stretched ring is worse off by stress than by speed; before it the other way round
    const past = spin({ ...own, rpm: limitRpm * 1.02 });
    expect(past.margin).toBeCloseTo(6 / past.hoopStressMpa!, 9);
    expect(past.margin).toBeLessThan(1 / 1.02 ** 2);
    const before = spin({ ...own, rpm: limitRpm * 0.5 });
    expect(before.margin).toBeCloseTo(4, 9);
    expect(before.margin).toBeLessThan(6 / before.hoopStressMpa!);
    expect(before.notes).toEqual([]);
    expect(spin({ ...own, rpm: 0 }).margin).toBeUndefined();
  });

  it('cautions under a margin of two, and asks for figures of an own tyre and one of two speeds', () => {
    const { limitRpm } = spin({ ...own, rpm: 1000 });
    expect(spin({ ...own, rpm: limitRpm * 0.9 }).caution!.code).toBe('note.tyreSpin.caution');
    expect(spin({ ...own, rpm: limitRpm * 0.3 }).caution).toBeUndefined();
    expect(pathOf(() => spin({ kind: 'own', radiusMm: 40, rpm: 1 }))).toBe('densityKgM3');
    expect(pathOf(() => spin({ ...own }))).toBe('rpm');
    expect(pathOf(() => spin({ ...own, rpm: 1, speedMps: 1 }))).toBe('rpm');
    for (const kind of ['solid rubber', 'belted', 'foam', 'printed flexible'] as const)
      expect(spin({ kind, radiusMm: 40, rpm: 2000 }).growthPct).toBeGreaterThan(0);
  });
});

describe('tyre.seat', () => {
  const bead = {
    by: 'bead' as const,
    rimRadiusMm: 30,
    radiusMm: 40,
    stretch: 0.05,
    kind: 'own' as const,
  };
  const ring = { densityKgM3: 1200, hoopModulusMpa: 10, hoopStrengthMpa: 6 };
  const glued = {
    by: 'glue' as const,
    kind: 'own' as const,
    rimRadiusMm: 30,
    radiusMm: 40,
    tyreMassG: 36,
    peelNPerMm: 2,
  };

  it('lets a bead go where its stretch is used up, ε·E = ρ·v², and has no margin at rest', () => {
    const speed = Math.sqrt((0.05 * 10e6) / 1200);
    const found = tyreSeat({ ...bead, ...ring, rpm: 3000 });
    expect((found.letsGoRpm * Math.PI * 0.03) / 30).toBeCloseTo(speed, 9);
    expect(found.margin).toBeCloseTo((found.letsGoRpm / 3000) ** 2, 9);
    expect(tyreSeat({ ...bead, ...ring, rpm: 0 })).not.toHaveProperty('margin');
  });

  it('pulls at glue with m·r·ω² over two beads, each once round the rim', () => {
    // 0.036 kg · 0.04 m · (100 rad/s)² = 14.4 N over 2 · 2π · 30 mm
    const rpm = (100 * 30) / Math.PI;
    const found = tyreSeat({ ...glued, rpm });
    expect(found.pullNPerMm).toBeCloseTo(14.4 / (4 * Math.PI * 30), 9);
    expect(found.margin).toBeCloseTo(2 / found.pullNPerMm!, 9);
    expect(tyreSeat({ ...glued, rpm: 0 })).toEqual({ letsGoRpm: found.letsGoRpm, pullNPerMm: 0 });
  });
});

describe('wheel.balance', () => {
  it('pulls with U·ω², by hand', () => {
    // 1 g at 40 mm and 30,000 rpm: 4e-5 kg m · 3141.6² = 394.8 N
    const found = wheelBalance(
      parse(wheelBalanceSchema, { massG: 50, imbalanceGmm: 40, rpm: 30_000, correctionRadiusMm: 20 }),
    );
    expect(found.forceN).toBeCloseTo(394.8, 1);
    expect(found.correctionG).toBe(2);
    expect(found.balanceQualityMmps).toBeCloseTo(0.8 * 1000 * Math.PI, 6);
    expect(wheelBalance({ massG: 50, eccentricityMm: 0.8, rpm: 30_000, correctionRadiusMm: 20 })).toEqual(
      found,
    );
    expect(pathOf(() => parse(wheelBalanceSchema, { massG: 50, rpm: 1, correctionRadiusMm: 1 }))).toBe(
      'imbalanceGmm',
    );
  });
});
