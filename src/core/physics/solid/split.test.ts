import Module, { type ManifoldToplevel } from 'manifold-3d';
import { circle, extruded } from './extrude';
import { measureMesh } from './measure';
import { readStl } from '../meshFiles/readStl';
import { meshOf } from './shapes';
import { splitMesh } from './split';
import { writeStl } from '../meshFiles/writeStl';

let kit: ManifoldToplevel;
beforeAll(async () => {
  kit = await Module();
  kit.setup();
});

const block = meshOf(
  extruded(
    [
      [0, 0],
      [120, 0],
      [120, 30],
      [0, 30],
    ],
    [],
    0,
    20,
  ),
);
const written = (mesh: Parameters<typeof writeStl>[0]) => measureMesh(readStl(writeStl(mesh), 'file'), {});

describe('a part split at a plane', () => {
  it('falls into two closed halves that make up the whole', () => {
    const { pieces, pinsMm } = splitMesh(kit, block, { axis: 0, atMm: 50 });
    const [low, high] = pieces.map(written);
    expect([low!.watertight, high!.watertight]).toEqual([true, true]);
    expect(low!.volumeMm3).toBeCloseTo(50 * 30 * 20, 2);
    expect(high!.volumeMm3).toBeCloseTo(70 * 30 * 20, 2);
    expect(pinsMm).toEqual([]);
  });

  it.each([
    [0, [60, 30, 20]],
    [1, [120, 15, 20]],
    [2, [120, 30, 10]],
  ] as const)('drills pin holes of their size across the cut along axis %i', (axis, lowSize) => {
    const at = lowSize[axis];
    const { pieces, pinsMm } = splitMesh(kit, block, { axis, atMm: at, pinMm: 3, pinDepthMm: 6 });
    expect(pinsMm).toHaveLength(2);
    const prism = 16 * 1.5 ** 2 * Math.sin((2 * Math.PI) / 32) * 6;
    const [low, high] = pieces.map(written);
    const whole = lowSize[0] * lowSize[1] * lowSize[2];
    expect(low!.watertight && high!.watertight).toBe(true);
    expect(low!.volumeMm3).toBeCloseTo(whole - 2 * prism, 0);
    expect(high!.volumeMm3).toBeCloseTo(120 * 30 * 20 - whole - 2 * prism, 0);
    for (const pin of pinsMm) {
      expect(pin[axis]).toBeCloseTo(at, 9);
      // the hole with half a diameter of plastic around it stays inside
      [120, 30, 20].forEach((size, other) => {
        if (other !== axis)
          expect(Math.min(pin[other]!, size - pin[other]!)).toBeGreaterThanOrEqual(3 - 0.05);
      });
    }
    expect(Math.hypot(...[0, 1, 2].map((other) => pinsMm[0]![other]! - pinsMm[1]![other]!))).toBeGreaterThan(
      10,
    );
  });

  it('keeps holes of the part whole on both sides', () => {
    const plate = meshOf(
      extruded(
        [
          [-50, -20],
          [50, -20],
          [50, 20],
          [-50, 20],
        ],
        [circle(0, 0, 8), circle(30, 0, 3)],
        0,
        4,
      ),
    );
    const { pieces } = splitMesh(kit, plate, { axis: 0, atMm: 0 });
    const area = (r: number) => 16 * r * r * Math.sin((2 * Math.PI) / 32);
    expect(written(pieces[1]).volumeMm3).toBeCloseTo((50 * 40 - area(8) / 2 - area(3)) * 4, 1);
    expect(pieces.every((piece) => written(piece).watertight)).toBe(true);
  });

  it('says when a cut is too narrow for a pin, and refuses a plane that misses and a mesh that is open', () => {
    expect(
      splitMesh(
        kit,
        meshOf(
          extruded(
            [
              [0, 0],
              [100, 0],
              [100, 4],
              [0, 4],
            ],
            [],
            0,
            4,
          ),
        ),
        { axis: 0, atMm: 50, pinMm: 3 },
      ),
    ).toMatchObject({ pinsMm: [], notes: [{ code: 'note.split.narrow' }] });
    expect(() => splitMesh(kit, block, { axis: 2, atMm: 20 })).toThrow('split.place');
    const { vertices, triangles } = block;
    expect(() => splitMesh(kit, { vertices, triangles: triangles.slice(3) }, { axis: 0, atMm: 60 })).toThrow(
      'split.open',
    );
  });
});
