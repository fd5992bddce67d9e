import { toBase64 } from '../../base/base64';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { beamCheck } from '../strength/beam';
import { sectionProperties } from '../strength/section';
import type { Vec3 } from '../../base/vec3';
import { meshOrient, type OrientInput } from './orient';
import { meshSections } from './sections';
import type { SectionsInput } from './sectionsDefinition';
import { meshOrientSchema, meshSectionsSchema } from './sections.schema';
import { boxCorners, type Corners, meshOf } from './shapes';
import { writeStl } from '../meshFiles/writeStl';

const material = {
  modulusMpa: 2000,
  inPlaneStrengthMpa: 50,
  interlayerStrengthMpa: 25,
  interlayerShearMpa: 15,
};
const stl = (corners: Corners) => ({ stlBase64: toBase64(writeStl(meshOf(corners))) });
const sections = (input: SectionsInput) => meshSections(parse(meshSectionsSchema, input));
const bar = boxCorners([0, -3, -5], [60, 3, 5]);
const cantilever: SectionsInput = {
  mesh: stl(bar),
  axis: 'x',
  load: { forceN: [0, 0, -10], atMm: [60, 0, 0] },
  material,
};
const every = (corners: Corners, by: (p: Vec3) => Vec3): Corners =>
  Array.from({ length: corners.length / 3 }, (_, i) =>
    by([corners[3 * i]!, corners[3 * i + 1]!, corners[3 * i + 2]!]),
  ).flat();

describe('mesh.sections', () => {
  it('is the beam that a bar is, station by station', () => {
    const { series, weakest, notes } = sections(cantilever);
    const found = beamCheck({
      support: 'cantilever',
      lengthMm: 60,
      load: { forceN: 10 },
      section: { shape: 'rectangle', widthMm: 6, heightMm: 10 },
      bendingAbout: 'x',
      material,
      layers: 'along',
    });
    expect(series.atMm[0]).toBeCloseTo(0.6, 9);
    expect(series.areaMm2[20]).toBeCloseTo(60, 5);
    expect([series.i1Mm4[20], series.i2Mm4[20]]).toEqual([expect.closeTo(500, 3), expect.closeTo(180, 3)]);
    // the moment at the first station is F·(60 − 0.6)
    expect(series.stressMpa[0]).toBeCloseTo((found.stressMpa * 59.4) / 60, 5);
    expect(series.shearMpa[0]).toBeCloseTo(10 / 60, 6);
    expect(weakest).toMatchObject({ index: 0, margin: expect.closeTo((found.margin! * 60) / 59.4, 4) });
    expect(notes).toEqual([]);
  });

  it('is held at the far end, carries nothing beyond its load, and pulls with the sign of the force', () => {
    const middle = sections({ ...cantilever, load: { forceN: [30, 0, 0], atMm: [40, 0, 0] } });
    expect(middle.series.stressMpa[10]).toBeCloseTo(0.5, 6);
    expect(middle.series.margin.at(-1)).toBe(1e6);
    expect(middle.series.stressMpa.at(-1)).toBe(0);
    const other = sections({ ...cantilever, heldEnd: 'max', load: { forceN: [30, 0, 0], atMm: [40, 0, 0] } });
    // pushed against the far end
    expect(other.series.stressMpa.at(-1)).toBeCloseTo(-0.5, 6);
    expect(other.series.stressMpa[0]).toBe(0);
  });

  it('bends a section about both its axes, whichever way the part is turned', () => {
    const flat = sections({ ...cantilever, load: { forceN: [0, 4, -10], atMm: [60, 0, 0] } });
    expect(flat.series.stressMpa[0]).toBeCloseTo((594 * 5) / 500 + (4 * 59.4 * 3) / 180, 5);
    const [c, s] = [Math.cos(0.7), Math.sin(0.7)];
    const turn = ([x, y, z]: Vec3): Vec3 => [c * x - s * y, s * x + c * y, z];
    const turned = sections({
      ...cantilever,
      mesh: stl(every(bar, turn)),
      axis: turn([1, 0, 0]),
      load: { forceN: turn([0, 4, -10]), atMm: turn([60, 0, 0]) },
    });
    expect(turned.series.stressMpa[0]).toBeCloseTo(flat.series.stressMpa[0]!, 4);
    expect(turned.weakest.margin).toBeCloseTo(flat.weakest.margin, 3);
  });

  it('takes hollows out of the section, and asks less of layers across it', () => {
    const hollow = [...bar, ...every(boxCorners([10, -2, -4], [50, 2, 4]), ([x, y, z]) => [60 - x, y, z])];
    const { series } = sections({ ...cantilever, mesh: stl(hollow) });
    const box = sectionProperties({ section: { shape: 'box', widthMm: 6, heightMm: 10, wallMm: 1 } });
    expect(series.areaMm2[25]).toBeCloseTo(box.areaMm2, 4);
    expect(series.i1Mm4[25]).toBeCloseTo(box.ixMm4, 3);
    expect(
      sections({ ...cantilever, buildDirection: [1, 0, 0] }).weakest.margin /
        sections(cantilever).weakest.margin,
    ).toBeCloseTo(0.5, 6);
    expect(sections({ ...cantilever, buildDirection: [1, 0, 1] }).series.allowableMpa[0]).toBeCloseTo(
      (2 * 50 * 25) / 75,
      6,
    );
  });

  it('tells torsion that it leaves out, and gaps', () => {
    expect(
      sections({ ...cantilever, load: { forceN: [0, 0, -10], atMm: [60, 8, 0] } }).notes[0],
    ).toMatchObject({
      code: 'note.sections.torsion',
      facts: { torsion: { value: expect.closeTo(0.08, 9), quantity: 'torqueNm' } },
    });
    expect(
      sections({
        ...cantilever,
        mesh: stl([...boxCorners([0, 0, 0], [20, 5, 5]), ...boxCorners([40, 0, 0], [60, 5, 5])]),
      }).notes,
    ).toContainEqual(expect.objectContaining({ code: 'note.sections.gaps' }));
    expect(refusalOf(() => sections({ ...cantilever, axis: [0, 0, 0] })).path).toBe('axis');
  });
});

describe('mesh.orient', () => {
  const orient = (input: OrientInput) => meshOrient(parse(meshOrientSchema, input)).ranked;
  it('lays an arm down so that its layers run along it', () => {
    const ranked = orient({ mesh: stl(bar), load: cantilever.load, material });
    expect(ranked.length).toBeGreaterThanOrEqual(26);
    const [first] = ranked;
    expect(Math.abs(first!.direction[0])).toBeLessThan(1e-9);
    expect(first!.overhangAreaMm2).toBe(0);
    // flat on its wide side: 6 mm high
    expect(first!.heightMm).toBeCloseTo(6, 5);
    expect(first!.why).toMatchObject({ code: 'orient.best', facts: { layers: 'along', support: 'none' } });
    const upright = ranked.find(({ direction }) => direction[0] === 1)!;
    expect(upright.weakestMargin! / first!.weakestMargin!).toBeCloseTo(0.5, 6);
    expect(upright.why).toMatchObject({
      code: 'orient.weaker',
      facts: { share: { value: expect.closeTo(0.5, 6) } },
    });
  });

  it('without a load asks for the least support, then the lowest; a slanted face may lie on the bed', () => {
    expect(orient({ mesh: stl(bar) })[0]).toMatchObject({
      overhangAreaMm2: 0,
      heightMm: expect.closeTo(6, 5),
    });
    const wedge = every(boxCorners([0, 0, 0], [30, 10, 10]), ([x, y, z]) => [
      x,
      y,
      z === 0 ? 0 : z + 0.3 * x,
    ]);
    const slanted = orient({ mesh: stl(wedge) }).filter(
      ({ direction }) => Math.abs(direction[0] - 0.3 / Math.hypot(1, 0.3)) < 0.01 && direction[2] < 0,
    );
    expect(slanted[0]!.bedContactMm2).toBeCloseTo(300 * Math.hypot(1, 0.3), 1);
    expect(refusalOf(() => orient({ mesh: stl(bar), load: cantilever.load })).path).toBe('material');
  });
});
