import { printerTimesWords } from './printerTimes';

const metric = { locale: 'en-GB', units: 'metric' } as const;

test('a printer’s times name its plastics where there are several', () => {
  const own = { printer: 'Home', spreadPct: 2 };
  const petg = { ...own, material: 'PETG', calibration: 1.1, n: 2 };
  expect(printerTimesWords([{ ...own, calibration: 1.2, n: 3 }, petg], metric)).toEqual([
    'Home × 1.2 (3 finished prints)',
  ]);
  expect(
    printerTimesWords(
      [{ ...own, calibration: 1.2, n: 3 }, petg, { ...petg, material: 'TPU', calibration: 1.5, n: 1 }],
      metric,
    ),
  ).toEqual(['Home × 1.2 (3 finished prints; PETG × 1.1, TPU × 1.5)']);
});
