import { shearPeak } from './shearPeak';

describe('the largest shear stress for each newton', () => {
  it('is 3/2 over the area of a rectangle, 4/3 of a disc, 2 of a thin tube', () => {
    expect(shearPeak({ shape: 'rectangle', widthMm: 12, heightMm: 5 }, 'y')).toBeCloseTo(1.5 / 60, 12);
    expect(shearPeak({ shape: 'rectangle', widthMm: 12, heightMm: 5 }, 'x')).toBeCloseTo(1.5 / 60, 12);
    expect(shearPeak({ shape: 'round', diameterMm: 10 }, 'y')).toBeCloseTo(4 / 3 / (25 * Math.PI), 12);
    const thin = { shape: 'tube', diameterMm: 100, boreMm: 99.8 } as const;
    expect(shearPeak(thin, 'x') * ((Math.PI / 4) * (100 ** 2 - 99.8 ** 2))).toBeCloseTo(2, 2);
  });
  it('of a flanged beam is that of its web, which bears nearly all: Gere’s figures by hand', () => {
    // flanges of 165 × 7.5 outside a web of 7.5, 320 high in all
    const beam = { shape: 'iBeam', widthMm: 165, heightMm: 320, webMm: 7.5, flangeMm: 15 } as const;
    const inertia = (165 * 320 ** 3 - 165 * 290 ** 3 + 7.5 * 290 ** 3) / 12;
    const moment = (165 * (320 ** 2 - 290 ** 2) + 7.5 * 290 ** 2) / 8;
    expect(shearPeak(beam, 'y')).toBeCloseTo(moment / (inertia * 7.5), 12);
    // sideways both flanges together are a rectangle of twice their height, beside the web
    const aside = (30 * 165 ** 3 + 290 * 7.5 ** 3) / 12;
    expect(shearPeak(beam, 'x')).toBeCloseTo((30 * (165 ** 2 - 7.5 ** 2)) / 8 / (aside * 30), 6);
  });
  it('of a tee and a channel lies where the moment of what is beyond is the largest', () => {
    // 100 × 10 on a web of 10 × 90: neutral axis 71.3 over its foot
    const tee = { shape: 'tee', widthMm: 100, heightMm: 100, webMm: 10, flangeMm: 10 } as const;
    const neutral = (1000 * 95 + 900 * 45) / 1900;
    const inertia =
      (100 * 10 ** 3) / 12 + 1000 * (95 - neutral) ** 2 + (10 * 90 ** 3) / 12 + 900 * (45 - neutral) ** 2;
    expect(shearPeak(tee, 'y')).toBeCloseTo((10 * neutral ** 2) / 2 / (inertia * 10), 12);
    const channel = { shape: 'channel', widthMm: 40, heightMm: 100, webMm: 6, flangeMm: 8 } as const;
    const tall = (40 * 100 ** 3 - 34 * 84 ** 3) / 12;
    expect(shearPeak(channel, 'y')).toBeCloseTo(
      (40 * (100 ** 2 - 84 ** 2) + 6 * 84 ** 2) / 8 / (tall * 6),
      12,
    );
  });
  it('gives the force back when it is summed over the height, with and without a core', () => {
    const box = { shape: 'box', widthMm: 20, heightMm: 30, wallMm: 4 } as const;
    // the middle of each wall counts a fifth, 1 mm of plastic on both its faces whole
    const core = { shape: 'box', widthMm: 18, heightMm: 28, wallMm: 2 } as const;
    const width = (y: number) => {
      const out = Math.abs(y);
      return (out < 11 ? 8 : 20) - 0.8 * (out < 12 ? 4 : out < 14 ? 18 : 0);
    };
    const steps = 60_000;
    const dy = 30 / steps;
    const ys = Array.from({ length: steps }, (_, k) => -15 + (k + 0.5) * dy);
    const inertia = ys.reduce((sum, y) => sum + width(y) * y * y * dy, 0);
    const moment = ys.filter((y) => y > 0).reduce((sum, y) => sum + width(y) * y * dy, 0);
    expect(shearPeak(box, 'y', { section: core, share: 0.2 })).toBeCloseTo(moment / (inertia * width(0)), 6);
    expect(shearPeak(box, 'y', { section: core, share: 1 })).toBeCloseTo(shearPeak(box, 'y'), 12);
    const tube = { shape: 'tube', diameterMm: 20, boreMm: 8 } as const;
    const ring = { shape: 'tube', diameterMm: 18, boreMm: 10 } as const;
    expect(shearPeak(tube, 'y', { section: ring, share: 0.3 })).toBeGreaterThan(shearPeak(tube, 'y'));
  });
});
