import fc from 'fast-check';
import { cellCharge, cellVolts, OPEN_CIRCUIT_V } from './cell';
import type { DriveRunInput } from './definition';
import {
  BATTERY_A,
  createPlant,
  LIMIT,
  LIMITS,
  MOTOR_A,
  newMoment,
  noLoadMps,
  observe,
  resistanceN,
  tractionN,
  wheelForceN,
} from './plant';

const base: DriveRunInput = {
  car: {
    massKg: 2,
    cdaM2: 0.03,
    rollingResistance: 0.05,
    frontLoadShare: 0.45,
    cgHeightMm: 60,
    wheelbaseMm: 300,
    drivenAxles: 'rear',
  },
  tyre: { radiusMm: 40, mu: 0.8 },
  drive: { ratio: 8, efficiency: 0.85 },
  motor: { kvRpmPerV: 2500, resistanceMilliOhm: 20, noLoadCurrentA: 1.5 },
  esc: { currentLimitA: 80, resistanceMilliOhm: 2 },
  battery: { cells: 2, cellResistanceMilliOhm: 4, capacityMah: 5000 },
};
const plantOf = (more: Partial<DriveRunInput> = {}) => createPlant({ ...base, ...more });
const withCar = (more: Partial<DriveRunInput['car']>) => plantOf({ car: { ...base.car, ...more } });

describe('a cell', () => {
  it('shows the table and reads it back', () => {
    expect(cellVolts(1)).toBe(4.2);
    expect(cellVolts(0.5)).toBe(3.84);
    expect(cellVolts(0.525)).toBeCloseTo(3.845, 12);
    for (const [charge, volts] of OPEN_CIRCUIT_V) expect(cellCharge(volts)).toBeCloseTo(charge, 12);
    expect(cellCharge(5)).toBe(1);
    expect(cellCharge(2)).toBe(0);
  });

  it('never gains volts by losing charge', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (a, b) => {
          if (a < b) expect(cellVolts(a)).toBeLessThanOrEqual(cellVolts(b));
        },
      ),
    );
  });
});

describe('traction', () => {
  const mg = 2 * 9.81;
  const h = 60 / 300;

  it('is the static load of the driven axle with its transfer, in closed form', () => {
    const roll = 0.05 * mg;
    expect(tractionN(withCar({ drivenAxles: 'all' }), 0)).toBeCloseTo(0.8 * mg, 10);
    expect(tractionN(withCar({ drivenAxles: 'rear' }), 0)).toBeCloseTo(
      (0.8 * (0.55 * mg - h * roll)) / (1 - 0.8 * h),
      10,
    );
    expect(tractionN(withCar({ drivenAxles: 'front' }), 0)).toBeCloseTo(
      (0.8 * (0.45 * mg + h * roll)) / (1 + 0.8 * h),
      10,
    );
  });

  it('satisfies the balance of moments that it was derived from', () => {
    // F = μ·N_r with N_r = static + (h/L)·m·a and m·a = F − T
    const plant = withCar({ drivenAxles: 'rear', claRearM2: 0.02 });
    for (const v of [0, 5, 12]) {
      const force = tractionN(plant, v);
      const rear = 0.55 * mg + 0.6 * 0.02 * v * v + h * (force - resistanceN(plant, v));
      expect(force).toBeCloseTo(0.8 * rear, 9);
    }
  });

  it('lifts the front where μ·h/L reaches 1, and never falls below nothing', () => {
    const tall = withCar({ cgHeightMm: 400, wheelbaseMm: 300 });
    const roll = 0.05 * mg;
    expect(tractionN(tall, 0)).toBeCloseTo(roll + (300 / 400) * 0.45 * mg, 9);
    expect(tractionN(withCar({ claFrontM2: -1, claRearM2: -1, drivenAxles: 'all' }), 20)).toBe(0);
  });
});

describe('the motor', () => {
  it('pulls with the stall current at rest and nothing but its own drag past the no-load speed', () => {
    const plant = plantOf({ esc: { currentLimitA: 1e6, resistanceMilliOhm: 2 } });
    const stall = 8.4 / 0.03;
    const perAmp = ((60 / (2 * Math.PI * 2500)) * 8 * 0.85) / 0.04;
    expect(wheelForceN(plant, 0)).toBeCloseTo(perAmp * (stall - 1.5), 6);
    expect(wheelForceN(plant, noLoadMps(plant) * 1.2)).toBeCloseTo((-1.5 * perAmp) / 0.85 / 0.85, 9);
  });

  it('gives to shaft and heat what the pack gives, wherever it works', () => {
    const inputs = fc.record({
      v: fc.double({ min: 0, max: 11, noNaN: true }),
      limit: fc.double({ min: 3, max: 300, noNaN: true }),
      cell: fc.double({ min: 0, max: 30, noNaN: true }),
      mu: fc.double({ min: 0.1, max: 2, noNaN: true }),
      count: fc.integer({ min: 1, max: 4 }),
      throttle: fc.double({ min: 0.2, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(inputs, ({ v, limit, cell, mu, count, throttle }) => {
        const plant = plantOf({
          throttle,
          tyre: { radiusMm: 40, mu },
          motor: { ...base.motor, count },
          esc: { currentLimitA: limit, resistanceMilliOhm: 2 },
          battery: { ...base.battery, cellResistanceMilliOhm: cell },
        });
        const moment = newMoment();
        observe(plant, v, moment);
        const motorA = moment[MOTOR_A]!;
        const emf = (v * 8) / 0.04 / ((2500 * 2 * Math.PI) / 60);
        const drawn = moment[BATTERY_A]! * (8.4 - moment[BATTERY_A]! * 2 * (cell / 1000));
        const used = count * motorA * (emf + motorA * 0.022);
        // a throttle that is merely part open and does not limit has its duty fixed, and then the balance is the circuit's own
        expect(Math.abs(drawn - used)).toBeLessThan(1e-6 * Math.max(1, used));
      }),
    );
  });

  it('is held by exactly one of grip, lift, current and voltage', () => {
    const seen = new Set<string>();
    const note = (more: Partial<DriveRunInput>, v: number) => {
      const moment = newMoment();
      observe(plantOf(more), v, moment);
      seen.add(LIMITS[moment[LIMIT]!]!);
    };
    note({}, 0);
    note({ tyre: { radiusMm: 40, mu: 3 }, car: { ...base.car, cgHeightMm: 150 } }, 0);
    note({ esc: { currentLimitA: 5 } }, 0);
    note({}, 10.9);
    expect(seen).toEqual(new Set(['grip', 'lift', 'current', 'voltage']));
  });
});
