import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { type Point2, type Section, sectionProperties } from './section';
import { sectionPropertiesSchema } from './strength.schema';

const of = (section: Section) => sectionProperties(parse(sectionPropertiesSchema, { section }));

describe('section.properties', () => {
  it('knows rectangle, round and tube in closed form', () => {
    expect(of({ shape: 'rectangle', widthMm: 6, heightMm: 10 })).toMatchObject({
      areaMm2: 60,
      centroidMm: [3, 5],
      ixMm4: expect.closeTo(500, 9),
      iyMm4: expect.closeTo(180, 9),
      ixyMm4: expect.closeTo(0, 9),
      sTopMm3: expect.closeTo(100, 9),
      sLeftMm3: expect.closeTo(60, 9),
    });
    const round = of({ shape: 'round', diameterMm: 8 });
    expect(round).toMatchObject({
      areaMm2: expect.closeTo(16 * Math.PI, 9),
      centroidMm: [0, 0],
      jMm4: expect.closeTo((Math.PI * 8 ** 4) / 32, 9),
    });
    const tube = of({ shape: 'tube', diameterMm: 8, boreMm: 6 });
    expect(tube.ixMm4).toBeCloseTo((Math.PI / 64) * (8 ** 4 - 6 ** 4), 9);
    // a square in torsion: 0.1406·a⁴ (Timoshenko)
    expect(of({ shape: 'rectangle', widthMm: 10, heightMm: 10 }).jMm4).toBeCloseTo(1405.77, 1);
    // a flat strip: b·t³/3·(1 − 0.63·t/b)
    expect(of({ shape: 'rectangle', widthMm: 100, heightMm: 2 }).jMm4).toBeCloseTo(
      ((100 * 8) / 3) * (1 - 0.63 * 0.02),
      1,
    );
  });

  it('takes hollow and flanged shapes apart into rectangles', () => {
    const box = of({ shape: 'box', widthMm: 20, heightMm: 30, wallMm: 2 });
    expect(box.areaMm2).toBeCloseTo(600 - 16 * 26, 9);
    expect(box.ixMm4).toBeCloseTo((20 * 30 ** 3 - 16 * 26 ** 3) / 12, 6);
    // Bredt on the middle line of 18 × 28
    expect(box.jMm4).toBeCloseTo((4 * (18 * 28) ** 2 * 2) / (2 * (18 + 28)), 6);
    const i = of({ shape: 'iBeam', widthMm: 20, heightMm: 30, webMm: 3, flangeMm: 4 });
    expect(i.ixMm4).toBeCloseTo((20 * 30 ** 3 - 17 * 22 ** 3) / 12, 6);
    // tee: flange 20 × 4 over a web 3 × 26
    const tee = of({ shape: 'tee', widthMm: 20, heightMm: 30, webMm: 3, flangeMm: 4 });
    const y = (80 * 28 + 78 * 13) / 158;
    expect(tee.centroidMm[1]).toBeCloseTo(y, 9);
    expect(tee.ixMm4).toBeCloseTo(
      (20 * 64) / 12 + 80 * (28 - y) ** 2 + (3 * 26 ** 3) / 12 + 78 * (y - 13) ** 2,
      6,
    );
    const channel = of({ shape: 'channel', widthMm: 20, heightMm: 30, webMm: 3, flangeMm: 4 });
    expect(channel.ixMm4).toBeCloseTo(i.ixMm4, 6);
    expect(channel.sLeftMm3).toBeGreaterThan(channel.sRightMm3);
  });

  it('knows the principal axes of an angle by hand, and turns with it', () => {
    const corners: Point2[] = [
      [0, 0],
      [30, 0],
      [30, 5],
      [5, 5],
      [5, 30],
      [0, 30],
    ];
    const angle = of({ shape: 'polygon', outerMm: corners });
    // symmetric about its diagonal: the stiff axis lies across it, at 45°
    expect(angle.ixyMm4).toBeLessThan(0);
    expect(angle.angleDeg).toBeCloseTo(45, 9);
    expect(angle.i1Mm4).toBeCloseTo(angle.ixMm4 - angle.ixyMm4, 6);
    fc.assert(
      fc.property(fc.double({ min: -1.5, max: 1.5, noNaN: true }), (turn) => {
        const [c, s] = [Math.cos(turn), Math.sin(turn)];
        const turned = of({
          shape: 'polygon',
          outerMm: corners.map(([x, y]): Point2 => [c * x - s * y, s * x + c * y]),
        });
        expect(turned.i1Mm4).toBeCloseTo(angle.i1Mm4, 4);
        expect(turned.i2Mm4).toBeCloseTo(angle.i2Mm4, 4);
        const expected = 45 + (turn * 180) / Math.PI;
        expect(Math.abs(((turned.angleDeg - expected + 270) % 180) - 90)).toBeCloseTo(0, 4);
      }),
      { numRuns: 40, endOnFailure: true },
    );
  });

  it('takes holes out whichever way they are drawn', () => {
    const plate: Section = {
      shape: 'polygon',
      outerMm: [
        [0, 0],
        [20, 0],
        [20, 10],
        [0, 10],
      ],
    };
    const hole: Point2[] = [
      [8, 3],
      [12, 3],
      [12, 7],
      [8, 7],
    ];
    for (const drawn of [hole, [...hole].reverse()])
      expect(of({ ...plate, holesMm: [drawn] }).ixMm4).toBeCloseTo((20 * 1000) / 12 - 4 ** 4 / 12, 6);
  });

  it('refuses what is no section', () => {
    const path = (section: object) => refusalOf(() => of(section as Section)).path;
    expect(
      path({
        shape: 'polygon',
        outerMm: [
          [0, 0],
          [10, 10],
          [10, 0],
          [0, 10],
        ],
      }),
    ).toBe('section.outerMm');
    expect(path({ shape: 'tube', diameterMm: 5, boreMm: 5 })).toBe('section.diameterMm');
    expect(path({ shape: 'box', widthMm: 10, heightMm: 10, wallMm: 5 })).toBe('section.wallMm');
    expect(path({ shape: 'round', diameterMm: 5, widthMm: 3 })).toBe('section.widthMm');
  });
});
