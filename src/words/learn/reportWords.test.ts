import type { RunRecord } from '@/core/car/records/records';
import { reportWords } from './reportWords';

const reader = { locale: 'en-GB', units: 'metric' } as const;

it('what a run brings home is said in words', () => {
  const run = (kind: RunRecord['kind'], report: RunRecord['report']) =>
    reportWords({ kind, ...(report ? { report } : {}) }, reader).replace(/\s/g, ' ');
  expect(
    run('spin', {
      wheels: { frontLeft: 'forward', frontRight: 'forward', rearLeft: 'forward', rearRight: 'forward' },
      noise: 'even',
    }),
  ).toBe('all four wheels turn forward, noise: even');
  expect(
    run('endurance', {
      endedBy: 'heat',
      endedAtMinutes: 12,
      temperatures: [
        { id: '1', place: 'motor', valueC: 70 },
        { id: '2', place: 'motor', valueC: 92 },
      ],
    }),
  ).toBe('ended after 12 min, something got too hot, motor 92 °C');
  expect(
    run('drop', {
      drops: [
        { id: '1', heightM: 0.2, outcome: 'held' },
        { id: '2', heightM: 0.4, outcome: 'failed' },
      ],
    }),
  ).toBe('held 0.2 m, failed at 0.4 m');
  expect(run('terrain', { passages: [{ id: '1', what: 'wet grass', passed: false }] })).toBe(
    'wet grass: stuck',
  );
  expect(run('blows', { beaten: [{ id: '1', name: 'Arm', light: 12, hard: 3, failed: true }] })).toBe(
    'Arm: 12 light and 3 hard blows, failed',
  );
});
