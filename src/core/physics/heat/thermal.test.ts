import fc from 'fast-check';
import { parse } from '../../base/schema/parse';
import { motorCalibrate } from './calibrate';
import { driveEndurance } from './endurance';
import { motorCalibrateSchema } from './endurance.schema';
import { heatedFor, steadyAt } from './thermal';
import { motorThermalDefaults } from './thermalDefaults';
import { thermal, base, byExponential } from '../../fixtures/heatedMotor';

describe('two thermal nodes', () => {
  it('follow the matrix exponential at constant losses', () => {
    fc.assert(
      fc.property(
        fc.record({
          copperW: fc.double({ min: 0, max: 60, noNaN: true }),
          frictionW: fc.double({ min: 0, max: 20, noNaN: true }),
          v: fc.double({ min: 0, max: 20, noNaN: true }),
          seconds: fc.double({ min: 0.01, max: 400, noNaN: true }),
          w: fc.double({ min: 0, max: 120, noNaN: true }),
          c: fc.double({ min: 0, max: 100, noNaN: true }),
        }),
        ({ copperW, frictionW, v, seconds, w, c }) => {
          const found = heatedFor([w, c], { copperW, frictionW, speedMps: v }, thermal, seconds);
          const expected = byExponential([w, c], copperW, frictionW, v, thermal, seconds);
          for (const i of [0, 1] as const)
            expect(Math.abs(found[i] - expected[i])).toBeLessThan(
              1e-6 * Math.max(100, Math.abs(expected[i])),
            );
        },
      ),
      { numRuns: 100 },
    );
  });

  it('come to rest where they stay, and nowhere in a runaway', () => {
    const losses = { copperW: 10, frictionW: 3, speedMps: 4 };
    const steady = steadyAt(losses, thermal)!;
    const later = heatedFor(steady, losses, thermal, 1000);
    expect(later[0]).toBeCloseTo(steady[0], 8);
    expect(later[1]).toBeCloseTo(steady[1], 8);
    // 1/(α·(R_wc + R_ca)) at rest: 1/(0.00393·7.9) = 32.2 W
    expect(steadyAt({ copperW: 32, frictionW: 0, speedMps: 0 }, thermal)).toBeDefined();
    expect(steadyAt({ copperW: 32.5, frictionW: 0, speedMps: 0 }, thermal)).toBeUndefined();
  });
});

describe('motor.thermalDefaults', () => {
  it('takes copper, iron and surface from mass and size', () => {
    const found = motorThermalDefaults({ massG: 200, diameterMm: 36, lengthMm: 50, housing: 'vented' });
    expect(found.windingHeatCapacityJPerK).toBeCloseTo(0.25 * 0.2 * 385, 12);
    expect(found.caseHeatCapacityJPerK).toBeCloseTo(0.75 * 0.2 * 460, 12);
    // half of 0.1 kg to the 0.67: 1.2 · 0.6285 = 0.754
    expect(found.windingToCaseKPerW).toBeCloseTo(0.754, 3);
    // π·0.036·0.05 + π·0.036²/2 = 0.0076906 m², at 25 W/(m² K) 5.201 K/W
    expect(found.caseToAmbientKPerW).toBeCloseTo(5.201, 3);
    const closed = motorThermalDefaults({ massG: 200, diameterMm: 36, lengthMm: 50, housing: 'closed' });
    expect(closed.caseToAmbientKPerW / found.caseToAmbientKPerW).toBeCloseTo(25 / 12, 12);
  });
});

describe('motor.calibrate', () => {
  const truth = 4.4;
  const run = driveEndurance({
    ...base,
    battery: { ...base.battery, capacityMah: 9000 },
    thermal: { ...thermal, caseToAmbientKPerW: truth },
  });
  const readingAt = (seconds: number) => {
    const i = run.series.tS.findIndex((t) => t >= seconds);
    return { tS: run.series.tS[i]!, caseC: run.series.caseC[i]! };
  };
  const input = { ...base, battery: { ...base.battery, capacityMah: 9000 } };

  it('finds the cooling that made the readings, from one or from several', () => {
    expect(motorCalibrate({ ...input, measured: [readingAt(900)] }).caseToAmbientKPerW).toBeCloseTo(truth, 3);
    const several = motorCalibrate({ ...input, measured: [readingAt(1200), readingAt(300), readingAt(600)] });
    expect(several.caseToAmbientKPerW).toBeCloseTo(truth, 3);
    expect(several.residualC).toBeLessThan(1e-3);
    expect(several.endurance.peakCaseC).toBeCloseTo(run.peakCaseC, 2);
  });

  it('lies between readings that disagree, and says how far they are off', () => {
    const [a, b] = [readingAt(900), readingAt(900.5)];
    const found = motorCalibrate({
      ...input,
      measured: [
        { ...a, caseC: a.caseC + 3 },
        { ...b, caseC: b.caseC - 3 },
      ],
    });
    expect(found.caseToAmbientKPerW).toBeCloseTo(truth, 1);
    expect(found.residualC).toBeCloseTo(3, 1);
  });

  it('drives on past limits and an empty pack to the last reading', () => {
    const late = motorCalibrate({
      ...input,
      thermal: { ...thermal, windingLimitC: 30 },
      measured: [readingAt(900)],
    });
    expect(late.caseToAmbientKPerW).toBeCloseTo(truth, 3);
    expect(late.endurance.endedBy).toBe('winding');
    expect(
      motorCalibrate({
        ...input,
        battery: { ...input.battery, capacityMah: 100 },
        measured: [{ tS: 900, caseC: 40 }],
      }).caseToAmbientKPerW,
    ).toBeGreaterThan(0.05);
  });

  it('stops at a bound with a note, and refuses an empty list', () => {
    const cold = motorCalibrate({ ...input, measured: [{ tS: 600, caseC: 19 }] });
    expect(cold.caseToAmbientKPerW).toBe(0.05);
    expect(cold.notes[0]!.code).toBe('note.heat.noResistance');
    expect(() => parse(motorCalibrateSchema, { ...input, measured: [] })).toThrow(/at least 1/);
  });
});
