import { readLog } from '../../physics/logs/logRead';
import { seenLog, valuesOf } from './seenLog';

const read = (head: string, rows: readonly string[]) => readLog({ text: [head, ...rows].join('\n') }, '');

describe('a log as a page draws it', () => {
  it('is in the units of the program, whatever its own', () => {
    const log = read('Time [ms],Speed [mph],Motor temp [F],Current [mA],Throttle [us],Yaw rate [rad/s]', [
      '0,10,212,1500,1500,1',
      '100,20,32,2500,1750,0',
      '200,30,122,3500,2000,-1',
    ]);
    const of = (role: Parameters<typeof valuesOf>[1]) => [...valuesOf(log, role)!];
    expect(of('speed')[0]).toBeCloseTo(4.4704, 9);
    expect(of('motorTemperature')).toEqual([100, 0, 50]);
    expect(of('batteryCurrent')).toEqual([1.5, 2.5, 3.5]);
    expect(of('throttle')).toEqual([0, 0.5, 1]);
    expect(of('yawRate')[0]).toBeCloseTo(57.29578, 5);
  });

  it('takes a throttle without a unit as per cent where it is over one and a half', () => {
    const rows = (most: number) => ['0,0', `1,${most / 2}`, `2,${most}`];
    const of = (most: number) => valuesOf(read('time,throttle', rows(most)), 'throttle')!.at(-1);
    expect(of(1)).toBe(1);
    expect(of(100)).toBe(1);
  });

  it('is thinned without losing a peak, and knows when it starts and stands again', () => {
    const many = 20_000;
    const speed = (k: number) => (k < 5000 || k >= 15_000 ? 0 : k === 9999 ? 50 : 10);
    const seen = seenLog(
      read(
        'time [s],speed [m/s]',
        Array.from({ length: many }, (_, k) => `${k / 100},${speed(k)}`),
      ),
    );
    const [line] = seen.lines;
    expect(line!.values.length).toBeLessThan(2000);
    expect(Math.max(...line!.values)).toBe(50);
    expect(line!.tS[line!.values.indexOf(50)]).toBeCloseTo(99.99, 9);
    expect(seen.launchS).toBeCloseTo(49.99, 9);
    expect(seen.standsS).toBeCloseTo(150, 9);
  });
});
