import { CalcError } from '../../base/errors';
import { printCalibrate } from './calibrate';
import { fitCoupon } from './coupon';
import { type EstimateInput, printEstimate } from './estimate';

describe('an estimate', () => {
  // a cube of 20 mm: volume 8000, area 2400, faces up and down 800
  const cube: EstimateInput = {
    volumeMm3: 8000,
    areaMm2: 2400,
    horizontalAreaMm2: 800,
    heightMm: 20,
    settings: {
      layerMm: 0.2,
      lineWidthMm: 0.4,
      perimeters: 3,
      topBottomLayers: 4,
      infillPct: 25,
      speedMmps: 60,
      maxFlowMm3ps: 10,
    },
    material: { densityGPerCm3: 1.25, pricePerKg: 20 },
  };

  it('is shell and infill at the flow of the speed', () => {
    const shell = 1600 * 1.2 + 800 * 0.8;
    const plastic = shell + 0.25 * (8000 - shell);
    const found = printEstimate(cube);
    expect(found.plasticMm3).toBeCloseTo(plastic, 9);
    expect(found.layers).toBe(100);
    expect(found.massG).toBeCloseTo((plastic / 1000) * 1.25, 9);
    expect(found.timeS).toBeCloseTo(plastic / (0.2 * 0.4 * 60 * 0.8) + 400, 9);
    expect(found.cost).toBeCloseTo(((plastic / 1000) * 1.25 * 20) / 1000, 12);
    expect(found.effectiveFill).toBeCloseTo(plastic / 8000, 12);
  });

  it('is held by the hot end, and no shell is more than the part', () => {
    const fast = printEstimate({ ...cube, settings: { ...cube.settings, speedMmps: 500, perimeters: 50 } });
    expect(fast.plasticMm3).toBe(8000);
    expect(fast.timeS).toBeCloseTo(8000 / 8 + 400, 9);
  });

  it('takes three tenths of the surface as level where nothing is said, and a calibration as a factor', () => {
    const { horizontalAreaMm2: _, ...unsaid } = cube;
    expect(printEstimate({ ...unsaid, calibration: 1.2 }).timeS).toBeCloseTo(
      1.2 * printEstimate({ ...cube, horizontalAreaMm2: 720 }).timeS,
      9,
    );
  });
});

test('finished prints calibrate by their median', () => {
  const found = printCalibrate({
    prints: [
      { estimateS: 1000, actualS: 1100 },
      { estimateS: 1000, actualS: 1200 },
      { estimateS: 1000, actualS: 3000 },
      { estimateS: 500, actualS: 650 },
    ],
  });
  expect(found.calibration).toBeCloseTo(1.25, 12);
  // deviations 0.15, 0.05, 1.75, 0.05: median 0.1
  expect(found.spreadPct).toBeCloseTo(8, 9);
});

describe('a coupon', () => {
  // textbook line through (1, 1.1), (2, 1.9), (3, 3.2), (4, 3.8): slope 0.94, offset 0.15, SSE 0.082
  const samples = (
    [
      [1, 1.1],
      [2, 1.9],
      [3, 3.2],
      [4, 3.8],
    ] as const
  ).map(([nominalMm, measuredMm]) => ({ kind: 'hole' as const, nominalMm, measuredMm }));

  it('is the least-squares line with its errors', () => {
    const { hole } = fitCoupon({ samples }).lines;
    expect(hole!.slope).toBeCloseTo(0.94, 12);
    expect(hole!.offsetMm).toBeCloseTo(0.15, 12);
    expect(hole!.residualMm).toBeCloseTo(Math.sqrt(0.082 / 2), 12);
    expect(hole!.standardErrorSlope).toBeCloseTo(Math.sqrt(0.041 / 5), 12);
    expect(hole!.standardErrorOffsetMm).toBeCloseTo(Math.sqrt(0.041 * (1 / 4 + 2.5 ** 2 / 5)), 12);
  });

  it('draws a hole so that it comes out with its allowance', () => {
    const { drawn, notes } = fitCoupon({
      samples,
      want: [
        { kind: 'hole', actualMm: 3, fit: 'running' },
        { kind: 'hole', actualMm: 6, fit: 'press' },
      ],
    });
    expect(drawn[0]!.targetMm).toBeCloseTo(3.2, 12);
    expect(drawn[0]!.drawMm).toBeCloseTo((3.2 - 0.15) / 0.94, 12);
    expect(drawn[0]!.drawErrorMm).toBeCloseTo(
      (Math.sqrt(0.041) / 0.94) * Math.sqrt(1 / 4 + (drawn[0]!.drawMm - 2.5) ** 2 / 5),
      12,
    );
    expect(notes).toHaveLength(1);
  });

  it('knows a shift alone from one size, and which gap comes free', () => {
    const found = fitCoupon({
      samples: [
        { kind: 'peg', nominalMm: 5, measuredMm: 5.1 },
        { kind: 'peg', nominalMm: 5, measuredMm: 5.2 },
      ],
      want: [{ kind: 'peg', actualMm: 5, fit: 'snug' }],
      gaps: [
        { gapMm: 0.1, freed: false },
        { gapMm: 0.2, freed: true },
        { gapMm: 0.3, freed: false },
        { gapMm: 0.4, freed: true },
      ],
    });
    expect(found.lines.peg).toEqual({ n: 2, offsetMm: expect.closeTo(0.15, 12), slope: 1 });
    expect(found.drawn[0]!.drawMm).toBeCloseTo(4.95 - 0.15, 12);
    expect(found.gaps).toEqual({ smallestFreedMm: 0.2, largestFusedMm: 0.3, useMm: 0.4 });
    expect(() => fitCoupon({ samples, want: [{ kind: 'peg', actualMm: 5, fit: 'snug' }] })).toThrow(
      CalcError,
    );
  });
});
