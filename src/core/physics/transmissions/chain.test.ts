import { parse } from '../../base/schema/parse';
import { type ChainInput, chainLength } from './chain';
import { chainLengthSchema } from './chain.schema';

const chain = (input: object) => chainLength(parse(chainLengthSchema, input) as ChainInput);
const refusedAt = (input: object) => {
  try {
    chain(input);
    return undefined;
  } catch (error) {
    return (error as { refused: { path: string } }).refused.path;
  }
};
const base = { pitchMm: 9.525, smallTeeth: 13, largeTeeth: 40 };

describe('a roller chain on two sprockets', () => {
  it('is even, and its centres give the links back by the standard’s own formula', () => {
    const { links, centreDistanceMm, exactLinks, centreErrorMm } = chain({ ...base, centreDistanceMm: 200 });
    // 2·200/9.525 + 26.5 + (27/2π)²·9.525/200 = 41.995 + 26.5 + 0.879
    expect(exactLinks).toBeCloseTo(69.374, 3);
    expect(links).toBe(70);
    expect(centreErrorMm).toBeCloseTo(centreDistanceMm - 200, 12);
    const back =
      (2 * centreDistanceMm) / 9.525 + 26.5 + ((27 / (2 * Math.PI)) ** 2 * 9.525) / centreDistanceMm;
    expect(back).toBeCloseTo(70, 9);
    expect(chain({ ...base, links: 70 }).centreDistanceMm).toBeCloseTo(centreDistanceMm, 12);
    // equal sprockets: the chain is two spans and one turn of teeth
    expect(chain({ pitchMm: 8, smallTeeth: 20, largeTeeth: 20, links: 60 }).centreDistanceMm).toBeCloseTo(
      160,
      9,
    );
  });

  it('runs round chords: pitch circle, speed, and how it falls between corner and side', () => {
    const { pitchDiametersMm, ratio, chainMps, speedVariationPct } = chain({
      ...base,
      links: 70,
      speedRpm: 3000,
    });
    expect(pitchDiametersMm[0]).toBeCloseTo(9.525 / Math.sin(Math.PI / 13), 9);
    expect(ratio).toBeCloseTo(40 / 13, 12);
    expect(chainMps).toBeCloseTo((0.009525 * 13 * 3000) / 60, 9);
    // Shigley 17-35 for 13 teeth: π/13·(1/sin 13.846° − 1/tan 13.846°) = 2.93 %
    expect(speedVariationPct[0]).toBeCloseTo(2.93, 2);
    expect(speedVariationPct[1]).toBeLessThan(0.4);
    expect(chain({ ...base, links: 70, speedRpm: 3000, driver: 'large' }).chainMps / chainMps).toBeCloseTo(
      40 / 13,
      9,
    );
  });

  it('takes two links more where the sprockets would touch, and refuses what cannot be', () => {
    const leastMm = (9.525 / Math.sin(Math.PI / 13) + 9.525 / Math.sin(Math.PI / 40)) / 2;
    const near = chain({ ...base, centreDistanceMm: leastMm + 0.01 });
    expect(near.centreDistanceMm).toBeGreaterThan(leastMm);
    expect(near.links % 2).toBe(0);
    expect(refusedAt({ ...base, centreDistanceMm: leastMm })).toBe('centreDistanceMm');
    expect(refusedAt({ ...base, links: 40 })).toBe('links');
    expect(refusedAt({ ...base, links: 71 })).toBe('links');
    expect(refusedAt({ ...base })).toBe('links');
    expect(refusedAt({ ...base, links: 70, centreDistanceMm: 200 })).toBe('links');
    expect(refusedAt({ ...base, smallTeeth: 41, links: 70 })).toBe('smallTeeth');
    expect(refusedAt({ ...base, smallTeeth: 5, links: 70 })).toBe('smallTeeth');
  });
});
