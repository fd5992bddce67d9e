import fc from 'fast-check';
import { motorThermal, smallPack } from '../../fixtures/runInput';
import { parse } from '../../base/schema/parse';
import { driveRun } from '../motion/run';
import { motorCalibrate } from './calibrate';
import { driveEndurance, simulateEndurance } from './endurance';
import { driveEnduranceSchema } from './endurance.schema';
import type { EnduranceInput } from './enduranceDefinition';
import { LOSS_NAMES } from './lossNames';
import { STYLES, traceOfStyle } from './trace';
import { topWithDrag } from './topWithDrag';

const base: EnduranceInput = {
  ...smallPack,
  thermal: motorThermal,
  cycle: { style: 'laps' },
  losses: {},
};
const drive = (more: Partial<EnduranceInput>) => driveEndurance({ ...base, ...more });
const flat = (speedMps: number) => ({ series: { tS: [0, 10], speedMps: [speedMps, speedMps] } });

describe('a pack driven by a trace', () => {
  it('at one speed is the cruise without a start: current from forces, minutes from charge', () => {
    const { car, motor, drive: gear } = base;
    const found = drive({ cycle: flat(5), losses: undefined });
    // ½ρ·CdA·v² and rolling, at the tread; torque over the gear; the pack's current by its quadratic
    const force = 0.6 * 0.03 * 25 + 0.09 * car.massKg * 9.81;
    const amps =
      ((force * 0.042) / (gear.ratio * gear.efficiency)) * ((motor.kvRpmPerV * 2 * Math.PI) / 60) + 2;
    expect(found.meanMotorCurrentA).toBeCloseTo(amps, 9);
    expect(found.rmsMotorCurrentA).toBeCloseTo(amps, 9);
    expect(found.meanSpeedMps).toBeCloseTo(5, 9);
    expect(found.lossesWh!.rolling).toBeCloseTo((0.09 * car.massKg * 9.81 * found.distanceM) / 3600, 6);
    const cruise = driveEndurance({
      ...base,
      losses: undefined,
      cycle: { cruiseMps: 5, cruiseS: 60, restS: 0 },
    });
    expect(found.durationS / cruise.durationS).toBeCloseTo(1, 2);
    expect(found.peakCaseC).toBeCloseTo(cruise.peakCaseC, 0);
  });

  it('accounts for every watt-hour: losses and kinetic energy make what the pack gave', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 9, noNaN: true }), { minLength: 2, maxLength: 8 }),
        fc.boolean(),
        (speedMps, withLosses) => {
          const tS = speedMps.map((_, at) => 1.5 * at);
          const found = drive({
            cycle: { series: { tS, speedMps, lateralMps2: speedMps.map((_, at) => at % 3) } },
            losses: withLosses ? {} : undefined,
            maxDurationS: 40,
          });
          const { lossesWh, series, energyWh } = found;
          const effectiveKg = 2.2 + (2.7e-4 + 4e-6 * 10.4 ** 2) / 0.042 ** 2;
          const kinetic = (0.5 * effectiveKg * (series.speedMps.at(-1)! ** 2 - speedMps[0]! ** 2)) / 3600;
          const sum = LOSS_NAMES.reduce((all, name) => all + lossesWh![name], 0);
          expect(sum + kinetic).toBeCloseTo(energyWh, 9);
          // what is left for gears and driveline is a loss, never a gain, but for the last digit of a step
          expect(lossesWh!.driveline).toBeGreaterThan(-0.01 * energyWh - 1e-6);
          for (const name of ['copper', 'pack', 'controller', 'noLoad', 'rolling', 'brakes'] as const)
            expect(lossesWh![name]).toBeGreaterThanOrEqual(0);
        },
      ),
      { seed: 23, numRuns: 40 },
    ));

  it('leaves to the gears what their efficiency takes, and nothing to gears that take none', () => {
    // tread force at 5 m/s: 0.09 · m·g + ½ · 1.2 · 0.03 · 25
    const treadN = 0.09 * 2.2 * 9.81 + 0.5 * 1.2 * 0.03 * 25;
    const geared = drive({ cycle: flat(5), losses: undefined });
    expect((geared.lossesWh!.driveline * 3600) / geared.distanceM).toBeCloseTo(treadN * (1 / 0.8 - 1), 3);
    // every other term is summed by itself: what an ideal drive leaves is the error of the steps
    for (const style of STYLES) {
      const ideal = drive({
        cycle: { style },
        drive: { ratio: 10.4, efficiency: 1 },
        losses: { drivelineDrag: 0 },
      });
      expect(Math.abs(ideal.lossesWh!.driveline)).toBeLessThan(0.01 * ideal.energyWh);
    }
  });

  it('moves no result by half a per cent when its steps are halved', () => {
    for (const style of STYLES) {
      const input = { ...base, cycle: { style } };
      const [whole, half] = [simulateEndurance(input, 1), simulateEndurance(input, 0.5)];
      for (const key of ['durationS', 'distanceM', 'energyWh', 'rmsMotorCurrentA'] as const)
        expect(half[key]! / whole[key]!).toBeCloseTo(1, 2);
      expect((half.peakCaseC - 20) / (whole.peakCaseC - 20)).toBeCloseTo(1, 2);
    }
  });

  it('comes to the same where it counts passes in place of driving each, for every style and a motor that runs hot', () => {
    for (const style of STYLES)
      for (const resistanceMilliOhm of [7.5, 90]) {
        const input: EnduranceInput = {
          ...base,
          motor: { ...base.motor, resistanceMilliOhm },
          cycle: { style },
          thermal: { ...motorThermal, windingLimitC: 400, caseLimitC: undefined },
          controller: {
            heatCapacityJPerK: 44,
            toAmbientKPerW: 6,
            coolingPerMps: 0.1,
            count: 1,
            limitC: Infinity,
          },
          maxDurationS: 20_000,
        };
        const each = simulateEndurance(input, 1);
        const counted = simulateEndurance(input, 1, { jumps: true });
        expect(counted.endedBy).toBe(each.endedBy);
        for (const key of [
          'durationS',
          'distanceM',
          'energyWh',
          'chargeUsedMah',
          'rmsMotorCurrentA',
        ] as const)
          expect(counted[key]! / each[key]!).toBeCloseTo(1, 2);
        for (const key of ['peakCaseC', 'peakWindingC'] as const)
          expect((counted[key] - 20) / (each[key] - 20)).toBeCloseTo(1, 2);
        // falling volts close its diodes sooner
        const controllers = (counted.peakControllerC! - 20) / (each.peakControllerC! - 20);
        expect(Math.abs(controllers - 1)).toBeLessThan(0.01);
        const sum = LOSS_NAMES.reduce((all, name) => all + counted.lossesWh![name], 0);
        expect(sum / counted.energyWh).toBeCloseTo(1, 2);
      }
  });

  it('ends at the same limit at the same time when it counts passes', () => {
    const limits = { ...motorThermal, caseLimitC: 45 };
    const [each, counted] = [false, true].map((jumps) =>
      simulateEndurance({ ...base, thermal: limits }, 1, { jumps }),
    ) as [ReturnType<typeof drive>, ReturnType<typeof drive>];
    expect([each.endedBy, counted.endedBy]).toEqual(['case', 'case']);
    expect(counted.durationS / each.durationS).toBeCloseTo(1, 2);
  });

  it('stops at the charge that the driver leaves in the pack', () => {
    const { chargeUsedMah, endedBy } = simulateEndurance(base, 1, { jumps: true, leastCharge: 0.2 });
    expect(endedBy).toBe('battery');
    expect(chargeUsedMah / (0.8 * base.battery.capacityMah)).toBeCloseTo(1, 3);
  });

  it('falls behind a wish that it cannot follow, and never passes it', () => {
    const top = driveRun(base).topSpeedMps!;
    const found = drive({
      cycle: { series: { tS: [0, 0.2, 6], speedMps: [0, 30, 30] } },
      losses: undefined,
      maxDurationS: 6,
    });
    expect(Math.max(...found.series.speedMps)).toBeLessThanOrEqual(top);
    expect(Math.max(...found.series.speedMps)).toBeGreaterThan(0.95 * top);
  });

  it('takes more from the pack, and heats it more, than a cruise at the mean speed', () => {
    const laps = drive({});
    const cruise = drive({ cycle: flat(laps.meanSpeedMps!), losses: undefined });
    expect(laps.durationS).toBeLessThan(cruise.durationS / 1.5);
    expect(laps.peakCaseC).toBeGreaterThan(cruise.peakCaseC);
  });

  it('loses more with each loss, by the amount that its formula gives', () => {
    const without = drive({ cycle: flat(5), losses: undefined });
    const none = {
      drivelineDrag: 0,
      slipAtLimitPct: 0,
      freewheelV: 0,
      auxiliaryA: 0,
      inductanceMicroH: 1e12,
      brakingHeatShare: 0,
    };
    expect(drive({ cycle: flat(5), losses: none }).durationS).toBeCloseTo(without.durationS, 6);
    const auxiliary = drive({ cycle: flat(5), losses: { ...none, auxiliaryA: 1 } });
    expect(auxiliary.meanBatteryCurrentA! - without.meanBatteryCurrentA!).toBeCloseTo(1, 1);
    // 1 A over the duration at the mean open-circuit volts
    expect(auxiliary.lossesWh!.auxiliary / (auxiliary.durationS / 3600)).toBeCloseTo(7.7, 0);
    const drag = drive({ cycle: flat(5), losses: { ...none, drivelineDrag: 0.05 } });
    const more = ((0.05 * 2.2 * 9.81 * 0.042) / (10.4 * 0.8)) * ((3000 * 2 * Math.PI) / 60);
    expect(drag.meanMotorCurrentA! - without.meanMotorCurrentA!).toBeCloseTo(more, 9);
    // cornering at 3 m/s²: F_y² over 8 · m·g
    const lateral = { series: { tS: [0, 10], speedMps: [5, 5], lateralMps2: [3, 3] } };
    const cornering = drive({ cycle: lateral, losses: { ...none, corneringPerRad: 8 } });
    expect((cornering.lossesWh!.cornering * 3600) / cornering.distanceM).toBeCloseTo(
      (2.2 * 3) ** 2 / (8 * 2.2 * 9.81),
      6,
    );
  });

  it('drives a style by the top speed with driveline drag, where full throttle no longer gains', () => {
    const top = topWithDrag(base, {});
    expect(top).toBeLessThan(driveRun(base).topSpeedMps!);
    expect(topWithDrag(base, undefined)).toBeCloseTo(driveRun(base).topSpeedMps!, 6);
    const { cycleSeries } = drive({});
    expect(cycleSeries).toEqual(traceOfStyle('laps', top, 0.6));
    expect(cycleSeries!.speedMps[2]).toBeCloseTo(0.8 * top, 9);
  });

  it('says stalled of a car that cannot move', () => {
    const stuck = drive({ tyre: { radiusMm: 42, mu: 0.01 } });
    expect(stuck).toMatchObject({ endedBy: 'stalled', durationS: 0 });
    expect(stuck.meanMotorCurrentA).toBeUndefined();
    const traced = drive({
      tyre: { radiusMm: 42, mu: 0.01 },
      cycle: { series: { tS: [0, 5], speedMps: [0, 5] } },
    });
    expect(traced).toMatchObject({ endedBy: 'stalled', durationS: 0 });
  });

  it('finds the cooling that a trace was driven with', () => {
    const truth = { ...base, thermal: { ...base.thermal, caseToAmbientKPerW: 4 } };
    const { series } = driveEndurance(truth);
    const at = Math.floor(series.tS.length / 2);
    const found = motorCalibrate({ ...base, measured: [{ tS: series.tS[at]!, caseC: series.caseC[at]! }] });
    expect(found.caseToAmbientKPerW).toBeCloseTo(4, 1);
  });

  it.each<[string, object]>([
    ['cycle.series.speedMps', { cycle: { series: { tS: [0, 1], speedMps: [1] } } }],
    ['cycle.series.tS.0', { cycle: { series: { tS: [1, 2], speedMps: [1, 1] } } }],
    ['cycle.series.tS.2', { cycle: { series: { tS: [0, 1, 1], speedMps: [1, 1, 1] } } }],
    ['cycle.series.tS', { cycle: { series: { tS: [0], speedMps: [1] } } }],
    ['cycle.cruiseMps', { cycle: { style: 'laps', cruiseMps: 3 } }],
    ['losses', { cycle: { cruiseMps: 3, cruiseS: 5 }, losses: {} }],
  ])('refuses at %s', (path, more) => {
    expect(() => driveEndurance(parse(driveEnduranceSchema, { ...base, ...more }))).toThrow(
      expect.objectContaining({ path }),
    );
  });
});
