import { strToU8, zipSync } from 'fflate';
import { fromBase64, toBase64 } from '../../base/base64';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import type { Vec3 } from '../../base/vec3';
import { measureMesh, type MeasureInput } from './measure';
import { meshMeasure } from './meshMeasure';
import { meshMeasureSchema } from './measure.schema';
import { readMesh } from '../meshFiles/readMesh';
import { boxCorners, type Corners, meshOf, sphereCorners, torusCorners } from './shapes';
import { writeStl } from '../meshFiles/writeStl';

const measure = (input: MeasureInput) => meshMeasure(parse(meshMeasureSchema, input));
const stl = (corners: Corners) => ({ stlBase64: toBase64(writeStl(meshOf(corners))) });
const box = boxCorners([0, 0, 0], [10, 20, 30]);
const turned = (corners: Corners, by: (p: Vec3) => Vec3): Corners =>
  Array.from({ length: corners.length / 3 }, (_, i) =>
    by([corners[3 * i]!, corners[3 * i + 1]!, corners[3 * i + 2]!]),
  ).flat();

describe('mesh.measure', () => {
  it('knows a box by hand', () => {
    const found = measure({ mesh: stl(box), densityGPerCm3: 1 });
    expect(found).toMatchObject({
      triangles: 12,
      watertight: true,
      openEdges: 0,
      shells: 1,
      volumeMm3: expect.closeTo(6000, 6),
      areaMm2: expect.closeTo(2200, 6),
      centroidMm: [5, 10, 15].map((value) => expect.closeTo(value, 9)),
      massG: expect.closeTo(6, 9),
      heightMm: 30,
      bedContactMm2: 200,
      overhangAreaMm2: 0,
      notes: [],
    });
    expect(found.boundsMm).toEqual({ min: [0, 0, 0], max: [10, 20, 30] });
    // m·(b² + c²)/12
    expect(found.inertiaAboutCentroidGMm2).toMatchObject({
      xx: expect.closeTo((6 * (400 + 900)) / 12, 6),
      yy: expect.closeTo((6 * (100 + 900)) / 12, 6),
      zz: expect.closeTo((6 * (100 + 400)) / 12, 6),
      xy: expect.closeTo(0, 6),
    });
  });

  it('comes to sphere and torus as they get finer, and does not mind where they lie', () => {
    const ball = (rings: number) =>
      measureMesh(
        meshOf(turned(sphereCorners(10, rings, 2 * rings), ([x, y, z]) => [x + 100, y - 50, z + 7])),
        { densityGPerCm3: 1 },
      );
    const [coarse, fine] = [ball(24), ball(48)];
    const [volume, inertia] = [(4 / 3) * Math.PI * 1000, 0.4 * (4 / 3) * Math.PI * 100];
    expect(fine).toMatchObject({ watertight: true, shells: 1 });
    expect(fine.volumeMm3 / volume).toBeCloseTo(1, 2);
    // flat faces leave out a share that goes with the square of their size
    expect((1 - coarse.volumeMm3 / volume) / (1 - fine.volumeMm3 / volume)).toBeCloseTo(4, 1);
    expect(
      (1 - coarse.inertiaAboutCentroidGMm2.xx / inertia) / (1 - fine.inertiaAboutCentroidGMm2.xx / inertia),
    ).toBeCloseTo(4, 1);
    const torus = measureMesh(meshOf(torusCorners(20, 5, 120, 48)), { densityGPerCm3: 1 });
    expect(torus).toMatchObject({ watertight: true, shells: 1 });
    expect(torus.volumeMm3 / (2 * Math.PI ** 2 * 20 * 25)).toBeCloseTo(1, 2);
    expect(torus.inertiaAboutCentroidGMm2.zz / (torus.massG * (400 + 0.75 * 25))).toBeCloseTo(1, 2);
  });

  it('tells products of inertia with their sign', () => {
    // two cubes on the diagonal of x and y
    const both = measure({
      mesh: stl([...boxCorners([0, 0, 0], [2, 2, 2]), ...boxCorners([10, 10, 0], [12, 12, 2])]),
      densityGPerCm3: 1,
    });
    expect(both.shells).toBe(2);
    // 2 · m·5·5
    expect(both.inertiaAboutCentroidGMm2.xy).toBeCloseTo(2 * 0.008 * 25, 9);
  });

  it('sees what overhangs a turned part, and what lies on the bed', () => {
    // a roof: a box turned by 30° about x stands on its edge
    const tilt = (deg: number) =>
      turned(box, ([x, y, z]) => [
        x,
        y * Math.cos((deg * Math.PI) / 180) - z * Math.sin((deg * Math.PI) / 180),
        y * Math.sin((deg * Math.PI) / 180) + z * Math.cos((deg * Math.PI) / 180),
      ]);
    const at30 = measure({ mesh: stl(tilt(30)) });
    // its underside faces down by cos 30°, its side by sin 30°
    expect(at30.bedContactMm2).toBe(0);
    expect(at30.overhangAreaMm2).toBeCloseTo(200, 3);
    expect(measure({ mesh: stl(tilt(30)), overhangDeg: 70 }).overhangAreaMm2).toBeCloseTo(200 + 300, 3);
    const upside = measure({ mesh: stl(box), buildDirection: [1, 0, 0] });
    expect(upside).toMatchObject({ heightMm: 10, bedContactMm2: 600 });
  });

  it('says where it is open or turned about', () => {
    const open = measure({ mesh: stl(box.slice(9)) });
    expect(open).toMatchObject({ watertight: false, openEdges: 3, notes: [{ code: 'note.solid.open' }] });
    // one triangle turned round: every edge met twice, three of them the same way
    const flipped = [...box.slice(9), ...box.slice(0, 3), ...box.slice(6, 9), ...box.slice(3, 6)];
    expect(measure({ mesh: stl(flipped) })).toMatchObject({ watertight: false, openEdges: 0 });
    expect(measure({ mesh: stl(turned(box, ([x, y, z]) => [-x, y, z])) }).volumeMm3).toBeCloseTo(6000, 6);
  });
});

describe('files of meshes', () => {
  const text = `solid a\n${Array.from({ length: 12 }, (_, t) => `facet normal 0 0 0\nouter loop\n${[0, 1, 2].map((c) => `vertex ${box.slice(9 * t + 3 * c, 9 * t + 3 * c + 3).join(' ')}`).join('\n')}\nendloop\nendfacet`).join('\n')}\nendsolid a\n`;
  const ascii = (body: string) => ({ stlBase64: toBase64(new TextEncoder().encode(body)) });
  const vertices = [...new Set(Array.from({ length: 36 }, (_, i) => box.slice(3 * i, 3 * i + 3).join(' ')))];
  const index = (i: number) => vertices.indexOf(box.slice(3 * i, 3 * i + 3).join(' '));
  const obj = `${vertices.map((v) => `v ${v}`).join('\n')}\n${Array.from({ length: 12 }, (_, t) => `f ${[0, 1, 2].map((c) => `${index(3 * t + c) + 1}//1`).join(' ')}`).join('\n')}\n`;
  const model = (unit: string, transform = '') =>
    `<?xml version="1.0"?><model unit="${unit}" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources><object id="1" type="model"><mesh><vertices>${vertices
      .map((v) => {
        const [x, y, z] = v.split(' ');
        return `<vertex x="${x}" y="${y}" z="${z}"/>`;
      })
      .join(
        '',
      )}</vertices><triangles>${Array.from({ length: 12 }, (_, t) => `<triangle v1="${index(3 * t)}" v2="${index(3 * t + 1)}" v3="${index(3 * t + 2)}"/>`).join('')}</triangles></mesh></object><object id="2"><components><component objectid="1"/></components></object></resources><build><item objectid="2"${transform}/></build></model>`;
  const threeMf = (body: string, name = '3D/3dmodel.model') => ({
    threeMfBase64: toBase64(zipSync({ [name]: strToU8(body) })),
  });

  it('are the same part in every format', () => {
    const [binary, written, asObj, as3mf] = [
      stl(box),
      ascii(text),
      { objText: obj },
      threeMf(model('millimeter')),
    ].map((mesh) => measure({ mesh }));
    expect(written).toEqual(binary);
    expect(asObj).toEqual(binary);
    expect(as3mf).toEqual(binary);
    expect(fromBase64(toBase64(Uint8Array.from([1, 2, 250, 9])), '')).toEqual(
      Uint8Array.from([1, 2, 250, 9]),
    );
  });

  it('have the unit and the place that 3MF gives them', () => {
    // inches, turned a quarter about z and moved by 2 in
    const { boundsMm } = measure({ mesh: threeMf(model('inch', ' transform="0 1 0 -1 0 0 0 0 1 2 0 0"')) });
    expect(boundsMm.min[0]).toBeCloseTo(-18 * 25.4, 6);
    expect(boundsMm.max).toEqual([
      expect.closeTo(2 * 25.4, 6),
      expect.closeTo(10 * 25.4, 6),
      expect.closeTo(30 * 25.4, 6),
    ]);
  });

  it('that are broken say what is wrong, each by its code', () => {
    const refused = (mesh: object) => {
      const { code, given } = refusalOf(() => measure({ mesh } as never));
      return { code, given };
    };
    const code = (mesh: object) => refused(mesh).code;
    const bytes = writeStl(meshOf(box));
    expect(refused({ stlBase64: toBase64(bytes.slice(0, 400)) })).toEqual({
      code: 'stl.cutOff',
      given: { count: 12, room: 6 },
    });
    expect(code({ stlBase64: toBase64(bytes.slice(0, 20)) })).toBe('stl.noTriangle');
    expect(code({ stlBase64: toBase64(new Uint8Array(84)) })).toBe('meshFile.empty');
    expect(code(ascii(text.slice(0, 300)))).toBe('stl.noEnd');
    expect(code(ascii(text.replace('vertex 0 0 0', 'vertex 0 0 x')))).toBe('stl.facet');
    expect(code(ascii('solid a\nendsolid a\n'))).toBe('meshFile.empty');
    const holed = bytes.slice();
    new DataView(holed.buffer).setFloat32(84 + 12, NaN, true);
    expect(code({ stlBase64: toBase64(holed) })).toBe('meshFile.notFinite');
    // words and lines without end, components inside components, what grows when it is unpacked
    expect(code(ascii(`solid a\nfacet\nvertex ${'1'.repeat(200_000)}x 0 0\nendfacet\nendsolid a\n`))).toBe(
      'stl.facet',
    );
    expect(
      refused(ascii('solid vertex endfacet\nfacet\nvertex 0 0 0\nvertex 1 0 0\nendfacet\nendsolid')),
    ).toEqual({ code: 'stl.facets', given: { facets: 1 } });
    expect(refused({ objText: `v ${' '.repeat(200_000)}0 0 0\n` })).toMatchObject({
      code: 'obj.long',
      given: { line: 1 },
    });
    const nested = Array.from(
      { length: 15 },
      (_, at) =>
        `<object id="${at + 3}"><components><component objectid="${at + 2}"/><component objectid="${at + 2}"/></components></object>`,
    ).join('');
    expect(
      refused(
        threeMf(
          model('millimeter')
            .replace('</resources>', `${nested}</resources>`)
            .replace('<item objectid="2"', '<item objectid="17"'),
        ),
      ),
    ).toEqual({ code: 'threeMf.objects', given: { mostPlaced: 10_000 } });
    expect(code({ stlBase64: '%%%' })).toMatch(/^base64/);
    expect(refused({ objText: 'v 0 0 0\nv 1 0 0\nf 1 2 3\n' })).toMatchObject({
      code: 'obj.corner',
      given: { line: 3 },
    });
    expect(code({ threeMfBase64: toBase64(bytes) })).toBe('threeMf.noArchive');
    expect(code(threeMf('<model', '3D/3dmodel.model'))).toMatch(/threeMf\.xml|meshFile\.empty/);
    expect(code(threeMf(model('furlong')))).toBe('threeMf.unit');
    const zipped = zipSync({ '3D/3dmodel.model': strToU8(model('millimeter')) });
    expect(code({ threeMfBase64: toBase64(zipped.slice(0, 300)) })).toMatch(/^threeMf\.(noModel|packed)$/);
    expect(refusalOf(() => measure({ mesh: stl(box), buildDirection: [0, 0, 0] })).path).toBe(
      'buildDirection',
    );
    expect(refusalOf(() => readMesh({ objText: '' })).path).toBe('mesh.objText');
  });
});
