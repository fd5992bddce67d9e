import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { shaftCheck, type ShaftInput } from './shaft';
import { shaftCheckSchema } from './shaft.schema';

const shaft = (input: ShaftInput) => shaftCheck(parse(shaftCheckSchema, input));
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
