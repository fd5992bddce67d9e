import fc from 'fast-check';
import { wholePercents } from './wholePercents';

it('gives thirds 34, 33 and 33, and a sixth with its half what is theirs', () => {
  expect(wholePercents([1 / 3, 1 / 3, 1 / 3])).toEqual([34, 33, 33]);
  expect(wholePercents([0.5, 1 / 6, 1 / 3])).toEqual([50, 17, 33]);
  expect(wholePercents([1])).toEqual([100]);
});

it('adds up to 100 and is never a whole per cent off', () => {
  const weights = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 40 });
  fc.assert(
    fc.property(
      weights.filter((list) => list.some((one) => one > 1e-6)),
      (list) => {
        const total = list.reduce((sum, one) => sum + one, 0);
        const shares = list.map((one) => one / total);
        const whole = wholePercents(shares);
        expect(whole.reduce((sum, one) => sum + one, 0)).toBe(100);
        for (const [at, one] of whole.entries()) expect(Math.abs(one - 100 * shares[at]!)).toBeLessThan(1);
      },
    ),
    { seed: 5 },
  );
});
