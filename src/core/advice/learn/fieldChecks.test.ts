import { worstOf } from '../../verdict/field/band.check';
import { normalFrom } from '../../base/numeric/random';
import { owed } from '../../verdict/field/owedRuns.check';
import { measuresOver } from './overRevisions';
import type { RunRecord } from '../../car/records/records';
import { dropLimit, growthOf, hottest } from '../../worked/field/report';
import { wrongWheels } from '../../worked/field/wrongWheels';
import { revisions, timed, onRecord, goalOn, bandOn } from '../../fixtures/timedRuns';

const owedOn = (runs: readonly RunRecord[]) => owed.find(onRecord(runs));

describe('the checks of the field', () => {
  // wished 8 m/s; 20 m in 2 s are 10 m/s
  it('prove the wish where two errors still reach it, and miss it where they do not', () => {
    expect(goalOn([timed('a', [2, 2.01, 1.99])])).toMatchObject({
      state: 'clear',
      limit: 8,
      margin: expect.closeTo(1.25, 2),
    });
    expect(goalOn([timed('a', [2.45, 2.5, 2.55])])).toMatchObject({ state: 'tight' });
    expect(goalOn([timed('a', [3, 3.01, 2.99])])).toMatchObject({ state: 'over' });
    expect(goalOn([])).toEqual({ missing: ['runs:timed'] });
    // 20 m in 2.42 s are 3 % over the wish: one run, of a car that differs by 2 % from day to day, proves nothing; three alike do
    const day = (seconds: number) => timed('a', [seconds, seconds + 0.005, seconds - 0.005]);
    expect(goalOn([day(2.42)])).toMatchObject({ state: 'tight' });
    expect(goalOn([day(2.42), day(2.425), day(2.415)])).toMatchObject({ state: 'clear' });
    // three that lie apart by 5 % do not
    expect(goalOn([day(2.3), day(2.42), day(2.54)])).toMatchObject({ state: 'tight' });
  });

  it('judge the worst of many runs as the worst of many: Šidák by hand, and seeded', () => {
    expect(worstOf(1, 0.0455)).toBeCloseTo(2, 2);
    // 1 − (1 − 0.0455)^(1/7) = 0.00663 on two sides of the normal distribution
    expect(worstOf(7, 0.0455)).toBeCloseTo(2.714, 2);
    const normal = normalFrom(3117);
    const tries = 20_000;
    let called = 0;
    for (let k = 0; k < tries; k++)
      if (Math.max(...Array.from({ length: 7 }, () => Math.abs(normal()))) > worstOf(7, 0.0455)) called++;
    expect(Math.abs(called / tries - 0.0455)).toBeLessThan(3 * Math.sqrt((0.0455 * 0.9545) / tries));
  });

  it('call out a run outside its band, and a wheel that turns the wrong way before all', () => {
    const prediction = { timeS: 2, timeErrorS: 0.02, speedMps: 10, speedErrorMps: 0.1, massKg: 2 };
    const frames = (n: number) => ({
      attempts: [1, 2, 3].map((at) => ({ id: `${at}`, frames: n, captureFps: 240 })),
      prediction,
    });
    expect(bandOn([timed('a', [], frames(480))])).toMatchObject({ state: 'clear' });
    expect(bandOn([timed('a', [], frames(600))])).toMatchObject({
      state: 'over',
      finding: { facts: { off: { value: expect.closeTo(20, 6) }, less: true, outside: true } },
    });
    expect(
      bandOn([timed('a', [], { kind: 'spin', report: { wheels: { rearLeft: 'backward' } } })]),
    ).toMatchObject({
      state: 'over',
      finding: { facts: { wheels: [{ wheel: 'rearLeft', turned: 'backward' }] } },
    });
  });

  it('owe a run for every wish', () => {
    expect(owedOn([])).toEqual({ missing: ['runs'] });
    expect(owedOn([timed('a', [2])])).toMatchObject({
      state: 'tight',
      value: 2,
      finding: { facts: { owed: [{ kind: 'launch' }, { kind: 'endurance' }] } },
    });
    expect(
      owedOn([timed('a', [2]), timed('a', [3], { kind: 'launch' }), timed('a', [], { kind: 'endurance' })]),
    ).toMatchObject({ state: 'clear' });
  });
});

describe('what runs bring home', () => {
  it('is picked out of its readings', () => {
    expect(
      hottest([
        { id: '1', place: 'motor', valueC: 50 },
        { id: '2', place: 'battery', valueC: 40 },
        { id: '3', place: 'motor', valueC: 60 },
      ]).map(({ id }) => id),
    ).toEqual(['3', '2']);
    expect(dropLimit({ drops: [{ id: '1', heightM: 1, outcome: 'damaged' }] })).toEqual({ heldM: 1 });
    expect(
      growthOf({
        spins: [
          { id: '1', rpm: 100, diameterMm: 80 },
          { id: '2', rpm: 9000, diameterMm: 84 },
        ],
      }),
    ).toBeCloseTo(0.05, 12);
    expect(wrongWheels({ wheels: { frontLeft: 'still', rearLeft: 'forward' } })).toEqual([
      { wheel: 'frontLeft', turned: 'still' },
    ]);
  });
});

it('follows each measure through the revisions with the wish and the best', () => {
  const measures = measuresOver(revisions, [
    timed('a', [2.5, 2.5]),
    timed('b', [2, 2]),
    timed('a', [4], { kind: 'launch' }),
    timed('b', [], { kind: 'endurance', report: { endedAtMinutes: 21 } }),
  ]);
  expect(
    measures.map(({ id, best, goal, points }) => [
      id,
      best,
      goal,
      points.map(({ letter, mean, n }) => [letter, mean, n]),
    ]),
  ).toEqual([
    [
      'speed',
      'B',
      8,
      [
        ['A', 8, 1],
        ['B', 10, 1],
      ],
    ],
    ['launch', 'A', 4, [['A', 4, 1]]],
    ['pack', 'B', 30, [['B', 21, 1]]],
  ]);
});
