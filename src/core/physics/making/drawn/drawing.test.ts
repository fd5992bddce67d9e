import { loadedKernel } from '../../../fixtures/kernel';
import { refusalOf } from '../../../fixtures/refused';
import { measureMesh } from '../../solid/measure';
import type { Kernel } from '../kit/kernel';
import { bar, disc, type Drawing, prism, rectangle, taken } from './drawing';
import { drawnBody, meshInOnePiece } from './drawnBody';
import { hullArea, hullStretches, insideBy } from './hull';

describe('an outline round discs', () => {
  it('has the area of the figures that every table has', () => {
    expect(hullArea([disc(3, 4, 5)])).toBeCloseTo(25 * Math.PI, 9);
    expect(hullArea([disc(0, 0, 5), disc(20, 0, 5)])).toBeCloseTo(200 + 25 * Math.PI, 9);
    expect(hullArea(rectangle([0, 0], [30, 20]))).toBeCloseTo(600, 9);
    // four corners of radius 4 lose (4 − π)·r²
    expect(hullArea(rectangle([-5, -7], [25, 13], 4))).toBeCloseTo(600 - (4 - Math.PI) * 16, 9);
    expect(hullArea([disc(0, 0), disc(12, 0), disc(0, 9)])).toBeCloseTo(54, 9);
    // two discs of radii 6 and 2, 10 apart: two tangents, and the sectors outside them
    const lean = Math.acos(4 / 10);
    const tangents = (6 + 2) * 10 * Math.sin(lean);
    const sectors = 36 * (Math.PI - lean) + 4 * lean;
    expect(hullArea([disc(0, 0, 6), disc(10, 0, 2)])).toBeCloseTo(tangents + sectors, 9);
  });

  it('does not notice discs inside it, their order, or which comes first', () => {
    const outline = [disc(0, 0, 3), disc(40, -5, 2), disc(35, 20, 4), disc(5, 25, 1)];
    const area = hullArea(outline);
    expect(hullArea([...outline, disc(20, 10, 5), disc(0, 0, 1)])).toBeCloseTo(area, 9);
    for (let turn = 1; turn < 4; turn++)
      expect(hullArea([...outline.slice(turn), ...outline.slice(0, turn)].reverse())).toBeCloseTo(area, 9);
  });

  it('closes: each stretch begins where the one before ends', () => {
    for (const discs of [
      [disc(0, 0, 6), disc(10, 0, 2)],
      rectangle([0, 0], [9, 9], 1),
      [disc(0, 0), disc(12, 1), disc(3, 9, 2)],
    ]) {
      const all = hullStretches(discs);
      all.forEach(({ points }, k) => {
        const [x, y] = all[(k + 1) % all.length]!.points[0]!;
        expect(Math.hypot(points.at(-1)![0] - x, points.at(-1)![1] - y)).toBeLessThan(1e-9);
      });
    }
  });

  it('says how deep a point lies in it', () => {
    const bar = [disc(0, 0, 5), disc(20, 0, 5)];
    expect(insideBy(bar, [10, 0])).toBeCloseTo(5, 9);
    expect(insideBy(bar, [10, 3])).toBeCloseTo(2, 9);
    expect(insideBy(bar, [-3, 0])).toBeCloseTo(2, 9);
    expect(insideBy(bar, [10, 7])).toBeCloseTo(-2, 9);
    expect(insideBy(bar, [-7, 0])).toBeCloseTo(-2, 9);
  });
});

describe('a drawing made solid', () => {
  let kit: Kernel;
  beforeAll(async () => {
    kit = await loadedKernel();
  });
  const measured = (drawing: Drawing) => measureMesh(meshInOnePiece(drawnBody(kit, drawing)), {});

  it('stands where its axis says, along each', () => {
    const outline = rectangle([0, 0], [2, 3]);
    const sizes = (['x', 'y', 'z'] as const).map((along) => {
      const { boundsMm, volumeMm3 } = measured({ steps: [prism(along, outline, 10, 15)] });
      expect(volumeMm3).toBeCloseTo(30, 3);
      return boundsMm;
    });
    const close = (got: readonly number[], wanted: readonly number[]) =>
      got.forEach((one, k) => expect(one).toBeCloseTo(wanted[k]!, 5));
    const wanted = [
      [
        [10, 0, 0],
        [15, 2, 3],
      ],
      [
        [0, 10, 0],
        [3, 15, 2],
      ],
      [
        [0, 0, 10],
        [2, 3, 15],
      ],
    ] as const;
    sizes.forEach(({ min, max }, k) => {
      close(min, wanted[k]![0]);
      close(max, wanted[k]![1]);
    });
  });

  it('has the volume of what is put on less what is taken, and is closed', () => {
    const { volumeMm3, watertight } = measured({
      steps: [
        prism('z', rectangle([0, 0], [40, 20]), 0, 5, [[disc(10, 10, 3)]]),
        prism('x', rectangle([0, 5], [20, 12]), 30, 40),
        taken(bar([35, -1, 8], [35, 21, 8], 2)),
      ],
    });
    const wanted = 4000 - 45 * Math.PI + 1400 - 80 * Math.PI;
    expect(watertight).toBe(true);
    // round walls are flats of 0.01 mm at most
    expect(Math.abs(volumeMm3 / wanted - 1)).toBeLessThan(0.002);
  });

  it('rounds an inner edge by what a fillet leaves there, and says which it cannot', () => {
    const corner = [
      prism('z', rectangle([0, 0], [20, 4]), 0, 10),
      prism('z', rectangle([0, 0], [4, 20]), 0, 10),
    ];
    const sharp = measured({ steps: corner }).volumeMm3;
    const round = measured({ steps: corner, rounds: [{ at: [4, 4, 5], mm: 3 }] }).volumeMm3;
    expect(round - sharp).toBeCloseTo((4 - Math.PI) * (9 / 4) * 10, 0);
    const refused = refusalOf(() => drawnBody(kit, { steps: corner, rounds: [{ at: [4, 4, 5], mm: 40 }] }));
    expect(refused).toMatchObject({ path: 'filletMm', code: 'making.round' });
  });

  it('refuses pieces that do not hang together', () => {
    const apart = [
      prism('z', rectangle([0, 0], [4, 4]), 0, 2),
      prism('z', rectangle([10, 0], [14, 4]), 0, 2),
    ];
    expect(refusalOf(() => meshInOnePiece(drawnBody(kit, { steps: apart })))).toMatchObject({
      code: 'making.apart',
      given: { pieces: 2 },
    });
  });
});
