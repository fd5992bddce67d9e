import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { mostAlike } from '../../worked/field/alike';
import { attemptSpread, gapOf, meanOfRuns, measuredOf } from '../../worked/field/measured';
import { compareGroups, groupsOf, settingNames } from './groups';
import { measuresOver } from './overRevisions';
import type { TimedRun } from '../../car/records/records';
import { seriesOf, shuffledOrder } from './series';
import { revisions, timed, goalOn, bandOn } from '../../fixtures/timedRuns';

describe('groups of runs', () => {
  const runs = [
    timed('a', [2, 2.1, 2.05]),
    timed('b', [1.8, 1.85, 1.9]),
    timed('b', [1.88]),
    timed('a', [3], { kind: 'launch' }),
  ];

  it('hold every attempt of a kind, by revision', () => {
    const groups = groupsOf(runs, revisions, 'timedDistance', 'revision');
    expect(groups.map(({ label, values }) => [label, values.length])).toEqual([
      ['revision A', 3],
      ['revision B', 4],
    ]);
    expect(groups[0]!.values[0]).toBeCloseTo(10, 12);
    expect(groupsOf(runs, revisions, 'launch', 'revision')[0]!.values).toEqual([3]);
  });

  it('are compared by runs the way their kind counts: more speed is better, more time is not', () => {
    const again = [...runs, timed('a', [2.02, 2.06])];
    const [a, b] = groupsOf(again, revisions, 'timedDistance', 'revision');
    const speeds = compareGroups(a!, b!, [a!, b!], 'timedDistance', 'revision');
    expect(speeds).toMatchObject({ unit: 'runs', result: { verdict: 'better', df: 2 } });
    const launches = groupsOf(
      [
        timed('a', [3, 3.05, 3.1], { kind: 'launch' }),
        timed('a', [3.02], { kind: 'launch' }),
        timed('b', [2.5, 2.55, 2.6], { kind: 'launch' }),
        timed('b', [2.57], { kind: 'launch' }),
      ],
      revisions,
      'launch',
      'revision',
    );
    expect(compareGroups(launches[0]!, launches[1]!, launches, 'launch', 'revision').result.verdict).toBe(
      'better',
    );
  });

  it('of one run each, or settings of one series, are compared by their attempts', () => {
    const [one, other] = groupsOf(runs, revisions, 'timedDistance', 'run');
    expect(compareGroups(one!, other!, [one!, other!], 'timedDistance', 'run')).toMatchObject({
      unit: 'attempts',
      result: { verdict: 'better' },
    });
  });

  it('name what was not alike before anything else', () => {
    const warm = groupsOf(
      [
        timed('a', [2, 2, 2], {}, { ambientC: 8, packVBefore: 8.4 }),
        timed('b', [2, 2, 2], {}, { ambientC: 25, packVBefore: 8.35, surfaceName: 'Gravel' }),
      ],
      revisions,
      'timedDistance',
      'revision',
    );
    const { unlike } = compareGroups(warm[0]!, warm[1]!, warm, 'timedDistance', 'revision');
    expect(unlike).toMatchObject([
      { of: 'surface', a: ['Asphalt'], b: ['Gravel'] },
      { of: 'ambientC', a: { value: 8 }, b: { value: 25 } },
    ]);
    const tyres = groupsOf(
      [
        timed('a', [2, 2]),
        timed('a', [2, 2], {
          document: applyPatch(car, [
            { path: ['drive', 'tyre', 'name'], value: 'Slick' },
            { path: ['chassis', 'massG'], value: 1900 },
          ]),
        }),
      ],
      revisions,
      'timedDistance',
      'tyre',
    );
    expect(compareGroups(tyres[0]!, tyres[1]!, tyres, 'timedDistance', 'tyre').unlike).toMatchObject([
      { of: 'build', exchange: { path: ['chassis', 'massG'], from: 1600, to: 1900 } },
    ]);
  });

  it('fall by a setting that runs name or that a series drove', () => {
    const series = timed('a', [], {
      kind: 'series',
      report: { settingName: 'rear toe' },
      attempts: [
        { id: '1', timeS: 2, setting: 0 },
        { id: '2', timeS: 2.5, setting: 2 },
        { id: '3', timeS: 2.1, setting: 0 },
      ],
    });
    expect(settingNames([series, timed('a', [2], {}, { settings: [{ name: 'gain', value: 1 }] })])).toEqual([
      'gain',
      'rear toe',
    ]);
    expect(
      groupsOf([series], revisions, 'series', 'setting', 'rear toe').map(({ label, values }) => [
        label,
        values.length,
      ]),
    ).toEqual([
      ['rear toe 0', 2],
      ['rear toe 2', 1],
    ]);
    const points = seriesOf(series as never);
    expect(points.map(({ setting, summary }) => [setting, Number(summary.mean.toFixed(3))])).toEqual([
      [0, Number(((10 + 20 / 2.1) / 2).toFixed(3))],
      [2, 8],
    ]);
  });
});

describe('the order of a series', () => {
  it('holds each value as often as asked, and is not the plain one', () => {
    const order = shuffledOrder([0, 1, 2], 4, 5);
    expect([...order].sort()).toEqual([0, 0, 0, 0, 1, 1, 1, 1, 2, 2, 2, 2]);
    expect(order).not.toEqual([0, 0, 0, 0, 1, 1, 1, 1, 2, 2, 2, 2]);
    expect(shuffledOrder([0, 1, 2], 4, 5)).toEqual(order);
  });

  it('puts every value first about as often', () => {
    const first = Array.from({ length: 600 }, (_, seed) => shuffledOrder([0, 1, 2], 1, seed)[0]);
    for (const value of [0, 1, 2]) expect(first.filter((one) => one === value).length).toBeGreaterThan(150);
  });
});

describe('runs that are not alike', () => {
  const onGrass = { surfaceId: 'grass', surfaceName: 'Grass' };
  const runs = [
    timed('a', [2.5, 2.5]),
    timed('a', [2.5, 2.5]),
    timed('a', [2, 2], {}, onGrass),
    timed('a', [2.2], {}, { extraMassG: 500, runUpM: 30 }),
  ];

  it('are left out of a mean, and named by what they are unlike', () => {
    expect(meanOfRuns(runs, 'timedDistance')).toMatchObject({
      mean: 8,
      runs: 2,
      leftOut: { runs: 2, by: ['surface', 'payload', 'runUp'] },
    });
    expect(goalOn(runs)).toMatchObject({ value: 8, finding: { facts: { runs: 2, leftOut: { runs: 2 } } } });
    const [speed] = measuresOver(revisions, [...runs, timed('b', [1, 1], {}, onGrass)]);
    expect(speed).toMatchObject({ points: [{ letter: 'A', mean: 8 }], leftOut: { runs: 3 } });
    const [group] = groupsOf(runs, revisions, 'timedDistance', 'revision');
    expect(group).toMatchObject({ values: [8, 8, 8, 8], means: [8, 8], leftOut: { runs: 2 } });
    // what is compared may differ, the rest may not
    expect(
      groupsOf(runs, revisions, 'timedDistance', 'surface').map(({ label, means }) => [label, means]),
    ).toEqual([
      ['Asphalt', [8, 8]],
      ['Grass', [10]],
    ]);
  });

  it('count what the document carries as well as what lay on top', () => {
    const loaded = { ...car, brief: { ...car.brief, payloadG: (car.brief.payloadG ?? 0) + 300 } };
    const same = timed('a', [2.5], { document: loaded }, {});
    expect(
      mostAlike([timed('a', [2.5], {}, { extraMassG: 300 }), same] as TimedRun[]).leftOut,
    ).toBeUndefined();
    expect(mostAlike([timed('a', [2.5]), same] as TimedRun[]).leftOut).toEqual({ runs: 1, by: ['payload'] });
  });

  it('are the settings of a series, which has no mean and no band', () => {
    const series = timed('a', [], {
      kind: 'series',
      attempts: [1, 9].map((timeS, at) => ({ id: `${at}`, timeS, setting: at })),
      prediction: { timeS: 2, timeErrorS: 0.01, speedMps: 10, speedErrorMps: 0.05, massKg: 2 },
    });
    expect(gapOf(series, measuredOf(series as TimedRun))).toBeUndefined();
    expect(bandOn([series])).toEqual({ missing: ['runs:predicted'] });
  });

  it('leave a single attempt the spread of the others', () => {
    // s² = (1·0.005 + 2·0.01)/3 about a mean of 2 s
    const spread = attemptSpread([timed('a', [1.95, 2.05]), timed('b', [1.9, 2, 2.1]), timed('b', [2])]);
    expect(spread).toBeCloseTo(Math.sqrt(0.025 / 3) / 2, 12);
    const one = timed('a', [], { attempts: [{ id: 'x', frames: 960, captureFps: 480 }] }) as TimedRun;
    expect(measuredOf(one, spread).timeErrorS).toBeCloseTo(2 * spread, 12);
    expect(attemptSpread([one])).toBe(0.02);
  });
});
