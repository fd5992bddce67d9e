import { readFileSync } from 'node:fs';
import { GateTimer } from './gateTimer';
import { checksumOf } from './checksum';
import { hear, INSTRUMENT_KINDS, type InstrumentReading, LineEar, lineOf } from './line';
import { readLog } from '../logs/logRead';
import { InstrumentRecording } from './recording';
import { DEMO_CAR, simulatedLines } from './simulated';
import { SpinRecorder } from './spinRecorder';

const gate = (beam: number, ms: number, broken = 1): InstrumentReading => ({
  device: 'gate-1',
  kind: 'gate',
  ms,
  values: { beam, broken },
});
const car = {
  speedMps: 8,
  distanceM: 20,
  mostRpm: 9000,
  diameterMm: () => 84,
  massG: 1900,
  hotC: 70,
  ambientC: 20,
  packV: 8.2,
};

describe('a line of an instrument', () => {
  it('is read back as it was written, with its checksum or without', () => {
    const reading = gate(1, 1234);
    expect(hear(lineOf(reading))).toEqual({ reading });
    expect(hear('LB1,meter,meter,5,v=8.2,a=-0.5')).toEqual({
      reading: { device: 'meter', kind: 'meter', ms: 5, values: { v: 8.2, a: -0.5 } },
    });
    // by hand: 'A' is 65, 'B' 66: 65 xor 66 is 3
    expect(checksumOf('AB')).toBe('03');
    expect(hear('  ')).toBeUndefined();
  });

  it('is as the page about them shows one', () => {
    const shown = /`(LB1,[^`<]*)`/.exec(readFileSync('docs/INSTRUMENTS.md', 'utf8'))![1]!;
    expect(hear(shown)).toEqual({ reading: gate(1, 81_234) });
  });

  it('says what is wrong with one that is not', () => {
    const problem = (line: string) => {
      const heard = hear(line);
      return heard && 'problem' in heard ? heard.problem : undefined;
    };
    expect(problem('hello')).toBe('garbage');
    expect(problem('LB1,a,scale,1,g=5*00')).toBe('checksum');
    expect(problem('LB1,a,oven,1,c=5')).toBe('kind');
    expect(problem('LB1,a,scale,1,g=heavy')).toBe('field');
    expect(problem('LB1,a,meter,1,v=8')).toBe('field');
    expect(problem('LB1,a b,scale,1,g=5')).toBe('field');
    expect(problem('LB1,a,scale,-1,g=5')).toBe('field');
    expect(problem(`LB1,a,scale,1,g=${'1'.repeat(300)}`)).toBe('long');
  });

  it('takes the speed of a satellite receiver: knots of 1852 m', () => {
    // a sentence of the standard's own example with 22.4 knots
    const body = 'GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W';
    const heard = hear(`$${body}*${checksumOf(body)}`);
    expect(heard).toEqual({
      reading: {
        device: 'satellite',
        kind: 'satellite',
        ms: ((12 * 60 + 35) * 60 + 19) * 1000,
        values: { mps: expect.closeTo((22.4 * 1852) / 3600, 9) },
      },
    });
    expect(hear(`$${body}*6A`)).toEqual({ reading: expect.anything() });
    expect(hear(`$${body}*6B`)).toMatchObject({ problem: 'checksum' });
    const lost = body.replace(',A,', ',V,');
    expect(hear(`$${lost}*${checksumOf(lost)}`)).toBeUndefined();
  });

  it('is put together of pieces, and one without an end drowns nothing after it', () => {
    const ear = new LineEar();
    const line = lineOf(gate(2, 99));
    expect(ear.hear(line.slice(0, 9))).toEqual([]);
    expect(ear.hear(`${line.slice(9)}\r\n${line}\n`)).toHaveLength(2);
    expect(ear.hear('x'.repeat(500))).toMatchObject([{ problem: 'long' }]);
    expect(ear.hear('y'.repeat(500))).toEqual([]);
    expect(ear.hear(`z\n${line}\n`)).toEqual([{ reading: gate(2, 99) }]);
  });
});

describe('a light gate', () => {
  const times = (...readings: InstrumentReading[]) => {
    const timer = new GateTimer();
    return readings.flatMap((one) => timer.hear(one) ?? []);
  };

  it('times each car from its first beam to its second, however often a beam flickers', () => {
    expect(
      times(
        gate(1, 1000),
        gate(1, 1010, 0),
        gate(1, 1030),
        gate(2, 3500),
        gate(2, 3510),
        gate(1, 9000),
        gate(2, 11_000),
      ),
    ).toEqual([{ timeS: 2.5 }, { timeS: 2 }]);
  });

  it('says when a car came the wrong way or never reached the second beam', () => {
    expect(times(gate(2, 500))).toEqual([{ problem: 'backward' }]);
    expect(times(gate(1, 500), gate(1, 9000), gate(2, 11_000))).toEqual([{ problem: 'lost' }, { timeS: 2 }]);
    expect(times(gate(1, 500), gate(2, 60_000))).toEqual([{ problem: 'lost' }]);
    // a gate that was switched off and on counts from 0 again
    expect(times(gate(1, 90_000), gate(1, 100), gate(2, 2100))).toEqual([{ timeS: 2 }]);
  });
});

describe('simulated instruments', () => {
  const take = (seed: number, count: number) => {
    const lines = simulatedLines(seed, car);
    return Array.from({ length: count }, () => lines.next().value);
  };

  it('are the same of one seed, lose and garble a few lines, and give every kind', () => {
    expect(take(7, 400)).toEqual(take(7, 400));
    expect(take(8, 400)).not.toEqual(take(7, 400));
    const heard = take(7, 2000).map(({ line }) => hear(line)!);
    const bad = heard.filter((one) => 'problem' in one).length;
    expect(bad).toBeGreaterThan(5);
    expect(bad).toBeLessThan(60);
    const kinds = new Set(heard.flatMap((one) => ('reading' in one ? [one.reading.kind] : [])));
    expect([...kinds].sort()).toEqual([...INSTRUMENT_KINDS].sort());
  });

  it('have a car pass the gate at its speed', () => {
    const timer = new GateTimer();
    const found = take(3, 6000).flatMap(({ line }) => {
      const heard = hear(line)!;
      const gated = 'reading' in heard ? timer.hear(heard.reading) : undefined;
      return gated ? [gated] : [];
    });
    expect(found.every((one) => 'timeS' in one)).toBe(true);
    const seconds = found.map((one) => ('timeS' in one ? one.timeS : 0));
    const mean = seconds.reduce((sum, one) => sum + one, 0) / seconds.length;
    // 20 m at 8 m/s, three deviations of the mean
    expect(Math.abs(mean - 2.5)).toBeLessThan((3 * 0.015 * 2.5) / Math.sqrt(seconds.length) + 0.002);
  });
});

describe('a spin that is recorded by itself', () => {
  const says = (kind: 'tachometer' | 'gauge', ms: number, value: number): InstrumentReading => ({
    device: kind,
    kind,
    ms,
    values: kind === 'gauge' ? { mm: value } : { rpm: value },
  });

  it('notes each speed that is held once, with the middle of what the gauge said', () => {
    const recorder = new SpinRecorder();
    const noted = [0, 3000, 3000, 6000].flatMap((rpm, step) =>
      [0, 1, 2, 3, 4, 5, 6, 7].flatMap((k) => {
        const ms = 2000 * step + 250 * k;
        // one reading of the gauge is far out
        const across = 84 + rpm / 3000 + (k === 3 ? 9 : 0.1 * (k % 2));
        return [
          recorder.hear(says('tachometer', ms, rpm + (k % 2))),
          recorder.hear(says('gauge', ms, across)),
        ];
      }),
    );
    const held = noted.filter((one) => one !== undefined);
    expect(held.map(({ rpm }) => Math.round(rpm / 10) * 10)).toEqual([0, 3000, 6000]);
    held.forEach(({ diameterMm }, k) => expect(Math.abs(diameterMm - (84 + k))).toBeLessThan(0.11));
  });

  it('notes nothing while it speeds up, or without a gauge', () => {
    const recorder = new SpinRecorder();
    for (let k = 0; k < 60; k++) {
      expect(recorder.hear(says('tachometer', 250 * k, 100 * k))).toBeUndefined();
      recorder.hear(says('gauge', 250 * k, 84));
    }
    const alone = new SpinRecorder();
    for (let k = 0; k < 60; k++) expect(alone.hear(says('tachometer', 250 * k, 3000))).toBeUndefined();
  });

  it('has the growth of the made-up wheel from the made-up devices', () => {
    const recorder = new SpinRecorder();
    const lines = simulatedLines(5, DEMO_CAR);
    const held = Array.from({ length: 900 }, () => hear(lines.next().value.line)).flatMap((heard) =>
      heard && 'reading' in heard ? (recorder.hear(heard.reading) ?? []) : [],
    );
    expect(held.length).toBeGreaterThanOrEqual(6);
    // as wide as it is at rest, and by v² times as much wider: twice the speed grows by four times at the least
    const at = (rpm: number) => held.find((one) => Math.abs(one.rpm - rpm) < 60)!.diameterMm;
    expect(at(0)).toBeCloseTo(84, 0);
    const [slow, fast] = [at(4500) - at(0), at(9000) - at(0)];
    expect(fast / slow).toBeGreaterThan(3.5);
  });
});

describe('what instruments say, recorded as a log', () => {
  const says = (device: string, kind: InstrumentReading['kind'], ms: number, values: object) =>
    ({ device, kind, ms, values }) as InstrumentReading;

  it('lies on one clock though each device has its own, and is read as a log', () => {
    const recording = new InstrumentRecording();
    expect(recording.csv()).toBeUndefined();
    // the receiver counts from noon, the gyro from when it was switched on; a second of speed in between is lost
    for (let k = 0; k <= 40; k++) {
      if (k < 20 || k > 30)
        recording.hear(says('s', 'satellite', 43_200_000 + 250 * k, { mps: k / 4 }), 900 + k / 4);
      recording.hear(says('g', 'gyro', 77 + 250 * k, { dps: -2 * k }), 900.002 + k / 4);
      recording.hear(says('x', 'scale', 250 * k, { g: 5 }), 900 + k / 4);
    }
    const log = readLog({ text: recording.csv()! }, '');
    expect(log.summary.durationS).toBeCloseTo(10, 9);
    const at = (role: 'speed' | 'yawRate', t: number) =>
      log.columnOf(role)![log.tS.findIndex((one) => one >= t - 1e-9)];
    expect(at('speed', 4)).toBe(4);
    expect(at('yawRate', 4.1)).toBe(-32);
    // it holds for a second and a half and no longer
    expect(at('speed', 6)).toBe(4.75);
    expect(at('speed', 7)).toBeNaN();
    expect(log.summary.columns.map(({ role }) => role)).toEqual(['time', 'speed', 'yawRate']);
  });

  it('goes on where a device that starts again was heard', () => {
    const recording = new InstrumentRecording();
    for (const [ms, heardS, rpm] of [
      [90_000, 10, 1000],
      [90_500, 10.5, 2000],
      [100, 12, 3000],
      [600, 12.5, 4000],
    ] as const)
      recording.hear(says('t', 'tachometer', ms, { rpm }), heardS);
    const log = readLog({ text: recording.csv()! }, '');
    expect(log.summary.durationS).toBeCloseTo(2.5, 9);
    expect(log.columnOf('rpm')!.at(-1)).toBe(4000);
  });
});
