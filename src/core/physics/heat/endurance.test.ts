import fc from 'fast-check';
import { CalcError } from '../../base/errors';
import { parse } from '../../base/schema/parse';
import { meanCellVolts } from '../motion/cell';
import { driveEndurance, simulateEndurance } from './endurance';
import { driveEnduranceSchema } from './endurance.schema';
import type { EnduranceInput } from './enduranceDefinition';
import { driveRun } from '../motion/run';
import { thermal, base, byExponential } from '../../fixtures/heatedMotor';

/** Motor current that balances drag and rolling at a speed, by hand. */
function heldA(v: number): number {
  const resistance = 0.6 * 0.03 * v * v + 0.09 * 2.2 * 9.81;
  const torque = (resistance * 0.042) / (10.4 * 0.8);
  return torque * 3000 * ((2 * Math.PI) / 60) + 2;
}

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
          // where a pack ends in a start, or just gets through a cruise and has one more, half a per cent of it moves
          // the end by more than its own share
          const near = [0.995, 1.005].map((share) =>
            driveEndurance({
              ...input,
              battery: { ...input.battery, capacityMah: capacityMah * share },
              thermal: { ...thermal, windingLimitC: 20 + (windingLimitC - 20) * share },
            }),
          );
          fc.pre(
            near.every(
              (other) =>
                other.endedBy === whole.endedBy &&
                (['durationS', 'chargeUsedMah'] as const).every(
                  (key) =>
                    Math.abs(other[key] / whole[key] - 1) < (whole.endedBy === 'battery' ? 0.0065 : 0.012),
                ),
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
      expect.objectContaining({
        code: 'note.endurance.outOfReach',
        facts: expect.objectContaining({ cruise: expect.objectContaining({ value: 60 }) }),
      }),
    ]);
    const top = driveRun(base).topSpeedMps!;
    expect(
      driveEndurance({ ...base, cycle: { cruiseMps: 0.95 * top, cruiseS: 10, restS: 5 } }).notes,
    ).toEqual([expect.objectContaining({ code: 'note.endurance.slows' })]);
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
    expect(stalled.notes[0]!.code).toBe('note.endurance.cannotMove');
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
