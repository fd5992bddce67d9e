import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { wheelBalance } from './balance';
import { wheelBalanceSchema } from './balance.schema';

const pathOf = (work: () => unknown) => refusalOf(work).path;

describe('wheel.balance', () => {
  it('pulls with U·ω², by hand', () => {
    // 1 g at 40 mm and 30,000 rpm: 4e-5 kg m · 3141.6² = 394.8 N
    const found = wheelBalance(
      parse(wheelBalanceSchema, { massG: 50, imbalanceGmm: 40, rpm: 30_000, correctionRadiusMm: 20 }),
    );
    expect(found.forceN).toBeCloseTo(394.8, 1);
    expect(found.correctionG).toBe(2);
    expect(found.balanceQualityMmps).toBeCloseTo(0.8 * 1000 * Math.PI, 6);
    expect(wheelBalance({ massG: 50, eccentricityMm: 0.8, rpm: 30_000, correctionRadiusMm: 20 })).toEqual(
      found,
    );
    expect(pathOf(() => parse(wheelBalanceSchema, { massG: 50, rpm: 1, correctionRadiusMm: 1 }))).toBe(
      'imbalanceGmm',
    );
  });
});
