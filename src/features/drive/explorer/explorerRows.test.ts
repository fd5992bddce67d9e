import type { SweepRow } from '@/core/physics/search/sweep';
import { namedRows, startingRow, usualRange } from './explorerRows';

const row = (
  motorId: string,
  batteryId: string,
  steadyCaseC: number,
  more: Partial<SweepRow> = {},
): SweepRow => ({
  motorId,
  batteryId,
  ratio: 8,
  topSpeedMps: 10,
  timeToDistanceS: 3,
  launchLimitedBy: 'grip',
  peakMotorCurrentA: 1,
  peakBatteryCurrentA: 1,
  steadyCaseC,
  meetsGoal: true,
  why: [],
  ...more,
});

describe('rows of the explorer', () => {
  it('start with what exchanges least, then with the coolest', () => {
    const rows = namedRows(
      [row('b', 'q', 30), row('a', 'q', 60), row('a', 'q', 50), row('a', 'p', 90, { meetsGoal: false })],
      [],
    );
    expect(startingRow(rows, 'a', 'p')).toBe(2);
    expect(startingRow(rows, 'b', 'q')).toBe(0);
  });

  it('start with the best where none meets the wish, and with none where there are none', () => {
    const rows = namedRows(
      [row('a', 'p', 60, { meetsGoal: false }), row('a', 'p', 50, { meetsGoal: false, topSpeedMps: 12 })],
      [],
    );
    expect(rows.map(({ best }) => best)).toEqual([false, true]);
    expect(startingRow(rows, 'a', 'p')).toBe(1);
    expect(startingRow([], 'a', 'p')).toBeUndefined();
  });

  it('range about the present ratio in some forty steps', () => {
    for (const present of [1.2, 8.8, 60]) {
      const { from, to, step } = usualRange(present);
      expect(from).toBeLessThanOrEqual(present);
      expect(to).toBeGreaterThan(present);
      expect((to - from) / step).toBeLessThan(60);
    }
  });
});
