import type { CopyRecord } from '../../car/records/prints';
import { due } from '../../verdict/learn/due.check';
import { fixes } from '../../verdict/learn/fixes.check';
import { branchesOf } from './branches';
import { fixHeld, hoursUntil, livesOfCopies, livesOfParts } from '../../worked/field/lives';
import { paretoOf } from './pareto';
import type { RevisionRecord } from '../../car/records/records';
import { document, run, failure, onRecord, line } from '../../fixtures/learnRecord';

describe('whether a fix held', () => {
  it('counts the hours of the revision that carries it and of those that came from it, not of a branch beside', () => {
    const fixed = failure({ fix: 'thicker', fixRevisionId: 'b', hours: 1 });
    const runs = [run('a', 60), run('b', 60), run('c', 90), run('d', 6000)];
    expect(fixHeld(fixed, line, runs, [fixed])).toMatchObject({
      hours: 2.5,
      again: 0,
    });
    // one life of an hour is outlived at 90 % by nine hours, F(2, 2)
    const long = [...runs, run('c', 6.6 * 60)];
    expect(fixes.find(onRecord({ failures: [fixed], revisions: line, runs: long }))).toMatchObject({
      state: 'clear',
    });
    expect(
      fixes.find(onRecord({ failures: [fixed], revisions: line, runs: runs.slice(0, 2) })),
    ).toMatchObject({
      state: 'tight',
      value: 1,
      finding: { facts: { held: { value: 1 }, of: { value: expect.closeTo(9, 9) } } },
    });
    const again = failure({ id: 'g', revisionId: 'c' });
    expect(fixHeld(fixed, line, runs, [fixed, again])!.again).toBe(1);
    expect(fixes.find(onRecord({ failures: [fixed, again], revisions: line, runs: runs }))).toMatchObject({
      state: 'over',
    });
    // what is no part of the build is known by its name
    const stranger = { ...fixed, partId: undefined, partName: 'Shrink tube' };
    const other = { ...again, partId: undefined, partName: ' shrink tube' };
    expect(fixHeld(stranger, line, runs, [stranger, other])!.again).toBe(1);
    expect(fixHeld(stranger, line, runs, [stranger, { ...other, partName: 'Tape' }])!.again).toBe(0);
    // another way of failing is another matter
    expect(fixHeld(fixed, line, runs, [fixed, { ...again, mode: 'crack' }])!.again).toBe(0);
  });
});

describe('lives', () => {
  const copy = (id: string, more: Partial<CopyRecord> = {}): CopyRecord => ({
    id,
    revisionId: 'a',
    partId: 'arm',
    partName: 'Arm',
    how: 'final',
    madeAt: '',
    ...more,
  });
  const runs = [
    run('a', 30, { copies: ['one'] }),
    run('b', 90, { copies: ['one', 'two'] }),
    run('b', 60),
    run('b', 0, {
      kind: 'blows',
      report: { beaten: [{ id: 'x', name: 'Arm', copyId: 'two', light: 10, hard: 4, failed: false }] },
    }),
  ];

  it('give each copy the minutes of the runs that it was on', () => {
    const lives = livesOfCopies([copy('one'), copy('two'), copy('three')], runs);
    expect([...lives]).toEqual([
      ['one', { hours: 2, runs: 2, blows: 0 }],
      ['two', { hours: 1.5, runs: 1, blows: 4 }],
      ['three', { hours: 0, runs: 0, blows: 0 }],
    ]);
  });

  it('put what cost most time first, with its mean life', () => {
    const [first] = livesOfParts(line, runs, [
      failure({ ledger: { lostMinutes: 45 } }),
      failure({ id: 'g' }),
    ]);
    expect(first).toMatchObject({
      partId: 'arm',
      hours: 3,
      failures: 2,
      lostMinutes: 45,
    });
    expect(first!.earlier).toBeUndefined();
  });

  it('begin anew with a part that was drawn anew, its forebear told apart', () => {
    const thicker = (one: RevisionRecord): RevisionRecord => ({
      ...one,
      document: {
        ...document,
        parts: { items: [{ ...document.parts.items[0]!, shape: { as: 'beam', heightMm: 8 } }] },
      },
    });
    const [a, b, c] = line as [RevisionRecord, RevisionRecord, RevisionRecord];
    const redesigned = [a, b, thicker(c)];
    const driven = [...runs, run('c', 120)];
    const broke = [failure({ ledger: { lostMinutes: 45 } }), failure({ id: 'g', revisionId: 'b' })];
    const [life] = livesOfParts(redesigned, driven, broke);
    // 3 h and two failures of the thin one, 2 h without of the thick one; the time lost is that of both
    expect(life).toMatchObject({
      hours: 2,
      failures: 0,
      earlier: { hours: 3, failures: 2 },
      lostMinutes: 45,
    });
    expect(paretoOf([life!], 'count')[0]!.value).toBe(2);
    // the copies of the thin one are not looked at for what the thick one lasts
    const old = copy('one', { revisionId: 'a' });
    const young = copy('two', { revisionId: 'c' });
    const record = { copies: [old, young], failures: broke, revisions: redesigned };
    const onBoth = [run('a', 60, { copies: ['one'] }), run('c', 600, { copies: ['two'] })];
    expect(due.find(onRecord({ ...record, runs: onBoth }))).toMatchObject({ state: 'tight', value: 1 });
  });

  it('tell the hours of a part from those of its revision', () => {
    const driven = [run('a', 60, { ranAt: '1' }), run('b', 30, { ranAt: '2' }), run('b', 90, { ranAt: '4' })];
    const broke = failure({ revisionId: 'b', occurredAt: '3' });
    expect(hoursUntil(broke, line, driven)).toEqual({ revision: 0.5, part: 1.5 });
    expect(hoursUntil({ ...broke, partId: undefined }, line, driven)).toEqual({ revision: 0.5 });
  });

  it('are due for a look at half of what the part lasts', () => {
    // 3.5 h on copies and one failure: half of 3.5 h is 1.75 h
    expect(
      due.find(onRecord({ copies: [copy('one'), copy('two')], runs, failures: [failure()] })),
    ).toMatchObject({ state: 'tight', value: 1 });
    expect(
      due.find(
        onRecord({
          copies: [copy('one', { retiredAt: '2026-05-01' }), copy('two')],
          runs,
          failures: [failure()],
        }),
      ),
    ).toMatchObject({ state: 'clear' });
    expect(due.find(onRecord({ copies: [copy('one')], runs }))).toEqual({ missing: ['copies:onTheCar'] });
  });
});

describe('the line of revisions', () => {
  it('goes straight where one stands on the other, and turns where two stand on one', () => {
    const placed = branchesOf(line);
    // D stands on A as B does, and is the later one: it goes on in the lane, B and C turn off
    expect(placed.map(({ lane }) => lane)).toEqual([0, 1, 1, 0]);
    expect(placed.map(({ from }) => from?.row)).toEqual([undefined, 0, 1, 0]);
    expect(new Set(branchesOf(line.slice(0, 3)).map(({ lane }) => lane)).size).toBe(1);
  });

  it('says of a fix in a branch that was left that the last revision is without it', () => {
    const held = fixHeld(failure({ fix: 'thicker', fixRevisionId: 'b' }), line, [run('b', 60)], [])!;
    expect(held).toMatchObject({
      lost: { in: 'D', from: 'B' },
    });
    expect(fixHeld(failure({ fix: 'thicker', fixRevisionId: 'gone' }), line, [], [])).toBeUndefined();
  });
});

describe('what fails most', () => {
  const life = (partId: string, failures: number, lostMinutes: number, cost?: number) => ({
    partId,
    name: partId,
    hours: 1,
    runs: 1,
    failures,
    lostMinutes,
    ...(cost === undefined ? {} : { cost }),
  });
  const lives = [life('a', 1, 60, 2), life('b', 3, 30), life('c', 0, 0), life('d', 4, 10, 6)];

  it('depends on what is counted; the shares add up to one', () => {
    expect(paretoOf(lives, 'count').map(({ partId }) => partId)).toEqual(['d', 'b', 'a']);
    expect(paretoOf(lives, 'time').map(({ partId, cumulative }) => [partId, cumulative])).toEqual([
      ['a', 0.6],
      ['b', 0.9],
      ['d', 1],
    ]);
    expect(paretoOf(lives, 'cost').map(({ partId, share }) => [partId, share])).toEqual([
      ['d', 0.75],
      ['a', 0.25],
    ]);
    expect(paretoOf([], 'time')).toEqual([]);
  });
});
