import { CalcError } from '../../base/errors';
import type { StrengthMaterial } from '../strength/allowable';
import type { FastenerShareInput, GroupScrew } from './definition';
import { fastenerShare } from './share';

const material: StrengthMaterial = {
  modulusMpa: 2000,
  inPlaneStrengthMpa: 40,
  interlayerStrengthMpa: 25,
  interlayerShearMpa: 20,
  softeningC: 73,
};
const screw = (id: string, xMm: number, yMm: number, more: Partial<GroupScrew> = {}): GroupScrew => ({
  id,
  xMm,
  yMm,
  diameterMm: 3,
  kind: 'screwInPlastic',
  engagementMm: 10,
  ...more,
});
const four = [screw('a', 75, 60), screw('b', 75, -60), screw('c', -75, -60), screw('d', -75, 60)];
const group = (input: Partial<FastenerShareInput>) =>
  fastenerShare({
    screws: four,
    thicknessMm: 5,
    load: { forceN: [0, -16_000, 0], atMm: [425, 0, 0] },
    material,
    layers: 'acrossAxis',
    ...input,
  });
const refused = (input: Partial<FastenerShareInput>) => {
  try {
    group(input);
  } catch (error) {
    if (error instanceof CalcError) return { path: error.path, code: error.refused.code };
    throw error;
  }
  return undefined;
};

describe('a group of screws', () => {
  it('shares an eccentric force as the textbook does (Shigley, example 8-7): 21.0 and 14.8 kN', () => {
    const { screws, polarMm4, centroidMm } = group({});
    expect(centroidMm).toEqual([0, 0]);
    expect(polarMm4).toBeCloseTo(4 * ((Math.PI * 9) / 4) * (75 ** 2 + 60 ** 2), 6);
    expect(screws.map(({ shearN }) => Math.round(shearN / 100) / 10)).toEqual([21, 21, 14.8, 14.8]);
    expect(screws.every(({ axialN }) => Math.abs(axialN) < 1e-9)).toBe(true);
  });

  it('balances any force with a moment, wherever it acts', () => {
    const screws = [
      screw('a', 0, 0),
      screw('b', 40, 5, { diameterMm: 4 }),
      screw('c', 12, 33, { diameterMm: 2.5 }),
    ];
    const load = { forceN: [30, -20, 55], atMm: [9, -14, 22], momentNmm: [100, 250, -400] } as const;
    const found = group({ screws, load: load as never }).screws;
    const sum = (of: (k: number) => number) => found.reduce((all, _, k) => all + of(k), 0);
    expect(sum((k) => found[k]!.shearXYN[0])).toBeCloseTo(30, 9);
    expect(sum((k) => found[k]!.shearXYN[1])).toBeCloseTo(-20, 9);
    expect(sum((k) => found[k]!.axialN)).toBeCloseTo(55, 9);
    // about the origin: r × F of the load and its moment
    expect(sum((k) => screws[k]!.yMm * found[k]!.axialN)).toBeCloseTo(-14 * 55 - 22 * -20 + 100, 6);
    expect(sum((k) => -screws[k]!.xMm * found[k]!.axialN)).toBeCloseTo(22 * 30 - 9 * 55 + 250, 6);
    expect(
      sum((k) => screws[k]!.xMm * found[k]!.shearXYN[1] - screws[k]!.yMm * found[k]!.shearXYN[0]),
    ).toBeCloseTo(9 * -20 - -14 * 30 - 400, 6);
  });

  it('is judged by hand: pulled out, pressed, and the screw itself', () => {
    const { screws, worst, failsBy, margin } = group({
      screws: [screw('a', 0, 0)],
      load: { forceN: [60, 0, 80], atMm: [0, 0, 0] },
    });
    const [one] = screws;
    // 20 MPa over π·3·10 mm²; 40 MPa over 3·5 mm² of the plate; M3: A_s = π/4·(3 − 0.9382·0.5)² = 5.03 mm²
    expect(one!.margins.pullOut).toBeCloseTo((20 * Math.PI * 30) / 80, 9);
    expect(one!.margins.bearing).toBeCloseTo(600 / 60, 9);
    const stress = (Math.PI / 4) * (3 - 0.4691) ** 2;
    expect(one!.margins.screw).toBeCloseTo(1 / Math.hypot(80 / (700 * stress), 60 / (420 * stress)), 9);
    expect([worst, failsBy, margin]).toEqual(['a', 'bearing', one!.margins.bearing]);
    // half of the strength is left half way to the softening: of the plastic, not of the screw
    const warm = group({
      screws: [screw('a', 0, 0)],
      load: { forceN: [60, 0, 80], atMm: [0, 0, 0] },
      temperatureC: 48,
    }).screws[0]!.margins;
    expect(warm.pullOut).toBeCloseTo(one!.margins.pullOut! / 2, 9);
    expect(warm.screw).toBe(one!.margins.screw);
  });

  it('of a plate that tilts on its edge pulls the far screws: M·d/Σd² by hand', () => {
    const plate = { minMm: [-10, -10], maxMm: [10, 10] } as const;
    const screws = [screw('near', 0, -6), screw('far', 0, 6)];
    const found = group({
      screws,
      plate,
      load: { forceN: [0, 0, 0], atMm: [0, 0, 0], momentNmm: [1000, 0, 0] },
    });
    // it presses on the edge at −10: 4 and 16 mm away
    expect(found.screws.map(({ axialN }) => axialN)).toEqual([
      expect.closeTo((1000 * 4) / (16 + 256), 9),
      expect.closeTo((1000 * 16) / (16 + 256), 9),
    ]);
    // without the plate two in a line carry only what tilts along it
    expect(
      group({ screws, load: { forceN: [0, 0, 0], atMm: [0, 0, 0], momentNmm: [1000, 0, 0] } }).screws[1]!
        .axialN,
    ).toBeCloseTo(1000 / 12, 9);
    expect(refused({ screws, load: { forceN: [0, 0, 10], atMm: [5, 0, 0] } })).toEqual({
      path: 'screws',
      code: 'fastener.tilts',
    });
  });

  it('says what is left when one is lost, the worst first', () => {
    const load = { forceN: [0, 0, 40], atMm: [0, 0, 0] } as const;
    const { loss, worstLoss, margin } = group({ load: load as never });
    expect(loss.every(({ held }) => held)).toBe(true);
    // of three the one across from the lost one carries nothing more and the two beside it half each
    expect(loss[0]!.margin).toBeCloseTo(margin! / 2, 6);
    expect(worstLoss).toBe('a');
    const pair = group({
      screws: [screw('a', -5, 0), screw('b', 5, 0), screw('c', 0, 8)],
      load: { forceN: [0, 0, 10], atMm: [0, 2, 0] },
    });
    expect(pair.loss.find(({ lost }) => lost === 'c')).toEqual({ lost: 'c', held: false });
    expect(pair.worstLoss).toBe('a');
    expect(group({ screws: [screw('a', 0, 0)], load: load as never }).loss).toEqual([]);
  });

  it('names the size that is missing, and what lies twice', () => {
    expect(refused({ screws: [screw('a', 0, 0, { diameterMm: 3.2, kind: 'throughBolt' })] })).toMatchObject({
      path: 'screws.0.washerDiameterMm',
    });
    expect(refused({ screws: [screw('a', 0, 0, { diameterMm: 3.2 })] })).toMatchObject({
      path: 'screws.0.stressAreaMm2',
    });
    expect(refused({ screws: [screw('a', 0, 0), screw('b', 0.005, 0)] })).toMatchObject({ path: 'screws.1' });
    expect(refused({ screws: [screw('a', 0, 0), screw('a', 9, 0)] })).toMatchObject({ path: 'screws.1.id' });
    expect(refused({ plate: { minMm: [0, 0], maxMm: [9, 9] } })).toMatchObject({ path: 'plate' });
    expect(
      refused({ screws: [screw('a', 0, 0)], load: { forceN: [10, 0, 0], atMm: [0, 5, 0] } }),
    ).toMatchObject({ path: 'screws' });
  });
});
