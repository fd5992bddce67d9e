import { refusalOf } from '../../fixtures/refused';
import { fromBase64 } from '../../base/base64';
import { parse } from '../../base/schema/parse';
import { readStl } from '../meshFiles/readStl';
import { measureMesh } from '../solid/measure';
import { gearOutline, type OutlineInput } from './outline';
import { gearOutlineSchema } from './outline.schema';

const outline = (input: OutlineInput) => gearOutline(parse(gearOutlineSchema, input));
const rad = Math.PI / 180;
const CASES: OutlineInput[] = [
  { teeth: 20, moduleMm: 1, boreMm: 5 },
  { teeth: 12, moduleMm: 0.8, boreMm: 3.17, shift: 0.3, backlashMm: 0.1 },
  { teeth: 71, moduleMm: 0.8, boreMm: 8, helixDeg: 20 },
  { teeth: 60, moduleMm: 0.5, boreMm: 6, pressureAngleDeg: 14.5, shift: -0.2 },
];

/** Angle of a point from the middle of its tooth, clockwise from +y. */
function besideTooth([x, y]: readonly [number, number], teeth: number): number {
  const angle = Math.atan2(x, y);
  const pitch = (2 * Math.PI) / teeth;
  return angle - Math.round(angle / pitch) * pitch;
}

function sizes({
  teeth,
  moduleMm,
  pressureAngleDeg = 20,
  helixDeg = 0,
  shift = 0,
  backlashMm = 0,
}: OutlineInput) {
  const cos = Math.cos(helixDeg * rad);
  const angle = Math.atan(Math.tan(pressureAngleDeg * rad) / cos);
  const pitch = (moduleMm * teeth) / cos / 2;
  return {
    pitch,
    base: pitch * Math.cos(angle),
    angle,
    tip: pitch + moduleMm * (1 + shift),
    root: pitch - moduleMm * (1.25 - shift),
    thickness:
      ((Math.PI * moduleMm) / 2 + 2 * shift * moduleMm * Math.tan(pressureAngleDeg * rad)) / cos -
      backlashMm / 2,
  };
}

interface Triangle {
  corners: [string, string, string];
  volume: number;
}

/** Triangles of a binary STL, corners as keys, and six times each one's volume over the origin. */
function triangles(stl: string): Triangle[] {
  const bytes = Buffer.from(stl, 'base64');
  const count = bytes.readUInt32LE(80);
  expect(bytes.length).toBe(84 + 50 * count);
  return Array.from({ length: count }, (_, i) => {
    const at = (k: number) => bytes.readFloatLE(84 + 50 * i + 12 + 4 * k);
    const [a, b, c] = [0, 1, 2].map((k) => [at(3 * k), at(3 * k + 1), at(3 * k + 2)]) as [
      number[],
      number[],
      number[],
    ];
    const volume =
      a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) -
      a[1]! * (b[0]! * c[2]! - b[2]! * c[0]!) +
      a[2]! * (b[0]! * c[1]! - b[1]! * c[0]!);
    return { corners: [a.join(), b.join(), c.join()], volume };
  });
}

describe('gear.outline', () => {
  it.each(CASES)(
    'keeps every flank point on the involute, and the thickness at the pitch circle: %j',
    (input) => {
      const { outline: points, flankFromMm } = outline(input);
      const { pitch, base, tip, root, thickness } = sizes(input);
      // an involute unwinds: the angle to the point is that of its base plus √(r² − r_b²)/r_b less the angle back
      const unwound = (r: number) => Math.sqrt(r * r - base * base) / base - Math.acos(base / r);
      const flank = points.filter(
        ([x, y]) => Math.hypot(x, y) >= flankFromMm - 1e-9 && Math.hypot(x, y) < tip - 1e-9,
      );
      expect(flank.length).toBeGreaterThan(20 * input.teeth);
      const off = flank.map((point) => {
        const r = Math.hypot(...point);
        return (
          Math.abs(
            Math.abs(besideTooth(point, input.teeth)) -
              (thickness / (2 * pitch) + unwound(pitch) - unwound(r)),
          ) * r
        );
      });
      expect(Math.max(...off)).toBeLessThan(1e-3);
      const radii = points.map(([x, y]) => Math.hypot(x, y));
      expect(Math.max(...radii)).toBeCloseTo(tip, 6);
      expect(Math.min(...radii)).toBeGreaterThan(root - 1e-6);
      expect(flankFromMm).toBeGreaterThanOrEqual(Math.max(base, root) - 1e-9);
      expect(points[0]).toEqual(points.at(-1));
    },
  );

  it('goes round once without crossing itself', () => {
    for (const input of CASES) {
      const { outline: points } = outline(input);
      let turned = 0;
      for (let i = 1; i < points.length; i++) {
        const [[x0, y0], [x1, y1]] = [points[i - 1]!, points[i]!];
        turned += Math.atan2(x1 * y0 - y1 * x0, x0 * x1 + y0 * y1);
      }
      expect(turned).toBeCloseTo(2 * Math.PI, 9);
    }
  });

  it.each<Partial<OutlineInput>>([
    {},
    { helixDeg: 25 },
    { helixDeg: -15, flatDepthMm: 0.5 },
    { hexAcrossFlatsMm: 7 },
  ])('makes a watertight solid of the section’s volume: %j', (more) => {
    const input: OutlineInput = {
      teeth: 24,
      moduleMm: 1,
      boreMm: 5,
      faceWidthMm: 8,
      files: ['stl'],
      pointsPerFlank: 10,
      ...more,
    };
    const { files, outline: points, bore } = outline(input);
    const found = triangles(files.stl!);
    const edges = new Map<string, number>();
    for (const { corners } of found) {
      for (let i = 0; i < 3; i++) {
        const edge = `${corners[i]}>${corners[(i + 1) % 3]}`;
        edges.set(edge, (edges.get(edge) ?? 0) + 1);
      }
    }
    // every edge once in either sense, and none from a corner to itself
    expect(
      [...edges].filter(
        ([edge, times]) =>
          times !== 1 ||
          edges.get(edge.split('>').reverse().join('>')) !== 1 ||
          new Set(edge.split('>')).size !== 2,
      ),
    ).toEqual([]);
    const shoelace = (loop: readonly (readonly [number, number])[]) =>
      Math.abs(loop.slice(1).reduce((sum, [x, y], i) => sum + loop[i]![0] * y - x * loop[i]![1], 0)) / 2;
    const volume = found.reduce((sum, one) => sum + one.volume, 0) / 6;
    expect(Math.abs(volume / (8 * (shoelace(points) - shoelace(bore))) - 1)).toBeLessThan(2e-3);
  });

  it('turns a positive helix right-handed', () => {
    const { files } = outline({
      teeth: 24,
      moduleMm: 1,
      boreMm: 5,
      faceWidthMm: 8,
      helixDeg: 20,
      files: ['stl'],
    });
    const tip = sizes({ teeth: 24, moduleMm: 1, boreMm: 5, helixDeg: 20 }).tip;
    const corners = [...new Set(triangles(files.stl!).flatMap((one) => one.corners))].map(
      (key) => key.split(',').map(Number) as [number, number, number],
    );
    const onTop = (z: number) =>
      corners
        .filter(([x, y, h]) => Math.abs(h - z) < 1e-5 && Math.abs(Math.hypot(x, y) - tip) < 1e-4)
        .map(([x, y]) => Math.atan2(y, x));
    // the mean direction of tooth 0 near +y, below and above: b·tan β over the pitch radius further counter-clockwise
    const near = (angles: number[], at: number) => {
      const own = angles.filter((a) => Math.abs(a - at) < Math.PI / 24);
      return own.reduce((sum, a) => sum + a, 0) / own.length;
    };
    const twist = (8 * Math.tan(20 * rad)) / (12 / Math.cos(20 * rad));
    expect(near(onTop(8), Math.PI / 2 + twist) - near(onTop(0), Math.PI / 2)).toBeCloseTo(twist, 3);
  });

  it('draws at true size', () => {
    const { files } = outline({ teeth: 20, moduleMm: 1, boreMm: 5, flatDepthMm: 0.5, files: ['svg', 'dxf'] });
    expect(files.svg).toMatch(/width="24mm" height="24mm" viewBox="-12 -12 24 24"/);
    const ys = [...files.dxf!.matchAll(/VERTEX\n8\n0\n10\n([-\d.]+)\n20\n([-\d.]+)/g)].map(([, x, y]) =>
      Math.hypot(Number(x), Number(y)),
    );
    expect(Math.max(...ys)).toBeCloseTo(11, 4);
    expect(files.dxf!.endsWith('EOF\n')).toBe(true);
    // a 0.5 mm flat on 5 mm: nothing of the bore lies nearer than 2 mm to the far side
    const { bore } = outline({ teeth: 20, moduleMm: 1, boreMm: 5, flatDepthMm: 0.5 });
    expect(Math.max(...bore.map(([, y]) => y))).toBeCloseTo(2, 9);
    expect(Math.min(...bore.map(([, y]) => y))).toBeCloseTo(-2.5, 2);
  });

  it('refuses a hole through the root, a solid without a width, and two shapes of one hole', () => {
    const pathOf = (more: object) =>
      refusalOf(() => outline({ teeth: 12, moduleMm: 1, boreMm: 5, ...more })).path;
    expect(pathOf({ boreMm: 9.5 })).toBe('boreMm');
    expect(pathOf({ hexAcrossFlatsMm: 8.3 })).toBe('hexAcrossFlatsMm');
    expect(pathOf({ files: ['stl'] })).toBe('faceWidthMm');
    expect(pathOf({ flatDepthMm: 0.5, hexAcrossFlatsMm: 5 })).toBe('flatDepthMm');
    expect(pathOf({ flatDepthMm: 5 })).toBe('flatDepthMm');
    expect(pathOf({ teeth: 2 })).toBe('teeth');
    expect(outline({ teeth: 12, moduleMm: 1, boreMm: 3, shift: 0.9 }).notes[0]!.code).toBe(
      'note.gearOutline.pointed',
    );
  });
});

describe('the outline of a ring with inner teeth', () => {
  const ring = (more: object = {}) =>
    gearOutline(parse(gearOutlineSchema, { teeth: 48, moduleMm: 1, internal: true, outsideMm: 56, ...more }));

  it('is its inner contour from tip to root within a rim, its flanks involutes from the base circle on', () => {
    const { outline: inner, rim, flankFromMm, bore } = ring({ addendum: 0.9 });
    const radii = inner.map((point) => Math.hypot(...point));
    expect(Math.min(...radii)).toBeCloseTo(23.1, 9);
    expect(Math.max(...radii)).toBeCloseTo(25.25, 9);
    for (const point of rim!) expect(Math.hypot(...point)).toBeCloseTo(28, 9);
    expect(flankFromMm).toBeCloseTo(23.1, 9);
    expect(bore).toBeUndefined();
    // of few teeth the base circle lies outside the tips: 9.40 over 8.75
    expect(ring({ teeth: 20, addendum: 1.25, outsideMm: 30 }).flankFromMm).toBeCloseTo(
      10 * Math.cos(20 * rad),
      9,
    );
  });

  it('goes out as files with both contours, watertight as a solid', () => {
    const { files } = ring({ faceWidthMm: 6, files: ['svg', 'dxf', 'stl'] });
    expect(files.svg!.match(/Z/g)).toHaveLength(2);
    expect(files.dxf!.match(/POLYLINE/g)).toHaveLength(2);
    const bytes = fromBase64(files.stl!, 'stl');
    const mesh = readStl(bytes, 'stl');
    const measured = measureMesh(mesh, {});
    expect(measured.watertight).toBe(true);
    const area = (points: readonly (readonly [number, number])[]) =>
      Math.abs(points.slice(1).reduce((sum, [x, y], k) => sum + points[k]![0] * y - x * points[k]![1], 0)) /
      2;
    const { outline: inner, rim } = ring();
    expect(measured.volumeMm3 / (6 * (area(rim!) - area(inner)))).toBeCloseTo(1, 5);
  });

  it('refuses a thin rim, a missing outside, and what a ring does not have', () => {
    const at = (more: object) => refusalOf(() => ring(more)).path;
    expect(at({ outsideMm: 51 })).toBe('outsideMm');
    expect(at({ outsideMm: undefined })).toBe('outsideMm');
    expect(at({ boreMm: 5 })).toBe('boreMm');
    expect(at({ helixDeg: 10 })).toBe('helixDeg');
    expect(
      refusalOf(() => parse(gearOutlineSchema, { teeth: 20, moduleMm: 1, boreMm: 5, outsideMm: 40 })).path,
    ).toBe('outsideMm');
  });
});
