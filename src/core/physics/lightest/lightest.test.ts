import { CalcError } from '../../base/errors';
import { beamCheck } from '../strength/beam';
import { columnCheck } from '../strength/column';
import { partLightest } from './lightest';
import type { PartLightestInput } from './lightestDefinition';
import { sectionProperties } from '../strength/section';

const petg = {
  densityGPerCm3: 1.27,
  modulusMpa: 2000,
  modulusRatio: 0.9,
  inPlaneStrengthMpa: 50,
  interlayerStrengthMpa: 30,
  interlayerShearMpa: 22,
  softeningC: 73,
};
const nylon = {
  ...petg,
  densityGPerCm3: 1.08,
  modulusMpa: 1400,
  inPlaneStrengthMpa: 60,
  interlayerStrengthMpa: 45,
};
const arm: PartLightestInput = {
  support: 'cantilever',
  lengthMm: 100,
  cases: [{ name: 'landing', forceN: 50, direction: [0, 3] }],
  materials: [{ id: 'petg', material: petg }],
  layers: ['along'],
  sections: [{ shape: 'rectangle', widthMm: 10, heightMm: { from: 5, to: 20, step: 1 } }],
};
const part = (input: Partial<PartLightestInput>) => partLightest({ ...arm, ...input });
const refused = (input: Partial<PartLightestInput>) => {
  try {
    part(input);
  } catch (error) {
    if (error instanceof CalcError) return error.path;
    throw error;
  }
  return undefined;
};

describe('the lightest part', () => {
  it('is by hand: 5,000 N mm at half of 50 MPa ask for 200 mm³, so 10 by 11 mm', () => {
    const { best, tried, enough, skipped } = part({});
    expect(best).toMatchObject({
      section: { shape: 'rectangle', widthMm: 10, heightMm: 11 },
      massG: expect.closeTo(1.27 * 11, 9),
      margin: expect.closeTo((50 * (10 * 121)) / 6 / 5000, 9),
      limitedBy: { case: 'landing', by: 'bending' },
    });
    expect([tried, enough, skipped]).toEqual([16, 10, 0]);
    // the weak way takes 5/3 of the section modulus: 14.1 mm
    expect(part({ layers: ['across'] }).best!.section).toMatchObject({ heightMm: 15 });
  });

  it('is stiff enough where that is asked: F·L³/(3·E·I)', () => {
    const { best } = part({ deflectionMaxMm: 4 });
    // I ≥ 50·10⁶/(3·2000·4) = 2,083 mm⁴: 13.6 mm high
    expect(best).toMatchObject({ section: { heightMm: 14 }, limitedBy: { by: 'deflection' } });
    expect(best!.limitedBy.ratio).toBeCloseTo((4 * 3 * 2000 * ((10 * 14 ** 3) / 12)) / (50 * 100 ** 3), 9);
  });

  it('holds every one of many loads, as trying each with beam and column tells', () => {
    const input: PartLightestInput = {
      ...arm,
      support: 'simple',
      cases: [
        { name: 'landing', forceN: 90, direction: [0, 1], atMm: 30 },
        { name: 'side', forceN: 40, direction: [-2, 0], temperatureC: 50 },
        { name: 'kerb', forceN: 0, direction: [1, 0], axialN: -600 },
      ],
      materials: [
        { id: 'petg', material: petg },
        { id: 'nylon', material: nylon },
      ],
      layers: ['along', 'across'],
      sections: [
        { shape: 'box', widthMm: [8, 10, 12], heightMm: { from: 6, to: 14, step: 2 }, wallMm: [1.2, 2, 4] },
        { shape: 'round', diameterMm: { from: 6, to: 16, step: 1 } },
        { shape: 'iBeam', widthMm: [8, 12], heightMm: [10, 14], webMm: 2, flangeMm: [2, 3] },
      ],
    };
    const found = partLightest(input);
    let lightest = Infinity;
    let enough = 0;
    const sections = [
      ...[8, 10, 12].flatMap((widthMm) =>
        [6, 8, 10, 12, 14].flatMap((heightMm) =>
          [1.2, 2, 4].map((wallMm) => ({ shape: 'box', widthMm, heightMm, wallMm }) as const),
        ),
      ),
      ...Array.from({ length: 11 }, (_, k) => ({ shape: 'round', diameterMm: 6 + k }) as const),
      ...[8, 12].flatMap((widthMm) =>
        [10, 14].flatMap((heightMm) =>
          [2, 3].map((flangeMm) => ({ shape: 'iBeam', widthMm, heightMm, webMm: 2, flangeMm }) as const),
        ),
      ),
    ];
    for (const [material, density] of [
      [petg, 1.27],
      [nylon, 1.08],
    ] as const)
      for (const layers of ['along', 'across'] as const)
        for (const section of sections) {
          try {
            const of = (forceN: number, bendingAbout: 'x' | 'y', atMm?: number, temperatureC = 23) =>
              beamCheck({
                support: 'simple',
                lengthMm: 100,
                load: { forceN, ...(atMm === undefined ? {} : { atMm }) },
                section,
                bendingAbout,
                material,
                layers,
                temperatureC,
              }).margin!;
            const pushed = columnCheck({
              lengthMm: 100,
              section,
              material,
              ends: 'pinned',
              layers,
              forceN: 600,
            }).margin;
            const { areaMm2 } = sectionProperties({ section });
            const allowable =
              layers === 'along' ? material.inPlaneStrengthMpa : material.interlayerStrengthMpa;
            const margin = Math.min(
              of(90, 'x', 30),
              of(40, 'y', undefined, 50),
              pushed,
              (allowable * areaMm2) / 600,
            );
            if (margin < 2) continue;
            enough++;
            lightest = Math.min(lightest, (density * areaMm2 * 100) / 1000);
          } catch (error) {
            if (!(error instanceof CalcError)) throw error;
          }
        }
    expect(found.enough).toBe(enough);
    expect(found.best!.massG).toBeCloseTo(lightest, 9);
    // walls of 4 leave no hollow in boxes 6 or 8 high (three widths each), nor in the three higher ones 8 wide
    expect(found.skipped).toBe(4 * 9);
    const masses = found.alternatives!.map(({ massG }) => massG);
    expect(masses).toEqual([...masses].sort((a, b) => a - b));
    expect(
      new Set(
        found.alternatives!.map(({ material, layers, section }) => `${material}${layers}${section.shape}`),
      ).size,
    ).toBe(masses.length);
    expect(found.loadCases!.map(({ name }) => name)).toEqual(['landing', 'side', 'kerb']);
    expect(Math.min(...found.loadCases!.map(({ margin }) => margin!))).toBeCloseTo(found.best!.margin!, 9);
  });

  it('bends a round bar by both forces at once, and says what comes nearest where none holds', () => {
    const slanted = part({
      cases: [{ name: 'both', forceN: 50, direction: [1, 1] }],
      sections: [{ shape: 'round', diameterMm: [12.6, 12.7, 12.8] }],
    });
    // √(M_x² + M_y²) is M whatever its direction: π·d³/32 ≥ 200 at 12.68
    expect(slanted.best!.section).toMatchObject({ diameterMm: 12.7 });
    const none = part({ sections: [{ shape: 'round', diameterMm: [4, 8] }] });
    expect(none.best).toBeUndefined();
    expect(none.closest!.section).toMatchObject({ diameterMm: 8 });
    expect(none.notes).toHaveLength(1);
  });

  it('names what is missing or too much', () => {
    expect(refused({ cases: [{ name: 'none', forceN: 0, direction: [1, 0] }] })).toBe('cases');
    expect(refused({ cases: [{ name: 'far', forceN: 5, direction: [1, 0], atMm: 120 }] })).toBe(
      'cases.0.atMm',
    );
    expect(refused({ cases: [{ name: 'where', forceN: 5, direction: [0, 0] }] })).toBe('cases.0.direction');
    const many = { from: 1, to: 100, step: 0.1 };
    expect(refused({ sections: [{ shape: 'rectangle', widthMm: many, heightMm: many }] })).toBe('sections');
  });
});
