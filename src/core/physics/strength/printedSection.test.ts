import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { sectionPrinted } from './printedSection';
import { sectionPrintedSchema } from './printedSection.schema';
import type { PrintedSectionInput } from './printedSectionDefinition';

const section = (input: object) => sectionPrinted(parse(sectionPrintedSchema, input));
const material = {
  densityGPerCm3: 1.24,
  modulusMpa: 2500,
  modulusRatio: 0.8,
  poisson: 0.35,
  inPlaneStrengthMpa: 50,
  interlayerStrengthMpa: 20,
  interlayerShearMpa: 18,
};
// 20 × 10 mm, three lines of 0.4 mm on the sides, four layers of 0.2 mm on top and below, a quarter filled
const bar: PrintedSectionInput = {
  widthMm: 20,
  heightMm: 10,
  settings: { perimeters: 3, infillPct: 25 },
  layers: 'along',
  material,
  load: { momentXNmm: 1000 },
};
const solidly = { ...bar, settings: { perimeters: 30, infillPct: 25 } };

describe('section.printed', () => {
  it('is a wall round a core: sizes, stiffness, mass and stress by hand', () => {
    const found = section({ ...bar, lengthMm: 80 });
    // core 17.6 × 8.4 mm, n = 0.25^1.5 = 0.125
    const core = 17.6 * 8.4;
    expect(found).toMatchObject({ wallXMm: expect.closeTo(1.2, 9), wallYMm: expect.closeTo(0.8, 9) });
    expect(found.coreMm2).toBeCloseTo(core, 9);
    expect(found.shellMm2).toBeCloseTo(200 - core, 9);
    expect(found.modularRatio).toBeCloseTo(0.125, 12);
    const [outer, inner] = [(20 * 1000) / 12, (17.6 * 8.4 ** 3) / 12];
    const eiX = 2500 * (outer - 0.875 * inner);
    expect(found.eiXNmm2).toBeCloseTo(eiX, 6);
    expect(found.shellStressMpa).toBeCloseTo((1000 * 5 * 2500) / eiX, 9);
    expect(found.coreStressMpa).toBeCloseTo((0.125 * 1000 * 4.2 * 2500) / eiX, 9);
    expect(found.margins.shellDirect).toBeCloseTo(50 / found.shellStressMpa, 9);
    expect(found.margins.coreDirect).toBeCloseTo((0.125 * 50) / found.coreStressMpa!, 9);
    expect(found.limitedBy).toBe('shellDirect');
    expect(found.massGPerM).toBeCloseTo(1.24 * (200 - core + 0.25 * core), 9);
    expect(found.massG).toBeCloseTo(0.08 * found.massGPerM, 9);
  });

  it('without a core is the solid bar of the textbooks', () => {
    const found = section({
      ...solidly,
      load: { momentXNmm: 1000, momentYNmm: 500, axialN: 60, shearYN: 40, torqueNmm: 300 },
    });
    expect(found).not.toHaveProperty('modularRatio');
    expect(found.coreMm2).toBe(0);
    expect(found.shellStressMpa).toBeCloseTo(6000 / (20 * 100) + 3000 / (10 * 400) + 60 / 200, 9);
    // 1.5·V/A and Shigley's (3 + 1.8·c/a)/(a·c²)
    expect(found.shellShearMpa).toBeCloseTo(60 / 200 + (300 * (3 + 0.9)) / (20 * 100), 9);
    // force along the build axis and torsion part the layers
    expect(found.margins.shellShear).toBeCloseTo(18 / found.shellShearMpa, 9);
    expect(found.smear.fill).toBe(1);
    expect(found.smear.marginRatio).toBeCloseTo(1, 9);
  });

  it('with walls of the build axis the other way round turns its walls, and its shear across the build axis runs in a layer', () => {
    const turned = section({ ...bar, buildAxis: 'x', load: { shearYN: 40 } });
    expect([turned.wallXMm, turned.wallYMm]).toEqual([expect.closeTo(0.8, 9), expect.closeTo(1.2, 9)]);
    expect(turned.margins.shellShear).toBeCloseTo(50 / Math.sqrt(3) / turned.shellShearMpa, 9);
    const across = section({ ...bar, layers: 'across', load: { shearYN: 40, momentXNmm: 1000 } });
    expect([across.wallXMm, across.wallYMm]).toEqual([expect.closeTo(1.2, 9), expect.closeTo(1.2, 9)]);
    expect(across.allowable.directMpa).toBe(20);
    expect(across.eiXNmm2).toBeCloseTo(2000 * ((20 * 1000) / 12 - 0.875 * ((17.6 * 7.6 ** 3) / 12)), 6);
  });

  it('carries its whole shear: the flow over the height adds up to the force, and is what it says in the middle', () => {
    const found = section({ ...bar, load: { shearYN: 40 } });
    const [E, Ec] = [2500, 0.125 * 2500];
    const staticMoment = (y: number) => {
      const wide = (E * 20 * (25 - y * y)) / 2;
      const gap = Math.max(0, 4.2 ** 2 - y * y);
      return wide - ((E - Ec) * 17.6 * gap) / 2;
    };
    let total = 0;
    const step = 0.001;
    for (let y = -5 + step / 2; y < 5; y += step) total += (40 * staticMoment(y) * step) / found.eiXNmm2;
    expect(total).toBeCloseTo(40, 3);
    const middle = (40 * staticMoment(0)) / found.eiXNmm2 / (2.4 + 0.125 * 17.6);
    expect(found.shellShearMpa).toBeCloseTo(middle, 9);
    expect(found.coreShearMpa).toBeCloseTo(0.125 * middle, 9);
  });

  it('twists shell and core by the same angle', () => {
    const found = section({ ...bar, load: { torqueNmm: 300 } });
    const [across, tall] = [18.8, 9.2];
    const shellJ = (2 * across ** 2 * tall ** 2) / (tall / 1.2 + across / 0.8);
    const shear = 2500 / 2.7;
    const coreJ = (found.gjNmm2 / shear - shellJ) / 0.125;
    // a rectangle of 17.6 × 8.4 mm: β·a·c³ with β of Timoshenko’s table for 2.1 : 1, 0.233
    expect(coreJ / (0.2335 * 17.6 * 8.4 ** 3)).toBeCloseTo(1, 2);
    const ofShell = found.shellShearMpa * 2 * across * tall * 0.8;
    const ofCore = (found.coreShearMpa! * 17.6 * 8.4 ** 2) / (3 + (1.8 * 8.4) / 17.6);
    expect(ofShell + ofCore).toBeCloseTo(300, 6);
    expect(ofShell / shellJ).toBeCloseTo(ofCore / (0.125 * coreJ), 6);
  });

  it('hollow has walls alone, and two strips where a pair of walls is missing', () => {
    const hollow = section({ ...bar, settings: { perimeters: 3, infillPct: 0 }, load: { torqueNmm: 300 } });
    expect(hollow).not.toHaveProperty('coreShearMpa');
    expect(hollow.shellShearMpa).toBeCloseTo(300 / (2 * 18.8 * 9.2 * 0.8), 9);
    const strips = section({
      ...bar,
      settings: { perimeters: 3, topBottomLayers: 0, infillPct: 25 },
      load: { torqueNmm: 300, shearXN: 5 },
    });
    const stripsJ = (2 / 3) * 10 * 1.2 ** 3;
    // no wall crosses the middle of a force along the width: the core alone carries it there
    expect(strips.margins.coreShear).toBeDefined();
    expect(strips.gjNmm2).toBeGreaterThan((2500 / 2.7) * stripsJ);
  });

  it('stands between the hollow and the solid bar, and nearer the solid one the fuller it is', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 99, noNaN: true }),
        fc.double({ min: -2000, max: 2000, noNaN: true }),
        fc.double({ min: -300, max: 300, noNaN: true }),
        (infillPct, momentXNmm, torqueNmm) => {
          const at = (pct: number) =>
            section({
              ...bar,
              settings: { perimeters: 2, infillPct: pct },
              load: { momentXNmm, torqueNmm, axialN: 5 },
            });
          const [less, more] = [at(infillPct), at(infillPct + 1)];
          expect(more.eiXNmm2).toBeGreaterThan(less.eiXNmm2);
          expect(more.gjNmm2).toBeGreaterThan(less.gjNmm2);
          expect(more.shellStressMpa).toBeLessThan(less.shellStressMpa);
          expect(more.massGPerM).toBeGreaterThan(less.massGPerM);
          expect(less.shellStressMpa).toBeGreaterThanOrEqual(less.coreStressMpa!);
        },
      ),
      { numRuns: 60, seed: 3117 },
    ));

  it('says what the smeared bar says of the same load: walls on the outside are worth more than their mass', () => {
    const { smear, margin } = section(bar);
    const fill = (200 - 0.75 * 17.6 * 8.4) / 200;
    expect(smear.fill).toBeCloseTo(fill, 9);
    expect(smear.margin).toBeCloseTo((fill ** 1.5 * 50) / (6000 / 2000), 9);
    expect(smear.marginRatio).toBeCloseTo(smear.margin! / margin!, 9);
    expect(smear.marginRatio).toBeLessThan(1);
  });

  it('softens with warmth, and tells no margin where nothing acts', () => {
    const warm = section({ ...bar, material: { ...material, softeningC: 60 }, temperatureC: 41.5 });
    expect(warm.margin! / section(bar).margin!).toBeCloseTo(0.5, 9);
    const idle = section({ ...bar, load: {} });
    expect(idle).not.toHaveProperty('margin');
    expect(idle.margins).toEqual({});
    expect(idle.notes).toHaveLength(1);
  });

  it('finds the lightest of all combinations that hold, as trying each one does', () => {
    const search = {
      margin: 12,
      perimeters: [1, 2, 3],
      infillPct: { from: 10, to: 50, step: 20 },
      heightMm: [8, 10, 12],
    };
    const found = section({ ...bar, search });
    const each = [1, 2, 3].flatMap((perimeters) =>
      [10, 30, 50].flatMap((infillPct) =>
        [8, 10, 12].map((heightMm) => ({
          perimeters,
          infillPct,
          heightMm,
          ...section({ ...bar, heightMm, settings: { perimeters, infillPct } }),
        })),
      ),
    );
    const holding = each.filter(({ margin }) => margin! >= 12);
    expect(found.tried).toBe(27);
    expect(found.enough).toBe(holding.length);
    expect(holding.length).toBeGreaterThan(2);
    const least = holding.reduce((a, b) => (b.massGPerM < a.massGPerM ? b : a));
    const { perimeters, infillPct, heightMm, margin } = least;
    expect(found.lightest).toMatchObject({ perimeters, infillPct, heightMm, margin });
    const none = section({ ...bar, search: { ...search, margin: 1e6 } });
    expect(none).not.toHaveProperty('lightest');
    expect(none.notes).toHaveLength(1);
  });

  it.each([
    ['buildAxis', { ...bar, layers: 'across', buildAxis: 'y' }],
    ['settings.infillPct', { ...bar, settings: { perimeters: 0, infillPct: 0 } }],
    // a core too thin to carry anything is none
    ['settings.infillPct', { ...bar, settings: { perimeters: 0, infillPct: 1e-6 } }],
    ['settings.perimeters', { ...bar, settings: { perimeters: 1.5, infillPct: 20 } }],
    ['material.densityGPerCm3', { ...bar, material: { ...material, densityGPerCm3: undefined } }],
    ['core.modulusExponent', { ...bar, core: { modulusExponent: 4 } }],
    [
      'search',
      {
        ...bar,
        search: {
          margin: 2,
          perimeters: [1],
          infillPct: { from: 0, to: 100, step: 0.001 },
          heightMm: [8, 9, 10],
        },
      },
    ],
    [
      'search.perimeters.0',
      { ...bar, search: { margin: 2, perimeters: [1.5], infillPct: [20], heightMm: [8] } },
    ],
  ])('refuses at %s', (path, input) => expect(refusalOf(() => section(input)).path).toBe(path));
});
