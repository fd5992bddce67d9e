import fc from 'fast-check';
import { fatigueLeft } from './fatigue';

describe('a load that comes again and again', () => {
  it('takes nothing the first time, and a tenth of the strength with every tenfold', () => {
    expect(fatigueLeft({ times: 1 })).toEqual({ left: 1, low: 1, high: 1, notch: 1 });
    const { left, low, high } = fatigueLeft({ times: 1e4 });
    expect(left).toBeCloseTo(0.6, 12);
    expect(low).toBeCloseTo(1 - 4 * 0.14, 12);
    expect(high).toBeCloseTo(1 - 4 * 0.07, 12);
  });

  it('counts a hole as a whole from a million on: Heywood’s 2 + (1 − d/w)³, half of it in what gives way', () => {
    // a third of the width: 2 + (2/3)³ = 2.296
    const brittle = fatigueLeft({ times: 1e6, holeShare: 1 / 3, strainAtBreakPct: 2 });
    expect(brittle.notch).toBeCloseTo(2.296296, 5);
    expect(brittle.left).toBeCloseTo(0.4 / 2.296296, 5);
    const tough = fatigueLeft({ times: 1e6, holeShare: 1 / 3, strainAtBreakPct: 12 });
    expect(tough.notch).toBeCloseTo(1.648148, 5);
    // a thousand times is half of the way on a scale of tenfolds
    expect(fatigueLeft({ times: 1e3, holeShare: 1 / 3 }).notch).toBeCloseTo(Math.sqrt(2.296296), 5);
    expect(fatigueLeft({ times: 1e6, across: true }).notch).toBeCloseTo(1.2, 9);
  });

  it('never leaves more after more, nor less than nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e9, noNaN: true }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 0.95, noNaN: true }),
        fc.boolean(),
        (times, more, holeShare, across) => {
          const [once, often] = [times, times * more].map((one) =>
            fatigueLeft({ times: one, holeShare, across }),
          );
          expect(often!.left).toBeLessThanOrEqual(once!.left + 1e-12);
          expect(often!.low).toBeLessThanOrEqual(often!.left);
          expect(often!.left).toBeLessThanOrEqual(often!.high);
          expect(often!.low).toBeGreaterThan(0);
        },
      ),
    );
  });
});
