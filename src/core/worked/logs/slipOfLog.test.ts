import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { readLog } from '../../physics/logs/logRead';
import { slipOfLog } from './slipOfLog';

const surface = car.brief.surfaces[0]!;
const rear = applyPatch(car, [{ path: ['drive', 'drivenAxles'], value: 'rear' }]);
// 42 mm: 0.26389 m a turn; 10 motor turns a wheel turn. A tread at 5.5 m/s turns the motor 12,505 times a minute
const log = (...rows: string[]) =>
  readLog({ text: ['time [s],speed [m/s],rpm [rpm],throttle [%]', ...rows].join('\n') }, '');
const driven = log('0,0.2,900,100', '1,5,12505,100', '2,5,11368.2,100', '3,5,9000,0', '4,10,27283.6,100');

describe('slip by a log', () => {
  it('is what the tread runs ahead of the road, while it drives and moves', () => {
    const found = slipOfLog(driven, rear, surface)!;
    expect(found.logged.tS).toEqual([1, 2, 4]);
    found.logged.slipPct.forEach((slip, k) => expect(slip).toBeCloseTo([10, 0, 20][k]!, 2));
  });

  it('divides turns that are given by poles', () => {
    const found = slipOfLog(log('0,5,25010,100', '1,5,25010,100'), rear, surface, 2)!;
    expect(found.logged.slipPct[0]).toBeCloseTo(10, 2);
  });

  it('lays the simulator of the car without an aid beside it', () => {
    const { simulated } = slipOfLog(driven, rear, surface)!;
    expect(simulated!.tS[0]).toBeGreaterThanOrEqual(0);
    expect(Math.max(...simulated!.slipPct)).toBeGreaterThan(0);
  });

  it('is not told without turns, or before the ratio is known', () => {
    expect(slipOfLog(readLog({ text: 'time,speed\n0,1\n1,2' }, ''), rear, surface)).toBeUndefined();
    const bare = applyPatch(rear, [{ path: ['drive', 'stages'], value: [] }]);
    expect(slipOfLog(driven, bare, surface)).toBeUndefined();
  });
});
