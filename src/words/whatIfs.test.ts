import { chassisWhatIfText, heatWhatIfText } from './whatIfs';

const metric = { locale: 'en-GB', units: 'metric' } as const;
const imperial = { locale: 'en-US', units: 'imperial' } as const;
const plainly = (text: string) => text.replace(/\s/g, ' ');

test('what-ifs say how far in the reader’s units', () => {
  const move = { id: 'pack-forward', by: { value: 20, quantity: 'lengthMm' } } as const;
  expect(plainly(chassisWhatIfText(move, metric))).toBe('Pack 20 mm forward');
  // 20 mm over 25.4 mm an inch
  expect(plainly(chassisWhatIfText(move, imperial))).toBe('Pack 0.787 in forward');
  expect(heatWhatIfText({ what: 'cells', cells: 3, now: 2 }, metric)).toBe('3 cells instead of 2');
  expect(plainly(heatWhatIfText({ what: 'motor', kvRpmPerV: 2750 }, metric))).toBe('A motor of 2,750 rpm/V');
});
