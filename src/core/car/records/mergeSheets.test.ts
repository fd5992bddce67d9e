import fc from 'fast-check';
import type { FailureSheet } from './records';
import type { CopySheet, PrintSheet, WearReading } from './prints';
import { mergeSheets, withMine } from './mergeSheets';

const failure: FailureSheet = {
  id: 'f',
  mode: 'toothBroke',
  partName: 'Pinion',
  occurredAt: '2026-05-01T10:00:00Z',
  story: 'in the ditch',
  ledger: {
    clues: ['whenWet', 'intermittent'],
    outcomes: [{ check: 'mesh', result: 'yes', at: '2026-05-02T10:00:00Z' }],
  },
};
const copy: CopySheet = { id: 'c', partName: 'Pinion', how: 'final', madeAt: '2026-05-01T10:00:00Z' };
const print: PrintSheet = {
  id: 'p',
  state: 'printing',
  how: 'final',
  printer: 'Bench',
  items: [{ copyId: 'c', partName: 'Pinion' }],
  queuedAt: '2026-05-01T10:00:00Z',
  startedAt: '2026-05-01T11:00:00Z',
};
const reading = (id: string): WearReading => ({
  id,
  at: '2026-06-01T10:00:00Z',
  of: 'tooth',
  valueMm: 1.5,
  hours: 2,
});

it('keeps what two writers said of different things', () => {
  const mine: FailureSheet = {
    ...failure,
    fix: 'wider',
    fixRevisionId: 'b',
    ledger: {
      ...failure.ledger,
      clues: ['whenWet', 'intermittent', 'onStand'],
      outcomes: [...failure.ledger!.outcomes!, { check: 'shim', result: 'no', at: '2026-05-03T10:00:00Z' }],
    },
  };
  const theirs: FailureSheet = {
    ...failure,
    hours: 3,
    ledger: {
      ...failure.ledger,
      wet: true,
      clues: ['intermittent'],
      outcomes: [...failure.ledger!.outcomes!, { check: 'bore', result: 'yes', at: '2026-05-04T10:00:00Z' }],
      photos: [{ hash: 'a' }],
    },
  };
  const { sheet, rivals } = mergeSheets('failure', failure, mine, theirs);
  expect(rivals).toEqual([]);
  expect(sheet).toEqual({
    ...failure,
    hours: 3,
    fix: 'wider',
    fixRevisionId: 'b',
    ledger: {
      wet: true,
      clues: ['intermittent', 'onStand'],
      photos: [{ hash: 'a' }],
      outcomes: [
        failure.ledger!.outcomes![0],
        expect.objectContaining({ check: 'bore' }),
        expect.objectContaining({ check: 'shim' }),
      ],
    },
  });
});

it('two first readings of a copy are both kept, and what was taken out is out', () => {
  expect(
    mergeSheets('copy', copy, { ...copy, readings: [reading('a')] }, { ...copy, readings: [reading('b')] }),
  ).toEqual({ sheet: { ...copy, readings: [reading('b'), reading('a')] }, rivals: [] });
  const [both, one] = [
    { ...copy, readings: [reading('a'), reading('b')] },
    { ...copy, readings: [reading('b')] },
  ];
  expect(mergeSheets('copy', both, one, { ...both, massG: 4 }).sheet).toEqual({ ...one, massG: 4 });
  expect(mergeSheets('copy', one, { ...copy }, one).sheet).toEqual(copy);
});

it('gives both where one thing was said in two ways, and never half of each', () => {
  const mine: PrintSheet = { ...print, state: 'finished', endedAt: '2026-05-01T15:00:00Z', actualS: 14_400 };
  const theirs: PrintSheet = { ...print, state: 'failed', why: 'let go of the bed' };
  const { sheet, rivals } = mergeSheets('print', print, mine, theirs);
  expect(sheet).toEqual(theirs);
  expect(rivals).toHaveLength(1);
  expect(rivals[0]!.fact).toEqual(['state']);
  expect(withMine(sheet, rivals[0]!)).toEqual(mine);
  const verdicts = mergeSheets(
    'failure',
    failure,
    { ...failure, ledger: { ...failure.ledger, verdict: { cause: 'meshTight', at: 'x' } } },
    { ...failure, ledger: { ...failure.ledger, verdict: { words: 'a stone', at: 'y' } } },
  );
  expect(verdicts.rivals.map(({ fact }) => fact)).toEqual([['ledger.verdict']]);
  expect(verdicts.sheet.ledger!.verdict).toEqual({ words: 'a stone', at: 'y' });
  const out = mergeSheets('copy', { ...copy, readings: [reading('a')] }, copy, {
    ...copy,
    readings: [{ ...reading('a'), valueMm: 1.4 }],
  });
  expect(out.rivals.map(({ fact }) => fact)).toEqual([['readings', 'a']]);
  expect(withMine(out.sheet, out.rivals[0]!)).toEqual(copy);
});

const sheets = fc
  .record({
    id: fc.constant('c'),
    partName: fc.constant('Pinion'),
    how: fc.constant('final' as const),
    madeAt: fc.constant('2026-05-01T10:00:00Z'),
    massG: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
    retiredWhy: fc.constantFrom(undefined, 'a', 'b'),
    readings: fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd').map(reading), { selector: ({ id }) => id }),
  })
  .map(({ massG, retiredWhy, readings, ...rest }): CopySheet => ({
    ...rest,
    ...(massG === undefined ? {} : { massG }),
    ...(retiredWhy === undefined ? {} : { retiredWhy, retiredAt: `at ${retiredWhy}` }),
    ...(readings.length === 0 ? {} : { readings }),
  }));
const held = ({ readings = [], ...rest }: CopySheet) => ({
  ...rest,
  readings: readings.map(({ id }) => id).sort(),
});

it('whoever changed nothing takes over the other, and who comes first does not matter where none is asked', () => {
  fc.assert(
    fc.property(sheets, sheets, sheets, (base, mine, theirs) => {
      expect(held(mergeSheets('copy', base, base, theirs).sheet)).toEqual(held(theirs));
      expect(held(mergeSheets('copy', base, mine, base).sheet)).toEqual(held(mine));
      const [there, here] = [
        mergeSheets('copy', base, mine, theirs),
        mergeSheets('copy', base, theirs, mine),
      ];
      expect(here.rivals.map(({ fact }) => fact)).toEqual(there.rivals.map(({ fact }) => fact));
      const settled = here.rivals.reduce((sheet, rival) => withMine(sheet, rival), here.sheet);
      expect(held(settled)).toEqual(held(there.sheet));
    }),
  );
});
