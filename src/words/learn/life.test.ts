import { wearOf } from '@/core/worked/field/wear';
import type { WearReading } from '@/core/car/records/prints';
import { earlierWords, heldWords, lifeWords, wearWords } from './life';

const reader = { units: 'metric', locale: 'en-GB' } as const;
/** Units stand after a narrow space that does not break. */
const plainly = (text: string) => text.replace(/\s/g, ' ');
const reading = (hours: number, valueMm: number, limitMm?: number): WearReading => ({
  id: `r${hours}`,
  at: '2026-05-01T10:00:00.000Z',
  of: 'tooth',
  valueMm,
  hours,
  ...(limitMm === undefined ? {} : { limitMm }),
});

describe('words of lives', () => {
  it('give the mean life with its bounds, by the chi-square table', () => {
    // χ²(0.9; 2) = 4.605, χ²(0.9; 6) = 10.645, χ²(0.1; 4) = 1.064
    expect(plainly(lifeWords({ hours: 2.5, failures: 0 }, reader))).toBe(
      'held 2.5 h with no failure: at 90 % confidence its mean life is over 1.1 h',
    );
    expect(plainly(lifeWords({ hours: 3, failures: 2 }, reader))).toBe(
      'failed 2 times in 3 h, one in 1.5 h: at 90 % confidence each its mean life is over 0.56 h and under 5.6 h',
    );
    expect(lifeWords({ hours: 0, failures: 0 }, reader)).toBe('not driven yet');
    expect(plainly(earlierWords({ hours: 3, failures: 1 }, reader))).toBe(
      'before it was redesigned: failed once in 3 h',
    );
  });

  it('say of a fix on another branch that it is missing', () =>
    expect(
      heldWords(
        { hours: 0, again: 0, lived: { hours: 0, failures: 0 }, lost: { in: 'D', from: 'B' } },
        reader,
      ),
    ).toBe('not driven yet; D does not come from B, so it is without this fix'));

  it('say how worn a copy is, and how long it lasts from now', () => {
    const readings = [reading(0, 1.6), reading(2, 1.5), reading(4, 1.4, 1.2)];
    const words = (hoursNow?: number) => plainly(wearWords(wearOf(readings, hoursNow)[0]!, reader));
    // 0.2 mm to go at 0.05 mm per hour
    expect(words()).toMatch(/^0.05 mm per hour: about 4 h left, at 90 % over/);
    expect(words(5)).toMatch(/about 3 h left.*, 1 h after the last reading$/);
    expect(words(9)).toMatch(/past its limit of 1.2 mm, 5 h after the last reading; measure it again$/);
    expect(plainly(wearWords(wearOf([reading(0, 2), reading(3, 1.5, 1.6)])[0]!, reader))).toBe(
      'spent: 1.5 mm, and 1.6 mm is its limit',
    );
    expect(wearWords(wearOf([reading(0, 1.6)])[0]!, reader)).toMatch(/^one reading/);
    expect(wearWords(wearOf([reading(0, 1.6), reading(1, 1.59)])[0]!, reader)).toMatch(/^no wear shows/);
  });
});
