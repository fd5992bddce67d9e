import { measureMesh } from '../solid/measure';
import { readStl } from '../meshFiles/readStl';
import { meshOf } from '../solid/shapes';
import { writeStl } from '../meshFiles/writeStl';
import { couponPiece, USUAL_COUPON } from './couponPiece';

const piece = couponPiece();
const mesh = readStl(writeStl(meshOf(piece.corners)), 'file');

/** Distances of the written corners from a place, within a reach and between two heights. */
function radiiAround({ x, y }: { x: number; y: number }, reach: number, low: number, high: number): number[] {
  const found: number[] = [];
  for (let at = 0; at < mesh.vertices.length; at += 3) {
    const far = Math.hypot(mesh.vertices[at]! - x, mesh.vertices[at + 1]! - y);
    if (far <= reach && mesh.vertices[at + 2]! >= low - 1e-6 && mesh.vertices[at + 2]! <= high + 1e-6)
      found.push(far);
  }
  return found;
}

describe('the test piece as written', () => {
  it('is closed, and each captive disc a solid of its own', () => {
    const { watertight, shells, boundsMm } = measureMesh(mesh, {});
    expect(watertight).toBe(true);
    expect(shells).toBe(1 + USUAL_COUPON.gapsMm.length);
    expect(boundsMm.min).toEqual([0, 0, 0]);
    piece.sizeMm.forEach((size, axis) => expect(boundsMm.max[axis]).toBeCloseTo(size, 4));
  });

  it('has holes and pegs of their sizes where the sheet says', () => {
    for (const { nominalMm, ...place } of piece.holes)
      for (const radius of radiiAround(place, nominalMm / 2 + 1, 0, 4))
        expect(radius).toBeCloseTo(nominalMm / 2, 4);
    for (const { nominalMm, ...place } of piece.pegs) {
      const found = radiiAround(place, nominalMm / 2 + 1, 4, 12);
      expect(found).not.toHaveLength(0);
      for (const radius of found) expect(radius).toBeCloseTo(nominalMm / 2, 4);
    }
  });

  it('keeps each disc by its waist, with the gap square to the wall', () => {
    for (const { gapMm, ...place } of piece.gaps) {
      const waists = [...new Set(radiiAround(place, 6.2, 2, 2).map((radius) => radius.toFixed(3)))]
        .map(Number)
        .sort((a, b) => a - b);
      const mouths = [...new Set(radiiAround(place, 5, 0, 0).map((radius) => radius.toFixed(3)))]
        .map(Number)
        .sort((a, b) => a - b);
      // the wall leans 1 in 2
      const cosine = 2 / Math.sqrt(5);
      expect((waists[1]! - waists[0]!) * cosine).toBeCloseTo(gapMm, 2);
      expect(waists[0]).toBeGreaterThan(mouths.at(-1)!);
    }
  });

  it('has the volume of plate, pegs and discs less the holes', () => {
    const [w, d] = piece.sizeMm;
    const sides = (n: number, r: number) => (n / 2) * r * r * Math.sin((2 * Math.PI) / n);
    const bulb = (r: number) => {
      const [a, b] = [sides(64, r), sides(64, r + 1)];
      return 2 * (2 / 3) * (a + b + Math.sqrt(a * b));
    };
    const slant = Math.sqrt(5) / 2;
    const expected =
      (w * d - 12.5) * 4 -
      4 * USUAL_COUPON.holesMm.reduce((sum, size) => sum + sides(64, size / 2), 0) +
      8 * USUAL_COUPON.pegsMm.reduce((sum, size) => sum + sides(64, size / 2), 0) +
      USUAL_COUPON.gapsMm.reduce((sum, gap) => sum - bulb(4 + gap * slant) + bulb(4) - 4 * sides(6, 1.5), 0);
    expect(measureMesh(mesh, {}).volumeMm3).toBeCloseTo(expected, 0);
  });

  it('is drawn with the same circles', () => {
    const radii = [...piece.svg.matchAll(/ r="([\d.]+)"/g)].map(([, r]) => Number(r));
    for (const size of USUAL_COUPON.holesMm) expect(radii).toContain(size / 2);
    expect(piece.svg).toContain(`width="${Number(piece.sizeMm[0].toFixed(3))}mm"`);
  });
});
