import { mergeSheets } from '@/core/car/records/mergeSheets';
import { rivalWords } from './recordFacts';

const reader = { units: 'metric', locale: 'en-GB' } as const;
const print = {
  id: 'p',
  state: 'printing',
  how: 'final',
  printer: 'Bench',
  items: [{ copyId: 'c', partName: 'Pinion' }],
  queuedAt: '2026-05-01T10:00:00Z',
} as const;

it('says of both what they made of a print', () => {
  const { rivals } = mergeSheets(
    'print',
    { ...print, items: [...print.items] },
    { ...print, items: [...print.items], state: 'finished', actualS: 7200 },
    { ...print, items: [...print.items], state: 'failed', why: 'let go of the bed' },
  );
  expect(rivals.map((rival) => rivalWords(rival, reader))).toEqual([
    {
      label: 'What became of the print',
      mine: 'finished after 2\u00a0h',
      theirs: 'failed: let go of the bed',
    },
  ]);
});

it('says nothing for what was taken out, and a figure in the reader’s units', () => {
  expect(
    rivalWords(
      { kind: 'failure', fact: ['ledger.motorCaseC'], mine: 100, theirs: undefined },
      { units: 'imperial', locale: 'en-GB' },
    ),
  ).toEqual({ label: 'The motor’s case', mine: '212\u00a0°F', theirs: 'nothing' });
});
