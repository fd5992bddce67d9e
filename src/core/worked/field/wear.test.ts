import type { WearReading } from '../../car/records/prints';
import { wearOf } from './wear';

const reading = (hours: number, valueMm: number, more: Partial<WearReading> = {}): WearReading => ({
  id: `r${hours}`,
  at: '2026-05-01T10:00:00.000Z',
  of: 'tooth',
  valueMm,
  hours,
  ...more,
});

describe('wear of a copy', () => {
  it('draws the line by hand: 1.60 mm, 1.56 mm after 2 h, 1.52 mm after 4 h lose 20 µm an hour', () => {
    const readings = [reading(4, 1.52), reading(0, 1.6), reading(2, 1.56)];
    const [found] = wearOf(readings);
    // limit: 0.2 of the module, and a tooth is half of π modules thick: 1.6·(1 − 0.4/π) = 1.39628
    expect(found!.limitMm).toBeCloseTo(1.6 * (1 - 0.4 / Math.PI), 12);
    expect(found!.rateMmPerHour).toBeCloseTo(0.02, 12);
    // 0.02 mm of the caliper over √((−2)² + 0² + 2²) h
    expect(found!.rateErrorMmPerHour).toBeCloseTo(0.02 / Math.sqrt(8), 12);
    expect(found!.hoursLeft).toBeCloseTo((1.52 - 1.6 * (1 - 0.4 / Math.PI)) / 0.02, 9);
    expect(found!.atLeastHours!).toBeLessThan(found!.hoursLeft!);
    // half an hour later half an hour less
    expect(wearOf(readings, 4.5)[0]).toMatchObject({
      sinceHours: 0.5,
      hoursLeft: expect.closeTo(found!.hoursLeft! - 0.5, 9),
      atLeastHours: expect.closeTo(found!.atLeastHours! - 0.5, 9),
    });
    expect(wearOf(readings, 40)[0]).toMatchObject({ hoursLeft: 0, atLeastHours: 0 });
  });

  it('sees a bore grow and a pin shrink by themselves', () => {
    const found = wearOf([
      reading(0, 3, { of: 'bore' }),
      reading(10, 3.1, { of: 'bore', id: 'b' }),
      reading(0, 3, { of: 'pin', id: 'c' }),
      reading(10, 2.9, { of: 'pin', id: 'd' }),
    ]);
    for (const { rateMmPerHour, hoursLeft } of found) {
      expect(rateMmPerHour).toBeCloseTo(0.01, 12);
      expect(hoursLeft).toBeCloseTo(5, 9);
    }
  });

  it('does not take the caliper for wear, and still says how long it lasts at least', () => {
    const [found] = wearOf([reading(0, 1.6), reading(1, 1.59)]);
    expect(found!.hoursLeft).toBeUndefined();
    // 0.01 + 1.2816·0.02/√(½² + ½²) mm an hour at the most
    expect(found!.atLeastHours).toBeCloseTo(
      (1.59 - 1.6 * (1 - 0.4 / Math.PI)) / (0.01 + 1.2816 * 0.02 * Math.SQRT2),
      6,
    );
  });

  it('is spent at its limit, at the builder’s own where one is set, and needs a second reading for a rate', () => {
    expect(wearOf([reading(0, 2), reading(3, 1.5, { limitMm: 1.6 })])[0]).toMatchObject({
      hoursLeft: 0,
      limitMm: 1.6,
    });
    expect(wearOf([reading(0, 2)])[0]!.rateMmPerHour).toBeUndefined();
    expect(wearOf([])).toEqual([]);
  });
});
