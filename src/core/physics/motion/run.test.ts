import fc from 'fast-check';
import type { DriveRunInput } from './definition';
import { accelMps2, createPlant, resistanceN, tractionN, wheelForceN } from './plant';
import { driveRun, simulate } from './run';
import { base } from '../../fixtures/straightRun';

const cars = fc
  .record({
    massKg: fc.double({ min: 0.2, max: 8, noNaN: true }),
    cdaM2: fc.double({ min: 0.001, max: 0.08, noNaN: true }),
    cla: fc.double({ min: -0.01, max: 0.06, noNaN: true }),
    rolling: fc.double({ min: 0, max: 0.12, noNaN: true }),
    mu: fc.double({ min: 0.3, max: 1.3, noNaN: true }),
    drivenAxles: fc.constantFrom('front' as const, 'rear' as const, 'all' as const),
    ratio: fc.double({ min: 4, max: 25, noNaN: true }),
    kv: fc.double({ min: 900, max: 5000, noNaN: true }),
    winding: fc.double({ min: 8, max: 120, noNaN: true }),
    limitA: fc.double({ min: 10, max: 200, noNaN: true }),
    cell: fc.double({ min: 0, max: 15, noNaN: true }),
    count: fc.integer({ min: 1, max: 4 }),
  })
  .map((c): DriveRunInput => ({
    ...base,
    car: {
      ...base.car,
      massKg: c.massKg,
      cdaM2: c.cdaM2,
      claRearM2: c.cla,
      rollingResistance: c.rolling,
      drivenAxles: c.drivenAxles,
    },
    tyre: { radiusMm: 42, mu: c.mu },
    drive: { ratio: c.ratio, efficiency: 0.8 },
    motor: {
      ...base.motor,
      kvRpmPerV: c.kv,
      resistanceMilliOhm: c.winding,
      noLoadCurrentA: 1,
      count: c.count,
    },
    esc: { currentLimitA: c.limitA, resistanceMilliOhm: 1 },
    battery: { ...base.battery, cellResistanceMilliOhm: c.cell },
    distanceM: 20,
    maxTimeS: 15,
  }));

const plantOf = (input: DriveRunInput) => createPlant(input);

describe('drive.run', () => {
  it('gives the no-load speed of the motor equations', () => {
    // 2 · 4.2 V · 3000 rpm/V = 25,200 rpm; / 10.4 = 2423.08 rpm of a wheel of 263.894 mm circumference
    expect(driveRun(base).noLoadSpeedMps).toBeCloseTo((25_200 / 10.4 / 60) * 2 * Math.PI * 0.042, 9);
  });

  it('launches at the grip of the tyres less the rolling resistance', () => {
    // all-driven on grip: a = (μ − c_rr)·g, downforce none, drag none at rest
    const run = driveRun(base);
    expect(run.launchLimitedBy).toBe('grip');
    expect(run.peakAccelMps2).toBeCloseTo((0.6 - 0.09) * 9.81, 9);
  });

  it('matches the closed form of a car without drag or losses on the voltage limit', () => {
    // Without current limit, drag and rolling: dv/dt = (v0 − v)/τ, so v = v0(1 − e^(−t/τ))
    const input: DriveRunInput = {
      ...base,
      car: { ...base.car, cdaM2: 0, rollingResistance: 0, wheelInertiaKgM2: 0 },
      tyre: { radiusMm: 42, mu: 50 },
      drive: { ratio: 10.4, efficiency: 1 },
      motor: { kvRpmPerV: 3000, resistanceMilliOhm: 200, noLoadCurrentA: 0 },
      esc: { currentLimitA: 1e6 },
      battery: { cells: 2, cellResistanceMilliOhm: 0, capacityMah: 5000 },
    };
    const torquePerAmp = 60 / (2 * Math.PI * 3000);
    const turnsPerMetre = 10.4 / 0.042;
    const tau = (2.2 * 0.2) / (torquePerAmp * turnsPerMetre) ** 2;
    const run = driveRun({ ...input, car: { ...input.car, cgHeightMm: 0.001 } });
    expect(run.timeTo95PctS).toBeCloseTo(tau * Math.log(20), 4);
    const at = run.series.tS.findIndex((t) => t >= tau);
    expect(run.series.speedMps[at]!).toBeCloseTo(
      run.noLoadSpeedMps * (1 - Math.exp(-run.series.tS[at]! / tau)),
      4,
    );
  });

  it('lifts the front before it spins where the centre of gravity is high', () => {
    // rear-driven, μh/L = 1.2·120/200 < 1: grip 1.2·0.6·mg/(1 − 0.72) = 2.57 mg, lift (200/120)·0.4·mg = 0.667 mg (+ F_roll)
    const run = driveRun({
      ...base,
      car: {
        ...base.car,
        drivenAxles: 'rear',
        frontLoadShare: 0.4,
        cgHeightMm: 120,
        wheelbaseMm: 200,
        rollingResistance: 0,
      },
      tyre: { radiusMm: 42, mu: 1.2 },
      motor: { ...base.motor, count: 2 },
      esc: { currentLimitA: 300 },
    });
    expect(run.launchLimitedBy).toBe('lift');
    expect(run.peakAccelMps2).toBeCloseTo((200 / 120) * 0.4 * 9.81, 6);
  });

  it('takes the duty that balances the power of pack, wiring and motor when the current is limited', () => {
    const input: DriveRunInput = {
      ...base,
      tyre: { radiusMm: 42, mu: 3 },
      esc: { currentLimitA: 20 },
      motor: { ...base.motor, count: 2 },
    };
    const { series } = driveRun(input);
    const at = series.limitedBy.indexOf('current', 3);
    const emf = (series.speedMps[at]! * 10.4) / 0.042 / ((3000 * 2 * Math.PI) / 60);
    const drawn = series.batteryCurrentA[at]! * series.batteryVoltageV[at]!;
    expect(series.motorCurrentA[at]).toBe(20);
    expect(drawn).toBeCloseTo(2 * 20 * (emf + 20 * 0.022), 6);
  });

  it('says stalled, and leaves out what does not exist', () => {
    const run = driveRun({ ...base, gradePct: 100, drive: { ratio: 1, efficiency: 0.8 } });
    expect(run).toMatchObject({ stalled: true, topSpeedMps: 0 });
    for (const key of ['timeToDistanceS', 'speedAtDistanceMps', 'timeTo95PctS', 'topSpeedLimitedBy'])
      expect(run).not.toHaveProperty(key);
    expect(run.notes).toContainEqual(expect.objectContaining({ code: 'note.run.stalled' }));
    expect(run.forces.speedMps.at(-1)).toBeCloseTo(run.noLoadSpeedMps, 9);
  });

  it('runs past the no-load speed downhill', () => {
    const run = driveRun({ ...base, gradePct: -40 });
    expect(run.topSpeedMps!).toBeGreaterThan(run.noLoadSpeedMps);
    expect(accelMps2(plantOf({ ...base, gradePct: -40 }), run.topSpeedMps!)).toBeCloseTo(0, 6);
  });

  it('leaves the top speed out where nothing balances the slope', () => {
    const run = driveRun({ ...base, car: { ...base.car, cdaM2: 0 }, gradePct: -60, maxTimeS: 10 });
    expect(run).not.toHaveProperty('topSpeedMps');
    expect(run.notes).toContainEqual(expect.objectContaining({ code: 'note.run.noTop' }));
  });

  it('notes a pack that gives more than its rating', () => {
    expect(driveRun({ ...base, battery: { ...base.battery, maxDischargeC: 3 } }).notes).toMatchObject([
      { code: 'note.run.overRating', facts: { rated: { value: 15 } } },
    ]);
  });

  it('finds the top speed at the root of the force balance', () => {
    fc.assert(
      fc.property(cars, (input) => {
        const run = driveRun(input);
        if (run.stalled) return;
        const plant = plantOf(input);
        const top = run.topSpeedMps!;
        const force = Math.min(
          wheelForceN(plant, top),
          run.topSpeedLimitedBy === 'grip' ? tractionN(plant, top) : Infinity,
        );
        expect(Math.abs(force - resistanceN(plant, top))).toBeLessThan(
          1e-6 * Math.max(1, resistanceN(plant, top)),
        );
        const slower = [0.1, 0.3, 0.5, 0.7, 0.9, 0.99].map((share) => accelMps2(plant, share * top));
        expect(Math.min(...slower)).toBeGreaterThan(0);
      }),
      { numRuns: 150 },
    );
  });

  it('moves by the very acceleration that it observes', () => {
    // over one step the change of speed is the mean acceleration, to the third order of the step
    fc.assert(
      fc.property(cars, (input) => {
        const { series, stalled } = driveRun(input);
        if (stalled) return;
        const plant = plantOf(input);
        const accel = (v: number) => accelMps2(plant, v);
        for (const share of [0.1, 0.3, 0.5, 0.7]) {
          const i = Math.floor(share * (series.tS.length - 2));
          if (series.limitedBy[i] !== series.limitedBy[i + 1]) continue;
          const [v0, v1] = [series.speedMps[i]!, series.speedMps[i + 1]!];
          const mean = (accel(v0) + 4 * accel((v0 + v1) / 2) + accel(v1)) / 6;
          expect(Math.abs((v1 - v0) / (series.tS[i + 1]! - series.tS[i]!) - mean)).toBeLessThan(
            0.01 * Math.abs(accel(0)) + 0.02 * Math.abs(mean),
          );
        }
      }),
      { numRuns: 80 },
    );
  });

  it('balances the energy of a run within 1 %', () => {
    fc.assert(
      fc.property(cars, (input) => {
        const run = driveRun(input);
        if (run.stalled) return;
        const { tS, speedMps, motorCurrentA, batteryCurrentA, batteryVoltageV } = run.series;
        const plant = plantOf(input);
        const count = input.motor.count ?? 1;
        const constant = (input.motor.kvRpmPerV * 2 * Math.PI) / 60;
        const heatOhm = (input.motor.resistanceMilliOhm + 1) / 1000;
        const perMetre = (count * input.drive.ratio) / 0.042 / constant;
        let drawn = 0,
          heat = 0,
          idle = 0,
          gears = 0,
          road = 0;
        for (let i = 1; i < tS.length; i++) {
          const dt = tS[i]! - tS[i - 1]!;
          const each = (f: (k: number) => number) => 0.5 * (f(i) + f(i - 1)) * dt;
          drawn += each((k) => batteryCurrentA[k]! * batteryVoltageV[k]!);
          heat += each((k) => count * motorCurrentA[k]! ** 2 * heatOhm);
          idle += each((k) => perMetre * input.motor.noLoadCurrentA * speedMps[k]!);
          gears += each(
            (k) =>
              Math.max(0, motorCurrentA[k]! - input.motor.noLoadCurrentA) *
              perMetre *
              speedMps[k]! *
              (1 - input.drive.efficiency),
          );
          road += each((k) => resistanceN(plant, speedMps[k]!) * speedMps[k]!);
        }
        const kinetic = 0.5 * plant.effectiveMassKg * speedMps.at(-1)! ** 2;
        expect(Math.abs(drawn - heat - idle - gears - road - kinetic) / drawn).toBeLessThan(0.01);
      }),
      { numRuns: 60 },
    );
  });

  it('moves no result by 0.1 % when the step is halved', () => {
    fc.assert(
      fc.property(cars, (input) => {
        const [whole, half] = [simulate(input, 1), simulate(input, 0.5)];
        for (const key of [
          'timeToDistanceS',
          'speedAtDistanceMps',
          'timeTo95PctS',
          'peakAccelMps2',
          'peakMotorCurrentA',
          'peakBatteryCurrentA',
          'minBatteryVoltageV',
        ] as const) {
          const [a, b] = [whole[key], half[key]];
          if (a === undefined || b === undefined) expect(a).toBe(b);
          else expect(Math.abs(a - b)).toBeLessThanOrEqual(0.001 * Math.abs(b));
        }
      }),
      { numRuns: 80, endOnFailure: true },
    );
  });

  it('never loses no-load speed to a numerically smaller ratio', () => {
    fc.assert(
      fc.property(cars, fc.double({ min: 1.001, max: 3, noNaN: true }), (input, factor) => {
        const larger = driveRun({ ...input, drive: { ...input.drive, ratio: input.drive.ratio * factor } });
        expect(larger.noLoadSpeedMps).toBeLessThan(driveRun(input).noLoadSpeedMps);
      }),
      { numRuns: 60 },
    );
  });

  it('holds numbers alone, whatever the car', () => {
    fc.assert(
      fc.property(cars, fc.double({ min: -80, max: 80, noNaN: true }), (input, gradePct) => {
        const text = JSON.stringify(driveRun({ ...input, gradePct, maxTimeS: 5 }), (_, value: unknown) =>
          typeof value === 'number' && !Number.isFinite(value) ? 'NOT FINITE' : value,
        );
        expect(text).not.toMatch(/NOT FINITE|null/);
      }),
      { numRuns: 40 },
    );
  });
});
