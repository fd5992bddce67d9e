import fc from 'fast-check';
import { CalcError } from '../../base/errors';
import { parse } from '../../base/schema/parse';
import { motorCalibrate } from './calibrate';
import { meanCellVolts } from '../motion/cell';
import { driveEndurance, simulateEndurance } from './endurance';
import { driveEnduranceSchema, motorCalibrateSchema } from './endurance.schema';
import type { EnduranceInput } from './enduranceDefinition';
import { driveRun } from '../motion/run';
import { heatedFor, steadyAt, type ThermalDefinition } from './thermal';
import { motorThermal, smallPack } from '../../fixtures/runInput';
import { motorThermalDefaults } from './thermalDefaults';

const thermal = motorThermal;

const base: EnduranceInput = {
  ...smallPack,
  thermal,
  cycle: { cruiseMps: 6, cruiseS: 10, restS: 0 },
};

type Matrix = readonly (readonly number[])[];
const times = (a: Matrix, b: Matrix): Matrix =>
  a.map((row) => b[0]!.map((_, j) => row.reduce((sum, x, k) => sum + x * b[k]![j]!, 0)));

/** e^M by a Taylor series of M/2^20, squared twenty times. */
function exponential(m: Matrix): Matrix {
  const small = m.map((row) => row.map((x) => x / 2 ** 20));
  const unit: Matrix = m.map((_, i) => m.map((__, j) => (i === j ? 1 : 0)));
  let term = unit;
  let sum = unit;
  for (let k = 1; k < 12; k++) {
    term = times(term, small).map((row) => row.map((x) => x / k));
    sum = sum.map((row, i) => row.map((x, j) => x + term[i]![j]!));
  }
  for (let i = 0; i < 20; i++) sum = times(sum, sum);
  return sum;
}

/** Winding and case after a while by the exponential of the system with a third, constant state. */
function byExponential(
  from: readonly [number, number],
  copperW: number,
  frictionW: number,
  v: number,
  t: ThermalDefinition,
  seconds: number,
): readonly [number, number] {
  const inside = 1 / t.windingToCaseKPerW;
  const outside = (1 + t.coolingPerMps! * v) / t.caseToAmbientKPerW;
  const [cw, cc] = [t.windingHeatCapacityJPerK, t.caseHeatCapacityJPerK];
  const system: Matrix = [
    [(0.00393 * copperW - inside) / cw, inside / cw, (copperW * (1 - 0.00393 * 20)) / cw],
    [inside / cc, -(inside + outside) / cc, (frictionW + outside * t.ambientC) / cc],
    [0, 0, 0],
  ];
  const e = exponential(system.map((row) => row.map((x) => x * seconds)));
  return [0, 1].map((i) => e[i]![0]! * from[0] + e[i]![1]! * from[1] + e[i]![2]!) as [number, number];
}

/** Motor current that balances drag and rolling at a speed, by hand. */
function heldA(v: number): number {
  const resistance = 0.6 * 0.03 * v * v + 0.09 * 2.2 * 9.81;
  const torque = (resistance * 0.042) / (10.4 * 0.8);
  return torque * 3000 * ((2 * Math.PI) / 60) + 2;
}

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

describe('drive.endurance', () => {
  it('heats along the matrix exponential while it holds its speed', () => {
    const { series } = driveEndurance({ ...base, battery: { ...base.battery, capacityMah: 20_000 } });
    const from = series.tS.findIndex((t) => t > 10);
    const to = series.tS.findIndex((t) => t > 400);
    const amps = heldA(6);
    const emf = (6 * 10.4) / 0.042 / (3000 * ((2 * Math.PI) / 60));
    const expected = byExponential(
      [series.windingC[from]!, series.caseC[from]!],
      amps * amps * 0.022,
      2 * emf,
      6,
      thermal,
      series.tS[to]! - series.tS[from]!,
    );
    expect(series.windingC[to]!).toBeCloseTo(expected[0], 6);
    expect(series.caseC[to]!).toBeCloseTo(expected[1], 6);
  });

  it('lasts as long as charge over current says', () => {
    // with hardly any resistance in pack and winding the cells give E·I for all the charge, at the mean of their volts
    const lossless: EnduranceInput = {
      ...base,
      motor: { ...base.motor, resistanceMilliOhm: 0.05 },
      esc: { currentLimitA: 60, resistanceMilliOhm: 0 },
      battery: { cells: 2, cellResistanceMilliOhm: 0, capacityMah: 5000 },
      cutoffVPerCell: 0,
    };
    const emf = (6 * 10.4) / 0.042 / (3000 * ((2 * Math.PI) / 60));
    const joules = 5 * 3600 * 2 * meanCellVolts(1);
    const launchJ = 0.5 * 2.4 * 36;
    const found = driveEndurance(lossless);
    expect(found.endedBy).toBe('battery');
    expect(found.chargeUsedMah).toBeCloseTo(5000, 3);
    expect(found.energyWh).toBeCloseTo(joules / 3600, 2);
    expect(Math.abs(found.durationS / (joules / (emf * heldA(6))) - 1)).toBeLessThan(
      (3 * launchJ) / joules + 1e-3,
    );
    expect(found.meanBatteryCurrentA! * found.durationS).toBeCloseTo(5 * 3600, 2);
  });

  it('is moved by no halving of the steps by more than 0.5 %', () => {
    fc.assert(
      fc.property(
        fc.record({
          cruiseMps: fc.double({ min: 1, max: 15, noNaN: true }),
          cruiseS: fc.double({ min: 2, max: 40, noNaN: true }),
          restS: fc.double({ min: 0, max: 20, noNaN: true }),
          capacityMah: fc.double({ min: 200, max: 800, noNaN: true }),
          windingLimitC: fc.double({ min: 60, max: 200, noNaN: true }),
        }),
        ({ capacityMah, windingLimitC, ...cycle }) => {
          const input = {
            ...base,
            cycle,
            battery: { ...base.battery, capacityMah },
            thermal: { ...thermal, windingLimitC },
          };
          const [whole, half] = [driveEndurance(input), simulateEndurance(input, 0.5)];
          // a pack that just gets through a cruise has one more rest and start than one that just does not:
          // there a half per cent of the pack
          // moves the end by more than its own share
          const near = [0.995, 1.005].map((share) =>
            driveEndurance({
              ...input,
              battery: { ...input.battery, capacityMah: capacityMah * share },
              thermal: { ...thermal, windingLimitC: 20 + (windingLimitC - 20) * share },
            }),
          );
          fc.pre(
            near.every(
              ({ endedBy, durationS }) =>
                endedBy === whole.endedBy &&
                Math.abs(durationS / whole.durationS - 1) < (whole.endedBy === 'battery' ? 0.0065 : 0.012),
            ),
          );
          expect(half.endedBy).toBe(whole.endedBy);
          for (const key of [
            'durationS',
            'peakWindingC',
            'peakCaseC',
            'distanceM',
            'energyWh',
            'meanMotorCurrentA',
            'meanBatteryCurrentA',
            'chargeUsedMah',
          ] as const) {
            expect(Math.abs(half[key]! / whole[key]! - 1)).toBeLessThan(0.005);
          }
        },
      ),
      { numRuns: 30, endOnFailure: true },
    );
  });

  it('agrees with plain small steps of every equation, starts and stops included', () => {
    const { car, tyre, motor } = base;
    const cycle = { cruiseMps: 5, cruiseS: 4, restS: 3 };
    const [r, kt, idle, ohm20, escOhm, packOhm] = [
      tyre.radiusMm / 1000,
      60 / (3000 * 2 * Math.PI),
      motor.noLoadCurrentA,
      0.022,
      0.002,
      0.01,
    ];
    const inertia = 2.2 + (car.wheelInertiaKgM2! + motor.rotorInertiaKgM2! * 10.4 ** 2) / r ** 2;
    const resistance = (v: number) => 0.6 * 0.03 * v * v + 0.09 * 2.2 * 9.81;
    const volts = [4.2, 4.15, 4.11, 4.08];
    const openV = (soc: number) => {
      const x = (1 - soc) / 0.05;
      const i = Math.min(2, Math.floor(x));
      return 2 * (volts[i]! + (x - i) * (volts[i + 1]! - volts[i]!));
    };
    const dt = 2e-4;
    let [w, c, soc, v, way, resting, held, holding, squares] = [20, 20, 1, 0, 0, 0, 0, false, 0];
    const heat = (amps: number, turning: boolean) => {
      const through = (w - c) / 0.9;
      w += (dt * (amps * amps * ohm20 * (1 + 0.00393 * (w - 20)) - through)) / 15;
      c +=
        (dt * ((turning ? (idle * v * 10.4 * kt) / r : 0) + through - ((c - 20) * (1 + 0.1 * v)) / 7)) / 57;
    };
    for (let t = 0; t < 120 - dt / 2; t += dt) {
      const emf = (v * 10.4 * kt) / r;
      const R = ohm20 * (1 + 0.00393 * (w - 20)) + escOhm;
      let amps = 0;
      if (resting > 0) resting -= dt;
      else if (holding) amps = (resistance(v) * r) / (10.4 * 0.8) / kt + idle;
      else {
        const full = Math.min(60, Math.max(0, (openV(soc) - emf) / (R + packOhm)));
        const grip = 0.6 * 2.2 * 9.81;
        const free = ((full - idle) * kt * 10.4 * 0.8) / r;
        const a0 = (free - resistance(v)) / inertia;
        const slips = 2.2 * a0 + resistance(v) > grip;
        const a = slips ? (grip - resistance(v)) / 2.2 : a0;
        amps = slips
          ? ((2.2 * a + resistance(v) + (inertia - 2.2) * a) * r) / (10.4 * 0.8) / kt + idle
          : full;
        v += a * dt;
      }
      const a2 = amps * packOhm;
      const duty =
        amps === 0
          ? 0
          : Math.min(
              1,
              (openV(soc) - Math.sqrt(Math.max(0, openV(soc) ** 2 - 4 * a2 * (emf + amps * R)))) / (2 * a2),
            );
      soc -= (duty * amps * dt) / 7200;
      heat(amps, v > 0);
      squares += amps * amps * dt;
      way += v * dt;
      if (!holding && v >= cycle.cruiseMps) [holding, held] = [true, 0];
      if (holding && (held += dt) >= cycle.cruiseS) [holding, v, resting] = [false, 0, cycle.restS];
    }
    const found = driveEndurance({ ...base, cycle, maxDurationS: 120 });
    expect(Math.abs(found.distanceM / way - 1)).toBeLessThan(0.005);
    expect(Math.abs(found.chargeUsedMah / (2000 * (1 - soc)) - 1)).toBeLessThan(0.005);
    expect(Math.abs(found.rmsMotorCurrentA! / Math.sqrt(squares / 120) - 1)).toBeLessThan(0.005);
    expect(Math.abs((found.series.windingC.at(-1)! - 20) / (w - 20) - 1)).toBeLessThan(0.01);
    expect(Math.abs((found.series.caseC.at(-1)! - 20) / (c - 20) - 1)).toBeLessThan(0.005);
  });

  it('ends where winding or case reaches its limit, and at the time allowed', () => {
    const hot = driveEndurance({ ...base, thermal: { ...thermal, windingLimitC: 45 } });
    expect(hot).toMatchObject({ endedBy: 'winding' });
    expect(hot.series.windingC.at(-1)).toBeCloseTo(45, 6);
    const soft = driveEndurance({ ...base, thermal: { ...thermal, caseLimitC: 35 } });
    expect(soft.endedBy).toBe('case');
    expect(soft.peakCaseC).toBeCloseTo(35, 6);
    expect(driveEndurance({ ...base, maxDurationS: 100 })).toMatchObject({ endedBy: 'time', durationS: 100 });
  });

  it('holds at most 0.98 of the top speed, and falls with the pack', () => {
    const { series } = driveEndurance({ ...base, cycle: { cruiseMps: 60, cruiseS: 10, restS: 0 } });
    const start = driveRun(base).topSpeedMps!;
    expect(Math.max(...series.speedMps)).toBeLessThanOrEqual(0.98 * start + 1e-6);
    expect(series.speedMps.at(-1)!).toBeLessThan(0.95 * Math.max(...series.speedMps));
  });

  it('says when a cruise is out of reach, from the start or as the pack empties', () => {
    expect(driveEndurance({ ...base, cycle: { cruiseMps: 60, cruiseS: 10, restS: 5 } }).notes).toEqual([
      expect.stringContaining('60 m/s is out of reach'),
    ]);
    const top = driveRun(base).topSpeedMps!;
    expect(
      driveEndurance({ ...base, cycle: { cruiseMps: 0.95 * top, cruiseS: 10, restS: 5 } }).notes,
    ).toEqual([expect.stringMatching(/^From minute .* the pack is too low/)]);
    expect(driveEndurance({ ...base, cycle: { cruiseMps: 0.5 * top, cruiseS: 10, restS: 5 } }).notes).toEqual(
      [],
    );
  });

  it('rests without current and brakes downhill without heat', () => {
    const resting = driveEndurance({
      ...base,
      cycle: { cruiseMps: 6, cruiseS: 5, restS: 60 },
      maxDurationS: 300,
    });
    const driven = driveEndurance({
      ...base,
      cycle: { cruiseMps: 6, cruiseS: 5, restS: 0 },
      maxDurationS: 300,
    });
    expect(resting.peakCaseC).toBeLessThan(driven.peakCaseC);
    const downhill = driveEndurance({
      ...base,
      gradePct: -30,
      cycle: { cruiseMps: 2, cruiseS: 5, restS: 0 },
      maxDurationS: 600,
    });
    expect(downhill.series.windingC.at(-1)!).toBeLessThan(20.5);
  });

  it('tells of a car that cannot move, and leaves its means out', () => {
    const stalled = driveEndurance({ ...base, gradePct: 90 });
    expect(stalled).toMatchObject({ endedBy: 'stalled', durationS: 0, distanceM: 0, chargeUsedMah: 0 });
    expect(stalled.meanMotorCurrentA).toBeUndefined();
    expect(stalled.notes[0]).toContain('cannot move');
  });

  it('refuses a limit that the air reaches, by its path', () => {
    const refused = (field: object) => {
      try {
        driveEndurance(parse(driveEnduranceSchema, { ...base, thermal: { ...thermal, ...field } }));
      } catch (error) {
        return (error as CalcError).path;
      }
      return 'accepted';
    };
    expect(refused({ windingLimitC: 20 })).toBe('thermal.ambientC');
    expect(refused({ caseLimitC: 15 })).toBe('thermal.ambientC');
    expect(refused({ ambientC: 140, windingLimitC: undefined })).toBe('thermal.ambientC');
    expect(refused({ coolingPerMps: -0.1 })).toBe('thermal.coolingPerMps');
    expect(refused({ fan: 1 })).toBe('thermal.fan');
    expect(() => parse(driveEnduranceSchema, { ...base, cycle: { cruiseMps: '6', cruiseS: 1 } })).toThrow(
      CalcError,
    );
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
    expect(cold.notes[0]).toContain('bound');
    expect(() => parse(motorCalibrateSchema, { ...input, measured: [] })).toThrow(/at least 1/);
  });
});
