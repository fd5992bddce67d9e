import { readFileSync } from 'node:fs';
import { GateTimer } from './gateTimer';
import { checksumOf } from './checksum';
import { hear, type InstrumentReading, LineEar, lineOf } from './line';
import { simulatedLines } from './simulated';

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
    expect([...kinds].sort()).toEqual(['gate', 'gyro', 'meter', 'scale', 'tachometer', 'thermometer']);
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
