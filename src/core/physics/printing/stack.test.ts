import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { fitStack, type StackInput } from './stack';
import { fitStackSchema } from './stack.schema';

const stack = (input: StackInput) => fitStack(parse(fitStackSchema, input));

describe('fit.stack', () => {
  it('tilts a wheel until opposite edges of its bearings touch', () => {
    // 0.1 mm and 0.06 mm over 8 mm: the axle leans 0.08 in 8, at 40 mm 0.4 each way
    const { tiltDeg, rimPlayMm, chain } = stack({
      bearings: { spacingMm: 8, clearanceMm: [0.1, 0.06], radiusMm: 40 },
    });
    expect(tiltDeg).toBeCloseTo((Math.atan(0.01) * 180) / Math.PI, 12);
    expect(rimPlayMm).toBeCloseTo(0.8, 12);
    expect(chain).toBeUndefined();
    expect(
      stack({ bearings: { spacingMm: 16, clearanceMm: [0.1, 0.06], radiusMm: 40 } }).rimPlayMm,
    ).toBeCloseTo(0.4, 12);
  });

  it('adds a chain up, worst case and by root sum of squares', () => {
    expect(
      stack({
        chain: [
          { name: 'axle', nominalMm: 20, plusMinusMm: 0.3 },
          { name: 'spacer', nominalMm: -5, plusMinusMm: 0.4 },
        ],
      }).chain,
    ).toEqual({ nominalMm: 15, worstCaseMm: 0.7, rootSumSquareMm: 0.5 });
    expect(refusalOf(() => stack({})).given).toMatchObject({
      about: { peers: expect.arrayContaining(['bearings']) },
    });
    expect(
      refusalOf(() => stack({ bearings: { spacingMm: 0, clearanceMm: [0, 0], radiusMm: 1 } })).path,
    ).toBe('bearings.spacingMm');
  });
});
