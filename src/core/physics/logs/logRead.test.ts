import { parse } from '../../base/schema/parse';
import { refusalOf } from '../../fixtures/refused';
import { logRead, type LogReadInput } from './logRead';
import { logReadSchema } from './logRead.schema';

const read = (input: object) => logRead(parse<LogReadInput>(logReadSchema, input));
const rows = (...lines: string[]) => lines.join('\n');

describe('a log of any recorder', () => {
  it('is read by its own marks: semicolons with a decimal comma, a line of units, comments', () => {
    const found = read({
      text: rows(
        '# made by a recorder; with notes',
        'Time;RPM;Voltage;ESC Temp;Note',
        '[ms];[rpm];[V];(°C);',
        '0;1000;7,40;31,5;start',
        '',
        '100;1500;7,35;31,6;',
        '200;-;7,30;31,7;',
        '300;2500;7,25;31,8;"a; b"',
      ),
    });
    expect(found).toMatchObject({
      separator: ';',
      decimal: ',',
      hasHeader: true,
      rows: 4,
      timeUnit: 'ms',
      gaps: 0,
    });
    expect(found.durationS).toBeCloseTo(0.3, 12);
    expect(found.rateHz).toBeCloseTo(10, 9);
    // a note is text that is no number, twice
    expect(found.badCells).toBe(2);
    expect(found.roles).toEqual({
      time: { name: 'Time', confidence: 0.95 },
      rpm: { name: 'RPM', confidence: 0.95 },
      voltage: { name: 'Voltage', confidence: 0.95 },
      controllerTemperature: { name: 'ESC Temp', confidence: 0.95 },
    });
    const [time, rpm, volts] = found.columns;
    expect(time).toMatchObject({ name: 'Time', unit: 's', n: 4, max: expect.closeTo(0.3, 12) });
    expect(rpm).toMatchObject({ n: 3, missing: 1, min: 1000, max: 2500, mean: 5000 / 3 });
    expect(volts!.sd).toBeCloseTo(Math.sqrt(0.0125 / 3), 9);
    expect(found.warnings).toEqual([]);
  });

  it.each([
    ['a,b\n1,2.5\n2,3.5', ',', '.'],
    ['a\tb\n1\t2,5\n2\t3,5', '\t', ','],
    ['a|b\n1|2\n2|3', '|', '.'],
    ['a b\n1 2\n2 3', ' ', '.'],
    // the count that most lines share wins, not the mark that occurs most
    ['a;b\n1,0;2,0\n2,0;3,0', ';', ','],
  ])('finds the marks of %j', (text, separator, decimal) => {
    expect(read({ text })).toMatchObject({ separator, decimal, rows: 2 });
  });

  it('names columns by number without a head, splits units off names, and counts names that occur again', () => {
    const bare = read({ text: '0;5\n1;6\n2;7' });
    expect(bare).toMatchObject({ hasHeader: false, roles: { time: { name: 'c1', confidence: 0.4 } } });
    expect(bare.columns.map(({ name }) => name)).toEqual(['c1', 'c2']);
    const twice = read({ text: 'time (s);temp [C];temp [C]\n0;1;2\n1;2;3' });
    expect(twice.columns.map(({ name, unit }) => [name, unit])).toEqual([
      ['time', 's'],
      ['temp', 'C'],
      ['temp 2', 'C'],
    ]);
  });

  it('says what a column is by words and unit, the surest of several', () => {
    const roles = (head: string) => read({ text: `t [s];${head}\n0;1;2;3\n1;2;3;4` }).roles;
    expect(roles('Motor Temp [C];Current [A];Phase current [A]')).toEqual({
      time: { name: 't', confidence: 0.95 },
      motorTemperature: { name: 'Motor Temp', confidence: 0.95 },
      batteryCurrent: { name: 'Current', confidence: 0.75 },
      motorCurrent: { name: 'Phase current', confidence: 0.95 },
    });
    // a unit of another kind of thing outweighs the name; one that tells nothing leaves it unsure
    expect(roles('Throttle [V];GyroZ;x [km/h]')).toEqual({
      time: { name: 't', confidence: 0.95 },
      voltage: { name: 'Throttle', confidence: 0.5 },
      yawRate: { name: 'GyroZ', confidence: 0.75 },
      speed: { name: 'x', confidence: 0.5 },
    });
    const erpm = read({ text: 'time [s];eRPM\n0;1\n1;2' });
    expect(erpm.warnings.map(({ code }) => code)).toEqual(['note.log.erpm']);
    const said = read({ text: 'time [s];a;speed [m/s]\n0;1;2\n1;2;3', roles: { speed: 'a' } });
    expect(said.roles.speed).toEqual({ name: 'a', confidence: 1 });
    expect(refusalOf(() => read({ text: 'time\n0\n1', roles: { wind: 'time' } })).path).toBe('roles.wind');
    expect(refusalOf(() => read({ text: 'time\n0\n1', roles: { rpm: 'turns' } })).path).toBe('roles.rpm');
  });

  it('reads times of the clock and guesses the unit of bare ones, said', () => {
    const clock = read({ text: 'time;v\n0:59:59,5;1,5\n1:00:00,5;2,5\n1:00:01,0;3,5' });
    expect(clock).toMatchObject({ timeUnit: 'clock', durationS: 1.5, warnings: [] });
    const iso = read({ text: 'timestamp,v\n2026-03-01T10:00:00Z,1\n2026-03-01T10:00:02Z,2' });
    expect(iso.durationS).toBe(2);
    const ms = read({ text: 'time,v\n0,1\n20,2\n40,3' });
    expect(ms).toMatchObject({ timeUnit: 'ms', durationS: 0.04 });
    expect(ms.warnings.map(({ code }) => code)).toEqual(['note.log.timeUnit']);
    expect(read({ text: 'time,v\n0,1\n1,2\n2,3' }).timeUnit).toBe('s');
  });

  it('sorts a clock that jumps, leaves rows without a time out, and counts gaps and ragged rows', () => {
    const found = read({
      text: rows('time [s],v', '0,1', '1,2', '0.5,9', '1,7', ',5', '2,3,4', '3', '9,1', '10,1', '11,1'),
    });
    expect(found).toMatchObject({
      rows: 8,
      outOfOrder: 1,
      duplicateTimes: 1,
      noTime: 1,
      raggedRows: 2,
      gaps: 1,
      longestGapS: 6,
    });
    // of the two rows at 1 s the first stays
    expect(read({ text: rows('time [s],v', '0,1', '1,2', '1,7', '2,3'), resampleHz: 1 }).series!).toEqual({
      tS: [0, 1, 2],
    });
    expect(refusalOf(() => read({ text: 'name,x\na,1\nb,2' })).path).toBe('text');
    expect(refusalOf(() => read({ text: 'time,x\n1,1' })).path).toBe('text');
    expect(refusalOf(() => read({})).path).toBe('text');
    expect(refusalOf(() => read({ columns: { time: [0, 1], v: [1] } })).path).toBe('columns.v');
    expect(refusalOf(() => read({ columns: { a: [2, 1] } })).path).toBe('columns');
    expect(refusalOf(() => read({ text: 'time\n0\n1', second: {} })).path).toBe('second.text');
  });

  it('gives its columns at equal steps, and none across a hole', () => {
    const { series } = read({
      columns: {
        'time [s]': [0, 1, 2, 3, 8, 9],
        'speed [m/s]': [0, 2, 4, 6, 16, 18],
        rpm: [0, 10, 20, 30, 80, 90],
      },
      resampleHz: 2,
    });
    expect(series!.tS).toEqual([0, 0.5, 1, 1.5, 2, 2.5, 3, 8, 8.5, 9]);
    expect(series!.speed).toEqual([0, 1, 2, 3, 4, 5, 6, 16, 17, 18]);
    expect(series!.rpm![1]).toBe(5);
  });

  const speedAt = (t: number) => 5 + 3 * Math.sin(t) + 2 * Math.sin(2.7 * t + 1) + Math.sin(0.31 * t * t);
  const logged = (fromS: number, stepS: number, count: number, scale = 1) => {
    const times = Array.from({ length: count }, (_, k) => k * stepS);
    return { columns: { 'time [s]': times, 'speed [m/s]': times.map((t) => scale * speedAt(fromS + t)) } };
  };

  it('lays a second log on the first by their speeds, to a fraction of a step', () => {
    // the second begins 4.37 s later, at another rate and in another unit
    const found = read({ ...logged(0, 0.1, 300), second: logged(4.37, 0.04, 500, 3.6) });
    expect(found.sync).toMatchObject({ usable: true, by: 'speed' });
    expect(found.sync!.offsetS).toBeCloseTo(4.37, 1);
    expect(Math.abs(found.sync!.offsetS - 4.37)).toBeLessThan(0.02);
    expect(found.sync!.quality).toBeGreaterThan(0.99);
    expect(found.second!.rows).toBe(500);
    const back = read({ ...logged(4.37, 0.04, 500), second: logged(0, 0.1, 300) });
    expect(back.sync!.offsetS).toBeCloseTo(-4.37, 1);
    // out of reach, or nothing to lay it on by
    expect(
      read({ ...logged(0, 0.1, 300), second: logged(4.37, 0.04, 500), maxOffsetS: 2 }).sync?.usable ?? false,
    ).toBe(false);
    const still = read({ ...logged(0, 0.1, 50), second: { columns: { time: [0, 1, 2], volt: [1, 2, 3] } } });
    expect(still.sync).toBeUndefined();
    expect(still.warnings.map(({ code }) => code)).toContain('note.log.noSync');
  });

  it('tells a rhythm that repeats from one place: no offset is sure', () => {
    const beat = (fromS: number) => {
      const times = Array.from({ length: 400 }, (_, k) => k * 0.05);
      return { columns: { 'time [s]': times, throttle: times.map((t) => Math.sin((t + fromS) * Math.PI)) } };
    };
    const { sync } = read({ ...beat(0), second: beat(0.6) });
    expect(sync!.quality).toBeGreaterThan(0.95);
    expect(sync!.usable).toBe(false);
  });
});
