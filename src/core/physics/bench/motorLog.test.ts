import { parse } from '../../base/schema/parse';
import { normalFrom } from '../../base/numeric/random';
import { refusalOf } from '../../fixtures/refused';
import { logMotor, type LogMotorInput } from './motorLog';
import { logMotorSchema } from './motorLog.schema';

const log = (input: object) => logMotor(parse<LogMotorInput>(logMotorSchema, input));

/** 3,000 rpm/V, 40 mΩ; it idles with 1 A and 0.1 A more for a thousand turns. */
const [KV, OHM] = [3000, 0.04];
const idle = (rpm: number) => 1 + rpm / 10_000;
const at = (rpm: number, currentA: number, duty = 1) => ({
  voltageV: (rpm / KV + OHM * currentA) / duty,
  rpm,
  currentA,
  duty,
});
const freeSpin = [6000, 12_000, 18_000, 24_000].map((rpm) => at(rpm, idle(rpm)));
const loaded = [
  [5000, 60],
  [9000, 30],
  [15_000, 45],
].map(([rpm, amps]) => at(rpm!, amps!));

describe('a motor identified from readings', () => {
  it('has its constants back from exact ones, whatever the duty', () => {
    const found = log({ freeSpin, loaded: loaded.map(({ rpm, currentA }) => at(rpm, currentA, 0.5)) });
    expect(found.kvRpmPerV).toBeCloseTo(3000, 6);
    expect(found.resistanceMilliOhm).toBeCloseTo(40, 6);
    expect(found).toMatchObject({ rows: 7, resistanceFrom: 'points', findings: [], notes: [] });
    expect(found.noLoad!.constantA).toBeCloseTo(1, 9);
    expect(found.noLoad!.perThousandRpmA).toBeCloseTo(0.1, 9);
    expect(found.noLoad!.atRpm).toBe(24_000);
    expect(found.noLoadCurrentA).toBeCloseTo(3.4, 9);
  });

  it('takes a battery’s current for the motor’s after the duty', () => {
    const fromBattery = loaded.map(({ rpm, currentA }) => {
      const reading = at(rpm, currentA, 0.5);
      return { ...reading, currentA: 0.5 * currentA };
    });
    const found = log({ currentIs: 'battery', freeSpin, loaded: fromBattery });
    expect(found.resistanceMilliOhm).toBeCloseTo(40, 6);
  });

  it('counts a locked motor, and a log’s rows of steady duty alone', () => {
    const locked = log({ freeSpin: freeSpin.slice(0, 2), locked: [{ voltageV: 2, currentA: 50 }] });
    expect(locked.resistanceMilliOhm).toBeCloseTo(40, 6);
    const rows = [
      at(6000, 20, 0.4),
      at(8000, 25, 0.43),
      at(9000, 30, 0.7),
      at(10_000, 30, 0.7),
      at(12_000, 22, 0.05),
    ];
    const column = (key: 'voltageV' | 'rpm' | 'currentA' | 'duty') => rows.map((row) => row[key]);
    const columns = {
      voltageV: column('voltageV'),
      rpm: column('rpm'),
      currentA: column('currentA'),
      duty: column('duty'),
    };
    const found = log({ log: columns });
    // 0.43 → 0.7 is a step, 0.05 passes too little on
    expect(found.rows).toBe(3);
    expect(found.kvRpmPerV).toBeCloseTo(3000, 6);
    expect(refusalOf(() => log({ log: { ...columns, rpm: [1, 2] } })).path).toBe('log');
  });

  it('is as wrong as it says, over seeds', () => {
    const normal = normalFrom(11);
    const runs = Array.from({ length: 200 }, () =>
      log({
        freeSpin: freeSpin.map((one) => ({ ...one, voltageV: one.voltageV + 0.05 * normal() })),
        loaded: loaded.map((one) => ({ ...one, voltageV: one.voltageV + 0.05 * normal() })),
      }),
    );
    const share = (of: (run: (typeof runs)[number]) => boolean) => runs.filter(of).length / runs.length;
    // of Student's t with five rows over, 64 in 100 lie within one error
    const kv = share((run) => Math.abs(run.kvRpmPerV - 3000) <= run.kvErrorRpmPerV);
    const ohm = share((run) => Math.abs(run.resistanceMilliOhm - 40) <= run.resistanceErrorMilliOhm);
    for (const one of [kv, ohm]) {
      expect(one).toBeGreaterThan(0.54);
      expect(one).toBeLessThan(0.74);
    }
    // more resistance asks for more turns a volt: they are wrong together
    expect(runs[0]!.correlation).toBeGreaterThan(0);
  });

  it('joins a meter to the points as if it were one more reading of the resistance', () => {
    const normal = normalFrom(3);
    const noisy = loaded.map((one) => ({ ...one, voltageV: one.voltageV + 0.05 * normal() }));
    const both = log({ freeSpin, loaded: noisy, meterMilliOhm: 40, meterErrorMilliOhm: 0.5 });
    const points = log({ freeSpin, loaded: noisy });
    const [w1, w2] = [1 / points.resistanceErrorMilliOhm ** 2, 1 / 0.25];
    expect(both.resistanceFrom).toBe('both');
    expect(both.resistanceMilliOhm).toBeCloseTo((points.resistanceMilliOhm * w1 + 40 * w2) / (w1 + w2), 9);
    expect(both.resistanceErrorMilliOhm).toBeCloseTo(1 / Math.sqrt(w1 + w2), 9);
    expect(both.kvErrorRpmPerV).toBeLessThan(points.kvErrorRpmPerV);
    expect(both.meterGapMilliOhm).toBeCloseTo(points.resistanceMilliOhm - 40, 9);
    const far = log({ freeSpin, loaded: noisy, meterMilliOhm: 80, meterErrorMilliOhm: 1 });
    expect(far.findings[0]).toMatchObject({ severity: 'tight', about: 'meterMilliOhm' });
  });

  it('takes the meter’s resistance where the readings tell none', () => {
    const found = log({ freeSpin: freeSpin.slice(0, 2), meterMilliOhm: 40 });
    expect(found).toMatchObject({
      resistanceFrom: 'meter',
      resistanceMilliOhm: 40,
      resistanceErrorMilliOhm: 2,
    });
    expect(found.kvRpmPerV).toBeCloseTo(3000, 6);
    // one figure of two speeds: their mean, said
    expect(found.noLoad).toEqual({
      constantA: expect.closeTo(1.9, 9) as number,
      perThousandRpmA: 0,
      atRpm: 12_000,
    });
    expect(found.notes[0]!.code).toBe('note.motorLog.idling');
    expect(refusalOf(() => log({ freeSpin: freeSpin.slice(0, 2) })).path).toBe('freeSpin');
    expect(refusalOf(() => log({ freeSpin: freeSpin.slice(0, 1), meterMilliOhm: 40 })).path).toBe('freeSpin');
  });

  it('finds the inertia that the idling current slows, integrated in small steps', () => {
    const [inertia, kt] = [6e-6, 60 / (2 * Math.PI * KV)];
    const [tS, rpm] = [[] as number[], [] as number[]];
    let n = 20_000;
    const dt = 1e-5;
    for (let step = 0; step <= 40_000; step++) {
      if (step % 4000 === 0) {
        tS.push(step * dt);
        rpm.push(n);
      }
      const slope = (m: number) => (-(60 / (2 * Math.PI)) * kt * idle(m)) / inertia;
      n += dt * slope(n + (dt / 2) * slope(n));
    }
    const found = log({ freeSpin, loaded, coastDown: { tS, rpm } });
    expect(found.inertiaKgM2! / inertia).toBeCloseTo(1, 6);
    expect(found.inertiaErrorKgM2! / inertia).toBeLessThan(1e-3);
    const path = (coastDown: object) => refusalOf(() => log({ freeSpin, loaded, coastDown })).path;
    expect(path({ tS: [0, 1, 1], rpm: [3, 2, 1] })).toBe('coastDown.tS.2');
    expect(path({ tS: [0, 1, 2], rpm: [1000, 2000, 3000] })).toBe('coastDown.rpm');
    expect(refusalOf(() => log({ loaded, coastDown: { tS: [0, 1, 2], rpm: [3, 2, 1] } })).path).toBe(
      'freeSpin',
    );
  });

  it('counts the ratio from both speeds, and the slip from the road’s', () => {
    const samples = [1000, 2000, 3000].map((wheelRpm) => ({
      motorRpm: 8 * wheelRpm,
      wheelRpm,
      // nine tenths of what a tyre of 40 mm rolls
      speedMps: 0.9 * wheelRpm * (Math.PI / 30) * 0.04,
    }));
    const { wheel, findings } = log({ freeSpin, loaded, wheel: { samples, ratio: 7.5, tyreRadiusMm: 40 } });
    expect(wheel!.ratio).toBeCloseTo(8, 9);
    expect(wheel!.ratioErrorPct).toBeCloseTo(100 * (8 / 7.5 - 1), 9);
    expect(wheel!.slipPct).toBeCloseTo(10, 9);
    expect(findings.map(({ about }) => about)).toEqual(['wheel.ratio']);
    const grown = log({ freeSpin, loaded, wheel: { samples, ratio: 8, tyreRadiusMm: 34 } });
    expect(grown.findings.map(({ about }) => about)).toEqual(['wheel.tyreRadiusMm']);
  });
});
